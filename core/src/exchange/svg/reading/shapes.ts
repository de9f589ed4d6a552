import { firstOf, lastOf, nth } from '../../../lists/index.js'
import svgpath from 'svgpath'
import {
  type Path,
  type Point,
  type Segment,
  arc,
  cubic,
  line,
  pointDistance,
} from '../../../geometry/index.js'
import { MOST_PIECES, Unreadable, coordinate, tooMuch } from '../../outlines/index.js'
import type { Matrix } from './frames.js'
import { type Attributes, lengthOf } from './lengths.js'

/** Every shape as path data, by SVG's own definitions; undefined for what is no shape. Throws `Unreadable`. */
export function dataOf(name: string, a: Attributes, where: string): string | undefined {
  const n = (key: string, otherwise?: number): number => lengthOf(a, key, where, otherwise)
  switch (name) {
    case 'path':
      return a.d ?? ''
    case 'rect': {
      const [x, y, w, h] = [n('x', 0), n('y', 0), n('width'), n('height')]
      const rx = Math.min(n('rx', a.ry === undefined ? 0 : n('ry', 0)), w / 2)
      const ry = Math.min(n('ry', rx), h / 2)
      if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}z`
      const corner = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`
      return `M${x + rx} ${y}h${w - 2 * rx}${corner(rx, ry)}v${h - 2 * ry}${corner(-rx, ry)}h${2 * rx - w}${corner(-rx, -ry)}v${2 * ry - h}${corner(rx, -ry)}z`
    }
    case 'circle':
    case 'ellipse': {
      const [cx, cy] = [n('cx', 0), n('cy', 0)]
      const [rx, ry] = name === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')]
      return `M${cx - rx} ${cy}a${rx} ${ry} 0 0 1 ${2 * rx} 0a${rx} ${ry} 0 0 1 ${-2 * rx} 0z`
    }
    case 'line':
      return `M${n('x1', 0)} ${n('y1', 0)}L${n('x2', 0)} ${n('y2', 0)}`
    case 'polyline':
    case 'polygon':
      return pointsData(a.points ?? '', name === 'polygon', where)
    default:
      return undefined
  }
}

