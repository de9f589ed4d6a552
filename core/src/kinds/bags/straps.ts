import { keeperLength, turnBack } from '../../formulas/index.js'
import {
  type Point3,
  courseOf,
  point,
  point3Along,
  point3Subtract,
  point3Unit,
  point3Cross,
  point3Distance,
} from '../../geometry/index.js'
import type { Fitting, Hanging, Join, Panel, PanelMark, Stood } from '../../master/index.js'
import { type Reckoned, given } from '../../working/index.js'
import { leatherOf } from '../kind.js'
import { type Bag } from './bag.js'
import { onPanel, putOn, rectanglePanel, row, rowsAlong } from './onFace.js'
import { type Body, type Face, type Part, alone, onto, part, together } from './parts.js'

/** Bars, ends and loops of straps, mm. */
const BENCH = {
  bar: 4,
  prong: 3.5,
  hole: 5,
  tab: 28,
  keeper: 14,
  keeperLap: 12,
  pad: 260,
  yokeHigh: 60,
} as const

/** Lengths of a strap in two parts with a buckle, from the measure from ring to ring as it is worn. */
export function strapSizes(bag: Bag) {
  const { p, size, materials } = bag
  const leather = leatherOf(materials, 'straps')
  const k = given('neutral share', leather.neutral, 'share')
  const t = given('leather', leather.thickness, 'thickness')
  const back = size(
    'strap.back',
    'turned back round a bar',
    'π × ({bar} bar / 2 + {k} × {t}) + {lap} lap',
    '§10',
    { bar: given('bar', BENCH.bar), k, t, lap: given('lap', p.lap) },
    (v) => turnBack(v.bar, v.t, v.k, v.lap),
  )
  const usual = size(
    'strap.usual',
    'long part from its ring to the usual hole',
    '{carried} as worn − {short} short part',
    '§10',
    { carried: given('ring to ring', p.carried), short: given('short part', p.strapShort) },
    (v) => v.carried - v.short,
  )
  const holes = given('holes', p.strapHoles, 'count')
  const spacing = given('apart', p.strapSpacing)
  const long = size(
    'strap.long',
    'long part, cut',
    '{back} + {usual} + ({holes} − 1) / 2 × {spacing} + {tip} to the tip',
    '§10',
    { back, usual, holes, spacing, tip: given('tip', p.strapTip) },
    (v) => v.back + v.usual + ((v.holes - 1) / 2) * v.spacing + v.tip,
  )
  const short = size(
    'strap.short',
    'short part, cut: turned back at the ring and at the buckle',
    '{short} + 2 × {back}',
    '§10',
    { short: given('short part', p.strapShort), back },
    (v) => v.short + 2 * v.back,
  )
  const slot = size(
    'strap.slot',
    'slot for the buckle’s prong',
    'π × ({bar} bar / 2 + {k} × {t}) + {prong} prong',
    '§10',
    { bar: given('bar', BENCH.bar), k, t, prong: given('prong', BENCH.prong) },
    (v) => Math.PI * (v.bar / 2 + v.k * v.t) + v.prong,
  )
  const keeper = size(
    'strap.keeper',
    'a keeper, with its lap',
    '2 × ({wide} + 1) + 2 × (2 × {t} + 1) + 2 π × {k} × {t} + {lap} lap',
    '§10',
    { wide: given('strap', p.strapWide), t, k, lap: given('lap', BENCH.keeperLap) },
    (v) => keeperLength(v.wide, 2 * v.t, 1, 1, v.t, v.k) + v.lap,
  )
  const reach = (key: string, label: string, way: 1 | -1): Reckoned =>
    size(
      `strap.${key}`,
      label,
      `{carried} ${way > 0 ? '+' : '−'} ({holes} − 1) / 2 × {spacing}`,
      '§10',
      { carried: given('ring to ring', p.carried), holes, spacing },
      (v) => v.carried + (way * (v.holes - 1) * v.spacing) / 2,
    )
  const total = size(
    'strap.total',
    'strap leather in one run',
    '({long} + {short}) × {straps}',
    '§10',
    { long, short, straps: given('straps', p.strap === 'pair' ? 2 : 1, 'count') },
    (v) => (v.long + v.short) * v.straps,
  )
  const overlap = size(
    'strap.overlap',
    'overlap at the usual hole',
    '({holes} − 1) / 2 × {spacing} + {tip}',
    '§10',
    { holes, spacing, tip: given('tip', p.strapTip) },
    (v) => ((v.holes - 1) / 2) * v.spacing + v.tip,
  )
  return {
    back,
    usual,
    long,
    short,
    slot,
    keeper,
    total,
    overlap,
    least: reach('least', 'shortest it can be worn', -1),
    most: reach('most', 'longest it can be worn', 1),
  }
}

