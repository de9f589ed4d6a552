import { firstOf, nth } from '../lists/index.js'
/** A stretch of starts for a row of holes, mm from where the joints are measured. */
export interface PhaseInterval {
  readonly from: number
  readonly to: number
}

/**
 * Where a row of holes may start so that no hole comes nearer than `clearance` to a joint, within one pitch from the
 * first residue; none where it can't be done. §7 [7.02].
 */
export function phaseIntervals(
  joints: readonly number[],
  pitch: number,
  clearance: number,
): readonly PhaseInterval[] {
  const residues = [
    ...new Set(joints.map((j) => Math.round((((j % pitch) + pitch) % pitch) * 1e9) / 1e9)),
  ].sort((a, b) => a - b)
  return residues.flatMap((residue, i) => {
    const next = i + 1 < residues.length ? nth(residues, i + 1) : firstOf(residues) + pitch
    // Where the room is exactly twice the clearance, one start is left.
    return next - residue >= 2 * clearance - 1e-9 ? [{ from: residue + clearance, to: next - clearance }] : []
  })
}

/** The widest stretch of starts clear of steps that follow each other evenly; not a number where there is none. */
export function widestStart(
  clearance: number,
  steps: number,
  apart: number,
  first: number,
  pitch: number,
): PhaseInterval {
  const joints = Array.from({ length: steps }, (_, i) => first + i * apart)
  const [widest] = [...phaseIntervals(joints, pitch, clearance)].sort(
    (a, b) => b.to - b.from - (a.to - a.from),
  )
  return widest ?? { from: NaN, to: NaN }
}
