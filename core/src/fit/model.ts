import { nth, floatAt } from '../lists/index.js'
import { equalisedStitches } from '../formulas/index.js'
import { commonCountMaybe } from '../stitch/index.js'
import type { Limits, RunLengths, Wish } from './wishes.js'

/** How lengths grow with each thing that may be moved, close to where they were measured. */
export interface Model {
  readonly runs: readonly RunLengths[]
  readonly base: Float64Array
  /** By how much each thing was moved when it was measured. */
  readonly at: readonly number[]
  /** Per thing: change of every length, in the order they are read off, for a move of 1 mm. */
  readonly slopes: readonly Float64Array[]
}

/** All lengths of runs in a row, so that they can be added up. */
export const flattened = (runs: readonly RunLengths[]): Float64Array =>
  Float64Array.from(
    runs.flatMap((r) => [
      ...r.sides.map((s) => s.length),
      ...r.steps.map((s) => s.distance),
      ...r.other.map((s) => s.length),
    ]),
  )

/** Whether two layouts are of the same runs, sides and steps, so that one can be reckoned from the other. */
export const alike = (a: readonly RunLengths[], b: readonly RunLengths[]): boolean =>
  a.length === b.length &&
  a.every(
    (r, i) =>
      r.run === nth(b, i).run &&
      r.sides.length === nth(b, i).sides.length &&
      r.steps.length === nth(b, i).steps.length &&
      r.other.length === nth(b, i).other.length,
  )

const widthOf = (run: RunLengths): number => run.sides.length + run.steps.length + run.other.length

const same = (a: Float64Array, b: Float64Array): boolean =>
  a.every((v, i) => Math.abs(v - floatAt(b, i)) < 1e-7)

/**
 * The model without what need not be reckoned again and again: runs that nothing moves, and of two that mirror each
 * other and answer alike the second.
 */
export function reduced(model: Model): { moving: Model; still: Model } {
  const kept: { run: RunLengths; from: number; moves: boolean }[] = []
  const part = (of: Float64Array, from: number, run: RunLengths): Float64Array =>
    of.subarray(from, from + widthOf(run))
  let from = 0
  for (const run of model.runs) {
    const at = from
    from += widthOf(run)
    const twin = kept.find((k) => run.alike.includes(k.run.run))
    const rows = [model.base, ...model.slopes]
    if (
      twin &&
      widthOf(twin.run) === widthOf(run) &&
      rows.every((r) => same(part(r, twin.from, twin.run), part(r, at, run)))
    )
      continue
    kept.push({
      run,
      from: at,
      moves: model.slopes.some((s) => part(s, at, run).some((v) => Math.abs(v) > 1e-9)),
    })
  }
  // A run that stays is still compared with one that moves.
  const moving = new Set(kept.filter((k) => k.moves).flatMap((k) => [k.run.run, ...k.run.alike]))
  const of = (moves: boolean): Model => {
    const chosen = kept.filter((k) => moving.has(k.run.run) === moves)
    const gather = (row: Float64Array): Float64Array =>
      Float64Array.from(chosen.flatMap((k) => [...part(row, k.from, k.run)]))
    return {
      runs: chosen.map((k) => k.run),
      base: gather(model.base),
      at: model.at,
      slopes: model.slopes.map(gather),
    }
  }
  return { moving: of(true), still: of(false) }
}

/** What is missed of each wish, and the furthest any pitch is off, as a share. */
export type Missed = Record<Wish, number> & { off: number }

/** Lengths after moves, written into `out`. */
export function predict(model: Model, moves: readonly number[], out: Float64Array): void {
  const { base } = model
  for (let i = 0; i < base.length; i += 1) out[i] = floatAt(base, i)
  for (let j = 0; j < moves.length; j += 1) {
    const by = nth(moves, j) - nth(model.at, j)
    if (by === 0) continue
    const slopes = nth(model.slopes, j)
    for (let i = 0; i < out.length; i += 1) out[i]! += floatAt(slopes, i) * by
  }
}

const countOf = (length: number, pitch: number, phases: number): number =>
  equalisedStitches(length, pitch, phases) + phases

