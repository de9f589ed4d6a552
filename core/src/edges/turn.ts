import { TURN_ALLOWANCE, TURN_COST, TURN_COST_SQUARE, FOLD_TO } from '../formulas/index.js'
import type { Edge, Panel, TurnedFate } from '../master/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import type { CutFrom } from './stock.js'

/** What is added for a turned edge, each number with its working; docs/formulas.md §4. */
export interface Turn {
  readonly fate: TurnedFate
  /** Thickness where it folds, after skiving, mm. */
  readonly atFold: Reckoned
  /** What the bend costs against its outermost extent, mm. */
  readonly cost: Reckoned
  /** From the finished edge out to the cut line, mm. */
  readonly allowance: Reckoned
  /** From the cut edge in to the line it is folded to, mm. */
  readonly foldTo: Reckoned
}

/** The numbers of one turned edge, keyed by panel and edge so that the maker may write over them. */
export function turnOf(panel: Panel, edge: Edge, fate: TurnedFate, stock: CutFrom, reckon: Reckon): Turn {
  const key = (what: string): string => `${panel.id}.${edge.id}.${what}`
  const t = given(stock.name, stock.thickness, 'thickness')
  const width = given('turn', fate.width)
  const even = fate.school === 'even'
  const atFold = reckon(
    {
      key: key('atFold'),
      label: `thickness at the fold, ${edge.name}`,
      formula: even ? '({t} + {edge} left at the edge) / 2, skived evenly' : '{t}, not skived at the fold',
      source: '§4',
      quantity: 'thickness',
    },
    {
      t,
      edge: given(
        'at the edge',
        even ? Math.min(fate.atEdge, stock.thickness) : stock.thickness,
        'thickness',
      ),
    },
  )
  const square = fate.core === 'square'
  const cost = reckon(
    {
      key: key('turnCost'),
      label: `bend of the turned edge, ${edge.name}`,
      formula: square ? TURN_COST_SQUARE : TURN_COST,
      source: '§4',
    },
    {
      core: given('core', panel.core ?? 0, 'thickness'),
      k: given('neutral-axis factor in a turn', stock.turn, 'share'),
      thickness: atFold,
    },
  )
  const allowance = reckon(
    {
      key: key('allowance'),
      label: `added for the turn, ${edge.name}`,
      formula: TURN_ALLOWANCE,
      source: '§4',
    },
    { width, cost },
  )
  const foldTo = reckon(
    {
      key: key('foldTo'),
      label: `fold-to line from the cut edge, ${edge.name}`,
      formula: FOLD_TO,
      source: '§4',
    },
    { allowance, width },
  )
  return { fate, atFold, cost, allowance, foldTo }
}

/** Thickness of the leather `s` mm in from the cut edge; docs/formulas.md §4 [4.04]. */
export function turnThickness({ fate, allowance }: Turn, thickness: number, s: number): number {
  const across = allowance.value + fate.width
  if (fate.school === 'even') {
    const atEdge = Math.min(fate.atEdge, thickness)
    return atEdge + (thickness - atEdge) * Math.min(1, Math.max(0, s / across))
  }
  const reach = fate.school === 'fold' ? across / 2 : Math.min(fate.feather, across)
  return reach <= 0 ? thickness : thickness * Math.min(1, Math.max(0, s / reach))
}
