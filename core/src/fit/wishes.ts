import type { Derived } from '../derive.js'
import { equalisedStitches } from '../formulas/index.js'
import type { Run, Side } from '../stitch/index.js'

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

/** One side of a run as lengths alone: enough to lay its holes without drawing them. */
interface SideLengths {
  readonly length: number
  readonly phases: number
}

/** A run as lengths: its sides, the places of its open steps, and the sides of its other edge. mm. */
export interface RunLengths {
  readonly run: string
  readonly pitch: number
  readonly sides: readonly SideLengths[]
  readonly steps: readonly { readonly name: string; readonly distance: number }[]
  readonly other: readonly SideLengths[]
  readonly twin: string | undefined
}

/** How far something misses what is asked, in shares of it: 0 where it holds. */
export interface Miss {
  readonly run: string
  readonly wish: Wish
  readonly by: number
}

/** Parts of a pitch left free at the ends of a side whose corners are straddled. */
const phasesOf = (side: Side): number => side.stitches - (side.to - side.from)

const lengthsOfSide = (side: Side, last: number): SideLengths => ({
  length: side.length,
  phases: side.to <= last ? Math.max(0, phasesOf(side)) : 0,
})

/** The runs punched by hand, as lengths. */
export const lengthsOf = ({ runs }: Derived): RunLengths[] =>
  runs
    .filter((run) => run.ways.holes !== 'machine')
    .map((run) => ({
      run: run.join.id,
      pitch: run.ways.pitch,
      sides: run.sides.map((s) => lengthsOfSide(s, run.holes.length - 1)),
      steps: run.steps.filter((s) => s.open).map(({ name, distance }) => ({ name, distance })),
      other:
        run.other && !run.ways.wish.ease
          ? run.other.sides.map((s) => lengthsOfSide(s, run.other!.holes.length - 1))
          : [],
      twin: run.join.twin,
    }))

const stitchesOn = ({ length, phases }: SideLengths, pitch: number): number =>
  equalisedStitches(length, pitch, phases) + phases

const countOf = (sides: readonly SideLengths[], pitch: number): number =>
  sides.reduce((sum, s) => sum + stitchesOn(s, pitch), 0)

/** Distance of the nearest hole from a place along a run laid out in these sides. */
function nearestHoleTo(distance: number, run: RunLengths): number {
  let start = 0
  let nearest = Infinity
  for (const side of run.sides) {
    const pitch = side.length / stitchesOn(side, run.pitch)
    const first = start + (side.phases > 0 ? pitch / 2 : 0)
    const along = (distance - first) / pitch
    const most = Math.round((side.length - (first - start)) / pitch)
    for (const i of [Math.floor(along), Math.ceil(along)])
      if (i >= 0 && i <= most) nearest = Math.min(nearest, Math.abs(first + i * pitch - distance))
    start += side.length
  }
  return nearest
}

function runMisses(run: RunLengths, limits: Limits): Miss[] {
  const offs = [...run.sides, ...run.other].map((side) =>
    Math.abs(side.length / stitchesOn(side, run.pitch) / run.pitch - 1),
  )
  const pitch = offs.reduce((sum, off) => sum + Math.max(0, off - limits.play), 0)
  const steps = run.steps.reduce(
    (sum, s) =>
      sum + Math.max(0, limits.clearance - nearestHoleTo(s.distance, run)) / Math.max(0.1, limits.clearance),
    0,
  )
  const counts =
    run.other.length > 0 ? Math.abs(countOf(run.sides, run.pitch) - countOf(run.other, run.pitch)) : 0
  return [
    { run: run.run, wish: 'pitch', by: pitch },
    { run: run.run, wish: 'steps', by: steps },
    { run: run.run, wish: 'counts', by: counts },
  ]
}

/** Everything that misses what is asked, reckoned from lengths alone. */
export function missesOf(runs: readonly RunLengths[], limits: Limits): Miss[] {
  const twins = runs.flatMap((run): Miss[] => {
    const twin = runs.find((r) => r.run === run.twin)
    const by = twin ? Math.abs(countOf(run.sides, run.pitch) - countOf(twin.sides, twin.pitch)) : 0
    return by > 0 ? [{ run: run.run, wish: 'counts', by }] : []
  })
  return [...runs.flatMap((r) => runMisses(r, limits)), ...twins].filter((m) => m.by > 1e-9)
}

const holeDistance = (run: Run, distance: number): number =>
  Math.min(...run.holes.map((h) => Math.abs(h.distance - distance)))

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
      const twin = derived.runs.find((r) => r.join.id === run.join.twin)
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
        (twin ? Math.abs(twin.holes.length - run.holes.length) : 0)
      return [
        { run: run.join.id, wish: 'pitch', by: pitch },
        { run: run.join.id, wish: 'steps', by: steps },
        { run: run.join.id, wish: 'counts', by: counts },
      ]
    })
    .filter((m) => m.by > 1e-9)
}

/** How much is missed altogether; a count that differs weighs as a whole hole. */
export const missed = (misses: readonly Miss[]): number => misses.reduce((sum, m) => sum + m.by, 0)
