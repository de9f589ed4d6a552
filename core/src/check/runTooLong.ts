import { type Edit, setLengths } from '../design/index.js'
import { printLong } from '../measure/index.js'
import { check } from './finding.js'
import { isSecondTwin, placeOnSheet } from './places.js'

/** A run that takes more thread than one likes to pull through. */
export const runTooLong = check({
  code: 'run-too-long',
  screen: 'seams',
  find: (derived) => {
    const told = new Set<string>()
    const { comfortable } = derived.design.habits
    return derived.runs.flatMap((run) => {
      const each = run.thread.value / run.lengths
      // A machine takes its thread from the spool.
      if (run.ways.holes === 'machine' || each <= comfortable || isSecondTwin(run.join, told)) return []
      told.add(run.join.id)
      const middle = run.holes[Math.floor(run.holes.length / 2)]
      return [
        {
          key: `run-too-long:${run.join.id}`,
          rank: 'look' as const,
          cause: { id: 'thread', severity: each },
          run: run.join.id,
          places: middle ? placeOnSheet(derived, run.join, run.join.course.sheet, middle.at) : [],
          about: run.join.name,
          data: { each, comfortable, lengths: run.lengths, twin: run.join.twin ?? '' },
        },
      ]
    })
  },
  say: ({ about, data }, unit) => ({
    what: `The ${about} takes ${printLong(data.each, unit, 2)} of thread in one length; ${printLong(data.comfortable, unit, 2)} is comfortable.`,
    why: 'A long thread frays and loses its wax before the last holes, and the arms tire.',
  }),
  fixes: (_, derived, tryOut) => {
    const { comfortable } = derived.design.habits
    const long = derived.runs.filter(
      (r) => r.ways.holes !== 'machine' && r.thread.value / r.lengths > comfortable,
    )
    for (let more = 0; more < 6; more += 1) {
      const each = long.map((r) => ({
        id: r.join.id,
        count: Math.min(20, Math.max(r.lengths + 1, Math.ceil(r.thread.value / comfortable)) + more),
      }))
      const max = Math.max(...each.map((e) => e.count))
      const label =
        each.length === 1 || each.every((e) => e.count === max) ? `${max} lengths` : `2 to ${max} lengths`
      const edit: Edit = {
        name: `sew it in ${label}`,
        changes: each.flatMap((e) => setLengths('', [e.id], e.count).changes),
      }
      const tried = tryOut(edit)?.runs ?? []
      if (tried.length > 0 && tried.every((r) => r.thread.value / r.lengths <= comfortable))
        return [{ label: `Sew ${each.length === 1 ? 'it' : 'them'} in ${label}`, edit }]
    }
    return []
  },
})