/** A strap that is joined laps so far, mm. */
const JOIN_LAP = 70

/** The long part in one run, or of two pieces that lap halfway along: a part of its own for what is joined on. */
function joinedOn(bag: Bag, s: Sizes, panels: readonly Panel[]): { panels: Panel[]; part: Part } {
  const { p, size, materials } = bag
  if (p.strapJoin === 'none') return { panels: [...panels], part: part({}) }
  const [long, ...rest] = panels as [Panel, ...Panel[]]
  const t = leatherOf(materials, 'straps').thickness
  // Joined away from the holes and from the ring.
  const at = Math.max(s.back.value + 40, s.long.value * 0.35)
  const first = size(
    'strap.first',
    'long part, piece at the ring',
    '{at} to the lap + {lap} lap',
    '§10',
    { at: given('to the lap', at), lap: given('lap', JOIN_LAP) },
    (v) => v.at + v.lap,
  )
  const second = size(
    'strap.second',
    'long part, piece with the holes',
    '{long} − {at} to the lap',
    '§10',
    { long: s.long, at: given('to the lap', at) },
    (v) => v.long - v.at,
  )
  const w = p.strapWide
  const skive = (panel: Panel, edge: string): Panel => ({
    ...panel,
    skives: [{ key: `lap.${panel.id}`, name: 'lap', chain: [edge], width: JOIN_LAP, start: 0.4, end: t }],
  })
  const ring = skive(
    rectanglePanel(bag, 'strap-long', 'Strap, long part, at the ring', 'straps', w, first.value, {
      grain: long.grain,
      pull: Math.PI / 2,
      count: long.count,
      folds: long.folds,
    }),
    'foot',
  )
  const tip = skive(
    rectanglePanel(bag, 'strap-tip', 'Strap, long part, with the holes', 'straps', w, second.value, {
      grain: long.grain,
      pull: Math.PI / 2,
      count: long.count,
      foot: w / 2 - 0.1,
      marks: holeMarks(bag, s).map((m) => ({ ...m, at: point(w / 2, ('at' in m ? m.at.y : 0) - at) })),
    }),
    'top',
  )
  return {
    panels: [ring, ...rest],
    part: part({
      panels: [tip],
      onto: [onto('strap-long', 'outside', tip, { a: 1, b: 0, c: 0, d: 1, e: 0, f: at })],
      joins: rowsAlong(
        'strap-lap',
        'lap of the strap',
        'strap-tip',
        [p.margin, w - p.margin],
        [4, JOIN_LAP - 4],
        ['strap-tip', 'strap-long'],
      ),
      sizes: [
        { panelId: 'strap-long', size: first },
        { panelId: 'strap-tip', size: second },
      ],
      strapRuns: [
        {
          panelId: 'strap-tip',
          name: 'long part of the strap, with the holes',
          role: 'straps',
          length: second,
        },
      ],
    }),
  }
}

type Sizes = ReturnType<typeof strapSizes>

const holeMarks = ({ p }: Bag, s: Sizes): PanelMark[] =>
  Array.from({ length: p.strapHoles }, (_, i) => ({
    type: 'hole',
    id: `hole-${i + 1}`,
    at: point(p.strapWide / 2, s.back.value + s.usual.value + (i - (p.strapHoles - 1) / 2) * p.strapSpacing),
    punch: BENCH.hole,
  }))

