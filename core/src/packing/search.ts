import { floatAt, intAt } from '../lists/index.js'
import type { Table } from './layout.js'
import type { Random } from './random.js'

/** A place for a thing and what it costs there. */
export interface Spot {
  turn: number
  x: number
  y: number
  cost: number
}

/** How many places are looked at: anywhere, near where it lies, and touching others; and how many of the best are bettered. */
export interface Effort {
  readonly anywhere: number
  readonly near: number
  readonly touching: number
  readonly bettered: number
}

const held = (value: number, min: number, max: number): number =>
  value < min ? min : value > max ? max : value

/** Steps shorter than this change nothing a knife could follow, mm. */
const SHORTEST = 0.01
const MOST_STEPS = 25

/** Moves a spot to where it costs least nearby: out of what it meets, or by steps that grow shorter. */
export function bettered(table: Table, i: number, spot: Spot, first: number): void {
  const room = table.room(i, spot.turn)
  let step = first
  const attempt = (x: number, y: number): boolean => {
    const [tx, ty] = [held(x, room.left, room.right), held(y, room.top, room.bottom)]
    const cost = table.cost(i, spot.turn, tx, ty, spot.cost)
    if (cost >= spot.cost * 0.999999) return false
    spot.x = tx
    spot.y = ty
    spot.cost = cost
    return true
  }
  for (let k = 0; k < MOST_STEPS && spot.cost > 0 && step > SHORTEST; k += 1) {
    table.cost(i, spot.turn, spot.x, spot.y, Infinity, true)
    const pushes = [...table.pushes].sort((a, b) => b.weight - a.weight)
    const { x, y } = spot
    let done = false
    for (const p of pushes.slice(0, 3)) if ((done = attempt(x + p.x * p.depth, y + p.y * p.depth))) break
    if (done) continue
    const [sx, sy, sum] = pushes.reduce(
      ([ax, ay, w], p) => [ax + p.x * p.weight, ay + p.y * p.weight, w + p.weight],
      [0, 0, 0],
    )
    if (sum > 0 && attempt(x + (sx / sum) * step, y + (sy / sum) * step)) continue
    if (attempt(x + step, y) || attempt(x - step, y) || attempt(x, y + step) || attempt(x, y - step)) continue
    step /= 3
  }
}

/** The place of least cost that was found for a thing, where it lies included. */
export function placeFor(table: Table, i: number, effort: Effort, random: Random): Spot {
  const { board, layout, shape, count } = table
  const s = intAt(shape, i)
  const turns = board.turnsOf[s]!
  const size = Math.sqrt(floatAt(board.area, s))
  const now = intAt(layout.turn, i)
  const here: Spot = { turn: now, x: floatAt(layout.x, i), y: floatAt(layout.y, i), cost: 0 }
  here.cost = table.cost(i, now, here.x, here.y, Infinity)
  const best: Spot[] = []
  const look = (turn: number, x: number, y: number): void => {
    const room = table.room(i, turn)
    if (room.right < room.left || room.bottom < room.top) return
    const [px, py] = [held(x, room.left, room.right), held(y, room.top, room.bottom)]
    const worst = best.length < effort.bettered ? Infinity : best[best.length - 1]!.cost
    const cost = table.cost(i, turn, px, py, worst)
    if (cost >= worst) return
    if (best.some((b) => b.turn === turn && Math.abs(b.x - px) + Math.abs(b.y - py) < 0.05 * size)) return
    const at = best.findIndex((b) => cost < b.cost)
    best.splice(at < 0 ? best.length : at, 0, { turn, x: px, y: py, cost })
    if (best.length > effort.bettered) best.pop()
  }
  const anyTurn = (): number => intAt(turns, Math.floor(random() * turns.length))
  for (let k = 0; k < effort.anywhere; k += 1) {
    const turn = anyTurn()
    const room = table.room(i, turn)
    look(
      turn,
      room.left + random() * (room.right - room.left),
      room.top + random() * (room.bottom - room.top),
    )
  }
  for (let k = 0; k < effort.near; k += 1)
    look(
      now,
      here.x + (random() + random() - 1) * size * 0.5,
      here.y + (random() + random() - 1) * size * 0.5,
    )
  for (let k = 0; k < effort.touching; k += 1) {
    const j = Math.floor(random() * count)
    if (j === i) continue
    const turn = anyTurn()
    const other = intAt(layout.turn, j)
    const { corners } = board.pair(intAt(shape, j), other, s, turn)
    const c = 2 * Math.floor((random() * corners.length) / 2)
    const [cx, cy] = [floatAt(corners, c), floatAt(corners, c + 1)]
    const [cos, sin] = [floatAt(board.cos, other), floatAt(board.sin, other)]
    look(turn, floatAt(layout.x, j) + cx * cos - cy * sin, floatAt(layout.y, j) + cx * sin + cy * cos)
  }
  for (const spot of best) bettered(table, i, spot, 0.1 * size)
  const own = { ...here }
  bettered(table, i, own, 0.05 * size)
  return [...best, own].reduce((a, b) => (b.cost < a.cost ? b : a), here)
}
