import { pathArea } from '../geometry/index.js'
import type { EdgeWork } from '../edges/index.js'
import type { SetFitting } from '../fittings/index.js'
import type { Master } from '../master/index.js'
import { type Units, lengthSaid, roundTo, withLengths } from '../measure/index.js'

/** Something to buy or to take from the shelf. */
export interface ToBuy {
  readonly what: string
  readonly count: number
  /** What the count counts. */
  readonly unit: 'pieces' | 'mm' | 'dm²'
  readonly note: string
}

/** Hardware, washers, zips, board and foam of a work, each once with how many, told in the maker’s units. */
export function shoppingList(
  set: readonly SetFitting[],
  edges: readonly EdgeWork[],
  { strapRuns = [] }: Pick<Master, 'strapRuns'>,
  unit: Units,
): ToBuy[] {
  const rows = new Map<string, ToBuy>()
  const add = (what: string, count: number, note: string, unit: ToBuy['unit'] = 'pieces'): void => {
    const before = rows.get(`${what} ${note}`)
    rows.set(`${what} ${note}`, { what, note, unit, count: (before?.count ?? 0) + count })
  }
  for (const { fitting, hardware, post, washers, wanted } of set) {
    // Two halves of a snap, a magnet or a lock are bought as one.
    if (fitting.half === 'lower' && hardware.sort !== 'snap' && hardware.sort !== 'rivet') {
      if (washers > 0)
        add(
          `washer for the ${hardware.name}`,
          washers * fitting.count,
          `${lengthSaid(hardware.washer)} thick`,
        )
      continue
    }
    const note =
      hardware.sort === 'zip' && fitting.length
        ? `${lengthSaid(roundTo(fitting.length.value, 0))} from stop to stop`
        : post !== undefined
          ? fitting.half
            ? `${fitting.half} half, post ${lengthSaid(post)}`
            : `post ${lengthSaid(post)}`
          : wanted
            ? `post of at least ${lengthSaid(roundTo(wanted.value, 1))}`
            : ''
    add(hardware.name, fitting.count, note)
    if (washers > 0)
      add(`washer for the ${hardware.name}`, washers * fitting.count, `${lengthSaid(hardware.washer)} thick`)
  }
  for (const { panel } of edges)
    if (panel.stock)
      add(
        panel.stock.name,
        roundTo((panel.count * Math.abs(pathArea(panel.outline))) / 10_000, 2),
        `${lengthSaid(panel.stock.thickness)} thick`,
        'dm²',
      )
  const straps = strapRuns.reduce((sum, run) => {
    const panel = edges.find((e) => e.panel.id === run.panelId)?.panel
    return sum + run.length.value * (panel?.count ?? 1)
  }, 0)
  if (straps > 0) {
    const longest = strapRuns.reduce((a, b) => (b.length.value > a.length.value ? b : a))
    add(
      'strap leather in all',
      roundTo(straps, 0),
      `longest piece ${lengthSaid(roundTo(longest.length.value, 0))}, ${longest.name}`,
      'mm',
    )
  }
  return [...rows.values()].map((row) => ({ ...row, note: withLengths(row.note, unit) }))
}