function strapPanels(bag: Bag, s: Sizes, count: number): Panel[] {
  const { p } = bag
  const w = p.strapWide
  const common = { grain: Math.PI / 2, pull: Math.PI / 2, count }
  return [
    rectanglePanel(bag, 'strap-long', 'Strap, long part', 'straps', w, s.long.value, {
      ...common,
      foot: w / 2 - 0.1,
      marks: holeMarks(bag, s),
      folds: [
        {
          id: 'ring',
          name: 'round the ring',
          from: point(0, p.lap + (s.back.value - p.lap) / 2),
          to: point(w, p.lap + (s.back.value - p.lap) / 2),
          width: s.back.value - p.lap,
          rises: 'hill',
        },
      ],
    }),
    rectanglePanel(bag, 'strap-short', 'Strap, short part', 'straps', w, s.short.value, {
      ...common,
      folds: [p.lap + (s.back.value - p.lap) / 2, s.short.value - p.lap - (s.back.value - p.lap) / 2].map(
        (y, i) => ({
          id: i === 0 ? 'ring' : 'buckle',
          name: i === 0 ? 'round the ring' : 'round the buckle',
          from: point(0, y),
          to: point(w, y),
          width: s.back.value - p.lap,
          rises: 'hill' as const,
        }),
      ),
      marks: [
        {
          type: 'slot',
          id: 'prong',
          at: point(w / 2, s.short.value - p.lap - (s.back.value - p.lap) / 2),
          angle: Math.PI / 2,
          length: s.slot.value,
          punch: BENCH.prong,
        },
      ],
    }),
    rectanglePanel(bag, 'keeper', 'Keeper', 'straps', s.keeper.value, BENCH.keeper, { count: 2 * count }),
  ]
}

/** Rows that hold a turn-back: one along the pull on either side of it, none across. */
function backSeams(
  { p }: Bag,
  s: Sizes,
  sheet: string,
  ends: readonly ('start' | 'end')[],
  total: number,
): Join[] {
  const m = p.margin
  return ends.flatMap((end) =>
    [m, p.strapWide - m].map((x, i) => {
      const y = (q: number): number => (end === 'start' ? q : total - q)
      const from = s.back.value + 4
      return row(
        `${sheet}-${end}-${i + 1}`,
        `turn-back of the ${sheet.replaceAll('-', ' ')}, ${end === 'start' ? 'ring' : 'buckle'}, row ${i + 1}`,
        sheet,
        [point(x, y(from)), point(x, y(from + p.lap - m - 4))],
        [sheet],
        [1, 1],
      )
    }),
  )
}

/** What a strap needs where it is put on: a loop of leather with a ring on either side. */
function tabs(
  bag: Bag,
  places: readonly { face: Face; x: number; y: number; id: string; words: string }[],
): Part {
  const { p, size, materials } = bag
  const leather = leatherOf(materials, 'straps')
  const length = size(
    'tab.length',
    'tab round a ring, both ends sewn on',
    '2 × {end} + π × ({bar} ring / 2 + {k} × {t})',
    '§10',
    {
      end: given('end', BENCH.tab),
      bar: given('ring', BENCH.bar),
      k: given('neutral share', leather.neutral, 'share'),
      t: given('leather', leather.thickness, 'thickness'),
    },
    (v) => 2 * v.end + turnBack(v.bar, v.t, v.k, 0),
  )
  const wide = Math.min(p.strapWide, Math.max(12, Math.min(...places.map((q) => q.face.wide)) - 4))
  const panel = rectanglePanel(bag, 'tab', 'Tab of a ring', 'straps', wide, length.value, {
    count: places.length,
    pull: Math.PI / 2,
  })
  const m = Math.min(p.margin, wide / 4)
  return part({
    panels: [panel],
    onto: places.map(({ face, x, y, id }) => putOn(face, panel, { x, y }, `tab-${id}`)),
    joins: places.flatMap(({ face, id, words }) =>
      rowsAlong(
        `tab-${id}-seam`,
        `tab ${words}`,
        `tab-${id}`,
        [m, wide - m],
        [m, BENCH.tab - 2],
        [`tab-${id}`, face.sheet],
      ),
    ),
    fittings: places.map(({ face, x, y, id, words }): Fitting => ({
      id: `ring-${id}`,
      name: `ring ${words}`,
      role: 'ring',
      sheet: face.sheet,
      at: onPanel(face, x, y - 2),
      up: -Math.PI / 2,
      through: [],
      held: true,
      count: 1,
      before: `tab-${id}-seam-1`,
    })),
    sizes: [{ panelId: 'tab', size: length }],
  })
}

const runsOf = (s: Sizes, joined: Part) => [
  {
    panelId: 'strap-long',
    name: 'long part of the strap',
    role: 'straps',
    length: joined.sizes[0]?.size ?? s.long,
  },
  { panelId: 'strap-short', name: 'short part of the strap', role: 'straps', length: s.short },
]

