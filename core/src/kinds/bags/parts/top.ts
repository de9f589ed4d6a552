import { moveThen, point, polyline, point3Along, type Point3 } from '../../../geometry/index.js'
import type { EdgeTreatment, Join } from '../../../master/index.js'
import { outlineOf, plainPanel } from '../../parts/shape.js'
import { type Bag } from '../bag.js'
import { BENCH } from './closingStrap.js'
import { flapFolded, flapOf, flapPart, flapReach, type Flap } from './flap.js'
import { onPanel, putOn, rectanglePanel, row } from './onFace.js'
import { alone, onto, part, together, type Body, type Face, type Part } from '../assembly.js'
import { hemRow } from '../mouth.js'
import { required } from '../../../lists/index.js'

/** Rows of a band begin and end so far from its ends, mm. */
const ROW_ENDS = { from: 3, to: 5 } as const

/** The top edges: a band behind them, or a hem. Single tops are only finished. */
export function topEdges(bag: Bag, body: Body): Part {
  const { p } = bag
  const faces = [body.front, ...(body.flap ? [] : [body.back])]
  if (p.top === 'single') return part({})
  if (p.top === 'rolled')
    return part({
      joins: faces.map((face, i): Join => {
        const half = face.wide / 2 - 4
        const y = hemRow(p.topBand)
        return row(
          i === 0 ? 'hem-front' : 'hem-back',
          i === 0 ? 'hem of the front' : 'hem of the back',
          face.sheet,
          [onPanel(face, -half, y), onPanel(face, half, y)],
          [face.sheet],
        )
      }),
    })
  return p.top === 'banded'
    ? intoSeams(bag, body, faces)
    : together(faces.map((face, i) => band(bag, face, i)))
}

/** A band behind the top edge of front or back, ending short of the seams beside it. */
function band(bag: Bag, face: Face, i: number): Part {
  const { p } = bag
  const which = i === 0 ? 'front' : 'back'
  const id = `facing-${which}`
  const panel = rectanglePanel(bag, id, `Band of the ${which}`, 'body', face.wide - 2, p.topBand)
  return part({
    panels: [panel],
    onto: [putOn(face, panel, { x: 0, y: 0, inside: true })],
    joins: bandRows(bag, face.sheet, {
      id,
      which,
      from: () => ROW_ENDS.from,
      to: () => face.wide - ROW_ENDS.to,
    }),
  })
}

interface Rows {
  readonly id: string
  readonly which: string
  /** Where they begin and end, so far down. */
  readonly from: (down: number) => number
  readonly to: (down: number) => number
}

/** One row under its top edge and one over its lower one. */
function bandRows({ p }: Bag, on: string, { id, which, from, to }: Rows): Join[] {
  const m = p.margin
  const line = (y: number) => [point(from(y), y), point(to(y), y)]
  return [
    row(`${id}-top`, `top row of the ${which}`, id, line(m), [id, on]),
    row(`${id}-foot`, `lower row of the band, ${which}`, id, line(p.topBand - m), [id, on]),
  ]
}

/** Between the seam beside it and the end of a row of the band, mm. */
const CLEAR = 4

/** A band into the seams: what it is called, and what becomes of its edges that lie left and right on its face. */
interface Seamed {
  readonly id: string
  readonly which: string
  readonly sides: readonly [EdgeTreatment, EdgeTreatment]
}

/** Bands that reach into the seams beside them, on every piece that has a top edge of its own. */
function intoSeams(bag: Bag, body: Body, faces: readonly Face[]): Part {
  const whole = new Set(faces.map((face) => face.sheet))
  const [front, back] = [bag.seamed, bag.back.seamed]
  type Made = readonly [Face, Seamed]
  const flat: readonly Made[] = [
    [body.front, { id: 'facing-front', which: 'front', sides: [front, front] }],
    [body.back, { id: 'facing-back', which: 'back', sides: [back, back] }],
  ]
  // Seen from outside, the right side has the back on its right.
  const sides: readonly Made[] = [
    [body.right, { id: 'facing-right', which: 'right side', sides: [front, back] }],
    [body.left, { id: 'facing-left', which: 'left side', sides: [back, front] }],
  ]
  return together(
    [
      ...flat.filter(([face]) => faces.includes(face)),
      ...sides.filter(([face]) => face.edges && !whole.has(face.sheet)),
    ].map(([face, band]) => seamedBand(bag, face, band)),
  )
}

