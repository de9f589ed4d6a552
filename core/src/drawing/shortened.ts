import {
  type Path,
  type Point,
  type Segment,
  boxHeight,
  boxWidth,
  closedPath,
  line,
  openPath,
  pathBox,
  polyline,
} from '../geometry/index.js'
import { firstOf, lastOf, nth } from '../lists/index.js'
import { type Units, printLength, printPitch } from '../measure/index.js'
import type { Piece } from '../reckon/index.js'
import { WEIGHT } from './edgeMarks.js'
import type { PieceMarks } from './piece.js'
import type { Ask } from './place.js'
import { type Drawn, stroke } from './primitives.js'
import { TYPE, wordsForm } from './words.js'

/** A stretch of a long piece that is the same all along, from and to along the piece, mm. */
interface Plain {
  readonly level: boolean
  readonly from: number
  readonly to: number
  /** Rows of holes that go on through it at an even pitch. */
  readonly pitch: number | undefined
}

const along = (p: Point, level: boolean): number => (level ? p.x : p.y)
const across = (p: Point, level: boolean): number => (level ? p.y : p.x)
/** Lines that run along a piece within this are the same all along, mm. */
const STRAIGHT = 0.02
/** Holes whose steps differ by less are evenly spaced, mm. */
const EVEN = 0.06

const runsAlong = (s: Segment, level: boolean): boolean =>
  s.type === 'line' && Math.abs(across(s.from, level) - across(s.to, level)) < STRAIGHT

/** Where something happens along a piece: from and to of everything that is not a line running straight along it. */
function happenings(strokes: readonly Drawn[], level: boolean): [number, number][] {
  return strokes.flatMap((d): [number, number][] => {
    if (d.type !== 'stroke' || d.layer === 'skive' || d.layer === 'holes') return []
    return d.path.segments
      .filter((s) => !runsAlong(s, level))
      .map((s) => {
        const box = pathBox(openPath([s]))
        return level ? [box.left, box.right] : [box.top, box.bottom]
      })
  })
}

/** Ends of lines that run along without going through: something begins or ends there. */
function lineEnds(strokes: readonly Drawn[], level: boolean): number[] {
  return strokes.flatMap((d) => {
    if (d.type !== 'stroke' || d.layer === 'skive' || d.layer === 'holes') return []
    return d.path.segments
      .filter((s) => runsAlong(s, level))
      .flatMap((s) => [along(s.from, level), along(s.to, level)])
  })
}

/** Holes at which a row along the piece does not go on as before, and the pitch of the rows that do. */
function unevenHoles(piece: Piece, level: boolean): { stops: number[]; pitch: number | undefined } {
  const rows = new Map<number, number[]>()
  for (const { at } of piece.holes) {
    const row = Math.round(across(at, level) / 0.1)
    rows.set(row, [...(rows.get(row) ?? []), along(at, level)])
  }
  const stops: number[] = []
  let pitch: number | undefined
  for (const row of rows.values()) {
    row.sort((a, b) => a - b)
    stops.push(firstOf(row), lastOf(row))
    const middle = row.length > 2 ? nth(row, row.length >> 1) - nth(row, (row.length >> 1) - 1) : undefined
    row.forEach((s, i) => {
      if (middle !== undefined && i > 0 && Math.abs(s - nth(row, i - 1) - middle) > EVEN)
        stops.push(s, nth(row, i - 1))
    })
    pitch ??= middle
  }
  return { stops, pitch }
}

/** The longest stretch of a piece along which nothing changes. */
function plainStretch(piece: Piece, strokes: readonly Drawn[]): Plain {
  const box = pathBox(piece.cut)
  const level = boxWidth(box) >= boxHeight(box)
  const holes = unevenHoles(piece, level)
  const marks: [number, number][] = [
    ...happenings(strokes, level),
    ...[...lineEnds(strokes, level), ...holes.stops].map((s): [number, number] => [s, s]),
  ].sort((a, b) => a[0] - b[0])
  let [from, to, reached] = [0, 0, level ? box.left : box.top]
  for (const [start, end] of marks) {
    if (start - reached > to - from) [from, to] = [reached, start]
    reached = Math.max(reached, end)
  }
  return { level, from, to, pitch: holes.pitch }
}

/** Plain leather left beside the break, so that an end is not mistaken for the whole, and the gap drawn, mm. */
const [KEPT, GAP] = [18, 9] as const

/** Wider than this it is no strap: its whole outline is wanted, mm (J). */
const WIDEST = 90

/**
 * A plain long strap with a stretch of its middle left out so that it is drawn no longer than the shortest of `lengths`
 * that its plain part allows, mm: its true ends, and the measure it is cut by. Undefined where that gains nothing.
 */
export function shortened(
  piece: Piece,
  marks: PieceMarks,
  lengths: readonly number[],
  unit: Units,
): PieceMarks | undefined {
  const box = pathBox(piece.cut)
  const [length, width] = [boxWidth(box), boxHeight(box)].sort((a, b) => b - a) as [number, number]
  if (width > WIDEST || piece.panel.role === 'guide') return undefined
  const { level, from, to, pitch } = plainStretch(piece, marks.strokes)
  for (const room of lengths.filter((l) => l < length).sort((a, b) => a - b)) {
    // Rows of holes go on where they would: a whole number of steps is left out.
    const out = pitch === undefined ? length - room : Math.ceil((length - room) / pitch) * pitch
    if (to - from < out + 2 * KEPT) continue
    const cutFrom = (from + to) / 2 - out / 2
    return broken(piece, marks, { level, from: cutFrom, to: cutFrom + out, pitch }, length, unit)
  }
  return undefined
}

