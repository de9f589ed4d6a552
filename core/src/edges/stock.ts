import type { Panel } from '../master/index.js'
import type { Leather } from '../stores/index.js'

/** What a piece is cut from, as the reckoning needs it. */
export interface CutFrom {
  readonly name: string
  /** After splitting, mm. */
  readonly thickness: number
  /** Share of the thickness that keeps its length in a bend, and in a turned edge; docs/formulas.md §0. */
  readonly neutral: number
  readonly turn: number
  /** The thinnest it may be where it is sewn, mm; 0 where that is not known. */
  readonly bears: number
  /** Thread really taken, as a multiple of the formula's. */
  readonly threadFactor: number
  readonly swatch: string
  /** Leather has grain and flesh; board and foam have not. */
  readonly leather: boolean
}

/** What a panel is cut from; undefined for guides, which are cut from card. */
export function stockOf(panel: Panel, leathers: Readonly<Record<string, Leather>>): CutFrom | undefined {
  const { stock } = panel
  if (stock) return { ...stock, turn: stock.neutral, bears: 0, threadFactor: 1, leather: false }
  const leather = Object.hasOwn(leathers, panel.role) ? leathers[panel.role] : undefined
  if (!leather) return undefined
  const { thickness, ...rest } = leather
  const { name, neutral, turn, bears, threadFactor, swatch } = rest
  const left = Math.min(thickness, panel.split ?? Infinity)
  return { name, thickness: left, neutral, turn, bears, threadFactor, swatch, leather: true }
}
