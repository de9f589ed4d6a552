import { lastOf, nth } from '../lists/index.js'
import {
  type Move,
  type Path,
  type Point,
  type Segment,
  STAY,
  arc,
  closedPath,
  cubic,
  filletMaybe,
  flipAbout,
  line,
  pathArea,
  pathCrossesItself,
  pointDistance,
  pointsMeet,
  polygon,
  segmentMoved,
  segmentPart,
  segmentReversed,
} from '../geometry/index.js'
import type { DrawnPanel, Node } from './schema.js'

/** A segment of the finished outline and the edge it belongs to; `half` says which half of a mirrored drawing. */
export interface Owned {
  readonly segment: Segment
  readonly edge: string
  readonly half: 'drawn' | 'mirrored'
}

export interface Outline {
  readonly path: Path
  readonly owners: readonly Owned[]
  /** Corners that could not be rounded as asked: the point's index. */
  readonly unrounded: readonly number[]
  /** The points enclose nothing; what is given instead only stands for it. */
  readonly empty?: true
}

/** An arc from its chord and rise; the rise is to the left of one who walks along it where positive. */
export function arcOfRise(from: Point, to: Point, rise: number): Segment {
  const chord = pointDistance(from, to)
  if (chord < 1e-9 || Math.abs(rise) < 1e-6) return line(from, to)
  const h = Math.abs(rise)
  const radius = (chord * chord) / (8 * h) + h / 2
  // Left of the walk is (uy, −ux) where y grows downwards.
  const left = { x: (to.y - from.y) / chord, y: -(to.x - from.x) / chord }
  const inward = Math.sign(rise) * (h - radius)
  const centre = {
    x: (from.x + to.x) / 2 + left.x * inward,
    y: (from.y + to.y) / 2 + left.y * inward,
  }
  const half = Math.asin(Math.min(1, chord / (2 * radius)))
  const sweep = 2 * (h > radius ? Math.PI - half : half)
  return arc(from, to, centre, Math.sign(rise) * sweep)
}

/** The segment that leaves a node for the next. */
export function goingSegment(node: Node, next: Point): Segment {
  const from = { x: node.x, y: node.y }
  const to = { x: next.x, y: next.y }
  const { going } = node
  if (going.type === 'line') return line(from, to)
  if (going.type === 'arc') return arcOfRise(from, to, going.rise)
  return cubic(from, going.c1, going.c2, to)
}

/** The flip across a half drawing's axis. */
export const mirrorMove = (mirror: DrawnPanel['mirror']): Move =>
  !mirror ? STAY : mirror.way === 'upright' ? flipAbout(mirror.at) : { ...STAY, d: -1, f: 2 * mirror.at }

/** The segments as drawn, without roundings. A half drawing has one fewer than it has points. */
export function drawnSegments({ nodes, mirror }: Pick<DrawnPanel, 'nodes' | 'mirror'>): Segment[] {
  const count = mirror ? nodes.length - 1 : nodes.length
  return Array.from({ length: count }, (_, i) =>
    goingSegment(nth(nodes, i), nth(nodes, (i + 1) % nodes.length)),
  )
}

interface Stretch extends Owned {
  /** Radius at the point where it starts, and that point's index. */
  readonly radius: number
  readonly node: number
}

const rotated = <T>(list: readonly T[], start: number): T[] =>
  start <= 0 ? [...list] : [...list.slice(start), ...list.slice(0, start)]

/** All the way round: the half as drawn, and its mirror image walked back. */
function wholeRound(panel: DrawnPanel): Stretch[] {
  const { nodes, mirror } = panel
  const drawn = drawnSegments(panel).map((segment, i): Stretch => ({
    segment,
    edge: nth(nodes, i).edge,
    half: 'drawn',
    radius: nth(nodes, i).radius,
    node: i,
  }))
  // The walk begins where an edge begins, so that no edge is in two parts.
  if (!mirror)
    return rotated(
      drawn,
      drawn.findIndex((d, i) => d.edge !== nth(drawn, (i + drawn.length - 1) % drawn.length).edge),
    )
  const move = mirrorMove(mirror)
  const back = drawn
    .map(({ segment, edge }, i): Stretch => ({
      segment: segmentReversed(segmentMoved(segment, move)),
      edge,
      half: 'mirrored',
      radius: nth(nodes, i + 1).radius,
      node: i + 1,
    }))
    .reverse()
  // The walk begins with the mirrored half of the first edge, so that an edge across the axis is one stretch.
  return [lastOf(back), ...drawn, ...back.slice(0, -1)]
}