function broken(piece: Piece, marks: PieceMarks, plain: Plain, length: number, unit: Units): PieceMarks {
  const { level, from, to } = plain
  const by = to - from
  const middle = from
  const pulled = (p: Point): Point => {
    const s = along(p, level)
    const back = s >= to ? by : s > from ? s - middle : 0
    return level ? { x: p.x - back, y: p.y } : { x: p.x, y: p.y - back }
  }
  const kept = (p: Point): boolean => along(p, level) < from || along(p, level) > to
  const outline = closedPath(marks.outline.segments.map((s) => movedEnds(s, pulled)))
  const strokes = marks.strokes.flatMap((d): Drawn[] => {
    if (d.type === 'text') return []
    if (d.type === 'dots') return [{ ...d, points: d.points.filter(kept).map(pulled) }]
    return brokenPath(d.path, { level, at: middle }, pulled, kept, d.layer === 'skive').map((path) => ({
      ...d,
      path,
    }))
  })
  const box = pathBox(outline)
  const about = level
    ? { x: middle, y: (box.top + box.bottom) / 2 }
    : { x: (box.left + box.right) / 2, y: middle }
  const said = [
    `cut ${printLength(length, unit)} long from end to end`,
    `${printLength(by, unit)} of it left out here`,
    ...(plain.pitch === undefined || piece.holes.length === 0
      ? []
      : [`the holes go on at ${printPitch(plain.pitch, unit)}`]),
  ]
  const ask: Ask = {
    layer: 'label',
    about,
    off: 2,
    where: 'outside',
    leader: true,
    toward: level ? Math.PI / 2 : 0,
    forms: [
      wordsForm(
        'label',
        said.map((words) => ({ words, size: TYPE.line, bold: true })),
        !level,
      ),
    ],
  }
  return {
    outline,
    strokes: [...strokes, ...breakLines(box, about, level)],
    asks: [
      ask,
      ...marks.asks
        .filter((a) => kept(a.about) || a.where === 'inside')
        .map((a) => ({ ...a, about: pulled(a.about) })),
    ],
  }
}

const movedEnds = (s: Segment, pulled: (p: Point) => Point): Segment => {
  if (s.type === 'line') return line(pulled(s.from), pulled(s.to))
  const [p, q] = [s.from, pulled(s.from)]
  const shift = (r: Point): Point => ({ x: r.x + q.x - p.x, y: r.y + q.y - p.y })
  return s.type === 'arc'
    ? { ...s, from: q, to: shift(s.to), centre: shift(s.centre) }
    : { ...s, from: q, to: shift(s.to), c1: shift(s.c1), c2: shift(s.c2) }
}

/** The parts of a path on either side of a break, drawn together up to the gap. */
function brokenPath(
  path: Path,
  gap: { readonly level: boolean; readonly at: number },
  pulled: (p: Point) => Point,
  kept: (p: Point) => boolean,
  hatched: boolean,
): Path[] {
  const { level, at } = gap
  const parts: Segment[][] = [[]]
  for (const s of path.segments) {
    const moved = movedEnds(s, pulled)
    const [a, b] = [along(moved.from, level), along(moved.to, level)]
    const crosses = s.type === 'line' && Math.min(a, b) < at - GAP / 2 && Math.max(a, b) > at + GAP / 2
    if (crosses) {
      const way = Math.sign(b - a)
      const place = (t: number): Point => ({
        x: moved.from.x + ((moved.to.x - moved.from.x) * (t - a)) / (b - a),
        y: moved.from.y + ((moved.to.y - moved.from.y) * (t - a)) / (b - a),
      })
      lastOf(parts).push(line(moved.from, place(at - (way * GAP) / 2)))
      parts.push([line(place(at + (way * GAP) / 2), moved.to)])
    } else if (kept(s.from) && kept(s.to) && !(hatched && Math.abs((a + b) / 2 - at) < GAP / 2))
      lastOf(parts).push(moved)
    else parts.push([])
  }
  const whole = parts.length === 1
  return parts.filter((p) => p.length > 0).map((segments) => ({ segments, closed: whole && path.closed }))
}

/** Two lines that say that something between them is left out. */
function breakLines(
  box: { left: number; right: number; top: number; bottom: number },
  about: Point,
  level: boolean,
): Drawn[] {
  const [low, high] = level ? [box.top - 2, box.bottom + 2] : [box.left - 2, box.right + 2]
  return [-1, 1].map((side) => {
    const at = (share: number, aside: number): Point => {
      const t = low + (high - low) * share
      const s = along(about, level) + (side * GAP) / 2 + aside
      return level ? { x: s, y: t } : { x: t, y: s }
    }
    return stroke(
      'notches',
      polyline([at(0, 0), at(0.4, 0), at(0.46, -1.6), at(0.54, 1.6), at(0.6, 0), at(1, 0)]),
      WEIGHT.fine,
    )
  })
}
