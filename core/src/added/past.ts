import {
  type Point,
  pathMoved,
  pathNearest,
  pathPoints,
  placeInside,
  polygonHalved,
} from '../geometry/index.js'
import type { Concern, Panel } from '../master/index.js'
import type { Spot } from './place.js'
import type { Asked, Laid, Lying } from './sort.js'

/** Outlines are followed by chords no farther off than this, mm. */
const CHORDS = 0.2

/** Reaching past an edge by less is no matter, mm. */
const SLACK = 0.5

/** What of a sheet's outline is kept by its clips, and where they cut it off straight. */
function pointsKept({ outline }: Panel, { move, clips }: Laid): readonly Point[] {
  return clips.reduce<readonly Point[]>(
    (points, { at, inward }) => polygonHalved(points, at, inward),
    pathPoints(pathMoved(outline, move), CHORDS),
  )
}

/** What of a piece lies on the panel it is put on, as points of its outline there; what hangs free is on nothing. */
export const keptOf = ({ panel, lies }: Lying, spot: Spot): readonly Point[] =>
  lies(spot).flatMap((laid) => (laid.loose ? [] : pointsKept(panel, laid)))

/** By how much a piece reaches past the edge of what it is put on, mm; nothing where it lies on it whole. */
function pastBy({ host, spots }: Asked, { panel, lies, within = false }: Lying): number {
  const placed = spots.flatMap((spot) =>
    lies(spot).filter((l) => !l.loose && (within || l.clips.length === 0)),
  )
  const points = placed.flatMap((laid) => pointsKept(panel, laid))
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
