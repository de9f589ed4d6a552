import type { Derived } from '../derived/index.js'
import type { Run } from '../stitch/index.js'
import { nearestStep } from './wishes.js'

/** What a maker looks at in a run before and after: lengths in mm. */
export interface RunHoles {
  readonly holes: number
  /** Holes of the other side, where they are not as many. */
  readonly back: number | undefined
  readonly pitches: readonly number[]
  /** How near a hole comes to an open step, where one is crossed. */
  readonly step: number | undefined
}

const holesOf = (run: Run): RunHoles => {
  const step = nearestStep(run)
  const back = run.other?.holes.length
  return {
    holes: run.holes.length,
    back: back === run.holes.length ? undefined : back,
    pitches: run.sides.map((s) => s.pitch),
    step: Number.isFinite(step) ? step : undefined,
  }
}

/** What of it can be told apart on paper: hundredths of a pitch, tenths to a step. */
const shown = ({ holes, back, pitches, step }: RunHoles): string =>
  JSON.stringify([holes, back, pitches.map((p) => p.toFixed(2)), step?.toFixed(1)])

/** Runs whose holes two states of a design do not share, before and after. */
export function holesChanged(
  before: Derived,
  after: Derived,
): { readonly run: Run; readonly before: RunHoles; readonly after: RunHoles | undefined }[] {
  return before.runs.flatMap((run) => {
    const now = after.runs.find((r) => r.join.id === run.join.id)
    const [was, is] = [holesOf(run), now && holesOf(now)]
    return is && shown(was) === shown(is) ? [] : [{ run, before: was, after: is }]
  })
}
