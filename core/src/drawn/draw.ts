import { firstOf, nth, foundIn } from '../lists/index.js'
import {
  type Point,
  type Segment,
  arcRadius,
  pathNearest,
  openPath,
  pointAdd,
  pointDistance,
  pointScale,
  pointSubtract,
  segmentMoved,
  segmentPart,
  segmentReversed,
  segmentTangent,
} from '../geometry/index.js'
import { drawnSegments, mirrorMove } from './outline.js'
import type { DrawnPanel, Going, Node } from './schema.js'

/** A point put into a segment leaves this share of it at either side. */
const BESIDE_POINT = 0.02
/** A line that becomes an arc rises by this share of its chord. */
const FIRST_RISE = 1 / 6
/** Ids of edges are no longer than this; one that is numbered begins as a shorter one. */
const LONGEST_ID = { whole: 64, numbered: 50 } as const

/** Coordinates are kept to this many decimals, mm: finer than a blade, short enough to read. */
const PLACES = 1e4
export const tidy = (mm: number): number => Math.round(mm * PLACES) / PLACES + 0
export const tidyPoint = (p: Point): Point => ({ x: tidy(p.x), y: tidy(p.y) })

/** The rise of an arc over its chord, as `going` keeps it. */
function riseOf(s: Segment & { type: 'arc' }): number {
  const radius = arcRadius(s)
  const half = Math.abs(s.sweep) / 2
  return tidy(Math.sign(s.sweep) * radius * (1 - Math.cos(half)))
}

/** How a segment is kept in a drawing. */
export function goingOf(s: Segment): Going {
  if (s.type === 'line') return { type: 'line' }
  if (s.type === 'arc') return { type: 'arc', rise: riseOf(s) }
  return { type: 'curve', c1: tidyPoint(s.c1), c2: tidyPoint(s.c2) }
}

const withNodes = (panel: DrawnPanel, nodes: readonly Node[]): DrawnPanel => ({ ...panel, nodes: [...nodes] })

const shifted = (p: Point, d: Point): Point => tidyPoint(pointAdd(p, d))
const goingShifted = (going: Going, first: Point | undefined, second: Point | undefined): Going =>
  going.type === 'curve'
    ? {
        ...going,
        c1: first ? shifted(going.c1, first) : going.c1,
        c2: second ? shifted(going.c2, second) : going.c2,
      }
    : going

/** The ends of a half drawing stay on their axis. */
export function heldOnAxis(panel: DrawnPanel, index: number, to: Point): Point {
  const { mirror, nodes } = panel
  if (!mirror || (index !== 0 && index !== nodes.length - 1)) return to
  return mirror.way === 'upright' ? { x: mirror.at, y: to.y } : { x: to.x, y: mirror.at }
}

/** One point moved; the handles beside it go with it. */
export function movePoint(panel: DrawnPanel, index: number, to: Point): DrawnPanel {
  const held = tidyPoint(heldOnAxis(panel, index, to))
  const node = panel.nodes[index]
  if (!node) return panel
  const by = pointSubtract(held, node)
  const before = (index + panel.nodes.length - 1) % panel.nodes.length
  return withNodes(
    panel,
    panel.nodes.map((n, i) => {
      if (i === index) return { ...n, ...held, going: goingShifted(n.going, by, undefined) }
      return i === before ? { ...n, going: goingShifted(n.going, undefined, by) } : n
    }),
  )
}

/** A handle of the curve that leaves a point. */
export function moveHandle(panel: DrawnPanel, index: number, handle: 'c1' | 'c2', to: Point): DrawnPanel {
  return withNodes(
    panel,
    panel.nodes.map((n, i) =>
      i === index && n.going.type === 'curve' ? { ...n, going: { ...n.going, [handle]: tidyPoint(to) } } : n,
    ),
  )
}

