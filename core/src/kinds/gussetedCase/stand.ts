import {
  type Point3,
  type Stretch,
  courseOf,
  point,
  point3,
  point3Along,
  point3Cross,
  point3Dot,
  point3Scale,
  point3Subtract,
  point3Unit,
} from '../../geometry/index.js'
import type { InsideThing, Standing, Stood, StoodPart } from '../../master/index.js'
import type { CaseParams } from './params.js'
import type { CaseSizes } from './sizes.js'

/** The sine of half of what a full case opens is no more than this. */
const MOST_OPENS = 0.9
/** The least radius that a flap bends round, mm. */
const LEAST_BEND = 0.2
/** A flap stands off the edge it hangs from by this many of its thicknesses. */
const STANDS_OFF = 1.2

const UP = point3(0, 1, 0)
const ACROSS = point3(1, 0, 0)

/** How it stands with something in it: back and front make an angle at the foot; the folds of its gussets lie inside. Lengths mm, radians. */
interface Filled {
  readonly half: number
  readonly high: number
  readonly angle: number
  /** Thickness of the body leather. */
  readonly t: number
  /** How far up the middle of the angle the fold of a gusset reaches, and how far in. */
  readonly fold: { readonly up: number; readonly inside: number; readonly length: number }
}

function filledOf(p: CaseParams, s: CaseSizes, t: number): Filled {
  const high = s.height.value
  const angle = 2 * Math.asin(Math.min(MOST_OPENS, p.deep / 2 / high))
  const [side, length] = [s.gussetHalf.value, s.gussetHigh.value]
  const up = (high ** 2 + length ** 2 - side ** 2) / (2 * high * Math.cos(angle / 2))
  const inside = Math.sqrt(Math.max(0, length ** 2 - up ** 2))
  return { half: s.width.value / 2, high, angle, t, fold: { up, inside, length } }
}

/** Out of the front, and up along it. */
const frontOf = ({ angle }: Filled) => ({
  out: point3(0, -Math.sin(angle), Math.cos(angle)),
  up: point3(0, Math.cos(angle), Math.sin(angle)),
})

/** From the top of the back over what goes in and down with the flap, turning twice by so much, radians. */
export function overTop(
  p: CaseParams,
  s: CaseSizes,
  t: number,
  [first, then]: readonly [number, number],
): Stretch[] {
  const over = s.flapBend.value
  const bend = Math.max(LEAST_BEND, (over - p.deep - t) / 2)
  return [
    { length: bend, turn: first },
    { length: Math.max(0, over - 2 * bend) },
    { length: bend, turn: then },
    { length: p.flap },
  ]
}

/** Back and flap in one: up from the foot, over what goes in, and down over the front as far as it is shut. */
function backPart(p: CaseParams, s: CaseSizes, filled: Filled, shut: number): StoodPart {
  const { high, angle, t } = filled
  // The flap lies against the upper edge of the front, and hangs from there.
  const [reach, edge] = [p.deep + t, high * Math.sin(angle) + STANDS_OFF * t]
  const lean = Math.atan2(Math.max(0, reach - edge), high * (1 - Math.cos(angle)))
  return {
    clips: [],
    from: point(s.width.value / 2, s.bodyLength.value),
    along: point(0, -1),
    course: courseOf([
      { length: high },
      ...overTop(p, s, t, [(Math.PI / 2) * shut, (Math.PI / 2 + Math.min(angle, lean)) * shut]),
    ]),
    frame: { origin: point3(0, 0, 0), along: UP, rise: point3(0, 0, -1) },
  }
}

/** Half of a gusset: flat between its fold and the side of back or front that it is sewn to. */
function gussetPart(s: CaseSizes, filled: Filled, way: 1 | -1, at: 'back' | 'front'): StoodPart {
  const { fold, angle, high, half } = filled
  const foot = point3(way * half, 0, 0)
  const middle = point3(0, Math.cos(angle / 2), Math.sin(angle / 2))
  const top = point3Along(point3Along(foot, middle, fold.up), ACROSS, -way * fold.inside)
  const along = point3Unit(point3Subtract(top, foot))
  const corner = at === 'back' ? point3(way * half, high, 0) : point3Along(foot, frontOf(filled).up, high)
  const aside: Point3 = point3Subtract(corner, foot)
  const square = point3Unit(point3Along(aside, along, -point3Dot(aside, along)))
  // Of the left gusset the half at the back is its left one, of the right gusset its right one: their grain looks out.
  const left = (at === 'back') === way < 0
  const across = point3Scale(square, left ? -1 : 1)
  return {
    clips: [],
    from: point(s.gussetHalf.value, fold.length),
    along: point(0, -1),
    course: courseOf([{ length: fold.length }]),
    frame: { origin: foot, along, rise: point3Cross(across, along) },
  }
}

/** How high a level of a thing lies, and from where to where it reaches out there, mm. */
export type Level = readonly [up: number, from: number, to: number]

/** What goes into a case, from its foot to its top. */
export function caseThing({ wide }: CaseParams, foot: Level, top: Level): InsideThing {
  const corners = ([y, from, to]: Level): Point3[] =>
    (
      [
        [-1, from],
        [1, from],
        [1, to],
        [-1, to],
      ] as const
    ).map(([way, z]) => point3((way * wide) / 2, y, z))
  return { name: 'what goes in', foot: corners(foot), top: corners(top) }
}

/** What goes in stands against the back; at the foot it is pressed together as far as front and back leave it room. */
function pressed(p: CaseParams, s: CaseSizes, { angle }: Filled): InsideThing {
  const top = s.height.value - p.ease
  const to = (y: number): number => Math.min(p.deep, Math.max(0, y) * Math.tan(angle))
  const level = (y: number): Level => [y, 0, to(y)]
  return caseThing(p, level(top - p.high), level(top))
}

/** A case as it stands filled, shut (0) to open (1); `riding` lie on its back. */
export const caseStanding =
  (p: CaseParams, s: CaseSizes, t: number, riding: readonly string[]) =>
  (opened: number): Standing => {
    const filled = filledOf(p, s, t)
    const front = frontOf(filled)
    const gusset = (way: 1 | -1, at: 'back' | 'front'): Stood => {
      // The sheet that shows that half: sheets of the right gusset are laid out as mirror images.
      const half = way < 0 ? at : at === 'back' ? 'front' : 'back'
      return {
        sheet: `gusset-${way < 0 ? 'left' : 'right'}-${half}`,
        seamOffset: 0,
        parts: [gussetPart(s, filled, way, at)],
      }
    }
    return {
      stood: [
        { sheet: 'back', seamOffset: t / 2, parts: [backPart(p, s, filled, 1 - opened)] },
        {
          sheet: 'front',
          seamOffset: t / 2,
          parts: [
            {
              clips: [],
              from: point(s.width.value / 2, s.height.value),
              along: point(0, -1),
              course: courseOf([{ length: s.height.value }]),
              frame: { origin: point3(0, 0, 0), along: front.up, rise: front.out },
            },
          ],
        },
        ...([-1, 1] as const).flatMap((way) => [gusset(way, 'back'), gusset(way, 'front')]),
      ],
      riding: riding.map((sheet) => ({ sheet, on: 'back' })),
      inside: [pressed(p, s, filled)],
    }
  }
