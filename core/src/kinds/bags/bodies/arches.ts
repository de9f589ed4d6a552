import {
  courseAt,
  courseOf,
  coursed,
  point,
  point3Along,
  point3Cross,
  point3Distance,
  point3Subtract,
  point3Unit,
  type Point3,
} from '../../../geometry/index.js'
import { type Frame, type Stood, type StoodPart } from '../../../master/index.js'

/** Arcs are looked for between these, radians: less is a straight line, more a whole circle. */
const ARC = { straight: 0.03, least: 0.01, most: 2 * Math.PI - 0.01 } as const
/** An arc no longer than its chord by more than this share is straight. */
const AS_CHORD = 1.0001

/** Where a strap stands: from one place to another over an arc that its length makes, turning so far in all, radians. */
export function arched(
  sheet: string,
  from: Point3,
  to: Point3,
  out: Point3,
  length: number,
  wide: number,
): Stood & { readonly parts: readonly [StoodPart]; readonly turn: number } {
  const chord = point3Distance(from, to)
  const way = point3Unit(point3Subtract(to, from))
  const turn = arcOver(length, chord)
  const [c, s] = [Math.cos(turn / 2), Math.sin(turn / 2)]
  const along = { x: way.x * c + out.x * s, y: way.y * c + out.y * s, z: way.z * c + out.z * s }
  const across = point3Cross(way, out)
  return {
    sheet,
    seamOffset: 0,
    group: 'straps',
    turn,
    parts: [
      {
        clips: [],
        from: point(wide / 2, 0),
        along: point(0, 1),
        course: courseOf([{ length, turn }]),
        frame: { origin: from, along, rise: point3Cross(across, along) },
      },
    ],
  }
}

/** A part goes on from here: the frame `s` mm along its course. */
export function frameAlong({ course, frame: { origin, along, rise } }: StoodPart, s: number): Frame {
  const { at, way } = courseAt(coursed(course), s)
  const mix = (a: number, r: number): Point3 => ({
    x: along.x * a + rise.x * r,
    y: along.y * a + rise.y * r,
    z: along.z * a + rise.z * r,
  })
  return {
    origin: point3Along(point3Along(origin, along, at.x), rise, at.y),
    along: mix(way.x, way.y),
    rise: mix(-way.y, way.x),
  }
}

/** The angle whose arc of a length spans a chord. */
export function arcOver(length: number, chord: number): number {
  if (length <= chord * AS_CHORD) return ARC.straight
  let [low, high]: [number, number] = [ARC.least, ARC.most]
  for (let i = 0; i < 60; i += 1) {
    const mid = (low + high) / 2
    if ((2 * Math.sin(mid / 2)) / mid > chord / length) low = mid
    else high = mid
  }
  return (low + high) / 2
}
