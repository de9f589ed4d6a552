import { pathPlaceAt } from '../geometry/index.js'
import { type LaidUp, sheetUnder } from '../layup/index.js'
import { type Run, tapesOf } from '../stitch/index.js'

/** Thickness of what a run sews, along it: distance from its start and thickness there, mm. */
export interface SeamProfile {
  readonly run: string
  readonly name: string
  readonly length: number
  readonly points: readonly (readonly [number, number])[]
  readonly thickest: number
}

/** Read this far apart along a run, mm. */
const STEP = 0.5

/** The thickness under a run from its start to its end; a step is read on both of its sides. */
export function alongRun(run: Run, work: LaidUp, step = STEP): SeamProfile {
  const sheets = work.sheets.filter((s) => run.join.through.includes(s.sheet.id))
  // The other edge of a seam that lies apart is sewn with this one.
  const other = run.join.mate ? run.other : undefined
  const itself = other?.sheet === run.join.course.sheet
  const count = Math.max(1, Math.ceil(run.length / step))
  const even = Array.from({ length: count + 1 }, (_, i) => (run.length * i) / count)
  const beside = run.steps.flatMap((s) => [s.distance - 0.02, s.distance + 0.02])
  const points = [...even, ...beside]
    .filter((d) => d >= 0 && d <= run.length)
    .sort((a, b) => a - b)
    .map((d): readonly [number, number] => {
      const { at } = pathPlaceAt(run.path, d)
      const there = other && pathPlaceAt(other.path, (d * other.length) / run.length).at
      const place = { here: at, there, itself }
      const under = sheets.reduce((sum, laid) => sum + sheetUnder(laid, place).reduce((a, b) => a + b), 0)
      return [d, under + tapesOf(run.join)]
    })
  return {
    run: run.join.id,
    name: run.join.name,
    length: run.length,
    points,
    thickest: Math.max(0, ...points.map((p) => p[1])),
  }
}
