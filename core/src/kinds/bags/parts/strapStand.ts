import {
  type Point3,
  type Stretch,
  courseOf,
  point,
  point3Along,
  point3Cross,
} from '../../../geometry/index.js'
import { type Frame, type Stood, type StoodPart, clipAt } from '../../../master/index.js'
import { leatherOf } from '../../kind.js'
import { arched, frameAlong } from '../bodies/arches.js'
import { minus } from '../axes.js'
import { type Bag } from '../bag.js'
import { padOf } from './pads.js'
import { BENCH, type Sizes } from './strapSizes.js'

/** From the buckle to the keeper that is sewn beside it, and from the other one to the tip of the long part, mm. */
const KEEPERS = { beside: 6, tip: 18 } as const

/** The arc a part of a strap lies on: where it begins, and how it turns towards the flesh on the way. Lengths mm. */
interface Arc {
  readonly part: StoodPart
  readonly length: number
  readonly turn: number
}

const DOWN = point(0, -1)
const UP = point(0, 1)

/**
 * Where a strap hangs from one place to another: both its parts lie on one arc, the long one from where it begins past
 * the buckle by the overlap, their ends turned back; keepers round both; pads in the middle of it, one on either side.
 */
export function hung(bag: Bag, s: Sizes, from: Point3, to: Point3, out: Point3): Stood[] {
  const { p, materials } = bag
  const whole = arched('strap-long', from, to, out, p.carried, p.strapWide)
  const over: Arc = { part: whole.parts[0], length: p.carried, turn: whole.turn }
  const leather = leatherOf(materials, 'straps')
  const under = lower(over, leather.thickness)
  const put = (sheet: string, seamOffset: number, parts: readonly StoodPart[]): Stood => ({
    sheet,
    seamOffset,
    group: 'straps',
    parts,
  })
  const pad = padOf(bag, s)
  const seamOffset = (leather.thickness + leatherOf(materials, 'inner').thickness) / 2 + BENCH.padFoam
  const pads = pad
    ? [1, -1].map((side) =>
        put(side > 0 ? 'pad' : 'pad-under', side * seamOffset, [
          { ...over.part, from: point(pad.wide / 2, s.back.value - pad.from) },
        ]),
      )
    : []
  return [
    put('strap-long', 0, longParts(bag, s, over)),
    put('strap-short', 0, shortParts(bag, s, under)),
    ...keepersAt(bag, s).map((at) => put('keeper', 0, [keeperPart(bag, s, frameAlong(over.part, at))])),
    ...pads,
  ]
}

/** The arc `by` mm inside another one, from the same place round the same middle. */
function lower({ part, length, turn }: Arc, by: number): Arc {
  const inside = length - by * turn
  const { frame } = part
  return {
    turn,
    length: inside,
    part: {
      ...part,
      course: courseOf([{ length: inside, turn }]),
      frame: { ...frame, origin: point3Along(frame.origin, frame.rise, -by) },
    },
  }
}

/** The end of a strap turned back under it: on round a bar, and along the flesh side of its arc. */
function turnedBack(
  { length, turn }: Arc,
  { from, along }: Pick<StoodPart, 'from' | 'along'>,
  { total, lap }: { readonly total: number; readonly lap: number },
  frame: Frame,
): StoodPart {
  const course: Stretch[] = [
    { length: total - lap, turn: Math.PI },
    { length: lap, turn: (-turn * lap) / length },
  ]
  return { clips: [clipAt(from, along)], from, along, course: courseOf(course), frame }
}

/** The same place, walked the other way. */
const turnedRound = ({ origin, along, rise }: Frame): Frame => ({ origin, along: minus(along), rise })

/** From its ring, where it is turned back, to its tip past the buckle. */
function longParts({ p }: Bag, s: Sizes, arc: Arc): StoodPart[] {
  const back = s.back.value
  const from = point(p.strapWide / 2, back)
  return [
    { ...arc.part, from, clips: [clipAt(from, UP)] },
    turnedBack(arc, { from, along: DOWN }, { total: back, lap: p.lap }, turnedRound(arc.part.frame)),
  ]
}

/** It comes from the other end, turned back there and round the buckle, and lies under the long part. */
function shortParts({ p }: Bag, s: Sizes, arc: Arc): StoodPart[] {
  const back = s.back.value
  const [ring, buckle] = [point(p.strapWide / 2, back), point(p.strapWide / 2, back + p.strapShort)]
  return [
    {
      ...arc.part,
      clips: [clipAt(ring, UP), clipAt(buckle, DOWN)],
      from: point(p.strapWide / 2, back + arc.length),
      along: DOWN,
    },
    turnedBack(
      arc,
      { from: ring, along: DOWN },
      { total: back, lap: p.lap },
      frameAlong(arc.part, arc.length),
    ),
    turnedBack(
      arc,
      { from: buckle, along: UP },
      { total: s.backBuckle.value, lap: p.lap },
      turnedRound(frameAlong(arc.part, arc.length - p.strapShort)),
    ),
  ]
}

/** How far along the strap its two keepers lie, mm: one beside the buckle, one near the tip of the long part. */
function keepersAt({ p }: Bag, s: Sizes): number[] {
  const first = s.usual.value + KEEPERS.beside + BENCH.keeper / 2
  const tip = s.usual.value + s.overlap.value - KEEPERS.tip
  return [first, Math.min(p.carried, Math.max(first + BENCH.keeper + KEEPERS.beside, tip))]
}

/** A keeper round both parts: from the middle of its under side round them, its ends lapped there. */
function keeperPart({ p, materials }: Bag, s: Sizes, { origin, along, rise }: Frame): StoodPart {
  const { thickness: t, neutral } = leatherOf(materials, 'straps')
  const [wide, high] = [p.strapWide + BENCH.keeperEase, 2 * t + BENCH.keeperEase]
  const bend = { length: (Math.PI / 2) * neutral * t, turn: Math.PI / 2 }
  const across = point3Cross(along, rise)
  // The long part lies on the short one: the middle of both is half a thickness lower.
  const under = point3Along(origin, rise, -(t + high) / 2 - neutral * t)
  const lap = BENCH.keeperLap
  return {
    clips: [],
    from: point(0, BENCH.keeper / 2),
    along: point(1, 0),
    course: courseOf([
      { length: wide / 2 + lap / 2 },
      bend,
      { length: high },
      bend,
      { length: wide },
      bend,
      { length: high },
      bend,
      { length: s.keeper.value },
    ]),
    frame: {
      origin: point3Along(under, across, -lap / 2),
      along: across,
      rise: minus(rise),
    },
  }
}
