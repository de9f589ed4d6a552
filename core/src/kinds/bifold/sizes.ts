import { betweenMiddles, bookFold, halfAcross, sideRoom } from '../../formulas/index.js'
import { CARD, NOTE_THICKNESS, type Leather, currencyOf, largestNote } from '../../stores/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import type { BifoldParams } from './params.js'

/** Judgement values of the bench, mm unless said; each is shown in the working it goes into. */
export const BENCH = {
  /** Room over the uppermost card to the top edge. */
  overCard: 2,
  /** Room all round a note. */
  noteEase: 3,
  /** A wallet for nothing in particular is still a wallet. */
  leastHalf: 60,
  leastHeight: 60,
  /** A card is pulled out by what shows of it. */
  grip: 5,
  /** Pockets stay this far out of the bend. */
  foldRoom: 2,
  /** The body of a T pocket stays this far inside the stitches of its arms. */
  bodyRoom: 2,
  /** From the stitches across a pocket's foot to its cut end. */
  footMargin: 4,
  /** Share of the cards' thickness that reaches into the fold (docs/formulas.md §3). */
  foldFill: 0.3,
  /** Both faces of a pocket give way to the cards (docs/formulas.md §9). */
  bulgeShare: 0.5,
  /** The uppermost pocket is never made shallower than by this. */
  mostShortening: 8,
} as const

/** Pieces of pocket leather in one place of the side seam, as multiples of its thickness; docs/formulas.md §9. */
const edgePieces = (p: BifoldParams): number =>
  p.pockets === 0 ? 0 : p.school === 'butted' || p.pockets === 1 ? 1 : 1.5

/** The inside's top corners are true ones, unless they would stand out past the rounded corners of the outside. */
export const topRadius = (p: BifoldParams): number => (p.lip < p.corner ? p.corner : 0)

interface Start {
  readonly p: BifoldParams
  readonly reckon: Reckon
  readonly outside: Leather
  readonly inside: Leather
  readonly pocketLeather: Leather
  readonly margin: Reckoned
  readonly hole: Reckoned
}

/** Every finished size of the bifold, each with its working. */
export interface BifoldSizes {
  readonly margin: Reckoned
  readonly between: Reckoned
  readonly pocketWidth: Reckoned
  readonly depth: Reckoned
  readonly shorten: Reckoned
  readonly lap: Reckoned
  readonly arm: Reckoned
  readonly foldClear: Reckoned
  readonly half: Reckoned
  readonly insideWidth: Reckoned
  readonly insideHeight: Reckoned
  readonly difference: Reckoned
  readonly taken: Reckoned
  readonly outsideWidth: Reckoned
  readonly outsideHeight: Reckoned
  readonly hole: Reckoned
  readonly pitch: Reckoned
  readonly rise: Reckoned
  readonly sideRoom: Reckoned
}

export function bifoldSizes(p: BifoldParams, materials: Materials, reckon: Reckon): BifoldSizes {
  const { iron } = materials
  const hole = reckon(
    { key: 'hole.half', label: 'half a hole', formula: 'half of {slot} slot × sine of its slant {slant}', source: '§9' },
    { slot: given('slot', iron.slotLength), slant: given('slant', (iron.slant * Math.PI) / 180, 'angle') },
    ({ slot, slant }) => halfAcross(slot, slant),
  )
  const margin = reckon(
    { key: 'margin', label: 'margin', formula: '{margin} from the finished edge to the stitch line', source: '§7' },
    { margin: given('margin', p.margin) },
    (v) => v.margin,
  )
  const pitch = reckon(
    { key: 'pitch', label: 'pitch', formula: '{pitch} of the {iron}-prong iron', source: '§7', quantity: 'thickness' },
    { pitch: given('pitch', iron.pitch, 'thickness'), iron: given('prongs', iron.prongs, 'count') },
    (v) => v.pitch,
  )
  const start: Start = {
    p, reckon, margin, hole,
    outside: leatherOf(materials, 'outside'), inside: leatherOf(materials, 'inside'), pocketLeather: leatherOf(materials, 'pockets'),
  } // prettier-ignore
  const pocket = pocketWidths(start)
  const fold = foldSizes(start)
  const width = widths(start, pocket.pocketWidth, fold.foldClear, fold.taken)
  const upright = depths(start)
  return { margin, hole, pitch, ...pocket, ...fold, ...width, ...upright, ...heights(start, upright.depth, upright.shorten) }
}

