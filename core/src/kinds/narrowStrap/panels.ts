import { point } from '../../geometry/index.js'
import type { EdgeTreatment, Panel, PanelMark } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type FoldedPanel, foldsOf } from '../parts/folding.js'
import {
  type Named,
  type Shape,
  finishedFate,
  outlineOf,
  plainPanel,
  rectangleShape,
  turnedFate,
  LEFT_BETWEEN,
} from '../parts/shape.js'
import type { StrapParams } from './params.js'
import { BENCH, type StrapSizes } from './sizes.js'

/** The taper ends this far before the first hole, and is no shorter than that, mm. */
const TAPER = { beforeHole: 6, min: 10 } as const
/** The point of a strap is rounded by this, mm. */
const POINT_RADIUS = 1.5

export const lined = (p: StrapParams): boolean => p.lining === 'lined'

/** From the bar the strap tapers as far as the first hole. */
const taperEnd = (p: StrapParams, s: StrapSizes): number =>
  Math.max(TAPER.min, s.usual.value - ((p.holes - 1) / 2) * p.spacing - TAPER.beforeHole)

const edgeFate = (p: StrapParams, materials: Materials): ((edge: string) => EdgeTreatment) => {
  const plain = finishedFate(p.finish, 0, () => false)
  const width = Math.min(p.turn, p.narrowEnd / 2 - 1)
  const turned = turnedFate(width, 'even', leatherOf(materials, 'outside'), p.margin)
  return (edge) => (p.edges === 'turned' && edge !== 'end' && edge !== 'buckle-end' ? turned : plain(edge))
}

/** The tongue piece from the end that is turned back to its tip; `inset` draws it smaller, from the bar on. */
function tongueShape(
  p: StrapParams,
  s: StrapSizes,
  inset: number,
  fromBar: boolean,
  fate: (edge: string) => EdgeTreatment,
): Shape {
  const bar = fromBar ? 0 : s.backEnd.value
  const [wide, narrow] = [p.wideEnd / 2 - inset, p.narrowEnd / 2 - inset]
  const [taper, end] = [bar + taperEnd(p, s), bar + s.long.value - inset]
  const c = p.wideEnd / 2
  const round = Math.max(0, Math.min(narrow, end - taper) - LEFT_BETWEEN)
  const tip: Named[] =
    p.tip === 'pointed'
      ? [
          { x: c + narrow, y: end - narrow, edge: 'tip-right' },
          { x: c, y: end, radius: POINT_RADIUS, edge: 'tip-left', corner: 'tip' },
          { x: c - narrow, y: end - narrow, edge: 'left' },
        ]
      : [
          { x: c + narrow, y: end, radius: round, edge: 'tip-right', corner: 'tip-round-right' },
          { x: c - narrow, y: end, radius: round, edge: 'left', corner: 'tip-round-left' },
        ]
  return outlineOf(
    [
      { x: c - wide, y: 0, edge: 'end' },
      { x: c + wide, y: 0, edge: 'back-right' },
      ...(bar > 0 ? [{ x: c + wide, y: bar, edge: 'right' }] : []),
      { x: c + narrow, y: taper, edge: 'right-holes' },
      ...tip,
      { x: c - narrow, y: taper, edge: 'left-taper' },
      ...(bar > 0 ? [{ x: c - wide, y: bar, edge: 'back-left' }] : []),
    ].map((corner) => (bar === 0 && corner.edge === 'back-right' ? { ...corner, edge: 'right' } : corner)),
    fate,
  )
}

/** The buckle piece: turned back at the bar and round the buckle. */
function buckleShape(
  p: StrapParams,
  s: StrapSizes,
  inset: number,
  fromBar: boolean,
  fate: (edge: string) => EdgeTreatment,
): Shape {
  const [bar, after] = fromBar ? [0, 0] : [s.backEnd.value, s.backBuckle.value]
  const [wide, narrow, c] = [p.wideEnd / 2 - inset, p.narrowEnd / 2 - inset, p.wideEnd / 2]
  const buckle = bar + p.short
  const corners: Named[] = [
    { x: c - wide, y: 0, edge: 'end' },
    ...(bar > 0 ? [{ x: c + wide, y: 0, edge: 'back-right' }] : []),
    { x: c + wide, y: bar, edge: 'right' },
    { x: c + narrow, y: buckle, edge: after > 0 ? 'buckle-right' : 'buckle-end' },
    ...(after > 0 ? [{ x: c + narrow, y: buckle + after, edge: 'buckle-end' }] : []),
    ...(after > 0 ? [{ x: c - narrow, y: buckle + after, edge: 'buckle-left' }] : []),
    { x: c - narrow, y: buckle, edge: 'left' },
    ...(bar > 0 ? [{ x: c - wide, y: bar, edge: 'back-left' }] : []),
  ]
  return outlineOf(corners, fate)
}

