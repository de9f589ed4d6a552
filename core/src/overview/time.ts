import type { Derived } from '../derived/index.js'
import { type BenchTime, benchTime } from '../make/index.js'
import { stepsOf } from '../steps/index.js'
import { given, reckoner } from '../working/index.js'

const minutes = { source: '§17', quantity: 'count', measured: true } as const

/**
 * Time at the bench as the order of work says it: what takes longest by its sort, then laying out tools, patterns,
 * marking, hardware and all else together; minutes. docs/formulas.md §17, §22.
 */
export function timeOf(derived: Derived): BenchTime {
  const { master, edges, runs, design } = derived
  const reckon = reckoner(design.overrides)
  const { parts } = benchTime({ master, edges, runs, speed: design.habits, machine: design.machine }, reckon)
  const { steps } = stepsOf(derived)
  const all = steps.reduce((sum, s) => sum + s.minutes.value, 0)
  const named = parts.reduce((sum, p) => sum + p.value, 0)
  const rest = reckon(
    {
      key: 'time.rest',
      label: 'laying out, patterns, marking, hardware and the rest, minutes',
      formula: '{steps} minutes of all steps − {named} of those above',
      ...minutes,
    },
    { steps: given('all steps', all, 'share'), named: given('those above', named, 'share') },
  )
  const [cut, skive, turn, glue, sew, edge] = parts
  const total = reckon(
    {
      key: 'time.total',
      label: 'time at the bench, minutes',
      formula: '{cut} + {skive} + {turn} + {glue} + {sew} + {edge} + {rest}',
      ...minutes,
    },
    { cut, skive, turn, glue, sew, edge, rest },
  )
  return { parts: [...parts, rest], total }
}
