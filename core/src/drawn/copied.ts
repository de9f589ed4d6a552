import { type Point, pathBox, segmentMoved, segmentReversed } from '../geometry/index.js'
import { nth } from '../lists/index.js'
import { goingOf, tidy, tidyPoint, wholeDrawn } from './draw.js'
import { drawnSegments, mirrorMove, outlineOf } from './outline.js'
import type { DrawnMark, DrawnPanel, Node } from './schema.js'
import { drawnEdgeLength } from './ties.js'

/** How far beside the first a copy lies, mm. */
const BESIDE = 20
/** Names are no longer. */
const LONGEST = 60

interface Called {
  readonly id: string
  readonly name: string
}

/** A panel once more beside it: outline, edges, folds, skives, layers and marks as they are. */
export function copiedDrawn(panel: DrawnPanel, { id, name }: Called): DrawnPanel {
  const { left, right } = pathBox(outlineOf(panel).path)
  const lies = { ...panel.lies, x: tidy(panel.lies.x + right - left + BESIDE) }
  return { ...panel, id, name: name.slice(0, LONGEST), lies }
}

/** The same turned over, as a left front is of a right one: everything on it lies the other way round. */
export function turnedDrawn(panel: DrawnPanel, called: Called): DrawnPanel {
  const whole = wholeDrawn(panel)
  // Between its outermost points: turned again, it lies as it was.
  const xs = whole.nodes.map((n) => n.x)
  const about = tidy((Math.min(...xs) + Math.max(...xs)) / 2)
  const across = (p: Point): Point => tidyPoint({ x: 2 * about - p.x, y: p.y })
  const turned = (angle: number): number => tidy(Math.PI - angle)
  const { nodes } = whole
  const move = mirrorMove({ way: 'upright', at: about })
  const back = drawnSegments(whole)
    .map((s, i): Node => {
      const way = segmentReversed(segmentMoved(s, move))
      const from = nth(nodes, (i + 1) % nodes.length)
      return { ...tidyPoint(way.from), radius: from.radius, going: goingOf(way), edge: nth(nodes, i).edge }
    })
    .reverse()
  const { pull, ...rest } = copiedDrawn(whole, called)
  return {
    ...rest,
    nodes: inRuns(back),
    folds: whole.folds.map((f) => ({ ...f, at: across(f.at), angle: turned(f.angle) })),
    skives: whole.skives.map((s) =>
      // Turned over, what lay to the left of a band lies to its right: it is walked the other way.
      s.where.type === 'band'
        ? { ...s, where: { ...s.where, from: across(s.where.to), to: across(s.where.from) } }
        : s,
    ),
    marks: whole.marks.map((m) => markTurned(m, whole, across)),
    grain: turned(whole.grain),
    ...(pull === undefined ? {} : { pull: turned(pull) }),
  }
}

/** Points of one edge stand one after the other: the list begins where an edge does. */
function inRuns(nodes: readonly Node[]): Node[] {
  const first = nodes.findIndex((n, i) => n.edge !== nth(nodes, (i + nodes.length - 1) % nodes.length).edge)
  return first <= 0 ? [...nodes] : [...nodes.slice(first), ...nodes.slice(0, first)]
}

function markTurned(mark: DrawnMark, panel: DrawnPanel, across: (p: Point) => Point): DrawnMark {
  const { where } = mark
  // Words stay readable; what points somewhere points the other way.
  const angle = tidy(mark.type === 'text' ? -mark.angle : Math.PI - mark.angle)
  if (where.type === 'place') return { ...mark, angle, where: { ...where, ...across(where) } }
  if (where.type === 'share') return { ...mark, angle, where: { ...where, share: tidy(1 - where.share) } }
  if (where.type === 'opposite') return { ...mark, angle }
  const length = drawnEdgeLength([panel], { panel: panel.id, edge: where.edge }) ?? where.mm
  return { ...mark, angle, where: { ...where, mm: tidy(Math.max(0, length - where.mm)) } }
}
