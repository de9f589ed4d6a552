/** Length change of a side that makes it a whole number of pitches, and that number; docs/formulas.md §7 [7.09]. */
export function nudge(length: number, pitch: number): { readonly stitches: number; readonly change: number } {
  const stitches = Math.max(1, Math.round(length / pitch))
  return { stitches, change: stitches * pitch - length }
}

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
    const next = i + 1 < residues.length ? residues[i + 1]! : residues[0]! + pitch
    return next - residue >= 2 * clearance ? [{ from: residue + clearance, to: next - clearance }] : []
  })
}

/** Hole centre to edge so that the thread does not tear out; force in N, shear strength in N/mm²; §7 [7.07]. */
export const edgeDistance = (
  hole: number,
  bevel: number,
  force: number,
  thickness: number,
  shear: number,
): number => hole / 2 + bevel + force / (2 * thickness * shear)

/** Largest share by which one edge may be longer than its mate, for a pucker of `height` mm a stitch; §7 [7.06]. */
export const easeLimit = (pitch: number, height: number): number => ((Math.PI * height) / (2 * pitch)) ** 2

/** Needle and bobbin thread of a lockstitch that locks at a share of the depth from the needle side; §6 [6.05]. */
export const lockstitch = (stitches: number, pitch: number, thickness: number, lock: number) => ({
  needle: stitches * (pitch + 2 * lock * thickness),
  bobbin: stitches * (pitch + 2 * (1 - lock) * thickness),
})

/** One saddle stitch with its thread lying proud of both faces, along the thread's middle; §6 [6.07]. */
export const proudLoop = (pitch: number, thickness: number, thread: number): number =>
  2 * (pitch + thickness) + Math.PI * thread
