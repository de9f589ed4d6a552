import { type Box, boxOfPoints, boxUnion, pathBox } from '../geometry/index.js'
import { ASCENT, DESCENT, textWidth } from './metrics.js'
import type { Drawn } from './primitives.js'

/** The upright box round a line of type, however it is turned. */
export function textSpan({ at, text, size, anchor, angle, bold }: Drawn & { type: 'text' }): Box {
  const long = textWidth(text, size, bold)
  const back = anchor === 'middle' ? long / 2 : anchor === 'end' ? long : 0
  const corner = (along: number, down: number) => ({
    x: at.x + along * Math.cos(angle) - down * Math.sin(angle),
    y: at.y + along * Math.sin(angle) + down * Math.cos(angle),
  })
  return boxOfPoints([
    corner(-back, -ASCENT * size),
    corner(long - back, -ASCENT * size),
    corner(long - back, DESCENT * size),
    corner(-back, DESCENT * size),
  ])
}

/** Everything a drawing covers, its words included. */
export const drawnSpan = (drawn: readonly Drawn[]): Box =>
  boxUnion(
    drawn.map((d) =>
      d.type === 'stroke' ? pathBox(d.path) : d.type === 'text' ? textSpan(d) : boxOfPoints(d.points),
    ),
  )
