import type { Point } from '../geometry/index.js'
import { lastOf, nth } from '../lists/index.js'
import { ASCENT, DESCENT, textWidth } from './metrics.js'
import type { Form } from './place.js'
import { type Drawn, type LayerName, text } from './primitives.js'

export interface Line {
  readonly words: string
  /** Height of the type, mm. */
  readonly size: number
  readonly bold?: boolean
}

/** From one baseline to the next, shares of the type's height. */
const LEADING = 1.32

/** Heights of type on a piece, mm. */
export const TYPE = { name: 4.2, line: 3, mark: 2.8, small: 2.4 } as const

/** Lines under each other as something that can be placed; along the piece where it is read from the right. */
export function wordsForm(layer: LayerName, lines: readonly Line[], upright = false): Form {
  const long = Math.max(...lines.map((l) => textWidth(l.words, l.size, l.bold)))
  const baselines: number[] = []
  let y = 0
  lines.forEach((l, i) => {
    y += i === 0 ? ASCENT * l.size : LEADING * l.size
    baselines.push(y)
  })
  const tall = y + DESCENT * lastOf(lines).size
  const draw = (centre: Point): Drawn[] =>
    lines.map(({ words, size, bold }, i) => {
      const down = nth(baselines, i) - tall / 2
      const at = upright ? { x: centre.x + down, y: centre.y } : { x: centre.x, y: centre.y + down }
      return text(layer, at, words, size, 'middle', bold ?? false, upright ? -Math.PI / 2 : 0)
    })
  return upright ? { width: tall, height: long, draw } : { width: long, height: tall, draw }
}
