import type { SetFitting } from './plan.js'

/** Fittings that are set alike: one of them, the places of all, and how many there are. */
export interface AlikeFittings {
  readonly one: SetFitting
  readonly places: readonly string[]
  readonly ids: readonly string[]
  readonly count: number
}

/** As finely as a rule tells them apart, mm. */
const FINE = 0.1
const rough = (value: number | undefined): string =>
  value === undefined || !Number.isFinite(value) ? '–' : String(Math.round(value / FINE))
/** Up is told by quarters of a turn; what is round lies any way round. */
const quarter = ({ fitting: { up }, hardware: { high, prongs } }: SetFitting): number =>
  high === 0 && prongs < 2 ? 0 : ((Math.round(up / (Math.PI / 2)) % 4) + 4) % 4

/** Fittings grouped by what is taken, through what, how near to edges and seams, which way up and before which run. */
export function alikeFittings(all: readonly SetFitting[]): AlikeFittings[] {
  const groups = new Map<string, SetFitting[]>()
  for (const set of all) {
    const { hardware, fitting, stack, wanted, post, washers, toEdge, toSeam, before } = set
    const where = fitting.held ? 'held' : `${rough(toEdge)} ${rough(toSeam)}`
    const numbers = [stack?.value, wanted?.value, post, washers, fitting.length?.value].map(rough)
    const key = [hardware.id, ...numbers, where, quarter(set), before ?? ''].join('|')
    groups.set(key, [...(groups.get(key) ?? []), set])
  }
  return [...groups.values()].flatMap((same) => {
    const [one] = same
    if (!one) return []
    return [
      {
        one,
        places: same.map((s) => s.fitting.name),
        ids: same.map((s) => s.fitting.id),
        count: same.reduce((sum, s) => sum + s.fitting.count, 0),
      },
    ]
  })
}