function pocketWidths({ p, reckon, pocketLeather, margin, hole }: Start) {
  const t = given('pocket leather', pocketLeather.thickness, 'thickness')
  const rise = reckon(
    { key: 'pocket.rise', label: 'rise of the pile', formula: '{share} × ({cards} cards × {card} + {layers} more layers in the middle than at the edge × {t})', source: '§9' },
    { share: given('share', BENCH.bulgeShare, 'share'), cards: given('cards', p.pockets * p.cardsPerPocket, 'count'), card: given('card', CARD.thickness, 'thickness'), layers: given('layers', Math.max(0, p.pockets - edgePieces(p)), 'share'), t },
    (v) => v.share * (v.cards * v.card + v.layers * v.t),
  ) // prettier-ignore
  const stretch = reckon(
    { key: 'pocket.stretch', label: 'stretch of the face', formula: '{give} × {card} card', source: '§9' },
    { give: given('give', pocketLeather.give, 'share'), card: given('card', CARD.width) },
    (v) => v.give * v.card,
  )
  const least = reckon(
    { key: 'pocket.leastRoom', label: 'least room a side', formula: '{cards} × {card} / 2 + 0.5', source: '§9' },
    { cards: given('cards', p.cardsPerPocket, 'count'), card: given('card', CARD.thickness, 'thickness') },
    (v) => (v.cards * v.card) / 2 + 0.5,
  )
  const room = reckon(
    { key: 'pocket.sideRoom', label: 'room a side', formula: 'the larger of {least} and ({rise}² − {stretch}² / 4) / {stretch}', source: '§9' },
    { least, rise, stretch },
    (v) => Math.max(v.least, sideRoom(v.rise, v.stretch)),
  ) // prettier-ignore
  const between = reckon(
    { key: 'pocket.between', label: 'between the stitches', formula: '{card} card + 2 × {room} room', source: '§9' },
    { card: given('card', CARD.width), room },
    (v) => v.card + 2 * v.room,
  )
  const pocketWidth = reckon(
    { key: 'pocket.width', label: 'pocket width', formula: '{between} + 2 × ({margin} margin + {hole} half a hole)', source: '§9' },
    { between, margin, hole },
    (v) => v.between + 2 * (v.margin + v.hole),
  )
  const arm = reckon(
    { key: 'pocket.arm', label: 'length of an arm', formula: '{margin} margin + {hole} half a hole + {room} clear of the stitches', source: '§9' },
    { margin, hole, room: given('room', BENCH.bodyRoom) },
    (v) => v.margin + v.hole + v.room,
  ) // prettier-ignore
  return { rise, sideRoom: room, between, pocketWidth, arm }
}

