import type { Panel } from '../master/index.js'
import { type Leather, splitFrom } from '../stores/index.js'

/** A piece that is split is cut first as a block so much bigger all round, since it stretches in the machine, mm (J). */
export const ROUGH = 5

/** A panel whose leather is written thinner than it comes is split: cut rough, split, cut true. */
export function withSplit(panel: Panel, leathers: Readonly<Record<string, Leather>>): Panel {
  const leather =
    panel.stock === undefined && Object.hasOwn(leathers, panel.role) ? leathers[panel.role] : undefined
  const from = leather && splitFrom(leather)
  if (!leather || from === undefined || panel.split !== undefined) return panel
  return { ...panel, split: leather.thickness, block: Math.max(panel.block ?? 0, ROUGH) }
}
