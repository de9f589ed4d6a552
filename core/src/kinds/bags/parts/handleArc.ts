import { courseOf, point, point3Along, point3Cross } from '../../../geometry/index.js'
import { type StoodPart, type Wound } from '../../../master/index.js'
import { given, type Reckoned } from '../../../working/index.js'
import { arcSizes } from '../../parts/arc.js'
import { type Bag } from '../bag.js'
import { type Hand } from './handlePlaces.js'
import { arcOver } from '../bodies/arches.js'

/** The free part of a handle, its thickness counted, mm: an arc, or upright legs with half a circle over them. */
export function arcOf(bag: Bag, thickness: number, k: number): Reckoned {
  const { size, hold } = bag
  const { span, rise } = hold
  const legs = rise.value > span.value / 2
  return size(
    'handle.arc',
    'handle between its ends',
    legs
      ? '2 × ({rise} − {span} / 2) legs + π × ({span} / 2 + {k} × {t})'
      : '{angle} in radians × ({radius} + {k} × {t})',
    '§10',
    {
      span,
      rise,
      ...arcSizes(size, 'handle', span, rise),
      t: given('thickness', thickness, 'thickness'),
      k: given('neutral-axis factor', k, 'share'),
    },
  )
}

/** The leather of a handle over its span, mm. */
export interface OverSpan {
  readonly span: number
  readonly length: number
  readonly wide: number
  /** Length of each end that does not go over. */
  readonly end: number
  /** How a cover lies round its cord, between its flat ends. */
  readonly wound?: Omit<Wound, 'ends'>
}
/** Where the ends of a handle lie on the faces: from their top, and out from their middle, mm. */
export interface LyingEnds {
  readonly top: number
  readonly out: number
}

/** A handle over a span: its ends lie on the face, or go round a ring, the rest goes over in an arc as long as its leather. */
export function arcParts(
  hand: Hand,
  opened: number,
  over: OverSpan,
  lying: LyingEnds | 'rings',
): StoodPart[] {
  if (lying === 'rings') return [arcPart(hand, opened, over, STRAIGHT_ON)]
  // On a wall it leaves its ends below the edge, on a flap further apart.
  const arc = hand.flat
    ? arcPart(hand, opened, { ...over, span: over.span + 2 * lying.top }, STRAIGHT_ON)
    : arcPart(hand, opened, over, {
        below: lying.top,
        out: lying.out - hand.off,
        twisted: true,
      })
  return [arc, lyingEnd(hand, opened, over, lying, -1), lyingEnd(hand, opened, over, lying, 1)]
}

/** How its arc leaves the ends: how far below the edge, how far out, and turned from lying on the face. */
interface Leaves {
  readonly below: number
  readonly out: number
  readonly twisted: boolean
}
const STRAIGHT_ON: Leaves = { below: 0, out: 0, twisted: false }

/** It goes on flat until it is so far clear of the edge, mm, and is over after so many of its widths. */
const CLEAR_OF_EDGE = 4
const RAMP = 2.5

function arcPart(
  hand: Hand,
  opened: number,
  { span, length, end, wide, wound }: OverSpan,
  from: Leaves,
): StoodPart {
  const { origin: on, right, up, grain } = hand.frame(opened)
  const origin = point3Along(point3Along(on, up, -from.below), grain, from.out)
  const free = length - 2 * end
  const flat = from.below + CLEAR_OF_EDGE
  const ends = { length: free, flat, ramp: Math.max(1, Math.min(RAMP * wide, free / 2 - flat)) }
  // Leather longer than half a circle over the span stands up in two legs.
  const half = (Math.PI * span) / 2
  const leg = Math.max(0, (free - half) / 2)
  const turn = leg > 0 ? Math.PI : arcOver(free, span)
  const [c, s] = [Math.cos(turn / 2), Math.sin(turn / 2)]
  const along = point3Along({ x: right.x * c, y: right.y * c, z: right.z * c }, up, s)
  return {
    clips: [
      { at: point(end, 0), inward: point(1, 0) },
      { at: point(length - end, 0), inward: point(-1, 0) },
    ],
    from: point(end, wide / 2),
    along: point(1, 0),
    course: courseOf([{ length: leg }, { length: free - 2 * leg, turn }, { length: leg }]),
    frame: { origin: point3Along(origin, right, -span / 2), along, rise: point3Cross(grain, along) },
    ...(wound ? { wound: { ...wound, ends } } : {}),
    ...(from.twisted ? { twisted: ends } : {}),
  }
}

/** The end of a handle that lies on a face: the left one (−1) or the right one (1). */
function lyingEnd(
  hand: Hand,
  opened: number,
  { length, end, wide }: OverSpan,
  { top, out }: LyingEnds,
  way: 1 | -1,
): StoodPart {
  const { face, x } = hand.ends[way < 0 ? 0 : 1]
  const f = face.frame(opened)
  const off = out + (hand.flat ? 0 : face.seamOffset)
  const at = point3Along(point3Along(point3Along(f.origin, f.right, x), f.down, top + end), f.grain, off)
  return {
    clips: [{ at: point(way < 0 ? end : length - end, 0), inward: point(way, 0) }],
    from: point(way < 0 ? 0 : length, wide / 2),
    along: point(-way, 0),
    course: courseOf([{ length: end }]),
    frame: { origin: at, along: { x: -f.down.x, y: -f.down.y, z: -f.down.z }, rise: f.grain },
  }
}
