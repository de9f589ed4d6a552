import { setLengths } from '../design/index.js'
import { decimal } from '../measure/index.js'
import type { Check } from './finding.js'
import { isSecondTwin, placeOnSheet } from './places.js'

/** A run that takes more thread than one likes to pull through. */
export const runTooLong: Check = {
  code: 'run-too-long',
  find: (derived) => {
    const told = new Set<string>()
    const { comfortable } = derived.design.habits
    return derived.runs.flatMap((run) => {
      const each = run.thread.value / run.lengths
      if (each <= comfortable || isSecondTwin(run.join, told)) return []
      told.add(run.join.id)
      const middle = run.holes[Math.floor(run.holes.length / 2)]
      return [
        {
          key: `run-too-long:${run.join.id}`,
          code: 'run-too-long',
          rank: 'look' as const,
          run: run.join.id,
          places: middle ? placeOnSheet(derived, run.join, run.join.course.sheet, middle.at) : [],
          numbers: { each, comfortable, lengths: run.lengths },
          words: { run: run.join.name, twin: run.join.twin ?? '' },
        },
      ]
    })
  },
  say: ({ numbers, words }) => ({
    what: `The ${words.run} takes ${decimal(numbers.each! / 1000, 2)} m of thread in one length; ${decimal(numbers.comfortable! / 1000, 2)} m is comfortable.`,
    why: 'A long thread frays and loses its wax before the last holes, and the arms tire.',
  }),
  fixes: ({ run, numbers, words }, derived, tryOut) => {
    const joins = [run!, ...(words.twin ? [words.twin] : [])]
    for (let count = numbers.lengths! + 1; count <= 20; count += 1) {
      const edit = setLengths(`sew it in ${count} lengths`, joins, count)
      const tried = tryOut(edit)?.runs.filter((r) => joins.includes(r.join.id)) ?? []
      if (
        tried.length > 0 &&
        tried.every((r) => r.thread.value / r.lengths <= derived.design.habits.comfortable)
      )
        return [{ label: `Sew it in ${count} lengths`, edit }]
    }
    return []
  },
}
