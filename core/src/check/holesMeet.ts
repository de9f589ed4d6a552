import { nth } from '../lists/index.js'
import { wishRuns } from '../design/index.js'
import { printLength } from '../measure/index.js'
import { meetings } from '../stitch/index.js'
import { type Fix, check } from './finding.js'
import { placeOnSheet, runNamed } from './places.js'

/** Holes of two runs so near that they tear into one, though they are not meant to be one. */
export const holesMeet = check({
  code: 'holes-meet',
  screen: 'seams',
  find: (derived) =>
    meetings(derived.runs.filter((r) => r.ways.holes !== 'machine'))
      .filter((m) => m.sort === 'near')
      .map((m) => {
        const run = runNamed(derived, m.second)
        const other = runNamed(derived, m.first)
        const nearest = m.holes.reduce((a, b) => (b.apart < a.apart ? b : a))
        return {
          key: `holes-meet:${m.first}:${m.second}`,
          rank: 'look' as const,
          run: m.second,
          places: placeOnSheet(derived, run.join, run.join.course.sheet, nth(run.holes, nearest.b).at),
          hole: nearest.b,
          about: run.join.name,
          data: {
            apart: nearest.apart,
            holes: m.holes.length,
            other: other.join.name,
          },
        }
      }),
  say: ({ about, data }, unit) => ({
    what: `A hole of the ${about} falls ${printLength(data.apart, unit)} from one of the ${data.other}${data.holes > 1 ? `, and ${data.holes - 1} more nearly as close` : ''}.`,
    why: 'Two slots that close tear into one when the thread is pulled. Let them share the hole, or keep a stitch apart.',
  }),
  // An end that comes too near is drawn back by half a pitch, or on to the other run's hole.
  fixes: ({ hole = 0, run }, derived, _tryOut, unit): Fix[] => {
    const own = runNamed(derived, run)
    const last = own.holes.length - 1
    const end = hole > last / 2 ? 'endBy' : 'startBy'
    const now = own.ways.wish[end] ?? 0
    return [own.ways.pitch / 2, own.ways.pitch].map((by) => ({
      label: `${end === 'endBy' ? 'End' : 'Start'} it ${printLength(by, unit)} further in`,
      edit: wishRuns(`${end === 'endBy' ? 'end' : 'start'} the ${own.join.name} further in`, [own.join.id], {
        [end]: Math.round((now + by) * 100) / 100,
      }),
    }))
  },
})