function foldSizes({ p, reckon, outside, inside, pocketLeather }: Start) {
  const cards = 2 * p.pockets * p.cardsPerPocket
  const gap = reckon(
    { key: 'fold.gap', label: 'gap in the fold', formula: '2 × {pieces} × {t} pockets + {fill} × {cards} cards × {card}', source: '§3' },
    { pieces: given('pieces', edgePieces(p), 'share'), t: given('pocket leather', pocketLeather.thickness, 'thickness'), fill: given('fill', BENCH.foldFill, 'share'), cards: given('cards', cards, 'count'), card: given('card', CARD.thickness, 'thickness') },
    (v) => 2 * v.pieces * v.t + v.fill * v.cards * v.card,
  ) // prettier-ignore
  const bend = reckon(
    { key: 'fold.insideBend', label: 'inside used up by the bend', formula: 'π × ({gap} / 2 + {k} × {t})', source: '§2' },
    { gap, k: given('neutral share', inside.neutral, 'share'), t: given('inside leather', inside.thickness, 'thickness') },
    (v) => bookFold(v.gap, v.t, v.k),
  )
  const foldClear = reckon(
    { key: 'fold.clear', label: 'pockets end before the fold line by', formula: 'half of {bend} + {room}', source: '§2' },
    { bend, room: given('room', BENCH.foldRoom) },
    (v) => v.bend / 2 + v.room,
  )
  const noteCount = p.currency === 'none' ? 0 : p.notes
  const notes = reckon(
    { key: 'fold.notes', label: 'notes in the fold', formula: '{count} × {one}', source: '§2', quantity: 'thickness' },
    { count: given('count', noteCount, 'count'), one: given('one', NOTE_THICKNESS, 'thickness') },
    (v) => v.count * v.one,
  )
  const middles = reckon(
    { key: 'fold.middles', label: 'between the middles of the two layers', formula: '{ki} × {ti} + {notes} notes + {ko} × {to}', source: '§2', quantity: 'thickness' },
    { ki: given('1 − k', 1 - inside.neutral, 'share'), ti: given('inside', inside.thickness, 'thickness'), notes, ko: given('k', outside.neutral, 'share'), to: given('outside', outside.thickness, 'thickness') },
    (v) => betweenMiddles({ inner: { thickness: v.ti, neutral: 1 - v.ki }, outer: { thickness: v.to, neutral: v.ko }, between: v.notes }),
  ) // prettier-ignore
  const difference = reckon(
    { key: 'fold.difference', label: 'longer round the fold', formula: 'π × {middles} between the middles', source: '§2' },
    { middles },
    (v) => Math.PI * v.middles,
  )
  const taken = reckon(
    { key: 'fold.taken', label: 'added to the outside', formula: '{share} of {difference}', source: '§2' },
    { share: given('share', p.foldShare, 'share'), difference },
    (v) => v.share * v.difference,
  )
  return { foldClear, difference, taken }
}

function widths({ p, reckon, margin, hole }: Start, pocketWidth: Reckoned, foldClear: Reckoned, taken: Reckoned) {
  const forCards = reckon(
    { key: 'half.cards', label: 'half for the cards', formula: '{pocketWidth} + {foldClear}', source: '§9' },
    { pocketWidth, foldClear },
    (v) => (p.pockets === 0 ? 0 : v.pocketWidth + v.foldClear),
  )
  const note = p.currency === 'none' ? undefined : largestNote(currencyOf(p.currency))
  const forNotes = reckon(
    { key: 'half.notes', label: 'half for the notes', formula: 'half of {note} note + {ease} ease + {margin} margin + {hole} half a hole', source: '§2' },
    { note: given('note', note?.long ?? 0), ease: given('ease', BENCH.noteEase), margin, hole },
    (v) => (note ? v.note / 2 + v.ease + v.margin + v.hole : 0),
  ) // prettier-ignore
  const half = reckon(
    { key: 'half', label: 'half', formula: 'the largest of {forCards} for the cards, {forNotes} for the notes and {bare}', source: '§2' },
    { forCards, forNotes, bare: given('least', BENCH.leastHalf) },
    (v) => Math.max(v.forCards, v.forNotes, v.bare),
  )
  const insideWidth = reckon(
    { key: 'inside.width', label: 'inside width', formula: '2 × {half}', source: '§2' },
    { half },
    (v) => 2 * v.half,
  )
  const outsideWidth = reckon(
    { key: 'outside.width', label: 'outside width', formula: '{insideWidth} + {taken} round the fold', source: '§2' },
    { insideWidth, taken },
    (v) => v.insideWidth + v.taken,
  )
  return { half, insideWidth, outsideWidth }
}

