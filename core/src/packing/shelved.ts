import type { Board } from './board.js'
import type { Layout } from './layout.js'

/**
 * A first layout, at once: things side by side across the strip, row after row along it, the longest first, each turned so that it
 * takes the least of the length. What fits at no turn lies where it sticks out.
 */
export function shelved(board: Board, things: readonly number[], width: number): Layout {
  const box = (shape: number, turn: number): Float64Array => {
    const at = 4 * (shape * board.angles.length + turn)
    return board.boxes.subarray(at, at + 4)
  }
  const chosen = things.map((shape, i) => {
    const ways = [...(board.turnsOf[shape] ?? [])].map((turn) => {
      const [left = 0, top = 0, right = 0, bottom = 0] = box(shape, turn)
      return { i, turn, left, top, along: right - left, across: bottom - top }
    })
    return ways
      .filter((w) => w.across <= width + 1e-9)
      .reduce((a, b) => (b.along < a.along ? b : a), ways.find((w) => w.across <= width + 1e-9) ?? ways[0]!)
  })
  const layout: Layout = {
    turn: new Int32Array(things.length),
    x: new Float64Array(things.length),
    y: new Float64Array(things.length),
  }
  let [x, y, row] = [0, 0, 0]
  for (const { i, turn, left, top, along, across } of chosen.toSorted((a, b) => b.along - a.along)) {
    if (y > 0 && y + across > width + 1e-9) [x, y, row] = [x + row + board.gap, 0, 0]
    layout.turn[i] = turn
    layout.x[i] = x - left
    layout.y[i] = y - top
    y += across + board.gap
    row = Math.max(row, along)
  }
  return layout
}
