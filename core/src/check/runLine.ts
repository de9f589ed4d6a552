import { wishRuns } from '../design/index.js'
import { pathCrossesItself } from '../geometry/index.js'
import { printLength, printPitch } from '../measure/index.js'
import type { Run } from '../stitch/index.js'
import type { Check, Finding, Fix } from './finding.js'
import { placeOnSheet } from './places.js'

type Trouble = 'in the air' | 'crosses itself' | 'too short'

function troubleOf(
  run: Run,
): { trouble: Trouble; hole: number; numbers: Record<string, number> } | undefined {
  const air = run.holes.filter((h) => h.stack === 0)
  if (air.length > 0)
    return { trouble: 'in the air', hole: run.holes.indexOf(air[0]!), numbers: { holes: air.length } }
  if (!run.round && pathCrossesItself({ ...run.path, closed: false }))
    return { trouble: 'crosses itself', hole: Math.floor(run.holes.length / 2), numbers: {} }
  if (run.length < run.ways.pitch)
    return { trouble: 'too short', hole: 0, numbers: { length: run.length, pitch: run.ways.pitch } }
  return undefined
}

/** A run whose line can't be sewn as it lies. */
export const runLine: Check = {
  code: 'run-line',
  find: (derived) =>
    derived.runs.flatMap((run): Finding[] => {
      const found = troubleOf(run)
      if (!found) return []
      return [
        {
          key: `run-line:${run.join.id}`,
          code: 'run-line',
          rank: found.trouble === 'too short' ? 'look' : 'stop',
          run: run.join.id,
          places: placeOnSheet(derived, run.join, run.join.course.sheet, run.holes[found.hole]!.at),
          numbers: found.numbers,
          words: { run: run.join.name, trouble: found.trouble },
        },
      ]
    }),
  say: ({ numbers, words }, unit) => {
    const { run } = words
    if (words.trouble === 'in the air')
      return {
        what: `${numbers.holes === 1 ? 'One hole' : `${numbers.holes} holes`} of the ${run} ${numbers.holes === 1 ? 'lies' : 'lie'} beside the leather.`,
        why: 'There is nothing there to sew through: let the run start or end further in, or leave fewer layers out.',
      }
    if (words.trouble === 'crosses itself')
      return {
        what: `The line of the ${run} crosses itself.`,
        why: 'Holes fall on one another where it crosses. A wider curve or a smaller margin opens it; so does ending the run sooner.',
      }
    return {
      what: `The ${run} is ${printLength(numbers.length!, unit)} long, less than one step of ${printPitch(numbers.pitch!, unit)}.`,
      why: 'It gets two holes, nearer together than the iron’s. A finer iron or a longer edge gives it a real stitch.',
    }
  },
  // What the maker moved is tried back where it was.
  fixes: ({ run }, derived): Fix[] => {
    const own = derived.runs.find((r) => r.join.id === run)!
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
}
