import { nth } from '../lists/index.js'
import type { HolePlace, Side } from './places.js'

/** Two holes that are sewn together. */
export interface Tooth {
  readonly front: number
  readonly back: number
  /** How far the back hole lies from where the front one meets that edge, mm. */
  readonly off: number
  /** Far enough off to be seen. */
  readonly slanted: boolean
}

interface Edge {
  readonly length: number
  readonly holes: readonly HolePlace[]
  readonly sides: readonly Side[]
}

/** Holes off by more than this share of the pitch pull the edges against each other. */
const SEEN = 0.2

interface Stretch {
  readonly from: number
  readonly to: number
  readonly start: number
  readonly length: number
}

const wholeOf = (edge: Edge): Stretch => ({
  from: 0,
  to: edge.holes.length - 1,
  start: 0,
  length: edge.length,
})

/** Where two edges have as many sides, corner meets corner; otherwise they are taken as one stretch. */
function stretches(edge: Edge, bySides: boolean): Stretch[] {
  if (!bySides) return [wholeOf(edge)]
  let start = 0
  return edge.sides.map((side, i) => {
    const from = i === 0 ? 0 : Math.max(side.from, nth(edge.sides, i - 1).to + 1)
    const stretch = { from, to: Math.min(side.to, edge.holes.length - 1), start, length: side.length }
    start += side.length
    return stretch
  })
}

/** Of a longer list of places the one to leave out, so that the others lie nearest to those of the shorter one. */
function leftOut(longer: readonly number[], shorter: readonly number[]): number {
  // Sums of what is off when the first k are paired as they stand and the rest moved up by one.
  const head = [0]
  for (let i = 0; i < shorter.length; i += 1)
    head.push(nth(head, i) + Math.abs(nth(longer, i) - nth(shorter, i)))
  let [tail, best, min] = [0, longer.length - 1, nth(head, shorter.length)]
  for (let k = shorter.length - 1; k >= 0; k -= 1) {
    tail += Math.abs(nth(longer, k + 1) - nth(shorter, k))
    if (nth(head, k) + tail < min - 1e-9) [best, min] = [k, nth(head, k) + tail]
  }
  return best
}

/** Pairs the holes of two stretches in order; those too many are left alone one by one. */
function paired(a: readonly number[], b: readonly number[]): { left: number[]; right: number[] } {
  const [left, right] = [a.map((_, i) => i), b.map((_, i) => i)]
  while (left.length !== right.length && left.length > 0 && right.length > 0) {
    const [more, fewer] = left.length > right.length ? [left, right] : [right, left]
    const [long, short] = left.length > right.length ? [a, b] : [b, a]
    more.splice(
      leftOut(
        more.map((i) => nth(long, i)),
        fewer.map((i) => nth(short, i)),
      ),
      1,
    )
  }
  return { left, right }
}

/** Which hole of one edge is sewn to which of the other, and which are left without a mate. */
export function teethOf(
  front: Edge,
  back: Edge,
  pitch: number,
): { teeth: Tooth[]; alone: { on: 'front' | 'back'; hole: number }[] } {
  const bySides = front.sides.length === back.sides.length
  const [ours, theirs] = [stretches(front, bySides), stretches(back, bySides)]
  const teeth: Tooth[] = []
  const alone: { on: 'front' | 'back'; hole: number }[] = []
  ours.forEach((our, k) => {
    const their = nth(theirs, k)
    const scale = our.length / Math.max(1e-9, their.length)
    const on = (edge: Edge, { from, to, start }: Stretch, by: number): number[] =>
      edge.holes.slice(from, to + 1).map((h) => (h.distance - start) * by)
    const [a, b] = [on(front, our, 1), on(back, their, scale)]
    const { left, right } = paired(a, b)
    left.forEach((i, n) => {
      const j = nth(right, n)
      const off = nth(b, j) - nth(a, i)
      teeth.push({ front: our.from + i, back: their.from + j, off, slanted: Math.abs(off) > SEEN * pitch })
    })
    const [hasLeft, hasRight] = [new Set(left), new Set(right)]
    a.forEach((_, i) => hasLeft.has(i) || alone.push({ on: 'front', hole: our.from + i }))
    b.forEach((_, j) => hasRight.has(j) || alone.push({ on: 'back', hole: their.from + j }))
  })
  return { teeth, alone }
}
