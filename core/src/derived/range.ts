import { tupleOf } from '../lists/index.js'
import type { Design } from '../design/index.js'
import { mastered } from './derive.js'
import { leatherAt, thicknessRange } from '../stores/index.js'

/** What a computed size comes to if the leathers come at either end of their weight as sold, mm. */
export interface SizeRange {
  readonly from: number
  readonly to: number
}

const at = (design: Design, end: 'low' | 'high'): Design => ({
  ...design,
  leathers: Object.fromEntries(
    Object.entries(design.leathers).map(([role, leather]) => [
      role,
      leatherAt(leather, thicknessRange(leather)[end]),
    ]),
  ),
})

/** Every size of the design, by key, with all leathers at the thin end and all at the thick end of their range. */
export function sizeRanges(design: Design): Readonly<Record<string, SizeRange>> {
  const [thin, thick] = tupleOf([at(design, 'low'), at(design, 'high')], (d) =>
    mastered(d).master.sizes.map((s) => s.size),
  )
  const here = new Map(mastered(design).master.sizes.map(({ size }) => [size.key, size.value]))
  return Object.fromEntries(
    thin.flatMap((size) => {
      const other = thick.find((s) => s.key === size.key)
      const own = here.get(size.key)
      if (!other || own === undefined) return []
      // What it is now lies in it, also where a skive or a choice makes more of it than either end of the leathers would.
      const values = [size.value, other.value, own]
      return [[size.key, { from: Math.min(...values), to: Math.max(...values) }]]
    }),
  )
}