/** The tongue piece: its lap turned back round the bar, and all the rest. */
export const tongueFolded = (p: StrapParams, s: StrapSizes): FoldedPanel => ({
  panelId: 'tongue',
  name: 'tongue piece',
  stays: 1,
  strips: [
    { name: 'turn-back', from: 0, to: p.lap },
    { name: 'tongue piece', from: s.backEnd.value, to: s.longCut.value },
  ],
})

/** The buckle piece, turned back at both ends. */
export const buckleFolded = (p: StrapParams, s: StrapSizes): FoldedPanel => {
  const buckle = s.backEnd.value + p.short
  return {
    panelId: 'buckle',
    name: 'buckle piece',
    stays: 1,
    strips: [
      { name: 'turn-back', from: 0, to: p.lap },
      { name: 'buckle piece', from: s.backEnd.value, to: buckle },
      { name: 'turn-back at the buckle', from: s.shortCut.value - p.lap, to: s.shortCut.value },
    ],
  }
}

/** The adjustment holes, the usual one in the middle, `from` mm down to the bar. */
const holeMarks = (p: StrapParams, s: StrapSizes, from: number): PanelMark[] =>
  Array.from({ length: p.holes }, (_, i) => ({
    type: 'hole',
    id: `hole-${i + 1}`,
    at: point(p.wideEnd / 2, from + s.usual.value + (i - (p.holes - 1) / 2) * p.spacing),
    punch: p.hole,
  }))

export function strapPanels(p: StrapParams, s: StrapSizes, materials: Materials): Panel[] {
  const fate = edgeFate(p, materials)
  const cut = finishedFate(p.finish, 0, () => false)
  const c = p.wideEnd / 2
  const [bar, buckle] = [s.backEnd.value, s.backEnd.value + p.short]
  const common = { grain: Math.PI / 2, pull: Math.PI / 2 }
  const liningOf = (id: string, name: string, shape: Shape, marks: PanelMark[]): Panel[] =>
    lined(p) ? [plainPanel({ id, name, role: 'lining', ...shape, marks, ...common })] : []
  return [
    plainPanel({
      id: 'tongue',
      name: 'Tongue piece',
      role: 'outside',
      ...tongueShape(p, s, 0, false, fate),
      ...common,
      folds: foldsOf(tongueFolded(p, s), 0, p.wideEnd),
      marks: holeMarks(p, s, bar),
      notes: ['punch the holes when it is lined and sewn'],
    }),
    ...liningOf(
      'tongue-lining',
      'Lining of the tongue piece',
      tongueShape(p, s, BENCH.liningIn, true, cut),
      holeMarks(p, s, 0),
    ),
    plainPanel({
      id: 'buckle',
      name: 'Buckle piece',
      role: 'outside',
      ...buckleShape(p, s, 0, false, fate),
      ...common,
      folds: foldsOf(buckleFolded(p, s), 0, p.wideEnd),
      marks: [
        {
          type: 'slot',
          id: 'prong',
          // The bar of the buckle lies in the middle of the bend.
          at: point(c, buckle + (s.backBuckle.value - p.lap) / 2),
          angle: Math.PI / 2,
          length: s.slot.value,
          punch: p.prong,
        },
      ],
    }),
    ...liningOf(
      'buckle-lining',
      'Lining of the buckle piece',
      buckleShape(p, s, BENCH.liningIn, true, cut),
      [],
    ),
    plainPanel({
      id: 'keeper',
      name: 'Keeper',
      role: 'outside',
      count: 2,
      ...rectangleShape(s.keeper.value, BENCH.keeperWide, {}, cut),
      notes: ['one is sewn in under the turn-back, one slides'],
    }),
  ]
}
