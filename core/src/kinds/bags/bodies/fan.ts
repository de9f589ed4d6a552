import { STAY, point, point3, shift } from '../../../geometry/index.js'
import { type Concern, type Panel } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { outlineOf, plainPanel, LABEL_DOWN } from '../../parts/shape.js'
import { panelSheet } from '../../parts/sheets.js'
import { X, minus } from '../axes.js'
import { type Bag, outsideSizes } from '../bag.js'
import { fanSeams } from './fanSeams.js'
import { fanOf, sidePanel, type Fan } from './fanSide.js'
import { standing } from './fanStand.js'
import { flapCorners, flapFolded, flapOf, isFlapEdge, type Flap } from '../parts/flap.js'
import { alone, part, type Body, type Face } from '../assembly.js'
import { profileShape, type Profile } from './profile.js'

/** What would hang at a side that folds goes on the back, this far in from its corner, mm. */
const CORNER_IN = 20

/** What stays open in a fold of a side that lies flat, mm (J); docs/formulas.md §8 [8.09]. */
const FOLD_GAP = 0.5

/** Front and back meet along the foot; sides in pleats between them. */
export function fanBody(bag: Bag): Body {
  const { s, p, gusset, margin } = bag
  const m = margin.value
  const fan = fanOf(bag)
  const profile: Profile = { span: s.wide.value, rise: s.high.value, radius: 0 }
  const apart = s.deep.value + bag.body.thickness
  const wide = profile.span + 2 * m
  const flap = p.flap === 'one' ? flapOf(bag, apart, wide, fan.lean) : undefined
  const front = facePanel(bag, profile, 'front', undefined)
  const back = facePanel(bag, profile, 'back', flap)
  const side = sidePanel(bag, fan)
  const closedSize = bag.outcome(
    'fan.closed',
    'a side folded flat',
    '2 × {pleats} × {t} + {folds} folds × {gap}',
    '§20',
    {
      pleats: given('pleats', fan.pleats, 'count'),
      t: given('leather', gusset.thickness, 'thickness'),
      folds: given('folds', 2 * fan.pleats - 1, 'count'),
      gap: given('gap in a fold', FOLD_GAP),
    },
  )
  const made = part({
    panels: [front, back, side],
    piles: [
      alone(front),
      alone(back),
      ...(['right', 'left'] as const).map((way) => ({
        base: `side-${way}`,
        sheets: [panelSheet(`side-${way}`, `${way} side`, 'side', STAY, true)],
      })),
    ],
    joins: fanSeams(bag, profile, fan),
    sizes: [
      ...[s.wide, s.high, s.deep].map((size) => ({ panelId: 'front', size })),
      ...outsideSizes(s, 'front'),
      ...[fan.leaf, closedSize].map((size) => ({ panelId: 'side', size })),
      ...(flap ? [{ panelId: 'back', size: flap.over }] : []),
    ],
    concerns: fanConcerns(bag, fan),
    stood: (opened) => standing(bag, profile, fan, flap, opened),
  })
  const face = (way: 1 | -1, aside = 0): Face => ({
    sheet: way > 0 ? 'front' : 'back',
    move: shift(wide / 2 + aside, 0),
    wide: profile.span,
    high: profile.rise,
    ...(aside === 0 ? { edges: () => [-wide / 2, wide / 2] as const } : {}),
    seamOffset: bag.seamOffset.flat,
    frame: (opened) => {
      const [c, sn] = [Math.cos(fan.lean * opened), Math.sin(fan.lean * opened)]
      return {
        origin: point3(way * aside, profile.rise * c, way * profile.rise * sn),
        right: way > 0 ? X : minus(X),
        down: point3(0, -c, -way * sn),
        grain: point3(0, -sn, way * c),
      }
    },
  })
  // A side that folds carries nothing: what would go there goes on the corners of the back.
  const corner = profile.span / 2 - CORNER_IN
  return {
    ...made,
    front: face(1),
    back: face(-1),
    right: face(-1, -corner),
    left: face(-1, corner),
    flap,
    apart,
    lean: fan.lean,
    foot: undefined,
  }
}

function fanConcerns({ s, p }: Bag, fan: Fan): Concern[] {
  const reach = fan.leaf.value
  if (fan.cramped)
    return [
      {
        id: 'fan-cramped',
        rank: 'stop',
        panelId: 'side',
        at: point(10, 10),
        what: 'The side is too low for leaves as wide as that',
        why: 'They meet at the foot, where there is no room for them. A shallower bag, a higher one, or pleats that open wider.',
        remedy: {
          field: 'deep',
          value: Math.max(4, Math.floor(s.high.value * 0.5)),
          said: 'a shallower bag',
        },
      },
    ]
  return reach * 2 > s.wide.value
    ? [
        {
          id: 'pleats-meet',
          rank: 'stop',
          panelId: 'side',
          at: point(10, 10),
          what: 'Folded flat, the pleats of the two sides meet in the middle',
          why: 'They need half of the width each. More pleats, a shallower bag, or pleats that open wider.',
          remedy: { field: 'pleats', value: Math.min(6, p.pleats + 1), said: 'one pleat more' },
        },
      ]
    : []
}

function facePanel(bag: Bag, profile: Profile, id: 'front' | 'back', flap: Flap | undefined): Panel {
  const m = bag.margin.value
  const [w, h] = [profile.span + 2 * m, profile.rise + m]
  const fate = (edge: string) => (edge === 'top' ? bag.topFate : isFlapEdge(edge) ? bag.plain : bag.seamed)
  const shape = flap
    ? outlineOf([...flapCorners(flap, w), { x: w, y: h, edge: 'foot' }, { x: 0, y: h, edge: 'left' }], fate)
    : profileShape(profile, m, fate)
  return plainPanel({
    id,
    name: id === 'front' ? 'Front' : 'Back',
    role: 'body',
    ...shape,
    ...flapFolded(flap, w, bag.body.thickness),
    labelAt: point(w / 2, h * LABEL_DOWN),
  })
}
