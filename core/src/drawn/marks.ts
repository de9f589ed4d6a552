import {
  type Path,
  type Point,
  circlePoint,
  openPath,
  inwardSide,
  pathLength,
  pathDistanceOf,
  pathNearest,
  pathPlaceAt,
} from '../geometry/index.js'
import type { Edge, Panel, PanelMark } from '../master/index.js'
import type { DrawnMark, DrawnPanel, MarkPlace } from './schema.js'

interface Placed {
  readonly at: Point
  /** Direction of the edge there, radians. */
  readonly along: number
}

const edgePath = (panel: Panel, edge: Edge): Path =>
  openPath(panel.outline.segments.slice(edge.first, edge.last + 1))

/** An edge and, where it stands on both halves apart, its mirror image: both carry the mark. */
const edgesNamed = (panel: Panel, id: string): readonly { edge: Edge; mirrored: boolean }[] =>
  panel.edges
    .filter((edge) => edge.id === id || edge.id === `${id}-m`)
    .map((edge) => ({ edge, mirrored: edge.id !== id }))

function alongEdge(panel: Panel, edge: Edge, distance: number, inset: number): Placed {
  const path = edgePath(panel, edge)
  const { at, angle } = pathPlaceAt(path, Math.min(distance, pathLength(path)))
  const inward = inwardSide(panel.outline)
  return { at: circlePoint(at, inset, angle + (inward * Math.PI) / 2), along: angle }
}

/** Where a mark comes to lie; once for each half of a mirrored edge. Empty where its edge is gone. */
function placesOf(
  where: MarkPlace,
  panel: Panel,
  drawn: DrawnPanel,
  moved: (p: Point) => Point,
  depth = 0,
): Placed[] {
  switch (where.type) {
    case 'place':
      return [{ at: moved(where), along: 0 }]
    case 'distance':
    case 'share':
      return edgesNamed(panel, where.edge).map(({ edge, mirrored }) => {
        const length = pathLength(edgePath(panel, edge))
        const distance = where.type === 'share' ? where.share * length : where.mm
        return alongEdge(panel, edge, mirrored ? length - distance : distance, where.inset)
      })
    case 'opposite': {
      const other = drawn.marks.find((m) => m.id === where.mark)
      if (!other || depth > 4) return []
      const facing = placesOf(other.where, panel, drawn, moved, depth + 1)
      return facing.flatMap(({ at }) =>
        edgesNamed(panel, where.edge)
          .slice(0, 1)
          .map(({ edge }) => {
            const path = edgePath(panel, edge)
            return alongEdge(panel, edge, pathDistanceOf(path, pathNearest(path, at)), 0)
          }),
      )
    }
  }
}

function markAt(mark: DrawnMark, { at, along }: Placed, id: string): PanelMark {
  const angle = along + mark.angle
  switch (mark.type) {
    case 'notch':
      return { type: 'notch', id, at, angle: along + Math.PI / 2, letters: mark.text }
    case 'centre':
      return { type: 'centre', id, at, angle: along + Math.PI / 2, letters: 'centre' }
    case 'slot':
      return { type: 'slot', id, at, angle, length: Math.max(mark.length, mark.punch), punch: mark.punch }
    case 'hole':
      return { type: 'hole', id, at, punch: mark.punch }
    case 'text':
      return { type: 'text', id, at, text: mark.text }
    case 'window':
      return { type: 'window', id, at, angle, length: mark.length, width: mark.width }
    case 'up':
    case 'grain':
      return { type: mark.type, id, at, angle: mark.angle }
  }
}

/** The marks of a drawn panel on its finished outline. `moved` takes a place of the drawing to where the folds move it. */
export const marksOf = (drawn: DrawnPanel, panel: Panel, moved: (p: Point) => Point): PanelMark[] =>
  drawn.marks.flatMap((mark) => {
    const places = placesOf(mark.where, panel, drawn, moved)
    return places.map((placed, i) => markAt(mark, placed, i === 0 ? mark.id : `${mark.id}-m`))
  })
