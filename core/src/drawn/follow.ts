import { firstOf, lastOf, nth } from '../lists/index.js'
import { type Point, pointDistance } from '../geometry/index.js'
import { heldOnAxis, tidyPoint } from './draw.js'
import { TIE_TOLERANCE, drawnEdgeLength } from './ties.js'
import type { DrawnPanel, Node, Tie } from './schema.js'

/** How often an edge is scaled towards its length, and how near it comes at least, as a share of what ties allow. */
const SCALED = { rounds: 24, near: 1 / 20 } as const
/** Ends nearer than this are one, mm: such an edge has no direction. */
const ONE_PLACE = 1e-6

/** First and last segment of an edge among a panel's points; undefined where it is gone. */
function rangeOf(panel: DrawnPanel, edge: string): { first: number; last: number } | undefined {
  const count = panel.mirror ? panel.nodes.length - 1 : panel.nodes.length
  const own = panel.nodes.slice(0, count).flatMap((n, i) => (n.edge === edge ? [i] : []))
  return own.length > 0 ? { first: firstOf(own), last: lastOf(own) } : undefined
}

/** Points `first` to `last + 1` enlarged about one of their ends. */
function scaled(panel: DrawnPanel, first: number, last: number, factor: number): DrawnPanel {
  const end = (last + 1) % panel.nodes.length
  const held = panel.mirror !== null && (last + 1 === panel.nodes.length - 1 || end === 0)
  const about = nth(panel.nodes, held ? end : first)
  const move = (p: Point): Point =>
    tidyPoint({ x: about.x + (p.x - about.x) * factor, y: about.y + (p.y - about.y) * factor })
  const nodes = panel.nodes.map((n, i): Node => {
    const inside = i >= first && i <= last
    const going =
      inside && n.going.type === 'curve'
        ? { ...n.going, c1: move(n.going.c1), c2: move(n.going.c2) }
        : inside && n.going.type === 'arc'
          ? { ...n.going, rise: n.going.rise * factor }
          : n.going
    const moves = inside || i === end
    return { ...n, ...(moves ? heldOnAxis(panel, i, move(n)) : {}), going }
  })
  return { ...panel, nodes }
}

/** The edge brought to a length by enlarging it about its start (or its end, where that end lies on the axis). */
export function edgeBroughtTo(panel: DrawnPanel, edge: string, length: number): DrawnPanel {
  const range = rangeOf(panel, edge)
  if (!range) return panel
  let [now, tried] = [panel, 1]
  for (let round = 0; round < SCALED.rounds; round += 1) {
    const has = drawnEdgeLength([now], { panel: panel.id, edge })
    if (has === undefined || has <= 0 || Math.abs(has - length) < TIE_TOLERANCE * SCALED.near) break
    tried *= 1 + (length - has) / Math.max(has, length)
    now = scaled(panel, range.first, range.last, tried)
  }
  return now
}

/** The second edge drawn as the first: the same points and curves, turned to lie where the second runs. */
export function edgeDrawnAs(
  panel: DrawnPanel,
  edge: string,
  model: DrawnPanel,
  modelEdge: string,
): DrawnPanel {
  const [own, other] = [rangeOf(panel, edge), rangeOf(model, modelEdge)]
  if (!own || !other) return panel
  const [a, b] = [nth(model.nodes, other.first), nth(model.nodes, (other.last + 1) % model.nodes.length)]
  const [p, q] = [nth(panel.nodes, own.first), nth(panel.nodes, (own.last + 1) % panel.nodes.length)]
  if (pointDistance(a, b) < ONE_PLACE || pointDistance(p, q) < ONE_PLACE) return panel
  const turn = Math.atan2(q.y - p.y, q.x - p.x) - Math.atan2(b.y - a.y, b.x - a.x)
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  const place = (m: Point): Point =>
    tidyPoint({
      x: p.x + (m.x - a.x) * cos - (m.y - a.y) * sin,
      y: p.y + (m.x - a.x) * sin + (m.y - a.y) * cos,
    })
  const drawn = model.nodes.slice(other.first, other.last + 1).map((n, i): Node => ({
    ...n,
    ...place(n),
    radius: i === 0 ? p.radius : n.radius,
    edge,
    going: n.going.type === 'curve' ? { ...n.going, c1: place(n.going.c1), c2: place(n.going.c2) } : n.going,
  }))
  const end = (own.last + 1) % panel.nodes.length
  const moved = panel.nodes.map((n, i) => (i === end ? { ...n, ...heldOnAxis(panel, end, place(b)) } : n))
  return { ...panel, nodes: [...moved.slice(0, own.first), ...drawn, ...moved.slice(own.last + 1)] }
}

/**
 * The panels after one of them was changed, with edges tied to it following. Each tie is followed once, so that two edges
 * tied to each other come to rest; what can't follow is left, and found.
 */
export function tiesFollowed(
  panels: readonly DrawnPanel[],
  ties: readonly Tie[],
  changed: string,
): readonly DrawnPanel[] {
  let now = panels
  const waiting = [changed]
  const done = new Set<string>()
  for (let id = waiting.shift(); id !== undefined; id = waiting.shift())
    for (const tie of ties.filter((t) => t.when === 'move' && t.first.panel === id && !done.has(t.id))) {
      done.add(tie.id)
      const length = drawnEdgeLength(now, tie.first)
      const model = now.find((p) => p.id === tie.first.panel)
      if (length === undefined || !model) continue
      const follow = (p: DrawnPanel): DrawnPanel =>
        tie.type === 'same'
          ? edgeDrawnAs(p, tie.second.edge, model, tie.first.edge)
          : edgeBroughtTo(p, tie.second.edge, length)
      now = now.map((p) => (p.id === tie.second.panel ? follow(p) : p))
      waiting.push(tie.second.panel)
    }
  return now
}
