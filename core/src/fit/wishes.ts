import { type Derived, tiedRun } from '../derived/index.js'
import { type Run, type Side, type SideLength, sideLength } from '../stitch/index.js'
import { required } from '../lists/index.js'

/** What has to hold: pitches near the iron's own, no hole near a step, as many holes on edges that meet. */
export type Wish = 'pitch' | 'steps' | 'counts'
export const WISHES: readonly Wish[] = ['pitch', 'steps', 'counts']

/** What is asked of every run. */
export interface Limits {
  /** Share by which a pitch may differ from the iron's own. */
  readonly play: number
  /** Least distance of a hole from a pocket step, mm. */
  readonly clearance: number
}

/** A run as lengths: its sides, the places of its open steps, and the sides of its other edge. mm. */
export interface RunLengths {
  readonly run: string
  readonly pitch: number
  readonly sides: readonly SideLength[]
  readonly steps: readonly { readonly name: string; readonly distance: number }[]
  readonly other: readonly SideLength[]
  /** Runs that must have as many holes: the one that mirrors it, and the one along the edge tied to its own. */
  readonly alike: readonly string[]
  /** Of these the one along the tied edge: it takes a common count where the play of both allows one. */
  readonly tied: string | undefined
}

/** How far something misses what is asked, in shares of it: 0 where it holds. */
export interface Miss {
  readonly run: string
  readonly wish: Wish
  readonly by: number
}

const lengthsOfSide = (side: Side, last: number): SideLength =>
  side.to <= last ? sideLength(side) : { length: side.length, phases: 0 }

/** Runs that must have as many holes as this one, of those that are there. */
function alikeRuns(derived: Derived, run: Run): Run[] {
  const twin = derived.runs.find((r) => r.join.id === run.join.twin)
  const tied = tiedRun(derived, run)
  return [...(twin ? [twin] : []), ...(tied ? [tied] : [])]
}

/** The runs punched by hand, as lengths. */
export const lengthsOf = (derived: Derived): RunLengths[] =>
  derived.runs
    .filter((run) => run.ways.holes !== 'machine')
    .map((run) => ({
      run: run.join.id,
      tied: tiedRun(derived, run)?.join.id,
      pitch: run.ways.pitch,
      sides: run.sides.map((s) => lengthsOfSide(s, run.holes.length - 1)),
      steps: run.steps.filter((s) => s.open).map(({ name, distance }) => ({ name, distance })),
      other:
        run.other && !run.ways.wish.ease
          ? run.other.sides.map((s) => lengthsOfSide(s, required(run.other, 'other').holes.length - 1))
          : [],
      alike: alikeRuns(derived, run).map((r) => r.join.id),
    }))

const holeDistance = (run: Run, distance: number): number =>
  Math.min(...run.holes.map((h) => Math.abs(h.distance - distance)))

/** How near a hole comes to an open step of a run, mm; Infinity where it crosses none. */
export const nearestStep = (run: Run): number =>
  Math.min(...run.steps.filter((s) => s.open).map((s) => holeDistance(run, s.distance)))

const offOf = (run: Run, side: Side): number =>
  Math.max(
    Math.abs(side.pitch / run.ways.pitch - 1),
    side.last ? Math.abs(side.last.pitch / run.ways.pitch - 1) : 0,
  )

/** The same read off the holes themselves, as they are laid. */
export function trueMisses(derived: Derived, limits: Limits): Miss[] {
  return derived.runs
    .filter((run) => run.ways.holes !== 'machine')
    .flatMap((run): Miss[] => {
      const sides = [...run.sides, ...(run.other?.sides ?? [])]
      const pitch = sides.reduce((sum, s) => sum + Math.max(0, offOf(run, s) - limits.play), 0)
      const steps = run.steps
        .filter((s) => s.open)
        .reduce(
          (sum, s) =>
            sum +
            Math.max(0, limits.clearance - holeDistance(run, s.distance)) / Math.max(0.1, limits.clearance),
          0,
        )
      const counts =
        (run.other ? Math.abs(run.other.holes.length - run.holes.length) : 0) +
        alikeRuns(derived, run).reduce(
          (sum, other) => sum + Math.abs(other.holes.length - run.holes.length),
          0,
        )
      return [
        { run: run.join.id, wish: 'pitch', by: pitch },
        { run: run.join.id, wish: 'steps', by: steps },
        { run: run.join.id, wish: 'counts', by: counts },
      ]
    })
    .filter((m) => m.by > 1e-9)
}

/** How much is missed of some wishes altogether; a count that differs weighs as a whole hole. */
export const missedOf = (misses: readonly Miss[], wishes: readonly Wish[]): number =>
  misses.reduce((sum, m) => sum + (wishes.includes(m.wish) ? m.by : 0), 0)
