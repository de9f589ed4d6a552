import { wishRuns } from '../design/index.js'
import { printLength } from '../measure/index.js'
import { meetings } from '../stitch/index.js'
import type { Check, Fix } from './finding.js'
import { placeOnSheet } from './places.js'

/** Holes of two runs so near that they tear into one, though they are not meant to be one. */
export const holesMeet: Check = {
  code: 'holes-meet',
  find: (derived) =>
    meetings(derived.runs.filter((r) => r.ways.holes !== 'machine'))
      .filter((m) => m.sort === 'near')
      .map((m) => {
        const run = derived.runs.find((r) => r.join.id === m.second)!
        const other = derived.runs.find((r) => r.join.id === m.first)!
        const nearest = m.holes.reduce((a, b) => (b.apart < a.apart ? b : a))
        return {
          key: `holes-meet:${m.first}:${m.second}`,
          code: 'holes-meet',
          rank: 'look',
          run: m.second,
          places: placeOnSheet(derived, run.join, run.join.course.sheet, run.holes[nearest.b]!.at),
          numbers: { apart: nearest.apart, holes: m.holes.length, hole: nearest.b },
          words: { run: run.join.name, other: other.join.name },
        }
      }),
  say: ({ numbers, words }, unit) => ({
    what: `A hole of the ${words.run} falls ${printLength(numbers.apart!, unit)} from one of the ${words.other}${numbers.holes! > 1 ? `, and ${numbers.holes! - 1} more nearly as close` : ''}.`,
    why: 'Two slots that close tear into one when the thread is pulled. Let them share the hole, or keep a stitch apart.',
  }),
  // An end that comes too near is drawn back by half a pitch, or on to the other run's hole.
  fixes: ({ run, numbers }, derived, _tryOut, unit): Fix[] => {
    const own = derived.runs.find((r) => r.join.id === run)!
    const last = own.holes.length - 1
    const end = numbers.hole! > last / 2 ? 'endBy' : 'startBy'
    const now = own.ways.wish[end] ?? 0
    return [own.ways.pitch / 2, own.ways.pitch].map((by) => ({
      label: `${end === 'endBy' ? 'End' : 'Start'} it ${printLength(by, unit)} further in`,
      edit: wishRuns(`${end === 'endBy' ? 'end' : 'start'} the ${own.join.name} further in`, [own.join.id], {
        [end]: Math.round((now + by) * 100) / 100,
      }),
    }))
  },
}
