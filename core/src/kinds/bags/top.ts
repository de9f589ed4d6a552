import { type Point3, courseOf, moveThen, point, point3Along } from '../../geometry/index.js'
import type { Fitting, Join } from '../../master/index.js'
import { given } from '../../working/index.js'
import { type Bag } from './bag.js'
import { type Flap, flapOf, flapPart, flapReach } from './flap.js'
import { onPanel, putOn, rectanglePanel, row, rowsAlong } from './onFace.js'
import { type Body, type Part, alone, part, together } from './parts.js'
import { outlineOf, plainPanel } from '../parts/shape.js'

/** From the tip of a flap to its closure; width of a closing strap and of the loop it goes through, mm. */
const BENCH = { closureIn: 22, sewnLap: 25, strapWide: 24, loopWide: 16, strapOver: 70 } as const

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
  const { over, bend } = flap
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
    folds: [-bend / 2, -(over.value - bend / 2)].map((y, i) => ({
      id: `flap-${i + 1}`,
      name: i === 0 ? 'fold at the back' : 'fold at the front',
      from: point(0, y),
      to: point(wide, y),
      width: bend,
      rises: 'hill',
      angle: Math.PI / 2 + body.lean,
    })),
    labelAt: point(wide / 2, -flap.length / 2 - over.value),
  })
  const m = p.margin
  const line = (y: number) => [point(m, y), point(wide - m, y)]
  const there = (y: number): Join['mate'] => ({
    type: 'line',
    sheet: body.back.sheet,
    line: {
      closed: false,
      segments: [
        {
          type: 'line',
          from: onPanel(body.back, -wide / 2 + m, y),
          to: onPanel(body.back, wide / 2 - m, y),
        },
      ],
    },
  })
  const out = body.back.proud + bag.body.thickness
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
        return [{ sheet: 'flap', proud: 0, parts: [flapPart(flap, 1 - opened, start, up, grain, lap)] }]
      },
    }),
  }
}

/** Where the flap’s tip lies on its sheet, and how far down the front it comes. */
interface Tip {
  readonly sheet: string
  readonly at: (up: number) => { x: number; y: number }
  readonly down: number
  readonly thickness: number
}

/** What holds the bag shut: on the flap and on the front, or between front and back where there is no flap. */
export function closure(bag: Bag, body: Body, flap: Flap | undefined): Part {
  const { p } = bag
  if (p.closure === 'none') return part({})
  if (p.closure === 'zip') return zipped(bag, body)
  const wide = body.back.wide
  const tip: Tip | undefined = flap && {
    sheet: p.flap === 'sewn' ? 'flap' : body.back.sheet,
    at: (up) =>
      p.flap === 'sewn'
        ? { x: wide / 2, y: -flapReach(flap) + up }
        : onPanel(body.back, 0, -flapReach(flap) + up),
    down: flap.length,
    thickness: bag.body.thickness,
  }
  if (p.closure === 'strap') return strapped(bag, body, tip)
  const role = p.closure
  const down = tip ? tip.down - BENCH.closureIn : Math.max(12, p.top === 'single' ? 15 : p.topBand / 2)
  const half = (
    id: string,
    name: string,
    sheet: string,
    at: { x: number; y: number },
    which: 'upper' | 'lower',
  ): Fitting => ({
    id,
    name,
    role,
    sheet,
    at,
    up: -Math.PI / 2,
    through: [
      { sheet, times: 1 },
      ...(p.top === 'doubled' && !tip
        ? [{ sheet: which === 'lower' ? 'facing-front' : 'facing-back', times: 1 }]
        : []),
    ],
    count: 1,
    half: which,
    ...(firstSeam(body) ? { before: firstSeam(body)! } : {}),
  })
  return part({
    fittings: [
      tip
        ? half('closure-flap', `${role} on the flap`, tip.sheet, tip.at(BENCH.closureIn), 'upper')
        : half('closure-back', `${role} at the back`, body.back.sheet, onPanel(body.back, 0, down), 'upper'),
      half('closure-front', `${role} on the front`, body.front.sheet, onPanel(body.front, 0, down), 'lower'),
    ],
    fits: tip
      ? [
          {
            id: 'closure-on-front',
            rank: 'stop',
            what: 'the closure on the front',
            panelId: body.panels.find((q) => q.id === body.front.sheet)?.id ?? 'front',
            at: onPanel(body.front, 0, body.front.high - 5),
            why: 'it would lie on the foot seam or below it: shorten the flap',
            keys: [],
            remedy: { field: 'flapLength', value: Math.max(20, Math.floor(body.front.high - 20)) },
            needs: bag.size(
              'fit.closure',
              'needs',
              '{down} down the front + 20',
              '§20',
              { down: given('down', down) },
              (v) => v.down + 20,
            ),
            has: bag.size(
              'fit.closureHas',
              'height of the front',
              '{high}',
              '§20',
              { high: given('high', body.front.high) },
              (v) => v.high,
            ),
          },
        ]
      : [],
  })
}

