import { nth } from '../../lists/index.js'
import type {
  IArcEntity,
  ICircleEntity,
  IDxf,
  IEllipseEntity,
  IEntity,
  IInsertEntity,
  ILineEntity,
  ILwpolylineEntity,
  IPolylineEntity,
  ISplineEntity,
} from 'dxf-parser'
import {
  type Path,
  type Point,
  type Segment,
  arc,
  circlePoint,
  cubic,
  line,
  openPath,
  pointDistance,
} from '../../geometry/index.js'
import { splineCubics } from './spline.js'

/** From the file's plane (y up) to ours (y down), through the placements an entity stands in. */
export type Place = (p: Point) => Point

export interface Taken {
  readonly paths: Path[]
  readonly notes: Set<string>
}

/** An arc by its bulge, the tangent of a quarter of its angle, positive against the clock in the file's plane. */
function bulged(from: Point, to: Point, bulge: number): Segment {
  const chord = pointDistance(from, to)
  if (Math.abs(bulge) < 1e-9 || chord === 0) return line(from, to)
  const angle = 4 * Math.atan(bulge)
  const radius = chord / (2 * Math.sin(angle / 2))
  const [mx, my] = [(from.x + to.x) / 2, (from.y + to.y) / 2]
  const h = radius * Math.cos(angle / 2)
  const centre = { x: mx - ((to.y - from.y) / chord) * h, y: my + ((to.x - from.x) / chord) * h }
  return arc(from, to, centre, angle)
}

const sameScale = (place: Place): boolean => {
  const [o, x, y] = [place({ x: 0, y: 0 }), place({ x: 1, y: 0 }), place({ x: 0, y: 1 })]
  const [a, b] = [pointDistance(o, x), pointDistance(o, y)]
  const square = (x.x - o.x) * (y.x - o.x) + (x.y - o.y) * (y.y - o.y)
  return Math.abs(a - b) < 1e-9 * Math.max(a, b) && Math.abs(square) < 1e-9 * a * b
}

/** Quarter arcs as curves, for placements that would make an ellipse of a circle. */
function asCubics(s: Segment & { type: 'arc' }): Segment[] {
  const count = Math.max(1, Math.ceil(Math.abs(s.sweep) / (Math.PI / 4)))
  const radius = pointDistance(s.from, s.centre)
  const start = Math.atan2(s.from.y - s.centre.y, s.from.x - s.centre.x)
  const step = s.sweep / count
  const handle = (4 / 3) * Math.tan(step / 4) * radius
  return Array.from({ length: count }, (_, i) => {
    const [a, b] = [start + i * step, start + (i + 1) * step]
    const [p, q] = [circlePoint(s.centre, radius, a), circlePoint(s.centre, radius, b)]
    return cubic(
      p,
      { x: p.x - Math.sin(a) * handle, y: p.y + Math.cos(a) * handle },
      { x: q.x + Math.sin(b) * handle, y: q.y - Math.cos(b) * handle },
      q,
    )
  })
}

function placed(s: Segment, place: Place): Segment[] {
  if (s.type === 'line') return [line(place(s.from), place(s.to))]
  if (s.type === 'cubic') return [cubic(place(s.from), place(s.c1), place(s.c2), place(s.to))]
  if (!sameScale(place)) return asCubics(s).flatMap((c) => placed(c, place))
  const [o, x, y] = [place({ x: 0, y: 0 }), place({ x: 1, y: 0 }), place({ x: 0, y: 1 })]
  const flips = (x.x - o.x) * (y.y - o.y) - (x.y - o.y) * (y.x - o.x) < 0
  return [arc(place(s.from), place(s.to), place(s.centre), flips ? -s.sweep : s.sweep)]
}

const arcOf = (centre: Point, radius: number, from: number, sweep: number): Segment =>
  arc(circlePoint(centre, radius, from), circlePoint(centre, radius, from + sweep), centre, sweep)

function polyline(vertices: readonly { x: number; y: number; bulge?: number }[], closed: boolean): Segment[] {
  const count = closed ? vertices.length : vertices.length - 1
  return Array.from({ length: count }, (_, i) => {
    const [a, b] = [nth(vertices, i), nth(vertices, (i + 1) % vertices.length)]
    return bulged({ x: a.x, y: a.y }, { x: b.x, y: b.y }, a.bulge ?? 0)
  }).filter((s) => pointDistance(s.from, s.to) !== 0)
}

