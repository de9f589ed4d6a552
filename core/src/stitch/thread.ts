import { SADDLE_STITCHED, THROUGH_ONWARD, THROUGH_WORK, meanStack } from '../formulas/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'

/** What a run takes thread for, however it is sewn. */
export interface ThreadedRun {
  readonly id: string
  readonly name: string
  readonly stitches: number
  /** Its first hole and its thread are another run's, which goes on here. */
  readonly onward: boolean
  readonly pitch: number
  /** Thickness of the work at each hole, in order, mm. */
  readonly stacks: readonly number[]
  readonly backstitches: number
  /** Thread left at each needle, mm. */
  readonly tail: number
  /** Share added for what is pulled in and cut off. */
  readonly waste: number
  /** What the leather really takes, as a multiple of the formula, from its test pieces. */
  readonly factor: number
}

export interface SaddleRun extends ThreadedRun {
  /** Loops over the edge at its ends, and how far their holes lie from it, mm. */
  readonly loops: number
  readonly edge: number
  /** Lengths of thread it is sewn with; each new one starts two stitches back. */
  readonly lengths: number
}

/**
 * Thread for a saddle-stitched run, both needles together, mm; docs/formulas.md §6 [6.01–6.03]. The first hole is
 * passed once, every other one twice.
 */
export function saddleThread(run: SaddleRun, reckon: Reckon): Reckoned {
  const { stacks } = run
  const back = run.backstitches + 2 * (run.lengths - 1)
  const ends = 2 * (run.lengths - (run.onward ? 1 : 0))
  const holes = reckon(
    {
      key: `thread.${run.id}.through`,
      label: 'through the work',
      formula: run.onward ? THROUGH_ONWARD : THROUGH_WORK,
      source: '§6',
    },
    {
      first: given('first hole', stacks[0] ?? 0, 'thickness'),
      count: given('holes', Math.max(0, stacks.length - 1), 'count'),
      mean: given('mean', meanStack(stacks.slice(1)), 'thickness'),
    },
  )
  return reckon(
    {
      key: `thread.${run.id}`,
      label: `thread for the ${run.name}`,
      quantity: 'long',
      formula:
        `(${SADDLE_STITCHED}` +
        (run.loops > 0 ? ' + {loops} loops × 2 × ({edge} + {thickness})' : '') +
        (ends > 0 ? ' + {ends} × {tail} tails' : '') +
        ') × {factor}',
      source: '§6',
    },
    {
      stitches: given('stitches', run.stitches, 'count'),
      pitch: given('pitch', run.pitch, 'thickness'),
      holes,
      // Halves are sewn too, so that both ends look alike.
      back: given('backstitches', back, Number.isInteger(back) ? 'count' : 'share'),
      thickness: given('mean', meanStack(stacks), 'thickness'),
      loops: given('loops', run.loops, 'count'),
      edge: given('hole to edge', run.edge, 'thickness'),
      ends: given('ends', ends, 'count'),
      tail: given('tail', run.tail),
      factor: given('factor', (1 + run.waste) * run.factor, 'share'),
    },
  )
}
