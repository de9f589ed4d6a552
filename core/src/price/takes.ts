import type { Derived } from '../derived/index.js'
import { pathArea } from '../geometry/index.js'
import type { Sort, Step } from '../steps/index.js'
import type { Measured, Trade } from './trade.js'

/** So much of a material, in what it is counted in. */
export interface Take {
  readonly what: string
  readonly unit: Measured
  readonly amount: number
}

/** mm² in a dm². */
export const DM2 = 10_000

/** What sorts of work spread over a whole piece, and what along an edge. */
const LAYERS: readonly Sort[] = ['back', 'line']
const EDGES: readonly Sort[] = ['edge', 'finish', 'coat', 'coatLast']
const SOAKED: readonly Sort[] = ['dye', 'dyeWork', 'oil', 'oilWork']

/** What is glued is said by its tin, whatever the step says of it. */
const gluesWith = ({ design }: Derived): string =>
  design.work.ways.glue === 'white' ? 'white glue' : 'contact glue'

/** Area of the pieces that a step touches, all copies of one thing, dm². */
function areaOf(step: Step, { edges }: Derived): number {
  const ids = step.rows.flatMap((r) => r.touches.map((t) => t.panelId))
  return edges
    .filter((e) => ids.includes(e.panel.id))
    .reduce((sum, e) => sum + (e.panel.count * Math.abs(pathArea(e.panel.outline))) / DM2, 0)
}

/**
 * What a step for so many things takes from the shelf: thread and hardware as its materials say, glue by the area that is
 * coated, edge paint by length, dye and oil by area. Leather is reckoned by hides, not by steps. docs/formulas.md §23.
 */
export function takesOf(step: Step, derived: Derived, copies: number, rates: Trade): Take[] {
  const counted = step.materials.flatMap(({ what, amount, unit }): Take[] =>
    unit === 'some' ? [] : [{ what, amount, unit }],
  )
  const { sort, amount } = step
  const spread = ((): Take | undefined => {
    if (sort === 'glue' || sort === 'turn')
      return {
        what: gluesWith(derived),
        unit: 'g',
        amount: ((amount.length * rates.glueWidth) / DM2) * rates.glue,
      }
    if (LAYERS.includes(sort))
      return { what: gluesWith(derived), unit: 'g', amount: copies * areaOf(step, derived) * rates.glue }
    // Who burnishes with water pays nothing for it.
    if (EDGES.includes(sort) && step.materials[0] && isPriced(step.materials[0].what, rates))
      return { what: step.materials[0].what, unit: 'g', amount: (amount.length / 1000) * rates.edge }
    if (SOAKED.includes(sort)) {
      const what = sort === 'dye' || sort === 'dyeWork' ? 'dye' : 'oil'
      return { what, unit: 'g', amount: copies * areaOf(step, derived) * rates[what] }
    }
    return undefined
  })()
  return spread && spread.amount > 0 ? [...counted, spread] : counted
}

const isPriced = (what: string, { prices }: Trade): boolean =>
  !what.includes('water') || prices[what] !== undefined

/** Each material once. */
export function takesAdded(takes: readonly Take[]): Take[] {
  const all = new Map<string, Take>()
  for (const take of takes) {
    const key = `${take.what} ${take.unit}`
    all.set(key, { ...take, amount: (all.get(key)?.amount ?? 0) + take.amount })
  }
  return [...all.values()]
}