/** The run that closes the body: what is inside can’t be reached through a machine or a setter any more. */
export const firstSeam = (body: Body): string | undefined =>
  body.joins.find((j) => j.mate && !j.id.endsWith('-second'))?.id

/** A strap on the flap that goes down through a loop on the front; without a flap, from the back over the top. */
function strapped(bag: Bag, body: Body, tip: Tip | undefined): Part {
  const { p, size } = bag
  const m = p.margin
  const t = bag.body.thickness
  const sewn = 45
  const length = size(
    'closing.length',
    'closing strap',
    '{sewn} sewn on + {over} beyond the edge',
    '§20',
    {
      sewn: given('sewn', sewn),
      over: given('over', tip ? BENCH.strapOver : BENCH.strapOver + bag.s.outDeep.value),
    },
    (v) => v.sewn + v.over,
  )
  const loop = size(
    'closing.loop',
    'loop for the closing strap, with its ends sewn down',
    '{wide} strap + 2 × {t} + 2 × {t} room + 2 × {ends} ends',
    '§10',
    { wide: given('strap', BENCH.strapWide), t: given('leather', t, 'thickness'), ends: given('ends', 14) },
    (v) => v.wide + 4 * v.t + 2 * v.ends,
  )
  const strap = rectanglePanel(
    bag,
    'closing-strap',
    'Closing strap',
    'straps',
    BENCH.strapWide,
    length.value,
    {
      corner: 0,
      foot: BENCH.strapWide / 2 - 0.1,
      pull: Math.PI / 2,
    },
  )
  const keeper = rectanglePanel(
    bag,
    'closing-loop',
    'Loop of the closing strap',
    'straps',
    loop.value,
    BENCH.loopWide,
  )
  const down = tip ? tip.down + 28 : Math.min(90, body.front.high / 2)
  const onto = tip
    ? {
        on: tip.sheet,
        where: 'outside' as const,
        sheet: {
          type: 'panel' as const,
          id: 'closing-strap',
          name: 'closing strap',
          panelId: 'closing-strap',
          grainUp: true,
          clips: [],
          // Its sewn end lies up the flap; it hangs beyond the tip, which lies uppermost on the piece.
          move: { a: -1, b: 0, c: 0, d: -1, e: tip.at(0).x + BENCH.strapWide / 2, f: tip.at(sewn).y },
        },
      }
    : {
        on: body.back.sheet,
        where: 'outside' as const,
        sheet: {
          type: 'panel' as const,
          id: 'closing-strap',
          name: 'closing strap',
          panelId: 'closing-strap',
          grainUp: true,
          clips: [],
          // Sewn below the top edge of the back, it reaches up and over.
          move: moveThen(
            {
              a: -1,
              b: 0,
              c: 0,
              d: -1,
              e: BENCH.strapWide / 2,
              f: (p.top === 'single' ? 6 : p.topBand + 4) + sewn,
            },
            body.back.move,
          ),
        },
      }
  const far = sewn - m
  return part({
    panels: [strap, keeper],
    onto: [onto, putOn(body.front, keeper, { x: 0, y: down })],
    joins: [
      ...rowsAlong(
        'closing-seam',
        'closing strap',
        'closing-strap',
        [m, BENCH.strapWide - m],
        [m, far],
        ['closing-strap', tip ? tip.sheet : body.back.sheet],
      ),
      ...([0, 1] as const).map((i) =>
        row(
          `loop-${i + 1}`,
          `end ${i + 1} of the loop`,
          'closing-loop',
          [point(i === 0 ? 7 : loop.value - 7, 2), point(i === 0 ? 7 : loop.value - 7, BENCH.loopWide - 2)],
          ['closing-loop', body.front.sheet],
          [1, 1],
        ),
      ),
    ],
    sizes: [
      { panelId: 'closing-strap', size: length },
      { panelId: 'closing-loop', size: loop },
    ],
  })
}

