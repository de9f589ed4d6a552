import { MOULDING_SQUARE } from '../../formulas/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type Basics, basicsOf, outcomeBy, sizeBy } from '../parts/basics.js'
import type { HolderParams } from './params.js'

/** Judgement values of the bench, mm. */
export const BENCH = {
  /** From the wall to the stitches' inner side. */
  flangeRoom: 2,
  loopWide: 28,
  loopLap: 18,
  loopEase: 4,
  slotWide: 3.5,
  /** Leather between a slot and the seam or the edge of a wing. */
  wingRim: 9,
  /** A plate is pressed down over block and leather with so much to spare. */
  plateEase: 0.3,
  plateRim: 35,
  roundCorner: 5,
} as const

/** A pocket is never drawn shallower than this, mm. */
export const LEAST_INSIDE = 10

/** Every finished size of the holder, each with its working. */
export interface HolderSizes extends Basics {
  readonly flange: Reckoned
  readonly pocketWide: Reckoned
  readonly pocketHigh: Reckoned
  readonly extra: Reckoned
  readonly blankWide: Reckoned
  readonly blankHigh: Reckoned
  readonly spacing: Reckoned
  readonly loop: Reckoned
  readonly wing: Reckoned
  readonly closed: Reckoned
}

// eslint-disable-next-line max-lines-per-function -- a list of sizes in the order they are reckoned in; each names those above it
export function holderSizes(p: HolderParams, materials: Materials, reckon: Reckon): HolderSizes {
  const size = sizeBy(reckon)
  const basics = basicsOf(p.margin, materials, reckon)
  const [front, back] = [leatherOf(materials, 'front'), leatherOf(materials, 'back')]
  const t = given('front leather', front.thickness, 'thickness')
  const wide = given('wide', p.wide)
  // A thing that stands out altogether is held by nothing; a stop says so.
  const inside = given('inside', Math.max(LEAST_INSIDE, p.high - p.shown))
  const flange = size(
    'flange',
    'flange beside the wall',
    '{margin} margin + {hole} half a hole + {room} clear of the wall',
    '§11',
    { margin: basics.margin, hole: basics.hole, room: given('room', BENCH.flangeRoom) },
  )
  const deep = given('deep', p.deep)
  const edge = given('edge', p.edge)
  const shrink = given('shrinks', 1 + p.shrink, 'share')
  // As one pouch either side goes over half the thing; else only the front rises.
  const pouch = p.formed === 'sewn'
  const pocketWide = size(
    'pocket.wide',
    'width over the flanges',
    pouch
      ? '({wide} + {deep} − (4 − π) × {edge} rounded) × {shrink} + 2 × {flange} flange'
      : '{wide} + 2 × ({t} wall + {flange} flange)',
    '§11',
    { wide, t, flange, deep, edge, shrink },
  )
  const pocketHigh = size(
    'pocket.high',
    'height from mouth to foot',
    pouch
      ? '({inside} of the thing inside + {deep} / 2 − (2 − π / 2) × {edge} rounded) × {shrink} + {flange} flange'
      : '{inside} of the thing inside + {t} wall + {flange} flange',
    '§11',
    { inside, t, flange, deep, edge, shrink },
  )
  const extra = size('extra', 'taken up by both walls', MOULDING_SQUARE, '§11', {
    deep,
    edge,
    foot: given('foot', front.thickness),
    k: given('neutral-axis factor', front.neutral, 'share'),
    thickness: t,
  })
  const rough = given('rough', p.rough)
  const blankWide = size(
    'blank.wide',
    'front before forming, width',
    '({wide} + {extra} walls + 2 × {flange} flange + 2 × {rough} to trim) × {shrink}',
    '§11',
    { wide, extra, flange, rough, shrink },
  )
  const blankHigh = size(
    'blank.high',
    'front before forming, height',
    '({inside} + {extra} / 2 wall at the foot + {flange} flange + 2 × {rough} to trim) × {shrink}',
    '§11',
    { inside, extra, flange, rough, shrink },
  )
  const spacing = size('slots', 'from slot to slot', '{belt} belt + {ease} ease', '§10', {
    belt: given('belt', p.belt),
    ease: given('ease', BENCH.loopEase),
  })
  const loop = size(
    'loop',
    'length of the loop',
    '{spacing} + 2 × {thick} belt + π × {k} × {t} + 2 × {lap} inside',
    '§10',
    {
      spacing,
      thick: given('belt', p.beltThick),
      k: given('neutral-axis factor', back.neutral, 'share'),
      t: given('back leather', back.thickness, 'thickness'),
      lap: given('lap', BENCH.loopLap),
    },
  )
  const wing = size(
    'wing',
    'width of a wing',
    p.hung === 'wings' ? '{slot} slot + 2 × {rim} of leather' : '0: no wings',
    '§10',
    { slot: given('slot', Math.max(BENCH.slotWide, p.beltThick + 1)), rim: given('rim', BENCH.wingRim) },
  )
  const closed = outcomeBy(reckon)(
    'closed',
    'thickness with the thing in it',
    '{deep} + {front} front + {back} back',
    '§11',
    { deep, front: t, back: given('back', back.thickness, 'thickness') },
  )
  return {
    ...basics,
    flange,
    pocketWide,
    pocketHigh,
    extra,
    blankWide,
    blankHigh,
    spacing,
    loop,
    wing,
    closed,
  }
}
