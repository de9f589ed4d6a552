import { Matrix, solve } from 'ml-matrix'
import { median } from 'simple-statistics'

/**
 * Student’s t for 95 % on both sides, by degrees of freedom. Beyond the table: 1.96 + 2.5 / n, which is good to a hundredth.
 */
const T95 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228] as const
export const t95 = (freedom: number): number =>
  freedom < 1 ? Infinity : (T95[Math.floor(freedom) - 1] ?? 1.96 + 2.5 / freedom)

/** Solves a symmetric system; a parameter that nothing tells of stays where it is. */
export function solved(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const square = new Matrix(matrix.map((row) => [...row]))
  return solve(square, Matrix.columnVector([...right])).to1DArray()
}

/** A figure learnt: its value, between what it lies 19 times in 20, and on how many makings it rests. */
export interface Spread {
  readonly value: number
  readonly low: number
  readonly high: number
  readonly makings: number
}

/** What is farther than so many times the usual distance from the middle tells of something else. */
const FAR = 3.5

/** The middle of a few readings with its spread; readings far from all others are left out. */
export function spreadOf(values: readonly number[]): Spread | undefined {
  if (values.length === 0) return undefined
  const middle = median([...values])
  const usual = 1.4826 * median(values.map((v) => Math.abs(v - middle)))
  const near = usual > 0 ? values.filter((v) => Math.abs(v - middle) <= FAR * usual) : [...values]
  const n = near.length
  const value = near.reduce((a, b) => a + b, 0) / n
  const error = n < 2 ? Infinity : Math.sqrt(near.reduce((sum, v) => sum + (v - value) ** 2, 0) / (n - 1) / n)
  const off = n < 2 ? Infinity : t95(n - 1) * error
  return { value, low: value - off, high: value + off, makings: n }
}