/** Points of a polyline as path data. Throws `Unreadable`. */
function pointsData(points: string, closed: boolean, where: string): string {
  const text = points.trim()
  if (text === '') return ''
  const numbers = text.match(/[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?|[^\s,+-]+/g) ?? []
  for (const one of numbers) coordinate(one, 'points', where)
  if (numbers.length % 2 === 1)
    throw new Unreadable(`${where}: its points are ${numbers.length} numbers; each needs two.`)
  return `M${numbers.join(' ')}${closed ? 'z' : ''}`
}

/** The arc of a circle between two points by SVG's flags. */
function arcBetween(from: Point, to: Point, radius: number, large: boolean, clockwise: boolean): Segment {
  const chord = pointDistance(from, to)
  const r = Math.max(radius, chord / 2)
  const side = (large === clockwise ? -1 : 1) * Math.sqrt(Math.max(0, r * r - (chord * chord) / 4))
  const [ux, uy] = [(to.x - from.x) / chord, (to.y - from.y) / chord]
  const centre = { x: (from.x + to.x) / 2 - uy * side, y: (from.y + to.y) / 2 + ux * side }
  const half = Math.asin(Math.min(1, chord / (2 * r)))
  const sweep = 2 * (large ? Math.PI - half : half)
  return arc(from, to, centre, clockwise ? sweep : -sweep)
}

/** The strokes of one path element, each as a path. */
export function pathsOf(data: string, matrix: Matrix, where: string): Path[] {
  // Seven numbers at most make a piece, and every letter makes one.
  const letters = data.match(/[a-zA-Z]/g)?.length ?? 0
  const numbers = data.match(/\d+/g)?.length ?? 0
  if (letters > MOST_PIECES || numbers > 14 * MOST_PIECES) throw tooMuch()
  const parsed = svgpath(data) as ReturnType<typeof svgpath> & { err?: string }
  if (parsed.err)
    throw new Unreadable(
      `${where}: its outline stops making sense (${parsed.err.replace(/^SvgPath: /, '')}).`,
    )
  const plain = parsed
    .matrix([...matrix])
    .abs()
    .unshort()
  const paths: Path[] = []
  let segments: Segment[] = []
  let start: Point = { x: 0, y: 0 }
  const finish = (closed: boolean): void => {
    if (segments.length > 0) paths.push({ segments, closed })
    segments = []
  }
  plain.iterate((segment, _index, x, y) => {
    const from = { x, y }
    const [command] = segment
    const n = numbersOf(segment)
    const to = {
      x: command === 'V' ? x : command === 'H' ? firstOf(n) : (n.at(-2) ?? x),
      y: command === 'H' ? y : (n.at(-1) ?? y),
    }
    const add = (s: Segment): void => void (pointDistance(s.from, s.to) > 0 && segments.push(s))
    if (command === 'M') {
      finish(false)
      start = to
    } else if (command === 'Z' || command === 'z') {
      if (pointDistance(from, start) > 1e-9) segments.push(line(from, start))
      finish(true)
    } else if (command === 'C')
      add(cubic(from, { x: firstOf(n), y: nth(n, 1) }, { x: nth(n, 2), y: nth(n, 3) }, to))
    else if (command === 'Q') {
      const c = { x: firstOf(n), y: nth(n, 1) }
      const two = (p: Point): Point => ({ x: p.x + (2 / 3) * (c.x - p.x), y: p.y + (2 / 3) * (c.y - p.y) })
      add(cubic(from, two(from), two(to), to))
    } else if (command === 'A') {
      const [rx, ry] = [firstOf(n), nth(n, 1)]
      if (Math.abs(rx - ry) <= 1e-6 * Math.max(rx, ry)) {
        if (pointDistance(from, to) > 0) segments.push(arcBetween(from, to, rx, n[3] === 1, n[4] === 1))
      } else segments.push(...ellipse(from, segment))
    } else add(line(from, to))
  })
  finish(false)
  checkPlaces(paths, where)
  const ended = (p: Path): boolean =>
    p.segments.length > 1 && pointDistance(lastOf(p.segments).to, firstOf(p.segments).from) < 1e-9
  return paths.map((p) => (ended(p) ? { ...p, closed: true } : p))
}

/** The numbers of a path command, without its letter. */
const numbersOf = (segment: readonly (string | number)[]): number[] =>
  segment.filter((part) => typeof part === 'number')

/** An arc of an ellipse as curves, by the path library. */
function ellipse(from: Point, segment: readonly (string | number)[]): Segment[] {
  const [whole] = [
    svgpath(`M${from.x} ${from.y}${segment.join(' ')}`)
      .unarc()
      .abs()
      .unshort(),
  ]
  const out: Segment[] = []
  whole.iterate((s, _index, x, y) => {
    const [command] = s
    const n = numbersOf(s)
    if (command === 'C')
      out.push(
        cubic(
          { x, y },
          { x: firstOf(n), y: nth(n, 1) },
          { x: nth(n, 2), y: nth(n, 3) },
          { x: nth(n, 4), y: nth(n, 5) },
        ),
      )
  })
  return out
}

/** Throws where a place of an outline is no number, or out of all reason. */
function checkPlaces(paths: readonly Path[], where: string): void {
  for (const { segments } of paths)
    for (const s of segments) {
      const all =
        s.type === 'cubic' ? [s.c1, s.c2, s.to] : s.type === 'arc' ? [s.centre, s.to] : [s.from, s.to]
      if (all.some(({ x, y }) => !(Math.abs(x) <= 1e7) || !(Math.abs(y) <= 1e7)))
        throw new Unreadable(`${where}: a place of its outline is no number, or too far out.`)
    }
}
