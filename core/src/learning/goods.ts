import { type Trial, type Leather, lessonsOf as trialLessons } from '../stores/index.js'
import { type Spread, spreadOf } from './statistics.js'

/** What was left over of a thread, against what was reckoned; mm. */
export interface ThreadTaken {
  readonly leather: string
  readonly reckoned: number
  /** The part of it that the factor scales. */
  readonly row: number
  readonly factor: number
  readonly taken: number
}

/** The thread factor of each leather by what was really taken: tails and waste take what they took. */
export function threadFactors(taken: readonly ThreadTaken[]): ReadonlyMap<string, Spread> {
  return byName(
    taken.flatMap((t) =>
      t.row > 0 ? [[t.leather, t.factor + (t.taken - t.reckoned) / (t.row / t.factor)] as const] : [],
    ),
  )
}

/** What is cut to waste, as a share of what is used up, by part of the hide and sort of work. */
export const wasteBy = (
  cut: readonly {
    readonly part: string
    readonly kind: string
    readonly used: number
    readonly pieces: number
  }[],
): ReadonlyMap<string, Spread> =>
  byName(cut.flatMap((c) => (c.used > 0 ? [[`${c.part}, ${c.kind}`, 1 - c.pieces / c.used] as const] : [])))

/** How much straps of a leather lengthened, along and across the backbone, as a share. */
export const stretchBy = (
  straps: readonly {
    readonly leather: string
    readonly way: 'along' | 'across'
    readonly reckoned: number
    readonly measured: number
  }[],
): ReadonlyMap<string, Spread> =>
  byName(
    straps.flatMap((s) =>
      s.reckoned > 0 ? [[`${s.leather}|${s.way}`, s.measured / s.reckoned - 1] as const] : [],
    ),
  )

function byName(readings: readonly (readonly [string, number])[]): ReadonlyMap<string, Spread> {
  const groups = new Map<string, number[]>()
  for (const [name, value] of readings) groups.set(name, [...(groups.get(name) ?? []), value])
  return new Map(
    [...groups].flatMap(([name, values]) => {
      const found = spreadOf(values)
      return found ? [[name, found] as const] : []
    }),
  )
}

/** The test bar as it was read: along and across, as shares of what it should be. */
export const barsOf = (
  bars: readonly { readonly along: number; readonly across: number }[],
): { readonly along: Spread; readonly across: Spread } | undefined => {
  const [along, across] = [
    spreadOf(bars.map((b) => b.along / 100)),
    spreadOf(bars.map((b) => b.across / 100)),
  ]
  return along && across ? { along, across } : undefined
}

/** What test pieces and pieces measured on finished works say together of a leather. */
export const leatherLessons = (leather: Leather, trials: readonly Trial[]) =>
  trialLessons({ ...leather, trials: [...leather.trials, ...trials] })