function fittingsOf(bag: Bag, s: Sizes, count: number): Fitting[] {
  const { p } = bag
  const at = (y: number) => point(p.strapWide / 2, y)
  return [
    {
      id: 'buckle',
      name: 'buckle of the strap',
      role: 'buckle',
      sheet: 'strap-short',
      at: at(s.short.value - p.lap - (s.back.value - p.lap) / 2),
      up: Math.PI / 2,
      through: [],
      held: true,
      count,
      before: 'strap-short-end-1',
    },
  ]
}

/** Where a strap stands: from one place to another over an arc that its length makes. */
function arched(sheet: string, from: Point3, to: Point3, out: Point3, length: number, wide: number): Stood {
  const chord = point3Distance(from, to)
  const way = point3Unit(point3Subtract(to, from))
  const turn = arcOver(length, chord)
  const [c, s] = [Math.cos(turn / 2), Math.sin(turn / 2)]
  const along = { x: way.x * c + out.x * s, y: way.y * c + out.y * s, z: way.z * c + out.z * s }
  const across = point3Cross(way, out)
  return {
    sheet,
    proud: 0,
    group: 'straps',
    parts: [
      {
        clips: [],
        from: point(wide / 2, 0),
        along: point(0, 1),
        course: courseOf([{ length, turn }]),
        frame: { origin: from, along, rise: point3Cross(across, along) },
      },
    ],
  }
}

/** The angle whose arc of a length spans a chord. */
export function arcOver(length: number, chord: number): number {
  if (length <= chord * 1.0001) return 0.03
  let [low, high] = [0.01, 2 * Math.PI - 0.01]
  for (let i = 0; i < 60; i += 1) {
    const mid = (low + high) / 2
    if ((2 * Math.sin(mid / 2)) / mid > chord / length) low = mid
    else high = mid
  }
  return (low + high) / 2
}

/** A strap over the shoulder, its two parts hung from rings at the sides. */
export function shoulderStrap(bag: Bag, body: Body): Part {
  const { p } = bag
  const s = strapSizes(bag)
  const { panels, part: joined } = joinedOn(bag, s, strapPanels(bag, s, 1))
  const places = [
    { face: body.right, x: 0, y: 8, id: 'right', words: 'at the right side' },
    { face: body.left, x: 0, y: 8, id: 'left', words: 'at the left side' },
  ]
  const hanging: Hanging = {
    name: 'shoulder strap',
    points: places.map(({ face, x, y }) => ({ sheet: face.sheet, at: onPanel(face, x, y) })),
  }
  return together([
    tabs(bag, places),
    joined,
    part({
      panels,
      piles: panels.map((q) => alone(q)),
      joins: [
        ...backSeams(bag, s, 'strap-long', ['start'], s.long.value),
        ...backSeams(bag, s, 'strap-short', ['start', 'end'], s.short.value),
      ],
      fittings: fittingsOf(bag, s, 1),
      sizes: [
        ...[s.usual, s.long, s.overlap, s.least, s.most, s.total].map((size) => ({
          panelId: 'strap-long',
          size,
        })),
        ...[s.back, s.short, s.slot].map((size) => ({ panelId: 'strap-short', size })),
        { panelId: 'keeper', size: s.keeper },
      ],
      strapRuns: runsOf(s, joined),
      hanging: [hanging],
      stood: (opened) => {
        const [a, b] = places.map(({ face, x, y }) => {
          const f = face.frame(opened)
          return point3Along(
            point3Along(point3Along(f.origin, f.right, x), f.down, y - 6),
            f.grain,
            face.proud + 4,
          )
        }) as [Point3, Point3]
        const up = { x: 0, y: 1, z: 0 }
        // Both parts lie on one arc from ring to ring; the long one goes past the buckle by the overlap.
        const whole = arched('strap-long', b, a, up, p.carried, p.strapWide)
        const [one] = whole.parts
        return [
          {
            ...whole,
            parts: [
              {
                ...one!,
                clips: [
                  { at: point(0, s.back.value), inward: point(0, 1) },
                  { at: point(0, s.back.value + s.usual.value + s.overlap.value), inward: point(0, -1) },
                ],
                from: point(p.strapWide / 2, s.back.value),
              },
            ],
          },
          {
            ...whole,
            sheet: 'strap-short',
            proud: -2,
            parts: [
              {
                ...one!,
                // It comes from the other ring and meets the long part at the buckle.
                clips: [
                  { at: point(0, s.back.value), inward: point(0, 1) },
                  { at: point(0, s.back.value + p.strapShort), inward: point(0, -1) },
                ],
                from: point(p.strapWide / 2, s.back.value + p.carried),
                along: point(0, -1),
              },
            ],
          },
        ]
      },
    }),
  ])
}

