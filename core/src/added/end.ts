import {
  type Path,
  type Point,
  type Segment,
  closedPath,
  pathCrossings,
  pathDistanceOf,
  pathLength,
  pathNearest,
  pathPart,
  pathStretch,
  pointDistance,
  polyline,
  segmentLength,
} from '../geometry/index.js'
import { firstOf, lastOf, nth } from '../lists/index.js'
import { type Edge, type Panel, edgeChain } from '../master/index.js'
import type { Spot } from './place.js'

/** A panel whose outline has a point where a line across it meets it. */
export interface Parted {
  readonly panel: Panel
  /** The outline on the side of the edge that was asked for, from one meeting to the other. */
  readonly end: Path
  /** Edges of that end, numbered by its own segments. */
  readonly edges: readonly Edge[]
  readonly parted: Readonly<Record<string, readonly string[]>>
}

/** Longer than any panel is wide, mm. */
const FAR = 6000
/** A meeting so near to the end of a segment is that end, mm. */
const NEAR = 1e-6

/** Segments of an outline from one distance on, in their order, each with where it begins. */
const starts = (outline: Path): number[] => {
  let at = 0
  return outline.segments.map((s) => {
    const from = at
    at += segmentLength(s)
    return from
  })
}

/** Where a line so far in from an edge meets the outline before and after that edge, as distances along it. */
function meetings(panel: Panel, spot: Spot, edge: string, reach: number): [number, number] | undefined {
  const { outline } = panel
  const length = pathLength(outline)
  const at: Point = { x: spot.at.x + spot.down.x * reach, y: spot.at.y + spot.down.y * reach }
  const side = (by: number): Point => ({ x: at.x + spot.right.x * by, y: at.y + spot.right.y * by })
  const found = pathCrossings(outline, polyline([side(-FAR), side(FAR)])).map((c) =>
    pathDistanceOf(outline, pathNearest(outline, c.at)),
  )
  const chain = edgeChain(panel, [edge])
  const middle = pathDistanceOf(outline, pathNearest(outline, middleOf(chain)))
  const ahead = (d: number): number => (d - middle + length) % length
  const after = found.toSorted((a, b) => ahead(a) - ahead(b))
  return after.length < 2 ? undefined : [lastOf(after), firstOf(after)]
}

const middleOf = (path: Path): Point => {
  const half = pathPart(path, 0, pathLength(path) / 2)
  return lastOf(half.segments).to
}

/** The panel with corners where its outline is at these distances; edges that were parted there have a new one each. */
function withCorners(panel: Panel, at: readonly number[]): Pick<Parted, 'panel' | 'parted'> {
  const from = starts(panel.outline)
  const segments: Segment[] = []
  const edges: Edge[] = []
  const parted: Record<string, string[]> = {}
  for (const edge of panel.edges) {
    const ids: string[] = []
    let first = segments.length
    const close = (): void => {
      const id = ids.length === 0 ? edge.id : `${edge.id}-${ids.length + 1}`
      ids.push(id)
      edges.push({ ...edge, id, first, last: segments.length - 1 })
      first = segments.length
    }
    for (let i = edge.first; i <= edge.last; i += 1) {
      const [start, length] = [nth(from, i), segmentLength(nth(panel.outline.segments, i))]
      const cuts = at
        .map((d) => d - start)
        .filter((d) => d > NEAR && d < length - NEAR)
        .toSorted((a, b) => a - b)
      let done = 0
      for (const cut of [...cuts, length]) {
        segments.push(
          ...pathPart({ segments: [nth(panel.outline.segments, i)], closed: false }, done, cut).segments,
        )
        if (cut < length) close()
        done = cut
      }
    }
    close()
    if (ids.length > 1) parted[edge.id] = ids
  }
  return { panel: { ...panel, outline: closedPath(segments), edges }, parted }
}

/** A panel parted by a line across, so far in from an edge; undefined where the line does not cross it. Lengths mm. */
export function partedAcross(panel: Panel, spot: Spot, edge: string, reach: number): Parted | undefined {
  const at = meetings(panel, spot, edge, reach)
  if (!at || coversAll(panel)) return undefined
  const cornered = withCorners(panel, at)
  const end = pathStretch(cornered.panel.outline, ...at)
  return { ...cornered, end, edges: edgesWithin(cornered.panel, end) }
}

/** Outlines whose segments are not all of an edge can't be renumbered. */
const coversAll = (panel: Panel): boolean =>
  panel.edges.reduce((sum, e) => sum + e.last - e.first + 1, 0) !== panel.outline.segments.length

/** The edges whose segments make up a stretch of the outline, in its order. */
function edgesWithin(panel: Panel, end: Path): Edge[] {
  const edges: Edge[] = []
  let at = 0
  while (at < end.segments.length) {
    const segment = nth(end.segments, at)
    const index = panel.outline.segments.findIndex(
      (s) => pointDistance(s.from, segment.from) < 1e-4 && pointDistance(s.to, segment.to) < 1e-4,
    )
    const edge = panel.edges.find((e) => e.first <= index && index <= e.last)
    if (!edge) return edges
    const count = edge.last - index + 1
    edges.push({ ...edge, first: at, last: Math.min(at + count, end.segments.length) - 1 })
    at += count
  }
  return edges
}
