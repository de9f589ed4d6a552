import {
  type Corner,
  type Path,
  type Point,
  type Segment,
  arc,
  closedPath,
  line,
  point,
  pointAdd,
  pointScale,
  pointSubtract,
  pointUnit,
  polygon,
  roundedPolygon,
  stripBetween,
} from '../../geometry/index.js'
import {
  type Band,
  type Edge,
  type EdgeTreatment,
  type Panel,
  type TurnedFate,
  edgeChain,
  insetChainMaybe,
} from '../../master/index.js'
import type { Leather } from '../../stores/index.js'

/** Down a face, as a share of it, its label stands: clear of handles above and pockets below. */
export const LABEL_DOWN = 0.4

/** How far into a rounded corner its edge lies, as a share of the radius: 1 − 1/√2. */
export const INTO_CORNER = 0.3

/** Two roundings leave this much of the side between them, mm. */
export const LEFT_BETWEEN = 0.1

/** The largest rounding of both corners of a side, mm. */
export const mostRadius = (side: number): number => side / 2 - LEFT_BETWEEN

/** Width of the rims that could be skived, mm (J). */
export const RIM = 8

/** No side of a panel is drawn shorter, whatever is written over its size, mm. */
const LEAST_SIDE = 1

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

/** The finished outline of a panel and its named edges. */
export interface Shape {
  readonly outline: Path
  readonly edges: readonly Edge[]
}

/** What becomes of an edge, by its id. */
export type FateOf = (edge: string) => EdgeTreatment