/** Two straps over the shoulders: from a yoke on the back’s top to rings at its lower corners. */
export function shoulderPair(bag: Bag, body: Body): Part {
  const { p } = bag
  const s = strapSizes(bag)
  const { panels, part: joined } = joinedOn(bag, s, strapPanels(bag, s, 2))
  const { back } = body
  const apart = Math.min(back.wide / 3, 60)
  const yokeWide = Math.min(back.wide - 10, 2 * apart + p.strapWide + 30)
  const yoke = rectanglePanel(bag, 'yoke', 'Strap panel', 'gusset', yokeWide, BENCH.yokeHigh, { corner: 10 })
  // Below what is sewn along the top, and below a closing strap.
  const top = (p.top === 'single' ? 10 : p.topBand + 6) + (p.closure === 'strap' ? 48 : 0)
  const corner = back.wide / 2 - p.strapWide / 2 - 6
  const places = [
    { face: back, x: -corner, y: back.high - BENCH.tab - 18, id: 'right', words: 'at the right corner' },
    { face: back, x: corner, y: back.high - BENCH.tab - 18, id: 'left', words: 'at the left corner' },
  ]
  const m = p.margin
  const pad = rectanglePanel(
    bag,
    'pad',
    'Shoulder pad',
    'inner',
    p.strapWide + 22,
    Math.min(BENCH.pad, p.carried / 3),
    { count: 4, corner: 18, notes: ['two to a strap, foam between; the strap is sewn through both'] },
  )
  const pads = p.strapPad === 'pad' ? part({ panels: [pad], piles: [alone(pad)] }) : part({})
  return together([
    pads,
    tabs(bag, places),
    joined,
    part({
      panels: [...panels, yoke],
      piles: panels.map((q) => alone(q)),
      onto: [putOn(back, yoke, { x: 0, y: top })],
      joins: [
        ...backSeams(bag, s, 'strap-long', ['start'], s.long.value),
        ...backSeams(bag, s, 'strap-short', ['start', 'end'], s.short.value),
        row(
          'yoke-top',
          'strap panel, upper row',
          'yoke',
          [point(10, m), point(yokeWide - 10, m)],
          ['yoke', back.sheet],
        ),
        row(
          'yoke-foot',
          'strap panel, lower row',
          'yoke',
          [point(10, BENCH.yokeHigh - m), point(yokeWide - 10, BENCH.yokeHigh - m)],
          ['yoke', back.sheet],
        ),
      ],
      fittings: fittingsOf(bag, s, 2),
      sizes: [
        ...[s.usual, s.long, s.overlap, s.least, s.most, s.total].map((size) => ({
          panelId: 'strap-long',
          size,
        })),
        ...[s.back, s.short, s.slot].map((size) => ({ panelId: 'strap-short', size })),
        { panelId: 'keeper', size: s.keeper },
      ],
      strapRuns: runsOf(s, joined),
      stood: (opened) => {
        const f = back.frame(opened)
        const on = (x: number, y: number): Point3 =>
          point3Along(point3Along(point3Along(f.origin, f.right, x), f.down, y), f.grain, back.proud + 4)
        return [
          arched(
            'strap-long',
            on(apart, top + BENCH.yokeHigh),
            on(corner, back.high - BENCH.tab - 10),
            f.grain,
            s.usual.value,
            p.strapWide,
          ),
        ].map((one) => ({
          ...one,
          parts: one.parts.map((q) => ({
            ...q,
            clips: [
              { at: point(0, s.back.value), inward: point(0, 1) },
              { at: point(0, s.back.value + s.usual.value), inward: point(0, -1) },
            ],
            from: point(p.strapWide / 2, s.back.value),
          })),
        }))
      },
    }),
  ])
}
