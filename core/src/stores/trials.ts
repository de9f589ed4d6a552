import { type Units, decimal, printWeight } from '../measure/index.js'
import { neutralFromStrip, throughWork } from '../formulas/index.js'
import type { Leather, Trial } from './leather.js'

/** A number learnt from test pieces: its mean, how far off it may be, and from how many it comes. */
export interface Learnt {
  readonly value: number
  /**
   * Standard error: what the pieces differ by, and what a rule or a gauge can't tell. From a single piece only the
   * second is known, so it is the least it can be.
   */
  readonly error: number
  readonly count: number
}

/** What one reading may be off by: a steel rule or a thickness gauge at the bench, mm (J). */
const READING = { rule: 0.15, gauge: 0.03, thread: 5 } as const

interface Seen {
  readonly value: number
  /** What the reading alone may put it off by. */
  readonly doubt: number
}

function learnt(seen: readonly Seen[]): Learnt | undefined {
  const count = seen.length
  if (count === 0) return undefined
  const value = seen.reduce((sum, s) => sum + s.value, 0) / count
  const spread = count === 1 ? 0 : seen.reduce((sum, s) => sum + (s.value - value) ** 2, 0) / (count - 1)
  const reading = seen.reduce((sum, s) => sum + s.doubt ** 2, 0) / count
  return { value, error: Math.sqrt((spread + reading) / count), count }
}

const of = <T extends Trial['type']>(leather: Leather, type: T): Extract<Trial, { type: T }>[] =>
  leather.trials.filter((t): t is Extract<Trial, { type: T }> => t.type === type)

/**
 * Share of the thickness that keeps its length, from a turned border: it was cut `added` out and landed `landed` in, so
 * the bend cost added − landed; solved for k from (π/2 − 1) c + (π k − 2) t. docs/formulas.md §4.
 */
export const neutralFromTurn = (added: number, landed: number, core: number, thickness: number): number =>
  ((added - landed - (Math.PI / 2 - 1) * core) / thickness + 2) / Math.PI

/** Thread of a plain row without tails; docs/formulas.md §6. */
const rowOf = (stitches: number, pitch: number, stack: number): number =>
  2 * stitches * pitch + throughWork(Array.from({ length: stitches + 1 }, () => stack))

/** What a leather's test pieces say of it. */
export interface Lessons {
  readonly neutral: Learnt | undefined
  readonly turn: Learnt | undefined
  readonly threadFactor: Learnt | undefined
  /** What is left at an edge meant to be nothing, mm. */
  readonly atEdge: Learnt | undefined
}

export const lessonsOf = (leather: Leather): Lessons => {
  const { thickness } = leather
  return {
    neutral: learnt(
      of(leather, 'fold').map((t) => ({
        value: neutralFromStrip(t.used, t.angle, t.radius, thickness),
        doubt: READING.rule / (t.angle * thickness),
      })),
    ),
    turn: learnt(
      of(leather, 'turn').map((t) => ({
        value: neutralFromTurn(t.added, t.landed, t.core, thickness),
        doubt: READING.rule / (Math.PI * thickness),
      })),
    ),
    threadFactor: learnt(
      of(leather, 'thread').map((t) => {
        const row = rowOf(t.stitches, t.pitch, t.stack)
        return { value: t.used / row, doubt: READING.thread / row }
      }),
    ),
    atEdge: learnt(
      of(leather, 'skive').map((t) => ({ value: Math.max(0, t.left - t.wanted), doubt: READING.gauge })),
    ),
  }
}

const LIMITS = { neutral: [0.3, 0.75], turn: [0.3, 0.75], threadFactor: [0.7, 1.5], atEdge: [0, 2] } as const

/** The leather with what its test pieces say, held to what its schema takes. */
export function withLessons(leather: Leather): Leather {
  const lessons = lessonsOf(leather)
  const taken = (Object.keys(LIMITS) as (keyof typeof LIMITS)[]).flatMap((key) => {
    const found = lessons[key]
    if (!found) return []
    const [min, max] = LIMITS[key]
    return [[key, Math.round(Math.min(max, Math.max(min, found.value)) * 1000) / 1000] as const]
  })
  return { ...leather, ...Object.fromEntries(taken) }
}

/** A trial that can't be right for this leather, in words; undefined where it may be. */
export function trialProblem(leather: Leather, trial: Trial, unit: Units): string | undefined {
  const k =
    trial.type === 'fold'
      ? neutralFromStrip(trial.used, trial.angle, trial.radius, leather.thickness)
      : trial.type === 'turn'
        ? neutralFromTurn(trial.added, trial.landed, trial.core, leather.thickness)
        : undefined
  if (k !== undefined && (k < 0.1 || k > 1))
    return `That would put the layer that keeps its length at ${decimal(k, 2, unit)} of the thickness; it lies between ${decimal(0.3, 1, unit)} and ${decimal(0.75, 2, unit)}. Measure again, and check that the leather really is ${printWeight(leather.thickness, unit)}.`
  if (trial.type === 'thread') {
    const factor = trial.used / rowOf(trial.stitches, trial.pitch, trial.stack)
    if (factor < 0.7 || factor > 1.5)
      return `That is ${decimal(factor, 2, unit)} times what the formula says; count the stitches again and leave the tails out.`
  }
  if (trial.type === 'skive' && trial.left > leather.thickness)
    return `More is left than the leather is thick (${printWeight(leather.thickness, unit)}).`
  return undefined
}
