import { segmentCrossings } from './crossings.js'
import { segmentNearest } from './nearest.js'
import { offsetSegment } from './offsetSegment.js'
import { type Point, pointAdd, pointCross, pointDistance, pointScale } from './point.js'
import { type Arc, type Segment, arc, line, segmentPart, segmentTangent } from './segment.js'

/** A corner rounded: what is left of the two segments, and the arc between them. */
export interface Fillet {
  readonly before: Segment
  readonly arc: Arc
  readonly after: Segment
}

/** A straight segment run on beyond both its ends, so that a centre just outside its length is still found. */
const runOn = (s: Segment, by: number): Segment => {
  if (s.type !== 'line') return s
  const along = pointScale(segmentTangent(s, 0), by)
  return line(pointAdd(s.from, pointScale(along, -1)), pointAdd(s.to, along))
}

/**
 * The corner between two segments that meet, rounded by `radius` mm: the centre lies that far from both. Lines, arcs and
 * cubics. Undefined where there is no corner or either segment is too short for it.
 */
export function filletMaybe(before: Segment, after: Segment, radius: number): Fillet | undefined {
  const [along, onward] = [segmentTangent(before, 1), segmentTangent(after, 0)]
  const turning = pointCross(along, onward)
  if (Math.abs(turning) < 1e-6 || radius <= 0) return undefined
  const side = Math.sign(turning) * radius
  const corner = before.to
  let centre: Point | undefined
  for (const a of offsetSegment(before, side))
    for (const b of offsetSegment(after, side))
      for (const { at } of segmentCrossings(runOn(a, 1e-6), runOn(b, 1e-6)))
        if (!centre || pointDistance(at, corner) < pointDistance(centre, corner)) centre = at
  if (!centre) return undefined
  const [enter, leave] = [segmentNearest(before, centre), segmentNearest(after, centre)]
  if (enter.parameter < 1e-9 || leave.parameter > 1 - 1e-9) return undefined
  const [a, b] = [
    Math.atan2(enter.at.y - centre.y, enter.at.x - centre.x),
    Math.atan2(leave.at.y - centre.y, leave.at.x - centre.x),
  ]
  const around = 2 * Math.PI
  const sweep = side > 0 ? (((b - a) % around) + around) % around : -((((a - b) % around) + around) % around)
  return {
    before: segmentPart(before, 0, enter.parameter),
    arc: arc(enter.at, leave.at, centre, sweep),
    after: segmentPart(after, leave.parameter, 1),
  }
}