/** A point put into the outline where it comes nearest to `at`; gives its index. The shape stays as it was. */
export function insertPoint(panel: DrawnPanel, at: Point): { panel: DrawnPanel; index: number } {
  const segments = drawnSegments(panel)
  const near = pathNearest(openPath(segments), at)
  const t = Math.min(1 - BESIDE_POINT, Math.max(BESIDE_POINT, near.parameter))
  const [head, tail] = [
    segmentPart(nth(segments, near.segment), 0, t),
    segmentPart(nth(segments, near.segment), t, 1),
  ]
  const node = nth(panel.nodes, near.segment)
  const fresh: Node = { ...tidyPoint(tail.from), radius: 0, going: goingOf(tail), edge: node.edge }
  return {
    index: near.segment + 1,
    panel: withNodes(panel, panel.nodes.toSpliced(near.segment, 1, { ...node, going: goingOf(head) }, fresh)),
  }
}

/** The fewest points an outline can have: three all round, two for a half (an arc or a curve between them). */
const fewest = (panel: DrawnPanel): number => (panel.mirror ? 2 : 3)

/** A point taken out; what left it before runs on to the next. The ends of a half drawing stay. */
export function removePoint(panel: DrawnPanel, index: number): DrawnPanel | undefined {
  const { nodes, mirror } = panel
  if (nodes.length <= fewest(panel) || (mirror && (index === 0 || index === nodes.length - 1)))
    return undefined
  const before = (index + nodes.length - 1) % nodes.length
  const gone = nth(nodes, index)
  const left = nodes.map((n, i): Node => {
    if (i !== before) return n
    if (n.going.type === 'curve' || gone.going.type === 'curve') {
      const c1 = n.going.type === 'curve' ? n.going.c1 : { x: n.x, y: n.y }
      const next = nth(nodes, (index + 1) % nodes.length)
      const c2 = gone.going.type === 'curve' ? gone.going.c2 : { x: next.x, y: next.y }
      return { ...n, going: { type: 'curve', c1, c2 } }
    }
    return { ...n, going: { type: 'line' } }
  })
  return withUsedEdges(withNodes(panel, left.toSpliced(index, 1)))
}

/** Edges without a point are forgotten, with what was said of them. */
function withUsedEdges(panel: DrawnPanel): DrawnPanel {
  const used = new Set(panel.nodes.map((n) => n.edge))
  const edges = panel.edges.filter((e) => used.has(e.id))
  return {
    ...panel,
    edges,
    skives: panel.skives.filter((s) => s.where.type !== 'edge' || used.has(s.where.edge)),
    marks: panel.marks.filter((m) => !('edge' in m.where) || used.has(m.where.edge)),
  }
}

/** How the outline goes on from a point: a straight line, an arc, or a curve that starts as what was there. */
export function setGoing(panel: DrawnPanel, index: number, type: Going['type']): DrawnPanel {
  const segments = drawnSegments(panel)
  const segment = segments[index]
  const node = panel.nodes[index]
  if (!segment || !node || node.going.type === type) return panel
  const chord = pointDistance(segment.from, segment.to)
  const going = (): Going => {
    if (type === 'line') return { type: 'line' }
    if (type === 'arc') return { type: 'arc', rise: tidy(chord * FIRST_RISE) }
    const third = chord / 3
    return {
      type: 'curve',
      c1: tidyPoint(pointAdd(segment.from, pointScale(segmentTangent(segment, 0), third))),
      c2: tidyPoint(pointAdd(segment.to, pointScale(segmentTangent(segment, 1), -third))),
    }
  }
  return withNodes(
    panel,
    panel.nodes.map((n, i) => (i === index ? { ...n, going: going() } : n)),
  )
}

export const setRise = (panel: DrawnPanel, index: number, rise: number): DrawnPanel =>
  withNodes(
    panel,
    panel.nodes.map((n, i) =>
      i === index && n.going.type === 'arc' ? { ...n, going: { ...n.going, rise: tidy(rise) } } : n,
    ),
  )