function ellipseOf(e: IEllipseEntity): Segment[] {
  const major = Math.hypot(e.majorAxisEndPoint.x, e.majorAxisEndPoint.y)
  const turn = Math.atan2(e.majorAxisEndPoint.y, e.majorAxisEndPoint.x)
  const sweep =
    e.endAngle > e.startAngle ? e.endAngle - e.startAngle : e.endAngle - e.startAngle + 2 * Math.PI
  const unit = arcOf({ x: 0, y: 0 }, 1, e.startAngle, sweep) as Segment & { type: 'arc' }
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  const place: Place = (p) => {
    const [x, y] = [p.x * major, p.y * major * e.axisRatio]
    return { x: e.center.x + x * cos - y * sin, y: e.center.y + x * sin + y * cos }
  }
  return asCubics(unit).flatMap((c) => placed(c, place))
}

/** The strokes of one entity in its own plane, with whether it is a ring. */
function strokesOf(entity: IEntity): { segments: Segment[]; closed: boolean } | undefined {
  switch (entity.type) {
    case 'LINE': {
      const [a, b] = (entity as ILineEntity).vertices
      return a && b ? { segments: [line({ x: a.x, y: a.y }, { x: b.x, y: b.y })], closed: false } : undefined
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity
      const sweep = endAngle > startAngle ? endAngle - startAngle : endAngle - startAngle + 2 * Math.PI
      return { segments: [arcOf(center, radius, startAngle, sweep)], closed: false }
    }
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity
      return {
        segments: [arcOf(center, radius, 0, Math.PI), arcOf(center, radius, Math.PI, Math.PI)],
        closed: true,
      }
    }
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const { vertices, shape } = entity as ILwpolylineEntity | IPolylineEntity
      return { segments: polyline(vertices, shape), closed: shape }
    }
    case 'ELLIPSE':
      return { segments: ellipseOf(entity as IEllipseEntity), closed: false }
    case 'SPLINE': {
      const { controlPoints, knotValues, degreeOfSplineCurve } = entity as ISplineEntity
      if (!controlPoints) return undefined
      return { segments: splineCubics(controlPoints, knotValues, degreeOfSplineCurve), closed: false }
    }
    default:
      return undefined
  }
}

/** An entity drawn in a plane seen from behind is mirrored. */
function mirrored(entity: IEntity): boolean {
  const e = entity as IEntity & { extrusionDirectionZ?: number; extrusionDirection?: { z: number } }
  return (e.extrusionDirectionZ ?? e.extrusionDirection?.z ?? 1) < 0
}

/** Takes the strokes of entities, and of the blocks they put in place. */
export function takeEntities(entities: readonly IEntity[], dxf: IDxf, place: Place, taken: Taken): void {
  for (const entity of entities) {
    const seen: Place = mirrored(entity) ? (p) => place({ x: -p.x, y: p.y }) : place
    if (entity.type === 'INSERT') {
      const insert = entity as IInsertEntity
      const block = (dxf.blocks as Record<string, { entities?: IEntity[]; position?: Point }> | undefined)?.[
        insert.name
      ]
      if (!block?.entities) continue
      const [sx, sy] = [insert.xScale || 1, insert.yScale || 1]
      const turn = ((insert.rotation || 0) * Math.PI) / 180
      const base = block.position ?? { x: 0, y: 0 }
      const into: Place = (p) => {
        const [x, y] = [(p.x - base.x) * sx, (p.y - base.y) * sy]
        return seen({
          x: insert.position.x + x * Math.cos(turn) - y * Math.sin(turn),
          y: insert.position.y + x * Math.sin(turn) + y * Math.cos(turn),
        })
      }
      takeEntities(block.entities, dxf, into, taken)
      continue
    }
    const strokes = strokesOf(entity)
    if (!strokes || strokes.segments.length === 0) continue
    const segments = strokes.segments.flatMap((s) => placed(s, seen))
    taken.paths.push(strokes.closed ? { segments, closed: true } : openPath(segments))
  }
}