/** A band as wide as the piece that it doubles: narrower further down where that is. */
function seamedBand(bag: Bag, face: Face, { id, which, sides }: Seamed): Part {
  const high = bag.p.topBand
  const edges = face.edges ?? (() => [-face.wide / 2, face.wide / 2] as const)
  const [[l, r], [footL, footR]] = [edges(0), edges(high)]
  // Seen from inside: its left is the right of the piece.
  const x0 = Math.min(-r, -footR)
  const fates: Readonly<Record<string, EdgeTreatment>> = { right: sides[0], left: sides[1] }
  const panel = plainPanel({
    id,
    name: `Band of the ${which}`,
    role: 'body',
    ...outlineOf(
      [
        { x: -r - x0, y: 0, edge: 'top' },
        { x: -l - x0, y: 0, edge: 'right' },
        { x: -footL - x0, y: high, edge: 'foot' },
        { x: -footR - x0, y: high, edge: 'left' },
      ],
      (edge) => fates[edge] ?? bag.plain,
    ),
    labelAt: point((r - l) / 2, high / 2),
  })
  const inner = bag.margin.value + CLEAR
  const at = (top: number, foot: number) => (down: number) => top + ((foot - top) * down) / high - x0
  return part({
    panels: [panel],
    onto: [onto(face.sheet, 'inside', panel, moveThen({ a: -1, b: 0, c: 0, d: 1, e: -x0, f: 0 }, face.move))],
    joins: bandRows(bag, face.sheet, {
      id,
      which,
      from: (down) => at(-r, -footR)(down) + inner,
      to: (down) => at(-l, -footL)(down) - inner,
    }),
  })
}

/** A flap of its own, lapped on the outside of the back and held by two rows. */
export function sewnFlap(bag: Bag, body: Body): { part: Part; flap: Flap } {
  const { p } = bag
  const lap = BENCH.sewnLap
  const wide = body.back.wide
  const flap = { ...flapOf(bag, body.apart, wide, body.lean), inset: 0 }
  const reach = flapReach(flap)
  const { over } = flap
  const radius = flap.radius
  const panel = plainPanel({
    id: 'flap',
    name: 'Flap',
    role: 'body',
    ...outlineOf(
      [
        { x: 0, y: -reach, radius, edge: 'flap', ...(radius > 0 ? { corner: 'flap-round-left' } : {}) },
        {
          x: wide,
          y: -reach,
          radius,
          edge: 'flap-right',
          ...(radius > 0 ? { corner: 'flap-round-right' } : {}),
        },
        { x: wide, y: lap, edge: 'lap' },
        { x: 0, y: lap, edge: 'flap-left' },
      ],
      () => bag.plain,
    ),
    ...flapFolded(flap, wide, bag.body.thickness),
    labelAt: point(wide / 2, -flap.length / 2 - over.value),
  })
  const m = p.margin
  const line = (y: number) => [point(m, y), point(wide - m, y)]
  const there = (y: number): Join['mate'] => ({
    type: 'line',
    sheet: body.back.sheet,
    line: polyline([onPanel(body.back, -wide / 2 + m, y), onPanel(body.back, wide / 2 - m, y)]),
  })
  const out = body.back.seamOffset + bag.body.thickness
  const rows = [m, lap - m].map((y, i): Join => ({
    ...row(`flap-row-${i + 1}`, `row ${i + 1} of the flap`, 'flap', line(y), ['flap', body.back.sheet]),
    mate: required(there(y), 'line on the other sheet'),
  }))
  return {
    flap,
    part: part({
      panels: [panel],
      piles: [alone(panel)],
      joins: rows,
      sizes: [{ panelId: 'flap', size: over }],
      stood: (opened) => {
        const { origin, right, down, grain } = body.back.frame(opened)
        const corner: Point3 = point3Along(point3Along(origin, right, -wide / 2), grain, out)
        const start = point3Along(corner, down, lap)
        const up = { x: -down.x, y: -down.y, z: -down.z }
        return [{ sheet: 'flap', seamOffset: 0, parts: [flapPart(flap, 1 - opened, start, up, grain, lap)] }]
      },
    }),
  }
}
