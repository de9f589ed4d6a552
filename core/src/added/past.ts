import { pathMoved, pathNearest, pathPoints, placeInside } from '../geometry/index.js'
import type { Concern } from '../master/index.js'
import type { Asked, Lying } from './sort.js'

/** Reaching past an edge by less is no matter, mm. */
const SLACK = 0.5

/** By how much a piece reaches past the edge of what it is put on, mm; nothing where it lies on it whole. */
function pastBy({ host, spots }: Asked, { panel, lies }: Lying): number {
  const placed = spots.flatMap((spot) => lies(spot).filter((l) => l.clips.length === 0))
  const points = placed.flatMap(({ move }) => pathPoints(pathMoved(panel.outline, move), 0.2))
  return Math.max(
    0,
    ...points
      .filter((p) => !placeInside(p.x, p.y, host.outline))
      .map((p) => pathNearest(host.outline, p).distance),
  )
}

/** What reaches past the edge of the piece it is put on. */
export function pastEdges(asked: Asked, pieces: readonly Lying[]): Concern[] {
  const { id, name, host, spots } = asked
  return pieces.flatMap((lying): Concern[] => {
    const by = pastBy(asked, lying)
    const [spot] = spots
    if (by <= SLACK || !spot) return []
    return [
      {
        id: `${lying.panel.id}-past`,
        rank: 'look',
        panelId: host.id,
        at: spot.at,
        what: `The ${lying.panel.id === id ? name.toLowerCase() : lying.panel.name.toLowerCase()} reaches {by} past the edge of the ${host.name.toLowerCase()}`,
        why: 'Nothing holds it there. Make it smaller, or put it elsewhere.',
        lengths: { by },
      },
    ]
  })
}
