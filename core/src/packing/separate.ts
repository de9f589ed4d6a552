import { floatAt, intAt, nth } from '../lists/index.js'
import { type Table, copyOf } from './layout.js'
import type { Random } from './random.js'
import { type Effort, placeFor } from './search.js'

/** How weights grow where things meet, at the least and where they meet deepest, and how they fade where they don’t. */
const GROWS = { least: 1.2, most: 2 } as const
const FADES = 0.95

/** How long it goes on without getting better: so many rounds, so many times. */
export interface Patience {
  readonly rounds: number
  readonly strikes: number
}

/** How much everything meets everything, mm, and each pair of it. */
function overlaps(table: Table): { readonly sum: number; readonly pairs: Float64Array } {
  const { count, total, layout, ground } = table
  const pairs = new Float64Array(count * total)
  let sum = 0
  const meet = (i: number, j: number, depth: number): void => {
    pairs[i * total + j]! += depth
    if (j < count) pairs[j * total + i]! += depth
    sum += depth
  }
  for (let i = 0; i < count; i += 1) {
    for (let j = i + 1; j < total; j += 1) {
      // What is held is the maker’s own doing, whatever it meets that nobody moves.
      if (ground.held[i] && (j >= count || ground.held[j])) continue
      const depth = table.depth(i, intAt(layout.turn, i), floatAt(layout.x, i), floatAt(layout.y, i), j)
      if (depth > 0) meet(i, j, depth)
    }
    const mate = ground.mates[i] ?? -1
    if (mate > i && table.isLaid(i) && !(ground.held[i] && ground.held[mate])) {
      const depth = table.strayed(i, intAt(layout.turn, i), floatAt(layout.y, i))
      if (depth > 0) meet(i, mate, depth)
    }
  }
  return { sum, pairs }
}

function shuffled(list: number[], random: Random): number[] {
  for (let i = list.length - 1; i > 0; i -= 1) {
    const k = Math.floor(random() * (i + 1))
    const [a, b] = [nth(list, i), nth(list, k)]
    list[i] = b
    list[k] = a
  }
  return list
}

/** Makes pairs that meet weigh more, and those that don’t less. */
function weigh(table: Table, pairs: Float64Array): void {
  const { weights } = table
  let deepest = 0
  for (const p of pairs) if (p > deepest) deepest = p
  for (let k = 0; k < weights.length; k += 1) {
    const depth = floatAt(pairs, k)
    const by = depth === 0 ? FADES : GROWS.least + ((GROWS.most - GROWS.least) * depth) / deepest
    weights[k] = Math.max(floatAt(table.base, k), floatAt(weights, k) * by)
  }
}

/** Moves things that meet until none does; false where that did not come about. The layout left is the best that was met. */
export function separate(
  table: Table,
  effort: Effort,
  patience: Patience,
  random: Random,
  more: () => boolean,
): { readonly apart: boolean; readonly sum: number } {
  const { count, total, layout } = table
  table.weights.set(table.base)
  let { sum, pairs } = overlaps(table)
  let least = sum
  const kept = copyOf(layout)
  const keep = (): void => {
    kept.turn.set(layout.turn)
    kept.x.set(layout.x)
    kept.y.set(layout.y)
    least = sum
  }
  const back = (): void => table.take(kept)
  for (let strike = 0; strike < patience.strikes && sum > 0; strike += 1) {
    const start = least
    for (let idle = 0; idle < patience.rounds && sum > 0; idle += 1) {
      if (!more()) {
        back()
        return { apart: least === 0, sum: least }
      }
      const meets = Array.from({ length: count }, (_, i) => i).filter((i) => {
        if (!table.moves(i)) return false
        for (let j = 0; j < total; j += 1) if (floatAt(pairs, i * total + j) > 0) return true
        return false
      })
      for (const i of shuffled(meets, random)) {
        const spot = placeFor(table, i, effort, random)
        table.lay(i, spot.turn, spot.x, spot.y)
      }
      ;({ sum, pairs } = overlaps(table))
      weigh(table, pairs)
      if (sum < least) {
        if (sum < 0.98 * least) idle = 0
        keep()
      }
    }
    if (sum === 0) break
    // No headway in all of this: another try from the best with fresh weights, or the end.
    back()
    ;({ sum, pairs } = overlaps(table))
    if (least > 0.98 * start && strike > 0) break
  }
  if (sum === 0) least = 0
  else back()
  return { apart: least === 0, sum: least }
}