export const setRadius = (panel: DrawnPanel, index: number, radius: number): DrawnPanel =>
  withNodes(
    panel,
    panel.nodes.map((n, i) => (i === index ? { ...n, radius: tidy(radius) } : n)),
  )

/** The edge parted at a point: what leaves it is an edge of its own, with the same fate. */
export function partEdge(panel: DrawnPanel, index: number): DrawnPanel {
  const node = panel.nodes[index]
  const before = panel.nodes[(index + panel.nodes.length - 1) % panel.nodes.length]
  if (!node || before?.edge !== node.edge) return panel
  const old = foundIn(panel.edges, (e) => e.id === node.edge)
  const id = freeEdge(panel, `${old.id.replace(/-\d+$/, '').slice(0, LONGEST_ID.numbered)}`)
  let on = true
  const nodes = panel.nodes.map((n, i): Node => {
    if (i < index) return n
    if (n.edge !== old.id) on = false
    return on ? { ...n, edge: id } : n
  })
  const edges = panel.edges.flatMap((e) =>
    e === old ? [e, { ...e, id, name: `${old.name} ${id.match(/\d+$/)?.[0] ?? 2}` }] : [e],
  )
  return withUsedEdges({ ...panel, nodes, edges })
}

function freeEdge(panel: DrawnPanel, stem: string): string {
  let number = 2
  while (panel.edges.some((e) => e.id === `${stem}-${number}`)) number += 1
  return `${stem}-${number}`
}

/** What a maker reads while moving a point: lengths to the neighbours, and the angle between them in radians. */
export interface Readings {
  readonly before: number | undefined
  readonly after: number | undefined
  readonly angle: number | undefined
}

export function readingsAt(panel: DrawnPanel, index: number): Readings {
  const { nodes, mirror } = panel
  const here = nodes[index]
  if (!here) return { before: undefined, after: undefined, angle: undefined }
  const open = mirror !== null
  const before = open && index === 0 ? undefined : nodes[(index + nodes.length - 1) % nodes.length]
  const after = open && index === nodes.length - 1 ? undefined : nodes[(index + 1) % nodes.length]
  const [a, b] = [before && pointSubtract(before, here), after && pointSubtract(after, here)]
  const length = (v: Point): number => Math.hypot(v.x, v.y)
  const angle =
    a && b && length(a) > 0 && length(b) > 0
      ? Math.acos(Math.min(1, Math.max(-1, (a.x * b.x + a.y * b.y) / (length(a) * length(b)))))
      : undefined
  return { before: a && length(a), after: b && length(b), angle }
}

/** A half drawing drawn whole: the mirrored half becomes points and edges of its own, each edge in one run of the list. */
export function wholeDrawn(panel: DrawnPanel): DrawnPanel {
  if (!panel.mirror) return panel
  const { nodes, mirror } = panel
  const count = nodes.length - 1
  const move = mirrorMove(mirror)
  const across = new Set([firstOf(nodes).edge, nth(nodes, count - 1).edge])
  const otherId = (edge: string): string => (across.has(edge) ? edge : `${edge}-m`.slice(0, LONGEST_ID.whole))
  const back = drawnSegments(panel)
    .map((s, i): Node => {
      const way = segmentReversed(segmentMoved(s, move))
      return {
        ...tidyPoint(way.from),
        radius: nth(nodes, i + 1).radius,
        going: goingOf(way),
        edge: otherId(nth(nodes, i).edge),
      }
    })
    .reverse()
  const edges = panel.edges.flatMap((e) => {
    const used = back.some((n) => n.edge === otherId(e.id)) && !across.has(e.id)
    return used ? [e, { ...e, id: otherId(e.id), name: `${e.name}, other side`.slice(0, 60) }] : [e]
  })
  const list = [...nodes.slice(0, count), ...back]
  const first = list.findLastIndex((n) => n.edge !== firstOf(list).edge) + 1
  return { ...panel, mirror: null, nodes: [...list.slice(first), ...list.slice(0, first)], edges }
}
