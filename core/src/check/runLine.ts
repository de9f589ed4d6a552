import { firstOf, nth } from '../lists/index.js'
import { wishRuns } from '../design/index.js'
import { pathCrossesItself } from '../geometry/index.js'
import { printLength, printPitch } from '../measure/index.js'
import type { Run } from '../stitch/index.js'
import { type Fix, check } from './finding.js'
import type { HoleMade } from './holes.js'
import { placeOnSheet, runNamed } from './places.js'

/** What can't be sewn of a line; lengths mm. */
type Trouble =
  | { readonly trouble: 'in the air'; readonly holes: number }
  | { readonly trouble: 'crosses itself' }
  | {
      readonly trouble: 'too short'
      readonly length: number
      readonly pitch: number
      readonly by: HoleMade['by']
    }

/** The trouble, and the hole where it is. */
function troubleOf(run: Run): { readonly data: Trouble; readonly hole: number } | undefined {
  const air = run.holes.filter((h) => h.stack === 0)
  if (air.length > 0)
    return { data: { trouble: 'in the air', holes: air.length }, hole: run.holes.indexOf(firstOf(air)) }
  if (!run.round && pathCrossesItself({ ...run.path, closed: false }))
    return { data: { trouble: 'crosses itself' }, hole: Math.floor(run.holes.length / 2) }
  const { length } = run
  if (length < run.ways.pitch)
    return {
      data: {
        trouble: 'too short',
        length,
        pitch: run.ways.pitch,
        by: run.ways.holes === 'machine' ? 'needle' : 'iron',
      },
      hole: 0,
    }
  return undefined
}

/** A run whose line can't be sewn as it lies. */
export const runLine = check({
  code: 'run-line',
  screen: 'seams',
  find: (derived) =>
    derived.runs.flatMap((run) => {
      const found = troubleOf(run)
      if (!found) return []
      return [
        {
          key: `run-line:${run.join.id}`,
          rank: found.data.trouble === 'too short' ? ('look' as const) : ('stop' as const),
          run: run.join.id,
          places: placeOnSheet(derived, run.join, run.join.course.sheet, nth(run.holes, found.hole).at),
          about: run.join.name,
          data: found.data,
        },
      ]
    }),
  say: ({ about, data }, unit) => {
    if (data.trouble === 'in the air')
      return {
        what: `${data.holes === 1 ? 'One hole' : `${data.holes} holes`} of the ${about} ${data.holes === 1 ? 'lies' : 'lie'} beside the leather.`,
        why: 'There is nothing there to sew through: let the run start or end further in, or leave fewer layers out.',
      }
    if (data.trouble === 'crosses itself')
      return {
        what: `The line of the ${about} crosses itself.`,
        why: 'Holes fall on one another where it crosses. A wider curve or a smaller margin opens it; so does ending the run sooner.',
      }
    return {
      what: `The ${about} is ${printLength(data.length, unit)} long, less than one ${data.by === 'iron' ? 'step' : 'stitch'} of ${printPitch(data.pitch, unit)}.`,
      why:
        data.by === 'iron'
          ? 'It gets two holes, nearer together than the iron’s. A finer iron or a longer edge gives it a real stitch.'
          : 'A machine makes no stitch so short there. A shorter stitch or a longer edge gives it one.',
    }
  },
  // What the maker moved is tried back where it was.
  fixes: ({ run }, derived): Fix[] => {
    const own = runNamed(derived, run)
    const { startBy, endBy, second, without } = own.ways.wish
    return [
      ...(startBy === undefined && endBy === undefined
        ? []
        : [
            {
              label: 'Start and end it where it was',
              edit: wishRuns('start and end it where it was', [own.join.id], {
                startBy: undefined,
                endBy: undefined,
              }),
            },
          ]),
      ...(second === undefined
        ? []
        : [
            {
              label: 'Sew it in one row',
              edit: wishRuns('sew it in one row', [own.join.id.replace(/~2$/, '')], { second: undefined }),
            },
          ]),
      ...(without === undefined
        ? []
        : [
            {
              label: 'Take all layers again',
              edit: wishRuns('take all layers again', [own.join.id], { without: undefined }),
            },
          ]),
    ]
  },
})
