import { firstOf, lastOf, nth } from '../../lists/index.js'
import {
  type Path,
  type Point,
  type Segment,
  pathBox,
  pathLength,
  pathReversed,
  pointDistance,
} from '../../geometry/index.js'
import type { FoundPath } from './found.js'

/** Ends nearer than this share of the whole drawing are one. */
const NEAR = 1e-4

/** Ends of loose strokes by where they lie, so that the next of a chain is found without asking all. */
interface Ends {
  readonly near: (p: Point) => number | undefined
  readonly take: (index: number) => void
}

/** Strokes that end in a cell, the first of them that may still be free, and how many are looked at for one place. */
interface Cell {
  readonly strokes: number[]
  first: number
}
const LOOKED_AT = 200

function endsOf(loose: readonly FoundPath[], near: number): Ends {
  const cells = new Map<string, Cell>()
  const taken = new Set<number>()
  const cell = (v: number): number => Math.floor(v / near)
  const keyOf = (x: number, y: number): string => `${x} ${y}`
  const both = ({ segments }: Path): [Point, Point] => [firstOf(segments).from, lastOf(segments).to]
  const touches = (i: number, p: Point): boolean =>
    both(nth(loose, i).path).some((e) => pointDistance(e, p) <= near)
  for (const [i, { path }] of loose.entries()) {
    if (path.closed) continue
    for (const p of both(path)) {
      const key = keyOf(cell(p.x), cell(p.y))
      const there = cells.get(key) ?? { strokes: [], first: 0 }
      there.strokes.push(i)
      cells.set(key, there)
    }
  }
  function firstIn(there: Cell | undefined, p: Point): number | undefined {
    if (!there) return undefined
    while (there.first < there.strokes.length && taken.has(nth(there.strokes, there.first))) there.first += 1
    const some = there.strokes.slice(there.first, there.first + LOOKED_AT)
    return some.find((i) => !taken.has(i) && touches(i, p))
  }
  return {
    near: (p) => {
      let best: number | undefined
      for (const dx of [-1, 0, 1])
        for (const dy of [-1, 0, 1]) {
          const found = firstIn(cells.get(keyOf(cell(p.x) + dx, cell(p.y) + dy)), p)
          if (found !== undefined && (best === undefined || found < best)) best = found
        }
      return best
    },
    take: (i) => void taken.add(i),
  }
}

function spanOf(loose: readonly FoundPath[]): number {
  let span = 1e-9
  for (const { path } of loose) {
    const box = pathBox(path)
    span = Math.max(span, box.right - box.left + box.bottom - box.top)
  }
  return span
}

/** Loose stretches put together end to end, whichever way they were drawn; rings closed. The longest first. */
export function chainedPaths(loose: readonly FoundPath[]): { closed: FoundPath[]; open: FoundPath[] } {
  const near = spanOf(loose) * NEAR
  const ends = endsOf(loose, near)
  const done = new Set<number>()
  const closed: FoundPath[] = []
  const open: FoundPath[] = []
  for (const [i, { name, path }] of loose.entries()) {
    if (done.has(i)) continue
    done.add(i)
    if (path.closed) {
      closed.push({ name, path: { segments: meeting(path.segments), closed: true } })
      continue
    }
    ends.take(i)
    const segments = [...path.segments]
    const end = (): Point => lastOf(segments).to
    const isRing = (): boolean => segments.length > 1 && pointDistance(end(), firstOf(segments).from) <= near
    while (!isRing()) {
      const next = ends.near(end())
      if (next === undefined) break
      done.add(next)
      ends.take(next)
      const other = nth(loose, next).path
      const forward = pointDistance(firstOf(other.segments).from, end()) <= near
      for (const s of (forward ? other : pathReversed(other)).segments) segments.push(s)
    }
    const ring = isRing()
    ;(ring ? closed : open).push({
      name,
      path: { segments: ring ? meeting(segments) : segments, closed: ring },
    })
  }
  return { closed: longestFirst(closed), open: longestFirst(open) }
}

const longestFirst = (all: readonly FoundPath[]): FoundPath[] =>
  all
    .map((one) => ({ one, length: pathLength(one.path) }))
    .sort((a, b) => b.length - a.length)
    .map(({ one }) => one)

/** Ends that nearly meet are made to. */
function meeting(segments: readonly Segment[]): Segment[] {
  return segments.map((s, i) => {
    const next = nth(segments, (i + 1) % segments.length)
    const gap = pointDistance(s.to, next.from)
    if (gap === 0 || s.type === 'arc') return s
    return { ...s, to: next.from }
  })
}
