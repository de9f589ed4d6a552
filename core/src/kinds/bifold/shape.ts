import { type Corner, point, polygon, roundedPolygon } from '../../geometry/index.js'
import type { Band, Edge, Fate } from '../../master/index.js'

/** Width of the rims that could be skived, mm (J). */
export const RIM = 8

/** A corner of a panel, and the names of the edges it starts. */
export interface Named extends Corner {
  /** Edge that leaves this corner. */
  readonly edge: string
  /** Edge the rounding at this corner belongs to, where it has one. */
  readonly corner?: string
}

const NAMES: Readonly<Record<string, string>> = {
  top: 'top edge',
  right: 'right side',
  foot: 'foot',
  left: 'left side',
  'foot-right': 'right corner of the foot',
  'foot-left': 'left corner of the foot',
  'top-right': 'right top corner',
  'top-left': 'left top corner',
}

/** An outline through named corners, and its edges. Sides or roundings without length have no edge. */
export function outlineOf(corners: readonly Named[], fateOf: (edge: string) => Fate) {
  const { path, sides, roundings } = roundedPolygon(corners)
  const edges: Edge[] = []
  const add = (id: string | undefined, segment: number | undefined): void => {
    if (id !== undefined && segment !== undefined)
      edges.push({
        id,
        name: NAMES[id] ?? id.replaceAll('-', ' '),
        first: segment,
        last: segment,
        fate: fateOf(id),
      })
  }
  corners.forEach((corner, i) => {
    add(corner.corner, roundings[i])
    add(corner.edge, sides[i])
  })
  return { outline: path, edges }
}

export const box = (left: number, top: number, right: number, bottom: number) =>
  polygon([point(left, top), point(right, top), point(right, bottom), point(left, bottom)])

/** A band along rims whose whole width is one thickness. */
export const levelBand = (
  key: string,
  name: string,
  t: number,
  to: number,
  areas: readonly ReturnType<typeof box>[],
  planned: boolean,
): Band => ({
  key,
  name,
  start: to,
  end: to,
  planned: planned && to < t,
  areas: areas.map((outline) => ({ outline, from: point(0, 0), to: point(0, 1) })),
})
