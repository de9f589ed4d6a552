import type { RunLengths } from './wishes.js'

/** How lengths grow with each thing that may be moved, close to where they were measured. */
export interface Model {
  readonly base: readonly RunLengths[]
  /** By how much each thing was moved when it was measured. */
  readonly at: readonly number[]
  /** Per thing: change of every length, in the order they are read off, for a move of 1 mm. */
  readonly slopes: readonly (readonly number[])[]
}

/** All lengths of runs in a row, so that they can be added up. */
export const flattened = (runs: readonly RunLengths[]): number[] =>
  runs.flatMap((r) => [
    ...r.sides.map((s) => s.length),
    ...r.steps.map((s) => s.distance),
    ...r.other.map((s) => s.length),
  ])

/** The same runs with other lengths in their places. */
export function restored(runs: readonly RunLengths[], lengths: readonly number[]): RunLengths[] {
  let i = 0
  const next = (): number => lengths[i++]!
  return runs.map((r) => ({
    ...r,
    sides: r.sides.map((s) => ({ ...s, length: next() })),
    steps: r.steps.map((s) => ({ ...s, distance: next() })),
    other: r.other.map((s) => ({ ...s, length: next() })),
  }))
}

/** Whether two layouts are of the same runs, sides and steps, so that one can be reckoned from the other. */
export const alike = (a: readonly RunLengths[], b: readonly RunLengths[]): boolean =>
  a.length === b.length &&
  a.every(
    (r, i) =>
      r.run === b[i]!.run &&
      r.sides.length === b[i]!.sides.length &&
      r.steps.length === b[i]!.steps.length &&
      r.other.length === b[i]!.other.length,
  )

/** What the lengths would be with things moved by so much. */
export function predicted(model: Model, moves: readonly number[]): RunLengths[] {
  const lengths = flattened(model.base)
  moves.forEach((move, j) => {
    const by = move - model.at[j]!
    if (by !== 0) model.slopes[j]!.forEach((slope, i) => (lengths[i]! += slope * by))
  })
  return restored(model.base, lengths)
}