function depths({ p, reckon, hole }: Start) {
  const depth = reckon(
    { key: 'pocket.depth', label: 'pocket depth', formula: '{card} card − {shown} showing', source: '§9' },
    { card: given('card', CARD.height), shown: given('shown', p.shown) },
    (v) => v.card - v.shown,
  )
  const lap = reckon(
    { key: 'pocket.lap', label: 'lap', formula: p.school === 'lapped' ? '{reveal}, the lower half of an arm' : 'none when butted: {reveal} × 0', source: '§9' },
    { reveal: given('reveal', p.reveal) },
    (v) => (p.school === 'lapped' ? v.reveal : 0),
  ) // prettier-ignore
  const overlap = reckon(
    { key: 'pocket.overlap', label: 'its foot reaches under the front pocket by', formula: '{depth} + {hole} + {foot} foot − {steps} steps × {reveal} + 1', source: '§9' },
    { depth, hole, foot: given('foot', BENCH.footMargin), steps: given('steps', Math.max(0, p.pockets - 1), 'count'), reveal: given('reveal', p.reveal) },
    (v) => v.depth + v.hole + v.foot - v.steps * v.reveal + 1,
  ) // prettier-ignore
  const wanted = p.topPocket === 'clear' && p.pockets >= 3
  const shorten = reckon(
    { key: 'pocket.shorten', label: 'uppermost pocket shorter by', formula: `{overlap} where that is between 0 and {most}, else 0${wanted ? '' : '; left at full depth'}`, source: '§9' },
    { overlap, most: given('most', BENCH.mostShortening) },
    (v) => (wanted && v.overlap > 0 && v.overlap <= v.most ? v.overlap : 0),
  ) // prettier-ignore
  return { depth, lap, shorten }
}

function heights({ p, reckon, margin, hole }: Start, depth: Reckoned, shorten: Reckoned) {
  const steps = given('steps', Math.max(0, p.pockets - 1), 'count')
  const reveal = given('reveal', p.reveal)
  const forCards = reckon(
    { key: 'height.cards', label: 'height for the cards', formula: '{margin} margin + {hole} + {depth} + {steps} × {reveal} reveal + {shown} showing + {shorten} + {over} over the card', source: '§9' },
    { margin, hole, depth, steps, reveal, shown: given('shown', p.shown), shorten, over: given('over', Math.max(BENCH.overCard, topRadius(p) - p.shown)) },
    (v) => (p.pockets === 0 ? 0 : v.margin + v.hole + v.depth + v.steps * v.reveal + v.shown + v.shorten + v.over),
  ) // prettier-ignore
  const note = p.currency === 'none' ? undefined : largestNote(currencyOf(p.currency))
  const forNotes = reckon(
    { key: 'height.notes', label: 'height for the notes', formula: '{note} note + {ease} ease + {margin} margin + {hole} − {lip} lip', source: '§2' },
    { note: given('note', note?.short ?? 0), ease: given('ease', BENCH.noteEase), margin, hole, lip: given('lip', p.lip) },
    (v) => (note ? v.note + v.ease + v.margin + v.hole - v.lip : 0),
  ) // prettier-ignore
  const bare = given('least', BENCH.leastHeight)
  const insideHeight = reckon(
    { key: 'inside.height', label: 'inside height', formula: 'the largest of {forCards} for the cards, {forNotes} for the notes and {bare}', source: '§9' },
    { forCards, forNotes, bare },
    (v) => Math.max(v.forCards, v.forNotes, v.bare),
  ) // prettier-ignore
  const outsideHeight = reckon(
    { key: 'outside.height', label: 'outside height', formula: '{insideHeight} + {lip} lip', source: '§2' },
    { insideHeight, lip: given('lip', p.lip) },
    (v) => v.insideHeight + v.lip,
  )
  return { insideHeight, outsideHeight }
}