/** Two bands between front and back with a zip between them. */
function zipped(bag: Bag, body: Body): Part {
  const { p, s, size } = bag

  const length = size(
    'zip.length',
    'zip from stop to stop',
    '{wide} width − 2 × {ends} at the ends',
    '§20',
    { wide: s.wide, ends: given('ends', 12) },
    (v) => v.wide - 2 * v.ends,
  )
  const band = size(
    'zip.band',
    'a band beside the zip',
    '({deep} depth − {gap} for the teeth) / 2 + {under} sewn under the top edge',
    '§20',
    { deep: s.deep, gap: given('teeth', 6), under: given('under', 12) },
    (v) => Math.max(14, (v.deep - v.gap) / 2 + v.under),
  )
  const wide = Math.min(body.front.wide, body.back.wide) - 4
  return together(
    (['front', 'back'] as const).map((id, i) => {
      const face = body[id]
      const panel = rectanglePanel(bag, `zip-${id}`, `Zip band, ${id}`, 'inner', wide, band.value)
      const m = p.margin
      return part({
        panels: [panel],
        piles: [alone(panel)],
        joins: [
          {
            ...row(
              `zip-${id}-seam`,
              `zip band to the ${id}`,
              panel.id,
              [point(4, m), point(wide - 4, m)],
              [panel.id, face.sheet],
            ),
            mate: {
              type: 'line',
              sheet: face.sheet,
              line: {
                closed: false,
                segments: [
                  {
                    type: 'line',
                    from: onPanel(face, wide / 2 - 4, 6 + m),
                    to: onPanel(face, 4 - wide / 2, 6 + m),
                  },
                ],
              },
            },
          },
          row(
            `zip-${id}-tape`,
            `zip to its band, ${id}`,
            panel.id,
            [point(4, band.value - 4), point(wide - 4, band.value - 4)],
            [panel.id],
          ),
        ],
        sizes: [{ panelId: panel.id, size: band }, ...(i === 0 ? [{ panelId: panel.id, size: length }] : [])],
        fittings:
          i === 0
            ? [
                {
                  id: 'zip',
                  name: 'zip',
                  role: 'zip',
                  sheet: panel.id,
                  at: point(wide / 2, band.value + 2),
                  up: 0,
                  through: [],
                  held: true,
                  count: 1,
                  length,
                  before: `zip-${id}-seam`,
                },
              ]
            : [],
        stood: (opened) => {
          // Pushed up and open while the bag is open, level when it is shut.
          const { origin, right, grain, down } = face.frame(opened)
          const level = 6 + m
          const at = (v: 'x' | 'y' | 'z'): number =>
            origin[v] + (right[v] * wide) / 2 + down[v] * level - grain[v] * bag.body.thickness
          return [
            {
              sheet: panel.id,
              proud: face.proud,
              parts: [
                {
                  clips: [],
                  from: point(0, m),
                  along: point(0, 1),
                  course: courseOf([
                    { length: 6, turn: (Math.PI / 2) * (1 - opened) },
                    { length: band.value },
                  ]),
                  frame: {
                    origin: { x: at('x'), y: at('y'), z: at('z') },
                    along: { x: -down.x, y: -down.y, z: -down.z },
                    rise: grain,
                  },
                },
              ],
            },
          ]
        },
      })
    }),
  )
}
