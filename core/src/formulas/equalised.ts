/**
 * Stitches whose pitch comes nearest to `pitch` on a side of `length` mm; §7 [7.01]. `phases` are the parts of a pitch
 * left free at its ends (a straddled corner leaves a half).
 */
export function equalisedStitches(length: number, pitch: number, phases = 0): number {
  const pitches = length / pitch - phases
  const fewer = Math.floor(pitches)
  if (fewer < 1) return Math.max(phases > 0 ? 0 : 1, Math.round(pitches))
  const [few, more] = [length / (fewer + phases) - pitch, length / (fewer + 1 + phases) - pitch]
  return Math.abs(few) <= Math.abs(more) ? fewer : fewer + 1
}
