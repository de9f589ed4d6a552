import { mostRadius } from '../../parts/shape.js'
import { point, polyline } from '../../../geometry/index.js'
import { type Fold, type Join, type Panel, type PanelMark } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { leatherOf } from '../../kind.js'
import { type Bag } from '../bag.js'
import { lineSeam } from '../../parts/seams.js'
import { rectanglePanel, rowsAlong } from './onFace.js'
import { onto, part, type Part } from '../assembly.js'
import { BENCH, type Sizes } from './strapSizes.js'

/** A long part of two pieces is joined so far from the ring, mm and as a share of it: away from its holes and its bend. */
const JOINED = { fromRing: 40, share: 0.35 } as const

/** A strap that is joined laps so far, mm: as wide a skive as a bell-knife machine makes; docs/formulas.md §15. */
const JOIN_LAP = 50
/** Thinnest end of that lap, mm (J); docs/formulas.md §10. */
const JOIN_THIN = 0.4

/** The long part in one run, or of two pieces that lap halfway along: a part of its own for what is joined on. */
export function joinedOn(bag: Bag, s: Sizes, panels: readonly Panel[]): { panels: Panel[]; part: Part } {
  const { p, size, materials } = bag
  if (p.strapJoin === 'none') return { panels: [...panels], part: part({}) }
  const [long, ...rest] = panels as [Panel, ...Panel[]]
  const leather = leatherOf(materials, 'straps')
  const t = leather.thickness
  // Joined away from the holes and from the ring.
  const at = Math.max(s.back.value + JOINED.fromRing, s.long.value * JOINED.share)
  const first = size('strap.first', 'long part, piece at the ring', '{at} to the lap + {lap} lap', '§10', {
    at: given('to the lap', at),
    lap: given('lap', JOIN_LAP),
  })
  const second = size('strap.second', 'long part, piece with the holes', '{long} − {at} to the lap', '§10', {
    long: s.long,
    at: given('to the lap', at),
  })
  const w = p.strapWide
  // Each row begins where the skived end is thick enough to bear a stitch.
  const borne = (JOIN_LAP * (leather.bears - JOIN_THIN)) / Math.max(1e-6, t - JOIN_THIN)
  const from = Math.min(JOIN_LAP / 3, Math.max(4, borne + 1))
  const skive = (panel: Panel, edge: string): Panel => ({
    ...panel,
    skives: [
      { key: `lap.${panel.id}`, name: 'lap', chain: [edge], width: JOIN_LAP, start: JOIN_THIN, end: t },
    ],
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
      foot: mostRadius(w),
      marks: holeMarks(bag, s).map((m) => ({ ...m, at: point(w / 2, m.at.y - at) })),
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
        [from, JOIN_LAP - from],
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

const holeMarks = ({ p }: Bag, s: Sizes): PanelMark[] =>
  Array.from({ length: p.strapHoles }, (_, i) => ({
    type: 'hole',
    id: `hole-${i + 1}`,
    at: point(p.strapWide / 2, s.back.value + s.usual.value + (i - (p.strapHoles - 1) / 2) * p.strapSpacing),
    punch: BENCH.hole,
  }))

/** Where the buckle’s bar lies on the short part: in the middle of its bend. */
export const buckleAt = (p: Bag['p'], s: Sizes): number =>
  s.short.value - p.lap - (s.backBuckle.value - p.lap) / 2

const roundBar = (id: string, name: string, wide: number, y: number, width: number): Fold => ({
  id,
  name,
  from: point(0, y),
  to: point(wide, y),
  width,
  rises: 'mountain',
})

/** Long part, short part and keepers, `count` straps of them. */
export function strapPanels(bag: Bag, s: Sizes, count: number): Panel[] {
  const { p } = bag
  const w = p.strapWide
  const common = { grain: Math.PI / 2, pull: Math.PI / 2, count }
  return [
    rectanglePanel(bag, 'strap-long', 'Strap, long part', 'straps', w, s.long.value, {
      ...common,
      foot: mostRadius(w),
      marks: holeMarks(bag, s),
      folds: [
        roundBar('ring', 'round the ring', w, p.lap + (s.back.value - p.lap) / 2, s.back.value - p.lap),
      ],
    }),
    rectanglePanel(bag, 'strap-short', 'Strap, short part', 'straps', w, s.short.value, {
      ...common,
      folds: [
        roundBar('ring', 'round the ring', w, p.lap + (s.back.value - p.lap) / 2, s.back.value - p.lap),
        roundBar('buckle', 'round the buckle', w, buckleAt(p, s), s.backBuckle.value - p.lap),
      ],
      marks: [
        {
          type: 'slot',
          id: 'prong',
          at: point(w / 2, buckleAt(p, s)),
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
export function backSeams(
  { p }: Bag,
  s: Sizes,
  sheet: string,
  ends: readonly ('start' | 'end')[],
  total: number,
): Join[] {
  const m = p.margin
  return ends.flatMap((end) =>
    [m, p.strapWide - m].map((x, i): Join => {
      const y = (q: number): number => (end === 'start' ? q : total - q)
      const back = (end === 'start' ? s.back : s.backBuckle).value
      const [from, to] = [back + 4, back + p.lap - m]
      // Turned back, the end lies mirrored about the middle of its bend.
      const turned = (q: number): number => p.lap + back - q
      return {
        ...lineSeam({
          id: `${sheet}-${end}-${i + 1}`,
          name: `turn-back of the ${sheet.replaceAll('-', ' ')}, ${end === 'start' ? 'ring' : 'buckle'}, row ${i + 1}`,
          sheet,
          points: [point(x, y(from)), point(x, y(to))],
          through: [sheet],
          back: [1, 1],
          free: true,
        }),
        mate: { type: 'line', sheet, line: polyline([point(x, y(turned(from))), point(x, y(turned(to)))]) },
      }
    }),
  )
}

/** What of a strap is cut in one run. */
export const runsOf = (s: Sizes, joined: Part) => [
  {
    panelId: 'strap-long',
    name: 'long part of the strap',
    role: 'straps',
    length: joined.sizes[0]?.size ?? s.long,
  },
  { panelId: 'strap-short', name: 'short part of the strap', role: 'straps', length: s.short },
]