/**
 * What runs of these lengths would miss. It is asked tens of thousands of times, so nothing is made on the way; it says
 * the same as `trueMisses` does of holes that are really laid, but for what a curve's chords differ from its arc.
 */
export function missedBy(
  runs: readonly RunLengths[],
  lengths: Float64Array,
  { play, clearance }: Limits,
  out: Missed,
): void {
  out.pitch = out.steps = out.counts = out.off = 0
  const counts: number[] = []
  const firsts: number[] = []
  let i = 0
  for (let r = 0; r < runs.length; r += 1) {
    const run = nth(runs, r)
    const first = i
    firsts.push(first)
    const stitches = laid(run, run.sides, lengths, first, play, out)
    i += run.sides.length
    for (let k = 0; k < run.steps.length; k += 1) {
      const near = nearestHole(floatAt(lengths, i++), run, lengths, first)
      out.steps += Math.max(0, clearance - near) / Math.max(0.1, clearance)
    }
    if (run.other.length > 0) {
      out.counts += Math.abs(stitches - laid(run, run.other, lengths, i, play, out))
      i += run.other.length
    }
    counts.push(stitches)
    for (const id of run.alike) {
      const other = runs.findIndex((o) => o.run === id)
      if (other < 0 || other >= r) continue
      const [here, there] = [
        { of: run, first },
        { of: nth(runs, other), first: nth(firsts, other) },
      ]
      if (id === run.tied && agree(here, there, lengths, play)) continue
      out.counts += 2 * Math.abs(stitches - nth(counts, other))
    }
  }
}

/** A run whose lengths begin at `first` in the row of all. */
interface PlacedRun {
  readonly of: RunLengths
  readonly first: number
}

/** Whether the sides of two tied runs come to common counts one way round or the other. */
function agree(run: PlacedRun, other: PlacedRun, lengths: Float64Array, play: number): boolean {
  const { sides, pitch } = run.of
  if (other.of.pitch !== pitch || other.of.sides.length !== sides.length) return false
  const side = ({ of, first }: PlacedRun, i: number) => ({
    length: floatAt(lengths, first + i),
    phases: nth(of.sides, i).phases,
  })
  const meets = (i: number, k: number): boolean =>
    commonCountMaybe(side(run, i), side(other, k), pitch, play) !== undefined
  return sides.every((_, i) => meets(i, i)) || sides.every((_, i) => meets(i, sides.length - 1 - i))
}

/** Stitches of sides whose lengths begin at `first`, with what their pitches miss added to `out`. */
function laid(
  run: RunLengths,
  sides: RunLengths['sides'],
  lengths: Float64Array,
  first: number,
  play: number,
  out: Missed,
): number {
  let stitches = 0
  for (let k = 0; k < sides.length; k += 1) {
    const length = floatAt(lengths, first + k)
    const count = countOf(length, run.pitch, nth(sides, k).phases)
    const off = Math.abs(length / count / run.pitch - 1)
    out.pitch += Math.max(0, off - play)
    if (off > out.off) out.off = off
    stitches += count
  }
  return stitches
}

/** Distance of the nearest hole from a place along a run whose sides begin at `first` in the row of lengths. */
function nearestHole(distance: number, run: RunLengths, lengths: Float64Array, first: number): number {
  let [start, nearest] = [0, Infinity]
  for (let k = 0; k < run.sides.length; k += 1) {
    const [length, phases] = [floatAt(lengths, first + k), nth(run.sides, k).phases]
    const pitch = length / countOf(length, run.pitch, phases)
    const lead = k > 0 && phases > 0 ? pitch / 2 : 0
    const max = Math.round((length - lead - (phases > 0 && k < run.sides.length - 1 ? pitch / 2 : 0)) / pitch)
    const along = (distance - start - lead) / pitch
    const low = Math.min(max, Math.max(0, Math.floor(along)))
    for (let n = low; n <= Math.min(max, low + 1); n += 1)
      nearest = Math.min(nearest, Math.abs(start + lead + n * pitch - distance))
    start += length
  }
  return nearest
}
