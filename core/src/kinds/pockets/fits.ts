import { point } from '../../geometry/index.js'
import type { Concern, Fit } from '../../master/index.js'
import { CARD } from '../../stores/index.js'
import { type Reckoned, given } from '../../working/index.js'
import { sizeBy } from '../parts/basics.js'
import { POCKET_BENCH as B } from './bench.js'
import { hasTurnedTops } from './params.js'
import { type Stack, firstTop } from './stack.js'
import { aboveSeam, betweenSeams, needed } from '../parts/fits.js'
import { required } from '../../lists/index.js'

/** Where what is wrong at the foot of a stack is shown, mm above it. */
const ABOVE_FOOT = 20
/** Thinner pocket leather than this is no way out, mm. */
const LEAST_POCKET = 0.4

/** Whether the cards go in between the stitches, stay under the edge of what carries them, and come out again. */
export function pileFits(stack: Stack, carrier: string, height: Reckoned): Fit[] {
  const { p, reckon } = stack.start
  const { pocketWidth, depth, shorten, slit } = stack.sizes
  if (p.pockets === 0) return []
  const size = sizeBy(reckon)
  const card = given('card', CARD.width)
  const thick = given('thick', CARD.thickness, 'thickness')
  const cards = given('cards', p.cardsPerPocket, 'count')
  const front = p.school === 'slits' ? 'slit-panel' : 'foot-pocket'
  const wide: Fit = {
    id: 'card-wide',
    rank: 'stop',
    why: 'the card will not go in between the stitches',
    what: p.school === 'slits' ? 'a card through its slit' : 'a card between the stitches',
    panelId: carrier,
    keys: ['pocket.sideRoom', 'pocket.between', 'pocket.width', 'pocket.slit'],
    at: point(pocketWidth.value / 2, height.value - ABOVE_FOOT),
    needs: size('fit.cardWide', 'needs', '{card} card + {cards} × {thick}', '§9', { card, cards, thick }),
    has:
      p.school === 'slits'
        ? size('fit.cardRoom', 'room', '{slit} slit', '§9', { slit })
        : betweenSeams(reckon, 'fit.cardRoom', pocketWidth, stack.start, '§9'),
  }
  const tall: Fit = {
    id: 'card-tall',
    rank: 'stop',
    why: 'the card stands out over the edge and is bent when the wallet is pushed into a pocket',
    what: 'the uppermost card under the top edge',
    panelId: carrier,
    keys: ['inside.height', 'height', 'pocket.depth'],
    at: point(pocketWidth.value / 2, 4),
    needs: size('fit.cardTall', 'needs', '{steps} × {reveal} + {shorten} + {card} card', '§9', {
      steps: given('steps', p.pockets - 1, 'count'),
      reveal: given('reveal', p.reveal),
      shorten,
      card: given('card', CARD.height),
    }),
    has: aboveSeam(reckon, 'fit.cardHeight', height, stack.start, '§9'),
  }
  const grip: Fit = {
    id: 'card-grip',
    rank: 'look',
    why: 'less than a fingertip shows, so the card is hard to pull out',
    what: 'a finger on a card',
    panelId: front,
    keys: [],
    remedy: { field: 'shown', value: B.grip },
    at: point(pocketWidth.value / 2, 0),
    needs: needed(reckon, 'fit.gripNeeds', 'showing', B.grip, '§9'),
    has: size('fit.grip', 'showing', '{card} card − {depth} pocket', '§9', {
      card: given('card', CARD.height),
      depth,
    }),
  }
  const helped = p.grip === 'slot' || (p.grip === 'notch' && p.tops === 'raw')
  return [wide, tall, ...(helped ? [] : [grip])]
}

