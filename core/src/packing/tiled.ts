import { atKey, floatAt, intAt, nth } from '../lists/index.js'
import { type Point, type Region, regionArea, regionGrown, regionWithout } from '../geometry/index.js'
import type { Table } from './layout.js'

/** Outlines are written to a hundredth: what they leave between them is closed by growing each by so much, mm. */
const CLOSED = 0.03
/** Places nearer than this are one, and pieces may share so much until they are moved apart, mm. */
const SAME = 0.35
const SHARES = 0.12
/** Directions differ by less where edges are one, radians; and no room is smaller than this, mm². */
const STRAIGHT = 0.009
const CRUMB = 2
/** Longer than its area over its width by no more than this share. */
const LOOSE = 1.0006
/** Free places looked at before one gives up. */
const MOST = 6000

/** A shape at one of its turns: its corners round its area to the left, each edge’s direction, each corner’s angle. */
interface Turned {
  readonly shape: number
  readonly turn: number
  readonly points: readonly Point[]
  readonly heading: readonly number[]
  readonly length: readonly number[]
  readonly corner: readonly number[]
}

/** Where a piece could go on. */
interface Fit {
  readonly thing: number
  readonly of: Turned
  readonly x: number
  readonly y: number
  readonly worth: number
}

const wrapped = (angle: number): number => Math.atan2(Math.sin(angle), Math.cos(angle))

function turnedOf(table: Table, shape: number, turn: number): Turned {
  const { board } = table
  const [c, s] = [floatAt(board.cos, turn), floatAt(board.sin, turn)]
  const { outline } = nth(board.shapes, shape)
  const round = twice(outline) < 0 ? outline.toReversed() : outline
  const points = round.map(({ x, y }) => ({ x: x * c - y * s, y: x * s + y * c }))
  const n = points.length
  const edge = points.map((p, i) => {
    const q = nth(points, (i + 1) % n)
    return { x: q.x - p.x, y: q.y - p.y }
  })
  const heading = edge.map((e) => Math.atan2(e.y, e.x))
  return {
    shape,
    turn,
    points,
    heading,
    length: edge.map((e) => Math.hypot(e.x, e.y)),
    corner: heading.map((h, i) => Math.PI - wrapped(h - nth(heading, (i + n - 1) % n))),
  }
}

const twice = (ring: readonly Point[]): number =>
  ring.reduce((sum, p, i) => {
    const q = nth(ring, (i + 1) % ring.length)
    return sum + p.x * q.y - q.x * p.y
  }, 0)

/** The corner of free room farthest back on the strip: where it lies, which way its border goes on, how wide it opens. */
interface Nook {
  readonly at: Point
  readonly heading: number
  readonly reach: number
  readonly opens: number
}

function nookOf(free: Region): Nook | undefined {
  let [best, least] = [undefined as { ring: readonly Point[]; i: number } | undefined, Infinity]
  for (const ring of free)
    if (twice(ring) > 2 * CRUMB)
      ring.forEach((p, i) => {
        const value = p.x + p.y * 1e-3
        if (value < least) [best, least] = [{ ring, i }, value]
      })
  if (!best) return undefined
  const { ring, i } = best
  const n = ring.length
  const at = nth(ring, i)
  /** Past the crumbs that closing gaps leaves at a corner. */
  const beyond = (way: 1 | -1): Point => {
    for (let k = 1; k < n; k += 1) {
      const p = nth(ring, (i + way * k + n * n) % n)
      if (Math.hypot(p.x - at.x, p.y - at.y) > 2 * SAME) return p
    }
    return nth(ring, (i + way + n) % n)
  }
  const [next, before] = [beyond(1), beyond(-1)]
  const heading = Math.atan2(next.y - at.y, next.x - at.x)
  const back = Math.atan2(before.y - at.y, before.x - at.x)
  const opens = (back - heading + 4 * Math.PI) % (2 * Math.PI)
  return { at, heading, reach: Math.hypot(next.x - at.x, next.y - at.y), opens }
}

/**
 * Puts pieces that were parted of one sheet together again: corner by corner, each an edge along what lies there already. Leaves
 * them on the table, overlapping by no more than their outlines are rounded by; false where that is not found.
 */
