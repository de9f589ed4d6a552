import { point, point3, shift } from '../../../geometry/index.js'
import { type Face } from '../assembly.js'
import { STRAIGHT, X, Y, Z, flatPart, minus } from '../axes.js'
import { type Bag } from '../bag.js'
import { type Flap, flapPart } from '../parts/flap.js'
import { type Profile } from './profile.js'
import { type Strip } from './strip.js'

/** One piece for front, foot and back with sides set in, mm. */
export interface SetIn {
  readonly bag: Bag
  /** The side as sewn. */
  readonly profile: Profile
  /** The way of the piece round it. */
  readonly strip: Strip
  /** Between the stitch lines, and from edge to edge. */
  readonly wide: number
  readonly w: number
  /** From stitch line to edge. */
  readonly m: number
  /** How far the piece runs outside the stitch line of the sides. */
  readonly out: number
  readonly flap: Flap | undefined
}

/** How its pieces stand when it is open by a share. */
export const setInStood = ({ bag, profile, strip, wide, w, m, out, flap }: SetIn, opened: number) => [
  {
    sheet: 'body',
    // Its course already runs so far outside the stitch lines.
    seamOffset: bag.seamOffset.flat - out,
    parts: [
      {
        clips: flap ? [{ at: point(0, 0), inward: point(0, 1) }] : [],
        from: point(w / 2, strip.length.value),
        along: point(0, -1),
        course: strip.course,
        frame: { origin: point3(0, profile.rise, profile.span / 2 + out), along: minus(Y), rise: Z },
      },
      ...(flap
        ? [flapPart(flap, 1 - opened, point3(w / 2, profile.rise, -profile.span / 2), Y, minus(Z))]
        : []),
    ],
  },
  ...([1, -1] as const).map((way) => ({
    sheet: way > 0 ? 'side-right' : 'side-left',
    seamOffset: bag.seamOffset.walls,
    parts: [
      {
        ...flatPart(
          point3((way * wide) / 2, profile.rise, way * (profile.span / 2 + m)),
          way > 0 ? minus(Z) : Z,
          way > 0 ? X : minus(X),
        ),
        course: STRAIGHT,
      },
    ],
  })),
]

/** The front (1) or the back (−1). */
export const leafFace = ({ bag, profile, strip, wide, w }: SetIn, way: 1 | -1): Face => ({
  sheet: 'body',
  // Drawn back uppermost, the front hangs upside down.
  move: way > 0 ? { a: -1, b: 0, c: 0, d: -1, e: w / 2, f: strip.length.value } : shift(w / 2, 0),
  wide,
  high: profile.rise,
  edges: () => [-w / 2, w / 2],
  seamOffset: bag.seamOffset.flat,
  frame: () => ({
    origin: point3(0, profile.rise, (way * profile.span) / 2),
    right: way > 0 ? X : minus(X),
    down: minus(Y),
    grain: way > 0 ? Z : minus(Z),
  }),
})

/** The right side (1) or the left one (−1). */
export const sideFace = ({ bag, profile, wide, m }: SetIn, way: 1 | -1): Face => ({
  sheet: way > 0 ? 'side-right' : 'side-left',
  move: shift(profile.span / 2 + m, 0),
  wide: profile.span,
  high: profile.rise,
  edges: () => [-profile.span / 2 - m, profile.span / 2 + m],
  seamOffset: bag.seamOffset.walls,
  frame: () => ({
    origin: point3((way * wide) / 2, profile.rise, 0),
    right: way > 0 ? minus(Z) : Z,
    down: minus(Y),
    grain: way > 0 ? X : minus(X),
  }),
})
