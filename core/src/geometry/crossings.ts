import { type Box, boxesTouch, pathBox, segmentBox } from './box.js'
import { segmentStops } from './flatten.js'
import type { Path } from './path.js'
import { segmentsNear } from './strips.js'
import { type Point, pointCross, pointDistance, pointSubtract } from './point.js'
import {
  type Arc,
  type Line,
  type Segment,
  arcRadius,
  arcStart,
  line,
  segmentDerivative,
  segmentPoint,
} from './segment.js'

/** Where two segments cross: the parameter on each. Stretches that lie on each other give no crossing. */
export interface Crossing {
  readonly on: number
  readonly other: number
  readonly at: Point
}

const SLACK = 1e-9
const within = (t: number): boolean => t >= -SLACK && t <= 1 + SLACK
const clamp = (t: number): number => Math.min(1, Math.max(0, t))

function lineLine(a: Line, b: Line): [number, number][] {
  const [u, v, w] = [pointSubtract(a.to, a.from), pointSubtract(b.to, b.from), pointSubtract(b.from, a.from)]
  const det = pointCross(u, v)
  if (Math.abs(det) < 1e-12 * (1 + Math.abs(u.x * v.x + u.y * v.y))) return []
  return [[pointCross(w, v) / det, pointCross(w, u) / det]]
}

const arcParameter = (a: Arc, p: Point): number => {
  const around = 2 * Math.PI
  const raw = (Math.atan2(p.y - a.centre.y, p.x - a.centre.x) - arcStart(a)) * Math.sign(a.sweep)
  const ahead = ((raw % around) + around) % around
  const t = ahead / Math.abs(a.sweep)
  return t > 1 && (around - ahead) / Math.abs(a.sweep) < SLACK ? 0 : t
}

function lineArc(a: Line, b: Arc): [number, number][] {
  const u = pointSubtract(a.to, a.from)
  const w = pointSubtract(a.from, b.centre)
  const [aa, bb, cc] = [
    u.x * u.x + u.y * u.y,
    2 * (u.x * w.x + u.y * w.y),
    w.x * w.x + w.y * w.y - arcRadius(b) ** 2,
  ]
  const root = bb * bb - 4 * aa * cc
  if (aa === 0 || root < 0) return []
  const half = Math.sqrt(root)
  return [(-bb - half) / (2 * aa), (-bb + half) / (2 * aa)].map((t) => [
    t,
    arcParameter(b, { x: a.from.x + u.x * t, y: a.from.y + u.y * t }),
  ])
}

function arcArc(a: Arc, b: Arc): [number, number][] {
  const [ra, rb, apart] = [arcRadius(a), arcRadius(b), pointDistance(a.centre, b.centre)]
  if (apart < 1e-12 || apart > ra + rb || apart < Math.abs(ra - rb)) return []
  const along = (apart * apart + ra * ra - rb * rb) / (2 * apart)
  const side = Math.sqrt(Math.max(0, ra * ra - along * along))
  const [dx, dy] = [(b.centre.x - a.centre.x) / apart, (b.centre.y - a.centre.y) / apart]
  return [side, -side].map((h) => {
    const p = { x: a.centre.x + along * dx - h * dy, y: a.centre.y + along * dy + h * dx }
    return [arcParameter(a, p), arcParameter(b, p)]
  })
}

/** Chords near enough that Newton's method from their crossing finds the true one, mm. */
const CHORD_TOLERANCE = 0.02

function refined(a: Segment, b: Segment, t0: number, u0: number): [number, number] {
  let [t, u] = [t0, u0]
  for (let step = 0; step < 12; step += 1) {
    const miss = pointSubtract(segmentPoint(b, clamp(u)), segmentPoint(a, clamp(t)))
    const [da, db] = [segmentDerivative(a, clamp(t)), segmentDerivative(b, clamp(u))]
    const det = pointCross(da, db)
    if (Math.abs(det) < 1e-14) break
    t += pointCross(miss, db) / det
    u += pointCross(miss, da) / det
  }
  return [t, u]
}

interface Chords {
  readonly stops: readonly number[]
  readonly lines: readonly Line[]
  readonly boxes: readonly Box[]
}
const knownChords = new WeakMap<Segment, Chords>()

