import type { Path, Point } from '@drumlin/core/geometry'
import type { Segment } from '../../src/geometry/index.js'

/** To 0.01; what lies on the middle between two hundredths is not tipped over by the last bit of a number. */
export const n = (value: number): string => String(Math.round((value + 1e-7) * 100) / 100 + 0)
export const at = ({ x, y }: Point): string => `${n(x)},${n(y)}`
export const degrees = (radians: number): string =>
  String(Math.round(((radians * 180) / Math.PI) * 10 + 1e-6) / 10 + 0)

/** So many words to a line, so that a change shows where it is. */
export function inLines(words: readonly string[], each: number, indent = '    '): string[] {
  const lines: string[] = []
  for (let i = 0; i < words.length; i += each) lines.push(indent + words.slice(i, i + each).join(' '))
  return lines
}

const segmentSaid = (s: Segment): string =>
  s.type === 'line'
    ? `L${at(s.to)}`
    : s.type === 'arc'
      ? `A${at(s.centre)};${degrees(s.sweep)};${at(s.to)}`
      : `C${at(s.c1)};${at(s.c2)};${at(s.to)}`

export const pathSaid = (path: Path): string[] => {
  const [first] = path.segments
  return inLines(
    [...(first ? [`M${at(first.from)}`] : []), ...path.segments.map(segmentSaid), path.closed ? 'Z' : ''],
    8,
  )
}

/** Any plain data on one line: numbers to 0.01, points and paths as they are said above. */
export function said(value: unknown): string {
  if (typeof value === 'number') return n(value)
  if (value === null || typeof value !== 'object') return String(value)
  if (Array.isArray(value)) return `[${value.map(said).join(' ')}]`
  const one = value as Record<string, unknown>
  if (Array.isArray(one.segments))
    return pathSaid(one as unknown as Path)
      .map((l) => l.trim())
      .join(' ')
  if (typeof one.x === 'number' && typeof one.y === 'number' && Object.keys(one).length === 2)
    return at(one as unknown as Point)
  if (one.kind === 'reckoned') return n(one.value as number)
  return Object.entries(one)
    .filter(([, v]) => v !== undefined && typeof v !== 'function')
    .map(([k, v]) => `${k}=${said(v)}`)
    .join(' ')
}

/** Equal numbers beside each other once, with how many there are. */
export function runLengths(values: readonly string[]): string[] {
  const out: { value: string; count: number }[] = []
  for (const value of values) {
    const last = out[out.length - 1]
    if (last?.value === value) last.count += 1
    else out.push({ value, count: 1 })
  }
  return out.map(({ value, count }) => (count > 1 ? `${value}×${count}` : value))
}