export function tiled(table: Table, share: () => number): boolean {
  const { board, shape, count, width } = table
  let area = 0
  for (const s of shape) area += floatAt(board.area, s)
  const length = (area / width) * LOOSE + SAME / 2
  const turnsOf = new Map(
    [...new Set(shape)].map((s) => [s, [...nth(board.turnsOf, s)].map((t) => turnedOf(table, s, t))]),
  )
  for (let i = 0; i < count; i += 1) table.putAside(i)
  const corners: Point[] = [
    { x: 0, y: 0 },
    { x: 0, y: width },
    { x: length, y: 0 },
    { x: length, y: width },
  ]
  const spare = length * width - area + count * CRUMB
  let left = MOST
  const nearest = (p: Point): Point | undefined => {
    let [found, least] = [undefined as Point | undefined, SAME]
    for (const c of corners) {
      const d = Math.hypot(c.x - p.x, c.y - p.y)
      if (d < least) [found, least] = [c, d]
    }
    return found
  }
  const lies = (i: number, of: Turned, x: number, y: number): boolean => {
    const at = 4 * (of.shape * board.angles.length + of.turn)
    if (x + floatAt(board.boxes, at) < -SHARES || y + floatAt(board.boxes, at + 1) < -SHARES) return false
    if (
      x + floatAt(board.boxes, at + 2) > length + SHARES ||
      y + floatAt(board.boxes, at + 3) > width + SHARES
    )
      return false
    for (let j = 0; j < count; j += 1)
      if (j !== i && table.isLaid(j) && table.depth(i, of.turn, x, y, j) > SHARES) return false
    return true
  }
  const fitsAt = (nook: Nook): Fit[] => {
    const to = nearest(nook.at) ?? nook.at
    const fits: Fit[] = []
    const tried = new Set<number>()
    for (let i = 0; i < count; i += 1) {
      if (table.isLaid(i) || tried.has(intAt(shape, i))) continue
      tried.add(intAt(shape, i))
      for (const of of atKey(turnsOf, intAt(shape, i)))
        of.heading.forEach((h, k) => {
          if (Math.abs(wrapped(h - nook.heading)) > STRAIGHT + 0.03 / nth(of.length, k)) return
          if (nth(of.corner, k) > nook.opens + 2 * STRAIGHT) return
          const [x, y] = [to.x - nth(of.points, k).x, to.y - nth(of.points, k).y]
          if (!lies(i, of, x, y)) return
          const meet = of.points.filter((p) => nearest({ x: p.x + x, y: p.y + y })).length
          const fills = Math.abs(nth(of.corner, k) - nook.opens) < 2 * STRAIGHT ? 2 : 0
          const along = Math.abs(nth(of.length, k) - nook.reach) < 2 * SAME ? 1 : 0
          fits.push({ thing: i, of, x, y, worth: meet + fills + along })
        })
    }
    return fits.sort((a, b) => b.worth - a.worth)
  }
  const goOn = (free: Region, waiting: number, lost: number): boolean => {
    if (waiting === 0) return true
    if ((left -= 1) < 0 || share() >= 1) return false
    const nook = nookOf(free)
    if (!nook) return false
    let smallest = Infinity
    for (let i = 0; i < count; i += 1)
      if (!table.isLaid(i)) smallest = Math.min(smallest, floatAt(board.area, intAt(shape, i)))
    for (const { thing, of, x, y } of fitsAt(nook)) {
      const there = of.points.map((p) => ({ x: p.x + x, y: p.y + y }))
      const rest = regionWithout(free, regionGrown([there], CLOSED))
      // Room that nothing left is small enough for is lost, and there is hardly any to lose.
      const isRoom = (r: readonly Point[]): boolean => twice(r) < 0 || regionArea([r]) >= 0.9 * smallest
      const more = rest.reduce((sum, r) => sum + (isRoom(r) ? 0 : regionArea([r])), 0)
      if (lost + more > spare) continue
      table.lay(thing, of.turn, x, y)
      corners.push(...there)
      if (goOn(rest.filter(isRoom), waiting - 1, lost + more)) return true
      corners.length -= there.length
      table.putAside(thing)
      if (left < 0) return false
    }
    return false
  }
  const whole: Region = [[nth(corners, 0), nth(corners, 2), nth(corners, 3), nth(corners, 1)]]
  return goOn(whole, count, 0)
}
