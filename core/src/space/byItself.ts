import type { SetFitting } from '../fittings/index.js'
import { type Point, moveThen, pointDistance, pointMoved } from '../geometry/index.js'
import type { LaidSheet, LaidUp } from '../layup/index.js'
import { clipsHave } from '../master/index.js'
import type { Run } from '../stitch/index.js'

/** Sheets that lie so near to one another are the same one in two states of the work, mm. */
const SAME = 0.01
const ORIGIN: Point = { x: 0, y: 0 }

const wholeOf = (work: LaidUp, panelId: string): LaidSheet[] =>
  work.sheets.filter((s) => s.part === 'whole' && s.sheet.type === 'panel' && s.sheet.panelId === panelId)

/** One place that a piece worked by itself takes in the work: the piece there, and what its sheets are called there. */
interface Taken {
  readonly on: LaidSheet
  readonly named: ReadonlyMap<string, string>
}

/** Where a piece worked by itself, with all that was put on it, lies in the work. */
function placesTaken({ layup, sheets }: LaidUp, open: LaidUp): Taken[] {
  return wholeOf(open, layup.carrier).map((on): Taken => {
    const named = sheets.flatMap(({ sheet }): [string, string][] => {
      if (sheet.type !== 'panel') return []
      const there = pointMoved(ORIGIN, moveThen(sheet.move, on.sheet.move))
      const found = wholeOf(open, sheet.panelId).find(
        (s) => pointDistance(pointMoved(ORIGIN, s.sheet.move), there) < SAME,
      )
      return found ? [[sheet.id, found.sheet.id]] : []
    })
    return { on, named: new Map(named) }
  })
}

const takenBy = (
  isIt: (work: LaidUp) => boolean,
  works: readonly LaidUp[],
  open: LaidUp,
): Taken[] | undefined => {
  const alone = works.find((w) => w.layup.alone && w !== open && isIt(w))
  return alone && placesTaken(alone, open)
}

/** Runs as they are seen in the work: what is sewn on a piece by itself goes with it. */
export const runsInWork = (runs: readonly Run[], works: readonly LaidUp[], open: LaidUp): Run[] =>
  runs.flatMap((run) => {
    const places = takenBy((w) => w.layup.id === run.join.layup, works, open)
    if (!places) return [run]
    return places.map(({ on, named }): Run => {
      const name = (id: string): string => named.get(id) ?? id
      return {
        ...run,
        join: { ...run.join, course: { ...run.join.course, sheet: name(run.join.course.sheet) } },
        holes: run.holes.map((hole) => {
          const at = pointMoved(hole.at, on.sheet.move)
          return { ...hole, at, sheets: clipsHave(on.sheet.clips, at) ? hole.sheets.map(name) : [] }
        }),
      }
    })
  })

/** Hardware as it is seen in the work: what is set in a piece by itself goes with it. */
export const fittingsInWork = (
  fittings: readonly SetFitting[],
  works: readonly LaidUp[],
  open: LaidUp,
): SetFitting[] =>
  fittings.flatMap((set) => {
    const { fitting } = set
    const places = takenBy(({ sheets }) => sheets.some((s) => s.sheet.id === fitting.sheet), works, open)
    if (!places) return [set]
    return places.flatMap(({ on, named }): SetFitting[] => {
      const sheet = named.get(fitting.sheet)
      const through = fitting.through.flatMap((t) => {
        const there = named.get(t.sheet)
        return there === undefined ? [] : [{ ...t, sheet: there }]
      })
      const seen = clipsHave(on.sheet.clips, pointMoved(fitting.at, on.sheet.move))
      return sheet !== undefined && seen ? [{ ...set, fitting: { ...fitting, sheet, through } }] : []
    })
  })