/** Lines that run on straight into one another are one. */
function joined(owners: readonly Owned[]): Owned[] {
  const out: Owned[] = []
  for (const one of owners) {
    const last = out[out.length - 1]
    const [a, b] = [last?.segment, one.segment]
    const straight =
      last &&
      a?.type === 'line' &&
      b.type === 'line' &&
      last.edge === one.edge &&
      last.half !== one.half &&
      Math.abs((a.to.x - a.from.x) * (b.to.y - b.from.y) - (a.to.y - a.from.y) * (b.to.x - b.from.x)) < 1e-9
    if (straight) out[out.length - 1] = { ...last, half: 'drawn', segment: line(a.from, b.to) }
    else out.push(one)
  }
  return out
}

/** A rounding smaller than this is a corner: no blade follows it, mm. */
const LEAST_RADIUS = 0.05

/** The middle of a rounding is where one edge ends and the next begins. */
const halves = (s: Segment): [Segment, Segment] => [segmentPart(s, 0, 0.5), segmentPart(s, 0.5, 1)]

/** The finished outline of a drawn panel: mirrored where it is a half, corners rounded, every stretch with its edge. */
export function outlineOf(panel: DrawnPanel): Outline {
  const round = wholeRound(panel)
  const segments: Segment[] = round.map((r) => r.segment)
  const extra: Owned[][] = round.map(() => [])
  const unrounded: number[] = []
  round.forEach((one, i) => {
    if (one.radius < LEAST_RADIUS) return
    const before = (i + round.length - 1) % round.length
    const fillet = filletMaybe(nth(segments, before), nth(segments, i), one.radius)
    if (!fillet) return void unrounded.push(one.node)
    segments[before] = fillet.before
    segments[i] = fillet.after
    const [a, b] = halves(fillet.arc)
    const owner = nth(round, before)
    extra[i] = [
      { segment: a, edge: owner.edge, half: owner.half },
      { segment: b, edge: one.edge, half: one.half },
    ]
  })
  const owners = joined(
    long(round.flatMap(({ edge, half }, i) => [...nth(extra, i), { segment: nth(segments, i), edge, half }])),
  )
  const whole = startedAtEdge(owners)
  const path = closedPath(whole.map((o) => o.segment))
  const flat = Math.abs(pathArea(path)) < LEAST_AREA && !pathCrossesItself(path)
  if (whole.length < 2 || flat) return nothing(panel)
  return { path, owners: whole, unrounded }
}

/** Less than this is no panel, mm². */
const LEAST_AREA = 1

/** Stretches without length are no stretches. */
const long = (owners: readonly Owned[]): readonly Owned[] =>
  owners.filter(
    ({ segment: s }) => !pointsMeet(s.from, s.to) || (s.type === 'cubic' && !pointsMeet(s.c1, s.from)),
  )

/** Where the points enclose nothing a small square stands for the panel, so that it can still be seen and mended. */
function nothing(panel: DrawnPanel): Outline {
  const [{ x, y, edge }] = panel.nodes as [Node]
  const { segments } = polygon([
    { x, y },
    { x: x + 10, y },
    { x: x + 10, y: y + 10 },
    { x, y: y + 10 },
  ])
  const owners = segments.map((segment): Owned => ({ segment, edge, half: 'drawn' }))
  return { path: closedPath(segments), owners, unrounded: [], empty: true }
}

/** A rounding before the start may belong to the last edge: the walk begins where an edge begins. */
function startedAtEdge(owners: readonly Owned[]): readonly Owned[] {
  const last = owners.at(-1)
  const start = owners.findIndex((o) => o.edge !== last?.edge || o.half !== last.half)
  return start > 0 ? rotated(owners, start) : owners
}
