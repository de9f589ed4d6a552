import type { Leather } from '../stores/index.js'
import type { DrawnLayer, DrawnPanel } from './schema.js'

/** What is reckoned with where no leather is chosen yet. */
const UNCHOSEN: Stuff = { name: 'leather', thickness: 1, neutral: 0.5, atEdge: 0.25 }

export type Leathers = Readonly<Record<string, Leather>>

/** What lies in the work, as the drawing needs it; mm. */
export interface Stuff {
  readonly name: string
  readonly thickness: number
  readonly neutral: number
  readonly atEdge: number
}

/** The role under which a layer's leather stands in the design. */
export const layerRole = (panel: Pick<DrawnPanel, 'id'>, layer: Pick<DrawnLayer, 'id'>): string =>
  `${panel.id}-${layer.id}`

/** Boards and foams bend in the middle (J). */
const STIFF_NEUTRAL = 0.5
/** What board and foam look like on the sheet. */
export const LAYER_SWATCH = { board: '#dcdcd6', foam: '#eceae2' } as const

function leatherStuff(leathers: Leathers, role: string, split: number | null): Stuff {
  const leather = Object.hasOwn(leathers, role) ? leathers[role] : undefined
  if (!leather) return UNCHOSEN
  const { name, thickness, neutral, atEdge } = leather
  return { name, thickness: Math.min(thickness, split ?? Infinity), neutral, atEdge }
}

export const panelStuff = (panel: DrawnPanel, leathers: Leathers): Stuff =>
  leatherStuff(leathers, panel.role, panel.split)

export const layerStuff = (panel: DrawnPanel, layer: DrawnLayer, leathers: Leathers): Stuff =>
  layer.stock
    ? { ...layer.stock, neutral: STIFF_NEUTRAL, atEdge: 0 }
    : leatherStuff(leathers, layerRole(panel, layer), null)

/** Board and foam lie inside the turned edge; the other layers come over it. */
export const isEnclosed = (layer: Pick<DrawnLayer, 'sort'>): boolean =>
  layer.sort === 'board' || layer.sort === 'foam'

/** Layers from the panel's flesh side outwards. */
export const layersInOrder = (panel: DrawnPanel): readonly DrawnLayer[] => {
  const order = ['board', 'foam', 'interlining', 'reinforcement', 'lining']
  return panel.layers.toSorted((a, b) => order.indexOf(a.sort) - order.indexOf(b.sort))
}
