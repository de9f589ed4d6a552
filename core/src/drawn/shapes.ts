import { type Units, printLength } from '../measure/index.js'
import { firstOf, lastOf, nth } from '../lists/index.js'
import type { Point } from '../geometry/index.js'
import { tidy, tidyPoint } from './draw.js'
import type { DrawnEdge, DrawnPanel, Going, Node } from './schema.js'

/** What a shape may measure where it doesn't say, and what calipers may read across, mm. */
const MEASURES = { min: 5, max: 2000, across: 4000 } as const

/** A measure a shape asks for, mm. */
export interface ShapeField {
  readonly id: string
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
}

export type Outlined = Pick<DrawnPanel, 'nodes' | 'edges' | 'mirror'>

/** A shape to begin with. Symmetrical ones are half drawings, mirrored across their upright middle. */
export interface Shape {
  readonly id: string
  readonly label: string
  readonly fields: readonly ShapeField[]
  readonly make: (values: Readonly<Record<string, number>>) => Outlined
}

type Measure = Omit<ShapeField, 'id'>
const measure = (
  label: string,
  value: number,
  min: number = MEASURES.min,
  max: number = MEASURES.max,
): Measure => ({ label, value, min, max })

/** A shape that is made of the measures it asks for; one that isn't given has its usual value. */
const shape = <Asked extends Readonly<Record<string, Measure>>>(
  id: string,
  label: string,
  asked: Asked,
  make: (values: Readonly<Record<keyof Asked, number>>) => Outlined,
): Shape => ({
  id,
  label,
  fields: Object.entries(asked).map(([name, one]) => ({ id: name, ...one })),
  make: (values) =>
    make(
      Object.fromEntries(
        Object.entries(asked).map(([name, { value }]) => [name, values[name] ?? value]),
      ) as Record<keyof Asked, number>,
    ),
})

const NAMES: Readonly<Record<string, string>> = {
  top: 'top edge',
  side: 'side',
  foot: 'foot',
  round: 'edge all round',
}

const edgesOf = (nodes: readonly Node[]): DrawnEdge[] =>
  [...new Set(nodes.map((n) => n.edge))].map((id) => ({
    id,
    name: NAMES[id] ?? id,
    fate: { type: 'raw', finish: 'burnished' },
  }))

const node = (x: number, y: number, edge: string, radius = 0, going: Going = { type: 'line' }): Node => ({
  ...tidyPoint({ x, y }),
  radius: tidy(radius),
  going,
  edge,
})

/** The right half from the top of the axis down to its foot. */
function half(nodes: readonly Node[]): Outlined {
  return { nodes: [...nodes], edges: edgesOf(nodes), mirror: { way: 'upright', at: 0 } }
}

/** A curve that leaves one point level and reaches the other level or upright. */
const curve = (c1: Point, c2: Point): Going => ({ type: 'curve', c1: tidyPoint(c1), c2: tidyPoint(c2) })

/** How far a cubic's handle lies out for a quarter of an ellipse, as a share. */
const QUARTER = 0.5523

/** Shapes with measures, in the order they are offered. Lengths in mm. */
export const SHAPES: readonly Shape[] = [
  shape(
    'rectangle',
    'rectangle',
    { width: measure('width', 200), height: measure('height', 120) },
    ({ width, height }) =>
      half([
        node(0, 0, 'top'),
        node(width / 2, 0, 'side'),
        node(width / 2, height, 'foot'),
        node(0, height, 'foot'),
      ]),
  ),
  shape(
    'rounded',
    'rounded rectangle',
    {
      width: measure('width', 200),
      height: measure('height', 120),
      radius: measure('corner radius', 12, 0, 500),
    },
    ({ width, height, radius }) =>
      half([
        node(0, 0, 'top'),
        node(width / 2, 0, 'side', radius),
        node(width / 2, height, 'foot', radius),
        node(0, height, 'foot'),
      ]),
  ),
  shape(
    'tapered',
    'tapered panel',
    {
      top: measure('width at the top', 90),
      foot: measure('width at the foot', 60),
      height: measure('height', 240),
      radius: measure('corner radius at the foot', 8, 0, 300),
    },
    ({ top, foot, height, radius }) =>
      half([
        node(0, 0, 'top'),
        node(top / 2, 0, 'side'),
        node(foot / 2, height, 'foot', radius),
        node(0, height, 'foot'),
      ]),
  ),
  shape(
    'flap',
    'flap with a curved foot',
    {
      width: measure('width', 240),
      height: measure('height in the middle', 150),
      side: measure('height at the sides', 90),
    },
    ({ width, height, side }) => {
      const [w, drop] = [width / 2, height - side]
      return half([
        node(0, 0, 'top'),
        node(w, 0, 'side'),
        node(w, side, 'foot', 0, curve({ x: w, y: side + QUARTER * drop }, { x: QUARTER * w, y: height })),
        node(0, height, 'foot'),
      ])
    },
  ),
  shape(
    'trapezium',
    'trapezium',
    {
      top: measure('width at the top', 160),
      foot: measure('width at the foot', 220),
      height: measure('height', 140),
    },
    ({ top, foot, height }) =>
      half([
        node(0, 0, 'top'),
        node(top / 2, 0, 'side'),
        node(foot / 2, height, 'foot'),
        node(0, height, 'foot'),
      ]),
  ),
  shape('circle', 'circle', { across: measure('across', 80) }, ({ across }) =>
    half([node(0, 0, 'round', 0, { type: 'arc', rise: tidy(across / 2) }), node(0, across, 'round')]),
  ),
  shape(
    'strap-round',
    'strap with a round end',
    { width: measure('width', 24, 5, 200), length: measure('length', 300) },
    ({ width, length }) => {
      const r = width / 2
      return half([
        node(0, 0, 'top'),
        node(r, 0, 'side'),
        node(r, Math.max(0, length - r), 'foot', 0, { type: 'arc', rise: tidy(r * (1 - Math.SQRT1_2)) }),
        node(0, length, 'foot'),
      ])
    },
  ),
  shape(
    'strap-point',
    'strap with a pointed end',
    {
      width: measure('width', 24, 5, 200),
      length: measure('length', 300),
      point: measure('length of the point', 20, 2, 300),
    },
    ({ width, length, point }) =>
      half([
        node(0, 0, 'top'),
        node(width / 2, 0, 'side'),
        node(width / 2, Math.max(1, length - point), 'foot'),
        node(0, length, 'foot'),
      ]),
  ),
]

