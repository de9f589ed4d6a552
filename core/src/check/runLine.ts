import { firstOf, nth } from '../lists/index.js'
import { wishRuns } from '../design/index.js'
import { pathCrossesItself } from '../geometry/index.js'
import { type LaidUp, laidUpOf, sheetThickness } from '../layup/index.js'
import { printLength, printPitch } from '../measure/index.js'
import type { Run } from '../stitch/index.js'
import { type Fix, check } from './finding.js'
import type { HoleMade } from './holes.js'
import { placeOnSheet, runNamed } from './places.js'

/** What can't be sewn of a line; lengths mm. */
type Trouble =
  | { readonly trouble: 'in the air'; readonly holes: number }
  | { readonly trouble: 'other edge in the air'; readonly holes: number }
  | { readonly trouble: 'crosses itself' }
  | {
      readonly trouble: 'too short'
      readonly length: number
      readonly pitch: number
      readonly by: HoleMade['by']
    }

/** Holes of the other edge under which nothing lies that is sewn: how many, and the first. */
function besideMate({ join, other }: Run, work: LaidUp): { holes: number; first: number } | undefined {
  if (!join.mate || !other) return undefined
  const sewn = work.sheets.filter((s) => join.through.includes(s.sheet.id))
  const bare = other.holes.flatMap((h, i) => (sewn.every((s) => sheetThickness(s, h.at) === 0) ? [i] : []))
  return bare.length > 0 ? { holes: bare.length, first: firstOf(bare) } : undefined
}

/** The trouble, and the hole where it is. */
function troubleOf(run: Run, work: LaidUp): { readonly data: Trouble; readonly hole: number } | undefined {
  const air = run.holes.filter((h) => h.sheets.length === 0)
  if (air.length > 0)
    return { data: { trouble: 'in the air', holes: air.length }, hole: run.holes.indexOf(firstOf(air)) }
  const beside = besideMate(run, work)
  if (beside) return { data: { trouble: 'other edge in the air', holes: beside.holes }, hole: beside.first }
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
      const found = troubleOf(run, laidUpOf(derived.works, run.join.layup))
      if (!found) return []
      return [
        {
          key: `run-line:${run.join.id}`,
          rank: found.data.trouble === 'too short' ? ('look' as const) : ('stop' as const),
          run: run.join.id,
          places: placeOnSheet(
            derived,
            run.join,
            run.join.course.sheet,
            nth(run.holes, Math.min(found.hole, run.holes.length - 1)).at,
          ),
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
    if (data.trouble === 'other edge in the air')
      return {
        what: `${data.holes === 1 ? 'One hole' : `${data.holes} holes`} of the ${about} ${data.holes === 1 ? 'lies' : 'lie'} beside what it is sewn to.`,
        why: 'There is nothing there to sew through: make what is sewn on smaller, bring its ends nearer together, or give it more room.',
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
