/** Walls that part a room into compartments of one depth. */
export interface Dividers {
  readonly count: number
  /** How thick each is, mm. */
  readonly thickness: number
}

export const UNDIVIDED: Dividers = { count: 0, thickness: 0 }

/** Rows shared out to compartments: which row goes into which, and how deep the fullest has to be, mm. */
export interface Sharing {
  readonly into: readonly number[]
  readonly most: number
}

/** Rows of such depths shared out to `count` compartments so that the fullest takes least, mm. */
export function sharedOut(depths: readonly number[], count: number): Sharing {
  let best: Sharing = { into: [], most: Infinity }
  const full = Array.from({ length: count }, () => 0)
  const into: number[] = []
  const put = (row: number, most: number): void => {
    if (most >= best.most) return
    if (row === depths.length) {
      best = { into: [...into], most }
      return
    }
    for (let k = 0; k < count; k += 1) {
      full[k]! += depths[row]!
      into.push(k)
      put(row + 1, Math.max(most, full[k]!))
      into.pop()
      full[k]! -= depths[row]!
      // Empty compartments are alike: one of them is tried.
      if (full[k] === 0) break
    }
  }
  put(0, 0)
  return best
}

/** Depth of a whole room whose fullest compartment is so deep, with `ease` kept between what stands in it and its walls, mm. */
export const depthOf = (most: number, { count, thickness }: Dividers, ease: number): number =>
  (count + 1) * most + count * (thickness + ease)

/** Where each compartment begins, from the back, and how deep it is, mm. */
export function compartmentsOf(
  deep: number,
  { count, thickness }: Dividers,
): { from: number; deep: number }[] {
  const each = (deep - count * thickness) / (count + 1)
  return Array.from({ length: count + 1 }, (_, i) => ({ from: i * (each + thickness), deep: each }))
}
