import { nth, required } from '../../../lists/index.js'
import { Unreadable, coordinate, quoted } from '../../outlines/index.js'
import { type Attributes, lengthOf, oneScale, viewBoxOf } from './lengths.js'

/** a b c d e f of a transform, as SVG writes it. */
export type Matrix = readonly [number, number, number, number, number, number]

/** What a shape inherits from what it stands in. */
export interface Frame {
  readonly matrix: Matrix
  /** Neither it nor anything in it is drawn. */
  readonly gone: boolean
  /** Not seen, but what is in it may be. */
  readonly unseen: boolean
}

export const OUTERMOST: Frame = { matrix: [1, 0, 0, 1, 0, 0], gone: false, unseen: false }

const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
]

const radians = (degrees: number): number => (degrees * Math.PI) / 180
const turn = (degrees: number): Matrix => {
  const [c, s] = [Math.cos(radians(degrees)), Math.sin(radians(degrees))]
  return [c, s, -s, c, 0, 0]
}
const move = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y]

/** How many numbers each may have, and what it does with them. */
const TRANSFORMS: Readonly<Record<string, readonly [readonly number[], (n: readonly number[]) => Matrix]>> = {
  matrix: [[6], ([a = 1, b = 0, c = 0, d = 1, e = 0, f = 0]) => [a, b, c, d, e, f]],
  translate: [[1, 2], ([x = 0, y = 0]) => move(x, y)],
  scale: [[1, 2], ([x = 1, y = x]) => [x, 0, 0, y, 0, 0]],
  rotate: [[1, 3], ([angle = 0, x = 0, y = 0]) => times(times(move(x, y), turn(angle)), move(-x, -y))],
  skewX: [[1], ([angle = 0]) => [1, 0, Math.tan(radians(angle)), 1, 0, 0]],
  skewY: [[1], ([angle = 0]) => [1, Math.tan(radians(angle)), 0, 1, 0, 0]],
}

/** A transform attribute as one matrix. Throws `Unreadable`. */
function transformOf(text: string | undefined, where: string): Matrix {
  let [matrix, rest] = [OUTERMOST.matrix, (text ?? '').trim()]
  const bad = (): never => {
    throw new Unreadable(`${where}: its transform ${quoted(text ?? '')} can’t be followed.`)
  }
  while (rest !== '') {
    const found = /^,?\s*([a-zA-Z]+)\s*\(([^()]*)\)\s*/.exec(rest)
    const known = found && Object.hasOwn(TRANSFORMS, nth(found, 1)) ? TRANSFORMS[nth(found, 1)] : undefined
    if (!found || !known) return bad()
    const numbers = nth(found, 2)
      .trim()
      .split(/[\s,]+/)
    if (!known[0].includes(numbers.length)) return bad()
    matrix = times(matrix, known[1](numbers.map((n) => coordinate(n, `transform ${nth(found, 1)}`, where))))
    rest = rest.slice(found[0].length)
  }
  return matrix
}

/** Elements whose insides are not drawn where they stand. */
const HIDDEN = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'linearGradient',
  'radialGradient',
  'metadata',
  'foreignObject',
  'script',
  'style',
])

/** Declarations of a style attribute, by name. */
function styleOf(text: string | undefined): Readonly<Record<string, string>> {
  const out: Record<string, string> = {}
  for (const one of (text ?? '').split(';')) {
    const at = one.indexOf(':')
    if (at > 0) out[one.slice(0, at).trim().toLowerCase()] = one.slice(at + 1).trim()
  }
  return out
}

const MOVES = [
  'transform',
  'translate',
  'rotate',
  'scale',
  'offset-path',
  'zoom',
  'd',
  'x',
  'y',
  'width',
  'height',
  'r',
  'rx',
  'ry',
  'cx',
  'cy',
]

/** What an element hands down. Throws `Unreadable` where it is moved or sized in a way that is not followed. */
export function frameIn(above: Frame, name: string, a: Attributes, where: string): Frame {
  const style = styleOf(a.style)
  const moved = MOVES.find((m) => style[m] !== undefined && style[m] !== 'none' && style[m] !== 'auto')
  if (moved !== undefined)
    throw new Unreadable(
      `${where}: its style says ${quoted(`${moved}: ${required(style[moved], moved)}`)}, which is not followed. Save it as plain SVG, with ${moved} as an attribute.`,
    )
  if ((a['transform-origin'] ?? style['transform-origin']) !== undefined && a.transform !== undefined)
    throw new Unreadable(
      `${where}: it turns about a transform-origin, which is not followed. Save it as plain SVG.`,
    )
  const display = style.display ?? a.display
  const visibility = style.visibility ?? a.visibility
  const matrix = times(above.matrix, transformOf(a.transform, where))
  return {
    matrix,
    gone: above.gone || HIDDEN.has(name) || display === 'none',
    unseen: visibility === undefined || visibility === 'inherit' ? above.unseen : visibility !== 'visible',
  }
}

/** The frame inside a drawing that stands in another. Throws `Unreadable`. */
export function innerFrame(frame: Frame, a: Attributes, where: string): Frame {
  const [x, y] = [lengthOf(a, 'x', where, 0), lengthOf(a, 'y', where, 0)]
  const box = viewBoxOf(a, where)
  if (!box) return { ...frame, matrix: times(frame.matrix, move(x, y)) }
  const [wide, high] = [lengthOf(a, 'width', where), lengthOf(a, 'height', where)]
  const keeps = a.preserveAspectRatio
  const scale = oneScale(wide / box[2], high / box[3], keeps, where)
  const at = (letter: 'x' | 'Y' | 'X' | 'y', room: number): number => {
    const found = new RegExp(`${letter}(Min|Mid|Max)`).exec(keeps ?? '')?.[1] ?? 'Mid'
    return found === 'Min' ? 0 : found === 'Mid' ? room / 2 : room
  }
  const [dx, dy] = [at('x', wide - box[2] * scale), at('Y', high - box[3] * scale)]
  const inner = times(move(x + dx, y + dy), [scale, 0, 0, scale, -box[0] * scale, -box[1] * scale])
  return { ...frame, matrix: times(frame.matrix, inner) }
}

/** What a style sheet in the drawing may not say, since it is not followed. Throws `Unreadable`. */
export function checkStyleSheet(text: string): void {
  const said =
    /(?:^|[;{\s])(transform|translate|rotate|scale|zoom|offset-path|display|visibility)\s*:\s*([^;}]*)/g
  for (const [, name, value = ''] of text.matchAll(said)) {
    const hides = name === 'display' || name === 'visibility'
    const harmless = hides ? !/none|hidden|collapse/.test(value) : /^none\b/.test(value.trim())
    if (!harmless)
      throw new Unreadable(
        `Its style sheet says ${quoted(`${name}: ${value}`)}, which is not followed. Save it as plain SVG, with styles on the shapes themselves.`,
      )
  }
}
