import { SaxesParser } from 'saxes'
import svgpath from 'svgpath'
import { type Path, type Point, type Segment, arc, cubic, line, pointDistance } from '../../geometry/index.js'
import { type FoundPath, type FoundResult, chainedPaths, tooLarge } from '../outlines/index.js'

/** mm of the units a length attribute may have; bare numbers and px do not say how large the drawing is meant. */
const UNIT_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  Q: 0.25,
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
])

interface Frame {
  readonly transform: string
  readonly hidden: boolean
}

class Malformed extends Error {}

const numberOf = (
  attributes: Readonly<Record<string, string>>,
  name: string,
  where: string,
  otherwise?: number,
): number => {
  const text = attributes[name]
  if (text === undefined && otherwise !== undefined) return otherwise
  const value = Number.parseFloat(text ?? '')
  if (!Number.isFinite(value) || !/^\s*[-+\d.]/.test(text ?? ''))
    throw new Malformed(`“${text ?? ''}” is not a number: ${name} of the ${where}`)
  return value
}

/** mm a user unit is, from the drawing's own width and viewBox; undefined where they do not say. */
function unitOf(attributes: Readonly<Record<string, string>>): number | undefined {
  for (const [name, index] of [
    ['width', 2],
    ['height', 3],
  ] as const) {
    const match = /^\s*([-+\d.eE]+)\s*([a-zA-Z]+)\s*$/.exec(attributes[name] ?? '')
    const unit = match ? UNIT_MM[match[2]!] : undefined
    if (!match || unit === undefined) continue
    const box = (attributes.viewBox ?? '')
      .trim()
      .split(/[\s,]+/)
      .map(Number)
    const across = box.length === 4 ? box[index]! : Number(match[1])
    if (across > 0 && Number(match[1]) > 0)
      return box.length === 4 ? (Number(match[1]) * unit) / across : unit
  }
  return undefined
}

/** Every shape as path data, by SVG's own definitions. */
function dataOf(name: string, a: Readonly<Record<string, string>>): string | undefined {
  const n = (key: string, otherwise?: number): number => numberOf(a, key, `<${name}>`, otherwise)
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
      return (a.points ?? '').trim() === '' ? '' : `M${a.points!.trim()}${name === 'polygon' ? 'z' : ''}`
    default:
      return undefined
  }
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
function pathsOf(data: string, transform: string, where: string): Path[] {
  const parsed = svgpath(data) as ReturnType<typeof svgpath> & { err?: string }
  if (parsed.err)
    throw new Malformed(
      `the outline of the ${where} stops making sense: ${parsed.err.replace(/^SvgPath: /, '')}`,
    )
  const plain = parsed.transform(transform).abs().unshort()
  const paths: Path[] = []
  let segments: Segment[] = []
  let start: Point = { x: 0, y: 0 }
  const finish = (closed: boolean): void => {
    if (segments.length > 0) paths.push({ segments, closed })
    segments = []
  }
  plain.iterate((segment, _index, x, y) => {
    const from = { x, y }
    const [command, ...n] = segment as unknown as [string, ...number[]]
    const to = {
      x: command === 'V' ? x : command === 'H' ? n[0]! : n[n.length - 2]!,
      y: command === 'H' ? y : n[n.length - 1]!,
    }
    const add = (s: Segment): void => void (pointDistance(s.from, s.to) > 0 && segments.push(s))
    if (command === 'M') {
      finish(false)
      start = to
    } else if (command === 'Z' || command === 'z') {
      if (pointDistance(from, start) > 1e-9) segments.push(line(from, start))
      finish(true)
    } else if (command === 'C') add(cubic(from, { x: n[0]!, y: n[1]! }, { x: n[2]!, y: n[3]! }, to))
    else if (command === 'Q') {
      const c = { x: n[0]!, y: n[1]! }
      const two = (p: Point): Point => ({ x: p.x + (2 / 3) * (c.x - p.x), y: p.y + (2 / 3) * (c.y - p.y) })
      add(cubic(from, two(from), two(to), to))
    } else if (command === 'A') {
      const [rx, ry] = [n[0]!, n[1]!]
      if (Math.abs(rx - ry) <= 1e-6 * Math.max(rx, ry)) {
        if (pointDistance(from, to) > 0) segments.push(arcBetween(from, to, rx, n[3] === 1, n[4] === 1))
      } else segments.push(...ellipse(from, segment as unknown as (string | number)[]))
    } else add(line(from, to))
  })
  finish(false)
  const ended = (p: Path): boolean =>
    p.segments.length > 1 && pointDistance(p.segments[p.segments.length - 1]!.to, p.segments[0]!.from) < 1e-9
  return paths.map((p) => (ended(p) ? { ...p, closed: true } : p))
}

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
    const [command, ...n] = s as unknown as [string, ...number[]]
    if (command === 'C')
      out.push(cubic({ x, y }, { x: n[0]!, y: n[1]! }, { x: n[2]!, y: n[3]! }, { x: n[4]!, y: n[5]! }))
  })
  return out
}

/** Reads the lines of an SVG file: units and transforms honoured, arcs of circles kept as arcs. */
export function readSvgPaths(text: string): FoundResult {
  const large = tooLarge(text)
  if (large) return { ok: false, why: large }
  const loose: FoundPath[] = []
  const notes = new Set<string>()
  const frames: Frame[] = []
  let unit: number | undefined
  let root = false
  const parser = new SaxesParser({ fragment: false })
  parser.on('opentag', ({ name: full, attributes }) => {
    const name = full.replace(/^.*:/, '')
    const above = frames[frames.length - 1] ?? { transform: '', hidden: false }
    const a = attributes as Readonly<Record<string, string>>
    if (frames.length === 0) {
      root = name === 'svg'
      unit = unitOf(a)
    }
    const hidden =
      above.hidden || HIDDEN.has(name) || a.display === 'none' || /display\s*:\s*none/.test(a.style ?? '')
    const transform = `${above.transform} ${a.transform ?? ''}`.trim()
    frames.push({ transform, hidden })
    if (hidden) return
    if (name === 'use') notes.add('Copies of symbols were left out; draw them as outlines.')
    if (name === 'text') notes.add('Text was left out.')
    if (name === 'image') notes.add('Pictures were left out.')
    const data = dataOf(name, a)
    if (data === undefined) return
    const label = a.id ?? `${name} ${loose.length + 1}`
    for (const path of pathsOf(data, transform, `<${name}>${a.id ? ` “${a.id}”` : ''}`))
      loose.push({ name: label, path })
  })
  parser.on('closetag', () => void frames.pop())
  parser.on('error', (error) => {
    throw new Malformed(`line ${parser.line} of the file: ${error.message.replace(/^\d+:\d+: /, '')}`)
  })
  try {
    parser.write(text.replace(/^\uFEFF/, '')).close()
  } catch (error) {
    if (!(error instanceof Malformed)) throw error
    return { ok: false, why: `The SVG file can't be read: ${error.message}. Save it again as plain SVG.` }
  }
  if (!root) return { ok: false, why: 'This is not an SVG file: it does not begin with <svg>.' }
  return { ok: true, found: { ...chainedPaths(loose), unit, notes: [...notes] } }
}
