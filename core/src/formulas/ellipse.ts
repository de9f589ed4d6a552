const SIMPSON = 200
/** ∫ √(1 − lean² sin²) from 0 to `angle`: along an ellipse of half axis 1, by Simpson's rule. */
export function ellipticArc(angle: number, lean: number): number {
  const f = (x: number): number => Math.sqrt(1 - lean ** 2 * Math.sin(x) ** 2)
  const h = angle / SIMPSON
  let sum = f(0) + f(angle)
  for (let i = 1; i < SIMPSON; i += 1) sum += (i % 2 === 0 ? 2 : 4) * f(i * h)
  return (sum * h) / 3
}
