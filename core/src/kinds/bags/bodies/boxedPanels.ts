import { type Path, pathEnd, pathStart, point, polyline } from '../../../geometry/index.js'
import { type EdgeTreatment, type Panel, type PanelMark } from '../../../master/index.js'
import { outlineOf, plainPanel, type Named, LABEL_DOWN } from '../../parts/shape.js'
import { type Bag } from '../bag.js'
import type { Box } from './boxedTypes.js'
import { seamSkives } from '../skiving.js'
import { flapCorners, flapFolded, isFlapEdge } from '../parts/flap.js'
import { cutMarks } from './profile.js'

/** A snip into an inner corner stops short of the stitch line by this, mm, or by a third of the margin. */
const SNIP_SHORT = 1.5

/** The corner points of one face below its top edge, from its right end to its left. */
const footCorners = (box: Box, foot: number): Named[] => {
  const { w, c, m, fold, h0, base } = box
  if (base) return endsInBase(box, base.endsAt)
  return [
    { x: w, y: fold + m, edge: 'foot-right-side' },
    { x: w - c.value, y: fold + m, edge: 'foot-right-base' },
    { x: w - c.value, y: foot, edge: 'foot' },
    { x: c.value, y: foot, edge: 'foot-left-base' },
    { x: c.value, y: fold + m, edge: 'foot-left-side' },
    { x: 0, y: fold + m, edge: 'left' },
  ].filter((q) => q.y <= Math.max(foot, h0.value + m))
}

/** A face without a foot: its sides go down to the T seam, between them it ends under the base panel. */
const endsInBase = ({ w, m, fold, xl, xr }: Box, end: number): Named[] => [
  { x: w, y: fold + m, edge: 'foot-right-side' },
  { x: xr, y: fold + m, edge: 'end-right' },
  { x: xr, y: end, edge: 'end' },
  { x: xl, y: end, edge: 'end-left' },
  { x: xl, y: fold + m, edge: 'foot-left-side' },
  { x: 0, y: fold + m, edge: 'left' },
]

export function panelOf(bag: Bag, box: Box, id: 'front' | 'back'): Panel {
  const { flap, w, h0, m } = box
  const flapped = id === 'back' ? flap : undefined
  const top: Named[] = flapped
    ? flapCorners(flapped, w)
    : [
        { x: 0, y: 0, edge: 'top' },
        { x: w, y: 0, edge: 'right' },
      ]
  const shape = outlineOf([...top, ...footCorners(box, h0.value + m)], (edge) => fateOf(bag, edge))
  return plainPanel({
    id,
    name: id === 'front' ? 'Front' : 'Back',
    role: 'body',
    ...shape,
    ...thinned(bag, shape, id),
    ...flapFolded(flapped, w, bag.body.thickness),
    marks: box.base ? [] : cornerMarks(innerSnips(box, bag.p.cornerHole), bag.p.cornerHole),
    labelAt: point(w / 2, box.fold * LABEL_DOWN),
  })
}

/** The allowances of its sides and of the foot thinned, where they are. */
function thinned(bag: Bag, { edges }: Pick<Panel, 'edges'>, id: string): Pick<Panel, 'skives'> {
  const skives = edges
    .filter((e) => e.fate === bag.seamed)
    .flatMap((e) => seamSkives(bag, [e.id], bag.body.thickness, `${id}-${e.id}`).skives ?? [])
  return skives.length > 0 ? { skives } : {}
}

/** What ends under a base panel is seen by nobody. */
const COVERED: EdgeTreatment = { type: 'raw', finish: 'left', trim: 0 }

const fateOf = (bag: Bag, edge: string) =>
  isFlapEdge(edge)
    ? bag.plain
    : edge.startsWith('end')
      ? COVERED
      : edge.startsWith('top')
        ? bag.topFate
        : bag.seamed

/** From the inner corners of the squares towards the stitch lines' corner, stopping short of it or in a hole. */
const innerSnips = ({ w, c, m, fold }: Box, hole: number) => {
  const stop = Math.min(m - 0.5, Math.min(SNIP_SHORT, m / 3) + hole / 2 / Math.SQRT2)
  return [
    polyline([point(w - c.value, fold + m), point(w - c.value - m + stop, fold + stop)]),
    polyline([point(c.value, fold + m), point(c.value + m - stop, fold + stop)]),
  ]
}

/** The snips, each with a hole at its end where one is punched. */
const cornerMarks = (paths: readonly Path[], hole: number): PanelMark[] => [
  ...cutMarks('snips', paths),
  ...(hole > 0
    ? paths.map((path, i): PanelMark => ({
        type: 'hole',
        id: `corner-${i + 1}`,
        at: pathEnd(path),
        punch: hole,
      }))
    : []),
]

/** Front, foot and back in one piece: no allowance at the foot, where it is folded. */
export function wholePanel(bag: Bag, box: Box): Panel {
  const { w, h0, c, m, fold } = box
  const high = 2 * h0.value
  const hole = bag.p.cornerHole
  const shape = outlineOf(
    [
      { x: 0, y: 0, edge: 'top' },
      { x: w, y: 0, edge: 'right' },
      { x: w, y: fold + m, edge: 'foot-right-side' },
      { x: w - c.value, y: fold + m, edge: 'foot-right-base' },
      { x: w - c.value, y: high - fold - m, edge: 'back-right-side' },
      { x: w, y: high - fold - m, edge: 'back-right' },
      { x: w, y: high, edge: 'top-back' },
      { x: 0, y: high, edge: 'back-left' },
      { x: 0, y: high - fold - m, edge: 'back-left-side' },
      { x: c.value, y: high - fold - m, edge: 'foot-left-base' },
      { x: c.value, y: fold + m, edge: 'foot-left-side' },
      { x: 0, y: fold + m, edge: 'left' },
    ],
    (edge) => fateOf(bag, edge),
  )
  return plainPanel({
    id: 'body',
    name: 'Front, foot and back',
    role: 'body',
    ...shape,
    ...thinned(bag, shape, 'body'),
    folds: [
      {
        id: 'foot',
        name: 'middle of the foot',
        from: point(c.value + m, h0.value),
        to: point(w - c.value - m, h0.value),
        width: 0,
        rises: 'mountain',
        angle: 0,
        note: 'middle of the foot',
      },
    ],
    marks: cornerMarks(
      [
        ...innerSnips(box, hole),
        ...innerSnips(box, hole).map((path) =>
          polyline([pathStart(path), pathEnd(path)].map((q) => point(q.x, high - q.y))),
        ),
      ],
      hole,
    ),
    labelAt: point(w / 2, fold * LABEL_DOWN),
  })
}
