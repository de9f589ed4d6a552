import { turnBack } from '../../formulas/index.js'
import { point } from '../../geometry/index.js'
import { type Fitting } from '../../master/index.js'
import { given } from '../../working/index.js'
import { leatherOf } from '../kind.js'
import { type Bag } from './bag.js'
import { onPanel, putOn, rectanglePanel, rowsAlong } from './onFace.js'
import { part, type Face, type Part } from './parts.js'
import { BENCH, type Sizes } from './strapSizes.js'

/** What a strap needs where it is put on: a loop of leather with a ring on either side. */
export function tabs(
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

export function fittingsOf(bag: Bag, s: Sizes, count: number): Fitting[] {
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
