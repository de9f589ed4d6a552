import { segmentLength } from './length.js'
import { type Point, pointDot, pointsMeet } from './point.js'
import { type Segment, arc, line, segmentTangent } from './segment.js'

/** A side shorter than this can't be seen, cut or sewn, mm. */
const SHORTEST = 0.02

/**
 * What an offset leaves made fit to draw and cut: no runs that come back over themselves, straight runs in one line put
 * together, and what is too short to be seen taken
 * into its neighbours. `trace` says where each came from, and goes on doing so.
 */
export function tidied(
  segments: readonly Segment[],
  closed: boolean,
  trace?: Map<Segment, number>,
): readonly Segment[] {
  const straight = closed ? withoutWhiskers(segments, trace) : segments
  return withoutShort(inOneLine(straight, closed, trace), closed, trace)
}

function inOneLine(segments: readonly Segment[], closed: boolean, trace?: Map<Segment, number>): Segment[] {
  const goesOn = (a: Segment | undefined, b: Segment | undefined): boolean =>
    a?.type === 'line' &&
    b?.type === 'line' &&
    (trace === undefined || trace.get(a) === trace.get(b)) &&
    pointDot(segmentTangent(a, 0), segmentTangent(b, 0)) > 1 - 1e-12
  const merged = (a: Segment, b: Segment): Segment => {
    const one = line(a.from, b.to)
    if (trace?.has(a)) trace.set(one, trace.get(a)!)
    return one
  }
  const out: Segment[] = []
  for (const s of segments)
    if (goesOn(out[out.length - 1], s)) out.push(merged(out.pop()!, s))
    else out.push(s)
  while (closed && out.length > 3 && goesOn(out[out.length - 1], out[0]))
    out.unshift(merged(out.pop()!, out.shift()!))
  return out
}

function withoutShort(
  segments: readonly Segment[],
  closed: boolean,
  trace?: Map<Segment, number>,
): Segment[] {
  const out = [...segments]
  const set = (i: number, made: Segment): void => {
    const was = out[i]!
    if (trace?.has(was)) trace.set(made, trace.get(was)!)
    out[i] = made
  }
  for (let i = 0; i < out.length && out.length > 2; i += 1) {
    const s = out[i]!
    if (segmentLength(s) >= SHORTEST) continue
    const [before, after] = [
      i > 0 ? i - 1 : closed ? out.length - 1 : -1,
      i + 1 < out.length ? i + 1 : closed ? 0 : -1,
    ]
    if (before < 0 && after < 0) continue
    // A straight neighbour takes the gap: it turns by less than can be measured.
    if (after >= 0 && (out[after]!.type === 'line' || before < 0)) set(after, startedAt(out[after]!, s.from))
    else if (before >= 0 && (out[before]!.type === 'line' || after < 0))
      set(before, finishedAt(out[before]!, s.to))
    else set(after, startedAt(out[after]!, s.from))
    out.splice(i, 1)
    i -= 2
    if (i < -1) i = -1
  }
  return out
}

/** The segment begun elsewhere, a hair away; an arc keeps its sweep, a curve its handles. */
function startedAt(s: Segment, from: Point): Segment {
  if (s.type === 'arc') return bowed(from, s.to, s.sweep)
  return { ...s, from }
}
function finishedAt(s: Segment, to: Point): Segment {
  if (s.type === 'arc') return bowed(s.from, to, s.sweep)
  return { ...s, to }
}

/** The arc of a sweep between two places. */
function bowed(from: Point, to: Point, sweep: number): Segment {
  const half = 1 / (2 * Math.tan(sweep / 2))
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  return arc(from, to, { x: (from.x + to.x) / 2 - dy * half, y: (from.y + to.y) / 2 + dx * half }, sweep)
}

/** Straight runs that go out and come back over themselves are taken out: what differing distances leave at a corner. */
function withoutWhiskers(segments: readonly Segment[], trace?: Map<Segment, number>): readonly Segment[] {
  const comesBack = (a: Segment | undefined, b: Segment | undefined): boolean =>
    a?.type === 'line' &&
    b?.type === 'line' &&
    pointDot(segmentTangent(a, 0), segmentTangent(b, 0)) < -1 + 1e-9
  /** What is left of going out along `a` and back along `b`. */
  const left = (a: Segment, b: Segment): Segment[] => {
    if (pointsMeet(a.from, b.to)) return []
    const rest = line(a.from, b.to)
    trace?.set(rest, trace.get(a) ?? 0)
    return [rest]
  }
  const out: Segment[] = []
  for (const s of segments)
    if (comesBack(out[out.length - 1], s)) out.push(...left(out.pop()!, s))
    else out.push(s)
  while (out.length > 2 && comesBack(out[out.length - 1], out[0])) {
    const [last, first] = [out.pop()!, out.shift()!]
    out.unshift(...left(last, first))
  }
  return out
}
