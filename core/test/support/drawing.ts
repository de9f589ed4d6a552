import { type Derived, derive } from '@drumlin/core/derived'
import { type Design, freshDesign } from '@drumlin/core/design'
import { type DrawnFate, type DrawnPanel, SHAPES, barePanel } from '@drumlin/core/drawn'
import { STARTER_STORES } from '../../src/stores/index.js'

const [calf, goat] = STARTER_STORES.leathers

/** A leather of a thickness, reckoned with as it is. */
export const leatherOf = (thickness: number, more: object = {}) => ({
  ...calf!,
  use: 'own' as const,
  thickness,
  ...more,
})

/** A shape with measures as a panel with nothing decided. */
export function panelOf(
  shape: string,
  values: Record<string, number>,
  more: Partial<DrawnPanel> = {},
): DrawnPanel {
  const found = SHAPES.find((s) => s.id === shape)!
  const usual = Object.fromEntries(found.fields.map((f) => [f.id, f.value]))
  return {
    ...barePanel({ id: 'panel', name: 'Panel', role: 'outside', ...found.make({ ...usual, ...values }) }),
    ...more,
  }
}

/** The panel with a fate for every edge, or for those named. */
export const withFate = (panel: DrawnPanel, fate: DrawnFate, ...edges: string[]): DrawnPanel => ({
  ...panel,
  edges: panel.edges.map((e) => (edges.length === 0 || edges.includes(e.id) ? { ...e, fate } : e)),
})

export const turned = (width: number, more: object = {}): DrawnFate => ({
  type: 'turned',
  width,
  school: 'fold',
  atEdge: null,
  feather: 5,
  core: 'round',
  lines: 0,
  margin: 3,
  ...more,
})

/** A design of drawn panels alone, cut from leather of that thickness (k = 0.5). */
export function drawingOf(
  panels: readonly DrawnPanel[],
  thickness = 1.2,
  more: Partial<Design> = {},
): Design {
  const fresh = freshDesign({
    id: 'drawing',
    name: 'Drawing',
    kind: 'by-hand',
    leathers: { outside: leatherOf(thickness), inside: goat! },
    iron: STARTER_STORES.irons[2]!,
    awl: STARTER_STORES.awls[0]!,
    thread: STARTER_STORES.threads[0]!,
    machine: STARTER_STORES.machines[0]!,
  })
  const layers = Object.fromEntries(
    panels.flatMap((p) =>
      p.layers.filter((l) => l.stock === null).map((l) => [`${p.id}-${l.id}`, leatherOf(0.7)]),
    ),
  )
  return {
    ...fresh,
    drawn: [...panels],
    ...more,
    leathers: { ...fresh.leathers, ...layers, ...more.leathers },
  }
}

export const derived = (...panels: DrawnPanel[]): Derived => derive(drawingOf(panels))

/** A number of a derived design by the end of its key. */
export function numberOf(of: Derived, key: string): number {
  const found = of.master.sizes.find(({ size }) => size.key.endsWith(key))
  if (!found)
    throw new Error(`no number ${key}; there are ${of.master.sizes.map((s) => s.size.key).join(', ')}`)
  return found.size.value
}

export const layer = (
  sort: DrawnPanel['layers'][number]['sort'],
  more: object = {},
): DrawnPanel['layers'][number] => ({
  id: sort,
  name: sort,
  sort,
  inset: null,
  turn: 0,
  block: 0,
  stock: sort === 'board' || sort === 'foam' ? { name: sort, thickness: 1 } : null,
  ...more,
})
