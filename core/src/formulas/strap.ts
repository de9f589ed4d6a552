/** Neutral length of a handle bent as an arc over a chord, without its attachments; docs/formulas.md §10 [10.01]. */
export function handleArc(chord: number, rise: number, thickness: number, neutral: number): number {
  const radius = (chord ** 2 / 4 + rise ** 2) / (2 * rise)
  return 2 * Math.atan2(chord / 2, radius - rise) * (radius + neutral * thickness)
}

/** A keeper round straps of that width and thickness together, butted; §10 [10.03]. */
export const keeperLength = (
  width: number,
  straps: number,
  easeWidth: number,
  easeThick: number,
  thickness: number,
  neutral: number,
): number => 2 * (width + easeWidth) + 2 * (straps + easeThick) + 2 * Math.PI * neutral * thickness

/** From the middle of a bar round it to the end of the lap; §10 [10.05]. */
export const turnBack = (bar: number, thickness: number, neutral: number, lap: number): number =>
  Math.PI * (bar / 2 + neutral * thickness) + lap

/** Inner girth of a belt from its flat length; §10 [10.04]. */
export const beltGirth = (flat: number, thickness: number, neutral: number): number =>
  flat - 2 * Math.PI * neutral * thickness

/** Width of the cover of a rolled handle round a cord, butted; §10 [10.06]. */
export const rolledCover = (cord: number, thickness: number, neutral: number): number =>
  2 * Math.PI * (cord / 2 + neutral * thickness)

/** From stitch row to stitch row round a cord, the row `below` its middle; §10 [10.07]. */
export function pipedCover(cord: number, thickness: number, neutral: number, below: number): number {
  const [rho, k] = [cord / 2 + neutral * thickness, neutral * thickness]
  const reach = Math.hypot(k, below)
  return (
    2 * Math.sqrt(reach ** 2 - rho ** 2) +
    rho * (2 * Math.PI - 2 * Math.acos(rho / reach) - 2 * Math.atan2(k, below))
  )
}
