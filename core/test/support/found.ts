import { type FoundResult, outlineProblem } from '@drumlin/core/exchange/outlines'
import { boxHeight, boxWidth, pathBox } from '@drumlin/core/geometry'

/** What is said of a file: why it is refused, that it holds no outline, or “read”. */
export const why = (result: FoundResult): string =>
  result.ok ? (outlineProblem(result.found) ?? 'read') : result.why

/** How wide and high each closed outline of a file is, in its units. */
export function sizes(result: FoundResult): (readonly [number, number])[] {
  if (!result.ok) throw new Error(result.why)
  return result.found.closed.map(({ path }) => {
    const box = pathBox(path)
    return [Number(boxWidth(box).toFixed(3)), Number(boxHeight(box).toFixed(3))] as const
  })
}
