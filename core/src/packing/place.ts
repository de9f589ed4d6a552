import type { Table } from './layout.js'

/** A place at which a thing meets nothing. */
export interface FreePlace {
  readonly turn: number
  readonly x: number
  readonly y: number
}

/** What a place is worth: the least is taken. Told the box of the thing where it would lie. */
export type Worth = (left: number, top: number, right: number, bottom: number) => number

/** Of the free places so many are pushed as far as they go. */
const PUSHED = 10
/** A push is halved until it is shorter than this, mm. */
const FINE = 0.05

interface Valued extends FreePlace {
  readonly worth: number
}

/** The free place worth the least that was found for a thing that is not laid yet; undefined where there is none. */
export function freePlace(table: Table, i: number, worth: Worth): FreePlace | undefined {
  const { board, shape } = table
  const best: Valued[] = []
  for (const turn of board.turnsOf[shape[i]!]!) {
    const valued = (x: number, y: number): number => {
      const at = 4 * (shape[i]! * board.angles.length + turn)
      const [l, t, r, b] = [
        board.boxes[at]!,
        board.boxes[at + 1]!,
        board.boxes[at + 2]!,
        board.boxes[at + 3]!,
      ]
      return worth(x + l, y + t, x + r, y + b)
    }
    const room = table.room(i, turn)
    if (room.right < room.left || room.bottom < room.top) continue
    /** A place beyond the strip stands for the nearest one on it: there the thing touches the strip’s end as well. */
    const look = (farX: number, farY: number): void => {
      const [x, y] = [held(farX, room.left, room.right), held(farY, room.top, room.bottom)]
      const value = valued(x, y)
      if (best.length === PUSHED && value >= best[PUSHED - 1]!.worth) return
      if (!isFree(table, i, turn, x, y)) return
      const at = best.findIndex((b) => value < b.worth)
      best.splice(at < 0 ? best.length : at, 0, { turn, x, y, worth: value })
      if (best.length > PUSHED) best.pop()
    }
    touching(table, i, turn, look)
  }
  return best
    .map((place) => pushed(table, i, place, worth))
    .reduce<Valued | undefined>((a, b) => (a && a.worth <= b.worth ? a : b), undefined)
}

const held = (value: number, min: number, max: number): number =>
  value < min ? min : value > max ? max : value

/** Whether a thing lies wholly on the strip there and meets nothing. */
function isFree(table: Table, i: number, turn: number, x: number, y: number): boolean {
  const room = table.room(i, turn)
  if (x < room.left || x > room.right || y < room.top || y > room.bottom) return false
  return table.cost(i, turn, x, y, 0) === 0
}

/** Tells every place at which a thing would touch what is laid or stands there, or lie in a corner of the strip. */
function touching(table: Table, i: number, turn: number, look: (x: number, y: number) => void): void {
  const { board, shape, layout, count, ground } = table
  const round = (other: number, otherTurn: number, own: number, x: number, y: number): void => {
    const { corners } = board.pair(other, otherTurn, own, turn)
    const [cos, sin] = [board.cos[otherTurn]!, board.sin[otherTurn]!]
    for (let c = 0; c + 1 < corners.length; c += 2) {
      const [cx, cy] = [corners[c]!, corners[c + 1]!]
      look(x + cx * cos - cy * sin, y + cx * sin + cy * cos)
    }
  }
  for (let j = 0; j < count; j += 1)
    if (j !== i && table.isLaid(j)) round(shape[j]!, layout.turn[j]!, shape[i]!, layout.x[j]!, layout.y[j]!)
  for (const { shape: stand, sort } of ground.stands)
    for (const own of ground.keeps[i]?.[sort] ?? []) round(stand, 0, own, 0, 0)
  const { left, right, top, bottom } = table.room(i, turn)
  for (const x of [left, right]) for (const y of [top, bottom]) look(x, y)
}

/** Pushes a free place along the strip and across it as far as it gets better and stays free. */
function pushed(table: Table, i: number, place: Valued, worth: Worth): Valued {
  const { board, shape } = table
  let { x, y, worth: value } = place
  const at = 4 * (shape[i]! * board.angles.length + place.turn)
  const [l, t, r, b] = [board.boxes[at]!, board.boxes[at + 1]!, board.boxes[at + 2]!, board.boxes[at + 3]!]
  const first = Math.max(r - l, b - t)
  for (const [dx, dy] of WAYS)
    for (let step = first; step > FINE; step /= 2) {
      const [nx, ny] = [x + dx * step, y + dy * step]
      const next = worth(nx + l, ny + t, nx + r, ny + b)
      if (next < value && isFree(table, i, place.turn, nx, ny)) [x, y, value] = [nx, ny, next]
    }
  return { turn: place.turn, x, y, worth: value }
}

const WAYS = [
  [-1, 0],
  [0, -1],
  [0, 1],
  [-1, 0],
  [0, -1],
  [0, 1],
] as const
