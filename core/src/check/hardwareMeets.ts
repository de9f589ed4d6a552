import { type Point, pointDistance, pointMoved } from '../geometry/index.js'
import { sheetIn } from '../layup/index.js'
import { printBoth, printLength } from '../measure/index.js'
import type { SetFitting } from '../fittings/index.js'
import type { Derived } from '../derived/index.js'
import { check } from './finding.js'
import { panelOfSheet } from './hardwareClose.js'

/** Between the rims of two caps at least, mm (J). */
const LEAST = 1

const reach = ({ hardware: { across, high } }: SetFitting): number => Math.max(across, high) / 2

/** Where hardware lies in the laid-out work, and what it goes through. */
interface Lies {
  readonly set: SetFitting
  /** The state of the work, and the panel, that it is set in. */
  readonly state: string
  readonly panelId: string
  readonly place: Point
  readonly sheets: ReadonlySet<string>
}

function lying(derived: Derived): Lies[] {
  const { fittings, works } = derived
  return fittings
    .filter((f) => !f.fitting.held)
    .flatMap((set): Lies[] => {
      const { sheet, at, through } = set.fitting
      const found = sheetIn(works, sheet)
      return found
        ? [
            {
              set,
              state: found.work.layup.id,
              panelId: panelOfSheet(derived, sheet),
              place: pointMoved(at, found.laid.sheet.move),
              sheets: new Set([sheet, ...through.map((t) => t.sheet)]),
            },
          ]
        : []
    })
}

/** How far their middles are apart where both go through one leather, mm: in one state of the work, or on one panel whatever the state. */
function apartBy(one: Lies, other: Lies): number | undefined {
  if (one.state !== other.state)
    return one.panelId === other.panelId ? pointDistance(one.set.fitting.at, other.set.fitting.at) : undefined
  return [...one.sheets].some((s) => other.sheets.has(s)) ? pointDistance(one.place, other.place) : undefined
}

/** Two pieces of hardware in one leather whose caps meet. */
export const hardwareMeets = check({
  code: 'hardware-meets',
  screen: 'fittings',
  find: (derived) => {
    const all = lying(derived)
    return all.flatMap((one, i) =>
      all.slice(i + 1).flatMap((other) => {
        const apart = apartBy(one, other)
        const clear = apart === undefined ? Infinity : apart - reach(one.set) - reach(other.set)
        if (clear >= LEAST) return []
        const { fitting } = other.set
        return [
          {
            key: `hardware-meets:${one.set.fitting.id}:${fitting.id}`,
            rank: 'look' as const,
            places: [{ panelId: panelOfSheet(derived, fitting.sheet), at: fitting.at }],
            about: fitting.name,
            data: { clear, other: one.set.fitting.name },
          },
        ]
      }),
    )
  },
  say: ({ about, data }, unit) => ({
    what:
      data.clear < 0
        ? `The ${about} and the ${data.other} lie ${printLength(-data.clear, unit)} over each other.`
        : `Only ${printBoth(data.clear, LEAST, unit)[0]} lie between the ${about} and the ${data.other}.`,
    why: `Neither can be set beside the other. Leave ${printBoth(data.clear, LEAST, unit)[1]} between their rims at least.`,
  }),
  fixes: () => [],
})
