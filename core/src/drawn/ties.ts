import { firstOf, nth, foundIn } from '../lists/index.js'
import { pathBox, boxCentre, pathLength, openPath } from '../geometry/index.js'
import type { Fault } from '../master/index.js'
import { outlineOf } from './outline.js'
import type { DrawnPanel, Tie } from './schema.js'

/** Edges nearer in length than this match, mm. */
export const TIE_TOLERANCE = 0.01

/** Length of an edge as it is drawn and rounded, mm; undefined where the panel has no such edge. */
export function drawnEdgeLength(panels: readonly DrawnPanel[], at: Tie['first']): number | undefined {
  const panel = panels.find((p) => p.id === at.panel)
  if (!panel) return undefined
  const own = outlineOf(panel).owners.filter((o) => o.edge === at.edge)
  // An edge across the axis is one edge; one that stands on both halves is measured once.
  const { nodes, mirror } = panel
  const across = mirror && [firstOf(nodes).edge, nth(nodes, nodes.length - 2).edge].includes(at.edge)
  const counted = mirror && !across ? own.filter((o) => o.half === 'drawn') : own
  return counted.length > 0 ? pathLength(openPath(counted.map((o) => o.segment))) : undefined
}

/** What the two edges of a tie are called, where both are still there. */
export function tieNames(
  panels: readonly DrawnPanel[],
  tie: Tie,
): { first: string; second: string } | undefined {
  const named = (at: Tie['first']): string | undefined => {
    const panel = panels.find((p) => p.id === at.panel)
    const edge = panel?.edges.find((e) => e.id === at.edge)
    return panel && edge ? `${edge.name} of the ${panel.name.toLowerCase()}` : undefined
  }
  const [first, second] = [named(tie.first), named(tie.second)]
  return first && second ? { first, second } : undefined
}

/** Tied edges that do not match, as they stand. */
export function tieFaults(panels: readonly DrawnPanel[], ties: readonly Tie[]): Fault[] {
  return ties.flatMap((tie): Fault[] => {
    const [a, b] = [drawnEdgeLength(panels, tie.first), drawnEdgeLength(panels, tie.second)]
    const names = tieNames(panels, tie)
    if (a === undefined || b === undefined || !names || Math.abs(a - b) <= TIE_TOLERANCE) return []
    const panel = foundIn(panels, (p) => p.id === tie.second.panel)
    return [
      {
        panelId: panel.id,
        at: boxCentre(pathBox(outlineOf(panel).path)),
        what: 'edges differ',
        tie: tie.id,
        first: { name: names.first, length: a },
        second: { name: names.second, length: b },
      },
    ]
  })
}