/** One caliper reading: how wide the thing is so far from its top, mm. */
export interface Reading {
  readonly down: number
  readonly width: number
}

/** What is wrong with a list of readings, in words; undefined where a shape can be made of them. */
export function readingsProblem(readings: readonly Reading[], unit: Units): string | undefined {
  if (readings.length < 2)
    return 'At least two readings are needed: the width at the top and the width at the foot.'
  const back = readings.findIndex((r, i) => i > 0 && r.down <= nth(readings, i - 1).down)
  if (back > 0)
    return `Reading ${back + 1} lies at ${printLength(nth(readings, back).down, unit)}, not farther down than the one before it.`
  const none = readings.findIndex((r) => r.width < 0 || r.width > MEASURES.across)
  return none < 0
    ? undefined
    : `Reading ${none + 1} says ${printLength(nth(readings, none).width, unit)} wide; that can't be.`
}

/** A thing measured with calipers from its top down, drawn as a half: straight between readings, or one smooth side. */
export function fromReadings(readings: readonly Reading[], smooth: boolean): Outlined {
  const [first, last] = [firstOf(readings), lastOf(readings)]
  const at = (i: number): Point => {
    const r = nth(readings, Math.min(readings.length - 1, Math.max(0, i)))
    return { x: r.width / 2, y: r.down - first.down }
  }
  const side = readings.slice(0, -1).map((_, i): Node => {
    const [p, q] = [at(i), at(i + 1)]
    if (!smooth) return node(p.x, p.y, 'side')
    const tangent = (k: number): Point => ({
      x: (at(k + 1).x - at(k - 1).x) / 6,
      y: (at(k + 1).y - at(k - 1).y) / 6,
    })
    const [a, b] = [tangent(i), tangent(i + 1)]
    return node(p.x, p.y, 'side', 0, curve({ x: p.x + a.x, y: p.y + a.y }, { x: q.x - b.x, y: q.y - b.y }))
  })
  const foot = at(readings.length - 1)
  const top = first.width > 0 ? [node(0, 0, 'top')] : []
  const end =
    last.width > 0 ? [node(foot.x, foot.y, 'foot'), node(0, foot.y, 'foot')] : [node(0, foot.y, 'side')]
  return half([...top, ...side, ...end])
}

/** Points clicked one after the other, joined by straight lines: all round, or one half of it. */
export function fromPoints(points: readonly Point[], halfAt: number | null): Outlined {
  const nodes = points.map((p, i) => node(p.x, p.y, `edge-${i + 1}`))
  const edges = nodes.map((n, i): DrawnEdge => ({
    id: n.edge,
    name: `edge ${i + 1}`,
    fate: { type: 'raw', finish: 'burnished' },
  }))
  if (halfAt === null) return { nodes, edges, mirror: null }
  const last = nodes.length - 1
  const ends = nodes.map((n, i) => ({
    ...n,
    x: i === 0 || i === last ? tidy(halfAt) : n.x,
    edge: i === last ? nth(nodes, last - 1).edge : n.edge,
  }))
  return { nodes: ends, edges: edges.slice(0, -1), mirror: { way: 'upright', at: tidy(halfAt) } }
}
