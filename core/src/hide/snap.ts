import type { Point } from '../geometry/index.js'
import { nth } from '../lists/index.js'
import { type Table, found } from '../packing/index.js'

/** Pushes out of what it meets, at the most. */
const PUSHES = 8
/** A contact is found to this, mm. */
const FINE = 0.01
const OFF = 0

/** Which of what is laid or stands there a thing meets: other things, and ground off the hide. */
function deepest(table: Table, i: number, turn: number, { x, y }: Point): Point | undefined {
  let [push, most] = [undefined as Point | undefined, FINE]
  for (let j = 0; j < table.total; j += 1) {
    if (j === i || (j >= table.count && nth(table.ground.stands, j - table.count).sort !== OFF)) continue
    if (table.depth(i, turn, x, y, j) <= most) continue
    most = found.depth
    push = { x: found.x * found.depth, y: found.y * found.depth }
  }
  return push
}

/** Out of what it meets where that is no farther than `reach`, then along each way up to a neighbour that is as near. */
export function snappedAt(table: Table, i: number, turn: number, at: Point, reach: number): Point {
  const out = pushedOut(table, i, turn, at, reach)
  if (!out) return at
  const isFree = (p: Point): boolean => deepest(table, i, turn, p) === undefined
  const near = (p: Point, ways: readonly Point[]): Point => {
    let [best, least] = [p, reach]
    for (const way of ways) {
      const there = (far: number): Point => ({ x: p.x + way.x * far, y: p.y + way.y * far })
      if (isFree(there(least))) continue
      let [free, met] = [0, least]
      while (met - free > FINE) {
        const middle = (free + met) / 2
        if (isFree(there(middle))) free = middle
        else met = middle
      }
      if (free < least) [best, least] = [there(free), free]
    }
    return best
  }
  const level = near(out, [
    { x: 1, y: 0 },
    { x: -1, y: 0 },
  ])
  return near(level, [
    { x: 0, y: 1 },
    { x: 0, y: -1 },
  ])
}

function pushedOut(table: Table, i: number, turn: number, at: Point, reach: number): Point | undefined {
  let p = at
  for (let k = 0; k < PUSHES; k += 1) {
    const push = deepest(table, i, turn, p)
    if (!push) return p
    p = { x: p.x + push.x * 1.001, y: p.y + push.y * 1.001 }
    if (Math.hypot(p.x - at.x, p.y - at.y) > reach) return undefined
  }
  return undefined
}
