import { setField } from '../design/index.js'
import { decimal } from '../measure/index.js'
import { diameterOf, suitsPitch } from '../stores/index.js'
import { type Fix, check } from './finding.js'
import { runNamed } from './places.js'
import { isHidden } from './hidden.js'

/** Thread too fine or too heavy for its stitch; told once, for the longest run it does not suit. */
export const threadUnsuited = check({
  code: 'thread-unsuited',
  screen: 'seams',
  find: (derived) => {
    const { runs, design } = derived
    const diameter = diameterOf(design.thread)
    const wrong = runs
      .map((run) => ({ run, suits: suitsPitch(diameter, run.ways.pitch, run.ways.holes === 'machine') }))
      .filter(({ run, suits }) => !suits.fits && !isHidden(derived, run))
    const worst = wrong.toSorted((a, b) => b.run.length - a.run.length)[0]
    if (!worst) return []
    const { run, suits } = worst
    return [
      {
        key: 'thread-unsuited',
        rank: 'tip' as const,
        run: run.join.id,
        places: [],
        about: run.join.name,
        data: {
          diameter,
          min: suits.min,
          max: suits.max,
          thread: design.thread.name,
        },
      },
    ]
  },
  say: ({ about, data }, unit) => ({
    what: `${data.thread} is ${decimal(data.diameter, 2, unit)} mm thick; for the stitches of the ${about} ${decimal(data.min, 2, unit)} to ${decimal(data.max, 2, unit)} mm suit.`,
    why:
      data.diameter > data.max
        ? 'Thread too heavy for its stitch crowds the holes and stands up in beads.'
        : 'Thread too fine for its stitch sinks in and looks lost, and bears less.',
  }),
  fixes: ({ run }, { design, runs }): Fix[] => {
    const own = runNamed({ runs }, run)
    const { min, max } = suitsPitch(diameterOf(design.thread), own.ways.pitch, own.ways.holes === 'machine')
    const tex = Math.round((design.thread.tex * ((min + max) / 2 / diameterOf(design.thread)) ** 2) / 5) * 5
    return tex >= 10 && tex <= 2000
      ? [
          {
            label: `Thread of ${tex} tex`,
            edit: setField(`thread of ${tex} tex`, ['thread'], {
              ...design.thread,
              name: `${design.thread.name}, ${tex} tex`.slice(0, 80),
              tex,
            }),
          },
        ]
      : []
  },
})
