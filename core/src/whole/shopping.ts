import { pathArea } from '../geometry/index.js'
import type { EdgeWork } from '../edges/index.js'
import type { SetFitting } from '../fittings/index.js'
import type { Master } from '../master/index.js'
import { roundTo } from '../measure/index.js'

/** Something to buy or to take from the shelf. */
export interface ToBuy {
  readonly what: string
  readonly count: number
  /** What the count counts. */
  readonly unit: 'pieces' | 'mm' | 'dm²'
  readonly note: string
}

/** Hardware, washers, zips, board and foam of a work, each once with how many. */
export function shoppingList(
  set: readonly SetFitting[],
  edges: readonly EdgeWork[],
  { strapRuns = [] }: Pick<Master, 'strapRuns'>,
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
        add(`washer for the ${hardware.name}`, washers * fitting.count, `${hardware.washer} mm thick`)
      continue
    }
    const note =
      hardware.sort === 'zip' && fitting.length
        ? `${roundTo(fitting.length.value, 0)} mm from stop to stop`
        : post !== undefined
          ? fitting.half
            ? `${fitting.half} half, post ${post} mm`
            : `post ${post} mm`
          : wanted
            ? `post of at least ${roundTo(wanted.value, 1)} mm`
            : ''
    add(hardware.name, fitting.count, note)
    if (washers > 0)
      add(`washer for the ${hardware.name}`, washers * fitting.count, `${hardware.washer} mm thick`)
  }
  for (const { panel } of edges)
    if (panel.stock)
      add(
        panel.stock.name,
        roundTo((panel.count * Math.abs(pathArea(panel.outline))) / 10_000, 2),
        `${panel.stock.thickness} mm thick`,
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
      `longest piece ${roundTo(longest.length.value, 0)} mm, ${longest.name}`,
      'mm',
    )
  }
  return [...rows.values()]
}
