import { turnBack } from '../../formulas/index.js'
import { type Fitting } from '../../master/index.js'
import { given } from '../../working/index.js'
import { type Bag } from './bag.js'
import { BENCH, type Hand } from './handlePlaces.js'
import { onPanel, putOn, rectanglePanel, rowsAlong } from './onFace.js'
import { part, type Part } from './parts.js'

/** Two loops of leather that hold the rings of a handle. */
export function ringTabs(bag: Bag, { ends, suffix }: Hand, t: number, k: number): Part {
  const { p, size } = bag
  const length = size(
    'handle.tab',
    'tab round a ring, both ends sewn down',
    '2 × {lap} + π × ({bar} ring / 2 + {k} × {t})',
    '§10',
    {
      lap: given('end', BENCH.tab),
      bar: given('ring', BENCH.bar),
      k: given('neutral share', k, 'share'),
      t: given('leather', t, 'thickness'),
    },
    (v) => 2 * v.lap + turnBack(v.bar, v.t, v.k, 0),
  )
  const wide = p.handleWide
  const panel = rectanglePanel(bag, 'ring-tab', 'Tab of a ring', 'straps', wide, length.value, {
    count: 2,
    pull: Math.PI / 2,
  })
  return part({
    panels: [panel],
    onto: ends.map(({ face, x }, i) => putOn(face, panel, { x, y: 6 }, `ring-tab-${suffix}-${i + 1}`)),
    joins: ends.flatMap(({ face }, i) => {
      const sheet = `ring-tab-${suffix}-${i + 1}`
      const m = Math.min(p.margin, wide / 4)
      return rowsAlong(
        `${sheet}-seam`,
        `tab ${i + 1} of the handle’s rings`,
        sheet,
        [m, wide - m],
        [m, BENCH.tab - 2],
        [sheet, face.sheet],
      )
    }),
    sizes: [{ panelId: 'ring-tab', size: length }],
    fittings: ends.map(({ face, x }, i): Fitting => ({
      id: `handle-ring-${suffix}-${i + 1}`,
      name: `ring ${i + 1} of the handle`,
      role: 'ring',
      sheet: face.sheet,
      at: onPanel(face, x, 2),
      up: -Math.PI / 2,
      through: [],
      held: true,
      count: 1,
      before: `ring-tab-${suffix}-${i + 1}-seam-1`,
    })),
  })
}