/** An outline through named corners, and its edges. Sides or roundings without length have no edge. */
export function outlineOf(corners: readonly Named[], fateOf: FateOf): Shape {
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

/** Radii of a rectangle's corners, mm; true corners where left out. */
export interface Radii {
  readonly topLeft?: number
  readonly topRight?: number
  readonly footRight?: number
  readonly footLeft?: number
}

/**
 * A rectangle from the origin, `wide` by `high` mm, with edges top, right, foot, left and their rounded corners; no
 * corner is rounded more than half of its sides has room for.
 */
export function rectangleShape(wide: number, high: number, radii: Radii, fateOf: FateOf): Shape {
  const [w, h] = [Math.max(LEAST_SIDE, wide), Math.max(LEAST_SIDE, high)]
  const max = Math.max(0, mostRadius(Math.min(w, h)))
  const r = (radius = 0): number => Math.min(radius, max)
  return outlineOf(
    [
      { x: 0, y: 0, radius: r(radii.topLeft), edge: 'top', corner: 'top-left' },
      { x: w, y: 0, radius: r(radii.topRight), edge: 'right', corner: 'top-right' },
      { x: w, y: h, radius: r(radii.footRight), edge: 'foot', corner: 'foot-right' },
      { x: 0, y: h, radius: r(radii.footLeft), edge: 'left', corner: 'foot-left' },
    ],
    fateOf,
  )
}

/** A circle in four arcs, its uppermost place at (across / 2, 0); edges top, right, foot and left, each a quarter. */
export function circleShape(across: number, fateOf: FateOf): Shape {
  const r = Math.max(LEAST_SIDE, across) / 2
  const centre = point(r, r)
  const on = (quarter: number): Point =>
    point(r + r * Math.cos((quarter * Math.PI) / 2), r + r * Math.sin((quarter * Math.PI) / 2))
  const ids = ['top right', 'foot right', 'foot left', 'top left']
  return {
    outline: closedPath(ids.map((_, i) => arc(on(i - 1), on(i), centre, Math.PI / 2))),
    edges: ids.map((name, i) => ({
      id: name.replace(' ', '-'),
      name: `${name} quarter`,
      first: i,
      last: i,
      fate: fateOf(name.replace(' ', '-')),
    })),
  }
}

/** All four corners rounded alike. */
export const allRound = (r: number): Radii => ({ topLeft: r, topRight: r, footRight: r, footLeft: r })

/**
 * A straight edge with a round bite out of its middle, `across` mm wide and `deep` mm into the panel. The edge keeps its
 * id all along, or only up to the bite where the bite and what follows it have ids of their own.
 */
export function withNotch(
  { outline, edges }: Shape,
  edgeId: string,
  across: number,
  deep: number,
  parted?: { readonly bite: string; readonly after: string },
): Shape {
  const edge = edges.find((e) => e.id === edgeId)
  const segment = edge && outline.segments[edge.first]
  if (!edge || edge.first !== edge.last || segment?.type !== 'line') return { outline, edges }
  const along = pointUnit(pointSubtract(segment.to, segment.from))
  const middle = pointScale(pointAdd(segment.from, segment.to), 0.5)
  const radius = ((across / 2) ** 2 + deep ** 2) / (2 * deep)
  const [a, b] = [
    pointAdd(middle, pointScale(along, -across / 2)),
    pointAdd(middle, pointScale(along, across / 2)),
  ]
  // Outlines run clockwise on the screen, so the panel lies to the right of its edge.
  const inward = point(-along.y, along.x)
  const centre = pointAdd(middle, pointScale(inward, deep - radius))
  const half = Math.atan2(across / 2, radius - deep)
  const bite: Segment[] = [line(segment.from, a), arc(a, b, centre, -2 * half), line(b, segment.to)]
  return {
    outline: closedPath(outline.segments.toSpliced(edge.first, 1, ...bite)),
    edges: edges.flatMap((e) => {
      if (e.first > edge.first) return [{ ...e, first: e.first + 2, last: e.last + 2 }]
      if (e !== edge) return [e]
      if (!parted) return [{ ...e, last: e.last + 2 }]
      const [at, { bite: biteId, after }] = [e.first, parted]
      return [
        e,
        { ...e, id: biteId, name: biteId.replaceAll('-', ' '), first: at + 1, last: at + 1 },
        { ...e, id: after, name: `${e.name}, other part`, first: at + 2, last: at + 2 },
      ]
    }),
  }
}

export const box = (left: number, top: number, right: number, bottom: number): Path =>
  polygon([point(left, top), point(right, top), point(right, bottom), point(left, bottom)])

/** The four corners of a rectangle from the origin. */
export const rectangle = (w: number, h: number): Path => box(0, 0, w, h)

/** A band along rims whose whole width is one thickness. */
export const levelBand = (
  key: string,
  name: string,
  t: number,
  to: number,
  areas: readonly Path[],
  planned: boolean,
): Band => ({
  key,
  name,
  start: to,
  end: to,
  planned: planned && to < t,
  areas: areas.map((outline) => ({ outline, from: point(0, 0), to: point(0, 1) })),
})

/** A band whose thickness falls from `start` to `end` between two heights of the panel. */
export const slopeBand = (
  key: string,
  name: string,
  thick: readonly [number, number],
  area: Path,
  from: Point,
  to: Point,
): Band => ({
  key,
  name,
  start: thick[0],
  end: thick[1],
  planned: true,
  areas: [{ outline: area, from, to }],
})

/** The rim along neighbouring edges of a panel as a place where skiving could help. */
export function rimBand(
  key: string,
  name: string,
  shape: Shape,
  chain: readonly string[],
  t: number,
): Band[] {
  const panel = { ...shape } as Panel
  const known = chain.filter((id) => shape.edges.some((e) => e.id === id))
  const inner = known.length > 0 ? insetChainMaybe(panel, known, RIM) : undefined
  return inner ? [levelBand(key, name, t, t, [stripBetween(edgeChain(panel, known), inner)], false)] : []
}

/** A rim along each of several edges by itself, as one place to skive. */
export const rimBands = (
  key: string,
  name: string,
  shape: Shape,
  edges: readonly string[],
  t: number,
): Band[] => edges.flatMap((edge) => rimBand(key, name, shape, [edge], t))

/** A border of this leather turned over and held by one row. Lengths mm. */
export const turnedFate = (
  width: number,
  school: TurnedFate['school'],
  leather: Pick<Leather, 'atEdge'>,
  margin: number,
): TurnedFate => ({
  type: 'turned',
  width,
  school,
  atEdge: leather.atEdge,
  feather: width / 2,
  core: 'round',
  lines: 1,
  margin,
})

/** Edges cut to size and finished; those in `trimmed` are cut over size and trimmed flush after sewing. */
export const finishedFate =
  (finish: 'burnished' | 'painted', trim: number, trimmed: (edge: string) => boolean): FateOf =>
  (edge) => ({ type: 'raw', finish, trim: trimmed(edge) ? trim : 0 })

/** A panel with nothing said of it but its outline. */
export const plainPanel = (panel: Pick<Panel, 'id' | 'name' | 'role'> & Shape & Partial<Panel>): Panel => ({
  count: 1,
  flipped: 0,
  folds: [],
  bands: [],
  grain: 0,
  notes: [],
  ...panel,
})
