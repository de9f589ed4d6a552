import { point, polyline, point3Along, type Point3 } from '../../../geometry/index.js'
import { type Join } from '../../../master/index.js'
import { outlineOf, plainPanel } from '../../parts/shape.js'
import { type Bag } from '../bag.js'
import { BENCH } from './closingStrap.js'
import { flapFolded, flapOf, flapPart, flapReach, type Flap } from './flap.js'
import { onPanel, putOn, rectanglePanel, row } from './onFace.js'
import { alone, part, together, type Body, type Part } from '../assembly.js'

/** The top edges: a band behind them, or a hem. Single tops are only finished. */
export function topEdges(bag: Bag, body: Body): Part {
  const { p } = bag
  const faces = [body.front, ...(body.flap ? [] : [body.back])]
  if (p.top === 'single') return part({})
  if (p.top === 'rolled')
    return part({
      joins: faces.map((face, i): Join => {
        const half = face.wide / 2 - 4
        const y = Math.max(3, p.topBand - 6)
        return row(
          i === 0 ? 'hem-front' : 'hem-back',
          i === 0 ? 'hem of the front' : 'hem of the back',
          face.sheet,
          [onPanel(face, -half, y), onPanel(face, half, y)],
          [face.sheet],
        )
      }),
    })
  return together(
    faces.map((face, i) => {
      const which = i === 0 ? 'front' : 'back'
      const id = `facing-${which}`
      const panel = rectanglePanel(bag, id, `Band of the ${which}`, 'body', face.wide - 2, p.topBand)
      const m = p.margin
      const line = (y: number) => [point(3, y), point(face.wide - 5, y)]
      return part({
        panels: [panel],
        onto: [putOn(face, panel, { x: 0, y: 0, inside: true })],
        joins: [
          row(`${id}-top`, `top row of the ${which}`, id, line(m), [id, face.sheet]),
          row(`${id}-foot`, `lower row of the band, ${which}`, id, line(p.topBand - m), [id, face.sheet]),
        ],
      })
    }),
  )
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
    mate: there(y)!,
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