/** The chords of a segment, kept with it: every crossing asks for them. */
function chordsOf(s: Segment): Chords {
  const before = knownChords.get(s)
  if (before) return before
  const stops = segmentStops(s, CHORD_TOLERANCE)
  const points = stops.map((t) => segmentPoint(s, t))
  const lines = points.slice(1).map((p, i) => line(points[i]!, p))
  const chords = { stops, lines, boxes: lines.map(segmentBox) }
  knownChords.set(s, chords)
  return chords
}

/** Crossings where a cubic takes part: the chords of both against each other, then refined on the true curves. */
function byChords(a: Segment, b: Segment): [number, number][] {
  const [ofA, ofB] = [chordsOf(a), chordsOf(b)]
  const [boxA, boxB] = [segmentBox(a), segmentBox(b)]
  const found: [number, number][] = []
  const reachB = ofB.lines.map((_, j) => j).filter((j) => boxesTouch(ofB.boxes[j]!, boxA, CHORD_TOLERANCE))
  ofA.lines.forEach((ca, i) => {
    if (!boxesTouch(ofA.boxes[i]!, boxB, CHORD_TOLERANCE)) return
    for (const j of reachB) {
      if (!boxesTouch(ofA.boxes[i]!, ofB.boxes[j]!, CHORD_TOLERANCE)) continue
      for (const [t, u] of lineLine(ca, ofB.lines[j]!)) {
        if (t <= -0.05 || t >= 1.05 || u <= -0.05 || u >= 1.05) continue
        const at = (stops: readonly number[], k: number, share: number): number =>
          stops[k]! + share * (stops[k + 1]! - stops[k]!)
        found.push(refined(a, b, at(ofA.stops, i, t), at(ofB.stops, j, u)))
      }
    }
  })
  return found
}

function candidates(a: Segment, b: Segment): [number, number][] {
  if (a.type === 'line' && b.type === 'line') return lineLine(a, b)
  if (a.type === 'line' && b.type === 'arc') return lineArc(a, b)
  if (a.type === 'arc' && b.type === 'line') return lineArc(b, a).map(([t, u]) => [u, t])
  if (a.type === 'arc' && b.type === 'arc') return arcArc(a, b)
  return byChords(a, b)
}

/** Where two segments cross or touch, each place once. */
export function segmentCrossings(a: Segment, b: Segment): readonly Crossing[] {
  if (!boxesTouch(segmentBox(a), segmentBox(b), 1e-6)) return []
  const found: Crossing[] = []
  for (const [t, u] of candidates(a, b)) {
    if (!within(t) || !within(u)) continue
    const [on, other] = [clamp(t), clamp(u)]
    const at = segmentPoint(a, on)
    if (pointDistance(at, segmentPoint(b, other)) > 1e-5) continue
    if (!found.some((one) => pointDistance(one.at, at) < 1e-7)) found.push({ on, other, at })
  }
  return found
}

/** Where `path` crosses `other`: index of the segment and parameter on `path`, in order along it. */
export function pathCrossings(
  path: Path,
  other: Path,
): readonly { segment: number; parameter: number; at: Point }[] {
  const all: { segment: number; parameter: number; at: Point }[] = []
  if (!boxesTouch(pathBox(path), pathBox(other), 1e-6)) return all
  path.segments.forEach((a, segment) => {
    for (const j of segmentsNear(other, segmentBox(a), 1e-6))
      for (const { on, at } of segmentCrossings(a, other.segments[j]!))
        all.push({ segment, parameter: on, at })
  })
  all.sort((a, b) => a.segment - b.segment || a.parameter - b.parameter)
  return all.filter((one, i) => i === 0 || pointDistance(one.at, all[i - 1]!.at) > 1e-7)
}

/** Whether an outline crosses itself; neighbours that merely meet do not count. */
export function pathCrossesItself(path: Path): Point | undefined {
  const { segments } = path
  for (let i = 0; i < segments.length; i += 1)
    for (const j of segmentsNear(path, segmentBox(segments[i]!), 1e-6)) {
      if (j <= i) continue
      const crossing = segmentCrossings(segments[i]!, segments[j]!).find(({ at }) => {
        const ends = [segments[i]!.from, segments[i]!.to]
        return !ends.some((end) => pointDistance(end, at) < 1e-6)
      })
      if (crossing) return crossing.at
    }
  return undefined
}
