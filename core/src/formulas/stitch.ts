/** What a saddle-stitched run takes, lengths in mm. */
export interface SaddleStitch {
  readonly stitches: number
  readonly pitch: number
  /** Thickness at each hole, in order. */
  readonly stacks: readonly number[]
  readonly backstitches: number
  /** Thread left over at each end of each length. */
  readonly ends: number
  readonly tail: number
}

function total(values: readonly number[]): number {
  let sum = 0
  for (const value of values) sum += value
  return sum
}

/** Thread that passes through the work: the first hole once, every other one twice, mm; docs/formulas.md §6. */
export const throughWork = (stacks: readonly number[]): number => 2 * total(stacks) - (stacks[0] ?? 0)

/** Mean thickness at the holes, mm. */
export const meanStack = (stacks: readonly number[]): number =>
  stacks.length === 0 ? 0 : total(stacks) / stacks.length

/** Thread of a saddle-stitched run, both needles together, mm; docs/formulas.md §6 [6.01–6.03]. */
export const saddleStitchThread = (run: SaddleStitch): number =>
  2 * run.stitches * run.pitch +
  throughWork(run.stacks) +
  run.backstitches * 2 * (run.pitch + meanStack(run.stacks)) +
  run.ends * run.tail

/**
 * Stitches whose pitch comes nearest to `pitch` on a side of `length` mm; docs/formulas.md §7 [7.01]. `phases` are the
 * parts of a pitch left free at its ends (a straddled corner leaves a half).
 */
export function equalisedStitches(length: number, pitch: number, phases = 0): number {
  const pitches = length / pitch - phases
  const fewer = Math.floor(pitches)
  if (fewer < 1) return Math.max(phases > 0 ? 0 : 1, Math.round(pitches))
  const [few, more] = [length / (fewer + phases) - pitch, length / (fewer + 1 + phases) - pitch]
  return Math.abs(few) <= Math.abs(more) ? fewer : fewer + 1
}

/** A stitch through slots: the slit that is left beside the thread, how it slants, and on which faces that shows. */
export interface SlantedStitch {
  readonly pitch: number
  readonly thickness: number
  readonly slit: number
  /** Radians from the seam. */
  readonly slant: number
  readonly faces: 'one' | 'both'
}

/** Thread of one saddle stitch whose slots let it lie at a slant; §6 [6.04]. */
export function slantedStitch({ pitch: p, thickness: t, slit, slant, faces }: SlantedStitch): number {
  const [along, across] = [slit * Math.cos(slant), slit * Math.sin(slant)]
  const shorter = Math.hypot(p - along, across)
  return faces === 'one'
    ? shorter + Math.hypot(p + along, across) + 2 * t
    : 2 * shorter + 2 * Math.hypot(t, slit)
}

/** Arc used up by a stitch of `pitch` mm stepped straight over a curve of `radius` mm; docs/formulas.md §7 [7.05]. */
export const arcPerStitch = (radius: number, pitch: number): number =>
  2 * radius * Math.asin(pitch / (2 * radius))

/** Half of a slanted slot measured across the seam, mm; slant in radians. */
export const halfAcross = (slotLength: number, slant: number): number => (slotLength * Math.sin(slant)) / 2

/** Thread of loops laid over the edge at the ends of a seam, their holes `edge` mm from it; docs/formulas.md §6. */
export const edgeLoops = (loops: number, edge: number, thickness: number): number =>
  loops * (2 * edge + 2 * thickness)

/** Metres of thread of `diameter` mm wound on a bobbin, lengths mm; `fill` is the share of the room it takes up. */
export const bobbinHolds = (
  across: number,
  core: number,
  wide: number,
  diameter: number,
  fill: number,
): number => ((across ** 2 - core ** 2) * wide * fill) / (diameter ** 2 * 1000)
