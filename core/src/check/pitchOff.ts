import { setField, wishRuns } from '../design/index.js'
import { fieldsOf } from '../kinds/index.js'
import { decimal, printPitch } from '../measure/index.js'
import type { Run, Side } from '../stitch/index.js'
import { type Fix, check } from './finding.js'
import { isHidden } from './hidden.js'
import { isSecondTwin, placeOnSheet, runNamed } from './places.js'
import { required } from '../lists/index.js'

/** Pitches of a side that are stepped, with how many stitches have them. */
const pitchesOf = (side: Side): number[] => [side.pitch, ...(side.last ? [side.last.pitch] : [])]

/** The pitch of a run, or of its other side, that is furthest from the iron's own. */
function furthest(run: Run): { pitch: number; off: number; side: number; stitches: number } {
  const sides = [...run.sides, ...(run.other?.sides ?? [])]
  return sides
    .flatMap((side, i) =>
      pitchesOf(side).map((pitch) => ({
        stitches: side.stitches,
        pitch,
        off: Math.abs(pitch / run.ways.pitch - 1),
        side: i,
      })),
    )
    .reduce((a, b) => (b.off > a.off ? b : a), { pitch: run.ways.pitch, off: 0, side: 0, stitches: 0 })
}

/** A side that comes to no whole number of the iron's steps: the holes have to be drawn in or out further than shows. */
export const pitchOff = check({
  code: 'pitch-off',
  screen: 'seams',
  find: (derived) => {
    const told = new Set<string>()
    const { play } = derived.design.habits
    return derived.runs.flatMap((run) => {
      if (run.ways.holes === 'machine' || isSecondTwin(run.join, told)) return []
      const { pitch, off, side, stitches } = furthest(run)
      if (off <= play + 1e-9 || isHidden(derived, run)) return []
      told.add(run.join.id)
      const within = run.sides[side]
      const hole = run.holes[Math.floor(((within?.from ?? 0) + (within?.to ?? run.holes.length - 1)) / 2)]
      const few = stitches < 1 / (2 * play)
      return [
        {
          key: `pitch-off:${run.join.id}`,
          // A short side has few holes to spread the difference over; that hardly shows.
          rank: few ? ('tip' as const) : ('look' as const),
          cause: { id: `${run.ways.iron.name} ${few ? 'short' : 'long'}`, severity: off },
          run: run.join.id,
          places: hole ? placeOnSheet(derived, run.join, run.join.course.sheet, hole.at) : [],
          about: run.join.twin ? (run.join.pairName ?? run.join.name) : run.join.name,
          data: {
            pitch,
            iron: run.ways.pitch,
            off,
            play,
            tool: run.ways.iron.name,
          },
        },
      ]
    })
  },
  say: ({ about, data }, unit) => ({
    what: `${printPitch(data.pitch, unit)} from hole to hole on the ${about}; the ${data.tool} steps ${printPitch(data.iron, unit)}, and ${decimal(100 * data.play, 0, unit)} % is let pass.`,
    why: 'The prongs can’t fall in the last holes: they are marked with dividers and opened one by one, or the row shows where it was squeezed.',
  }),
  fixes: ({ run, runs }, derived): Fix[] => {
    const own = runNamed(derived, run)
    const ids = [...new Set([...(runs ?? [required(run, 'run')]), ...(own.join.twin ? [own.join.twin] : [])])]
    const evened =
      own.ways.stepping === 'stepped'
        ? [
            {
              label: 'Even it out over the whole side',
              edit: wishRuns('even the pitch out', ids, { stepping: 'evened' }),
            },
          ]
        : []
    const play = fieldsOf(derived.kind).find((f) => f.id === 'play')
    const off = Math.ceil(furthest(own).off * 100) / 100
    return [
      ...evened,
      ...(play && off <= 0.2
        ? [
            {
              label: `Let ${decimal(100 * off, 0)} % pass`,
              edit: setField(`pitch may differ by ${decimal(100 * off, 0)} %`, play.path, off),
            },
          ]
        : []),
    ]
  },
})