/** A pile that its faces can't rise over: how thin the pocket leather would have to be. */
function tooThick({ start: { p, leather }, sizes }: Stack): Concern[] {
  const { rise, stretch } = sizes
  const [cards, layers] = [
    required(rise.inputs.cards, 'cards').value * required(rise.inputs.card, 'card').value,
    required(rise.inputs.layers, 'layers').value,
  ]
  // The height at which the room it asks for is just the steepest slope: r² − s²/4 = steepest × r × s.
  const highest = (stretch.value * (B.steepest + Math.sqrt(B.steepest ** 2 + 1))) / 2
  if (rise.value <= highest + 1e-9 || p.school === 'slits') return []
  const thin = layers > 0 ? (highest / B.bulgeShare - cards) / layers : 0
  const ways =
    thin >= LEAST_POCKET
      ? `Pocket leather of up to {thin}, or pockets skived to that below their tops, would do; so would fewer pockets.`
      : 'Fewer pockets, or fewer cards to a pocket, would do; thinner leather alone would not.'
  return [
    {
      id: 'pile-too-thick',
      rank: 'look',
      panelId: 'foot-pocket',
      at: point(sizes.pocketWidth.value / 2, 0),
      what: 'The faces of the pockets have to rise {rise} over cards and {leather} leather, more than they give',
      why: `The cards sit tight until the leather is broken in, and the wallet stays thick. ${ways}`,
      lengths: { rise: rise.value, leather: leather.thickness, thin },
      ...(p.pockets > 2
        ? { remedy: { field: 'pockets', value: p.pockets - 1, said: 'one pocket fewer' } }
        : {}),
    },
  ]
}

/** Arms that only meet: cards push them apart in time. */
function buttedGap({ start: { p }, sizes }: Stack): Concern[] {
  if (p.school !== 'butted' || p.pockets < 2) return []
  return [
    {
      id: 'butted-gap',
      rank: 'tip',
      panelId: 'foot-pocket',
      at: point(sizes.arm.value / 2, 0),
      what: 'The arms of the pockets only meet, step to step',
      why: 'With wear the cards push them apart, and a gap opens at the edge of the wallet. Cut them tight to the step, or let each lap under the next: no gap, and half a leather more at the edge.',
      remedy: { field: 'school', value: 'lapped', said: 'T pockets, lapped' },
    },
  ]
}

/** What can't be used, or will not last, whatever its size. */
export function pileConcerns(stack: Stack): Concern[] {
  const { p } = stack.start
  const at = point(stack.sizes.pocketWidth.value / 2, 0)
  if (p.pockets === 0) return []
  const found: Concern[] = []
  if (p.school === 'slits' && p.pouch === 'none')
    found.push({
      id: 'slit-without-pouch',
      rank: 'stop',
      panelId: 'slit-panel',
      at: point(at.x, firstTop(stack)),
      what: 'The slits have nothing behind them',
      why: 'Cards slip down behind the face and can’t be got out. Put a pocket of cloth behind each slit.',
      remedy: { field: 'pouch', value: 'fabric', said: 'a pocket of thin cloth behind each slit' },
    })
  if (p.school !== 'slits' && p.grip === 'notch' && hasTurnedTops(p))
    found.push({
      id: 'notch-in-turned-top',
      rank: 'look',
      panelId: 'foot-pocket',
      at,
      what: 'The turned tops take no thumb notch; none is cut',
      why: 'An inward curve so tight can’t be turned without cutting the border through. A slot lower down can be.',
      remedy: { field: 'grip', value: 'slot', said: 'a thumb slot lower down' },
    })
  found.push(...tooThick(stack), ...buttedGap(stack))
  if (p.school === 'overlap' && p.pockets >= 4)
    found.push({
      id: 'overlap-thick',
      rank: 'tip',
      panelId: 'pocket',
      at,
      what: 'Full-width pockets pile up in both seams',
      why: 'Each adds its whole thickness to the edge. Lapped T pockets add half of one, whatever their number.',
      remedy: { field: 'school', value: 'lapped', said: 'T pockets, lapped' },
    })
  return found
}
