import { tupleOf } from '../lists/index.js'
import {
  type Box,
  type Move,
  type Path,
  type Point,
  boxHeight,
  boxWidth,
  circlePoint,
  line,
  openPath,
  pathBox,
  pathMoved,
  pointAdd,
  pointInside,
  pointMoved,
  pointRight,
  pointScale,
  pointSubtract,
  pointUnit,
  polyline,
} from '../geometry/index.js'
import type { PanelMark } from '../master/index.js'
import { type Units, printWeight, trimmed, systemOf, withLengths } from '../measure/index.js'
import type { JobName, Mark, Piece, PieceHole } from '../reckon/index.js'
import {
  type Lettering,
  type MarkDrawn,
  NOTHING,
  WEIGHT,
  blockDrawing,
  foldToDrawing,
  skiveEdgeDrawing,
  treatDrawing,
  words,
} from './edgeMarks.js'
import { holeDrawing, setDrawing } from './setMarks.js'
import { hatch, stipple } from './fill.js'
import { FAR, labelAsks } from './label.js'
import { type Ask, placed } from './place.js'
import { type Drawn, stroke } from './primitives.js'

const LONG_DASH = [7, 2.2] as const
const SHORT_DASH = [2, 1.2] as const

/** How a piece is lettered. */
export interface PieceLettering {
  readonly job: JobName
  readonly unit: Units
  /** Type is no smaller than this, mm; what a pixel of a screen can show. */
  readonly min?: number
}

/** A piece’s strokes, and what wants a place among them. */
export interface PieceMarks {
  readonly outline: Path
  readonly strokes: readonly Drawn[]
  readonly asks: readonly Ask[]
}

/** A narrow upright piece is lettered along it, read from the right. */
export function isUpright(piece: Piece): boolean {
  const box = pathBox(piece.cut)
  return boxWidth(box) < 45 && boxHeight(box) > 1.5 * boxWidth(box)
}

/** Strokes of a piece from the lowest layer to the uppermost, and the words about them, the label first. */
export function pieceMarks(piece: Piece, { job, unit, min = 0 }: PieceLettering): PieceMarks {
  const lettering: Lettering = { unit, upright: isUpright(piece), min }
  const marks = piece.marks.map((mark) => markDrawing(mark, piece, lettering))
  const finished = piece.finished === piece.cut ? [] : [stroke('finished', piece.finished, WEIGHT.finished)]
  return {
    outline: piece.cut,
    strokes: [
      ...marks.flatMap((m) => m.strokes),
      ...finished,
      ...piece.holes.map(slitDrawing),
      stroke('cut', piece.cut, WEIGHT.cut),
    ],
    asks: [...labelAsks(piece, job, lettering), ...(min > FAR ? [] : marks.flatMap((m) => m.asks))],
  }
}

/** Everything drawn for a piece, in its own coordinates; each word where it lies over nothing else. */
export function pieceDrawing(piece: Piece, job: JobName, unit: Units, min = 0): readonly Drawn[] {
  const known = drawings.get(piece) ?? new Map<string, readonly Drawn[]>()
  const key = `${job.name}\n${job.draft}\n${unit}\n${min}`
  let drawn = known.get(key)
  if (!drawn) {
    const { outline, strokes, asks } = pieceMarks(piece, { job, unit, min })
    drawn = [...strokes, ...placed(outline, strokes, asks)]
    drawings.set(piece, known.set(key, drawn))
  }
  return drawn
}
const drawings = new WeakMap<Piece, Map<string, readonly Drawn[]>>()

const slitDrawing = (hole: PieceHole): Drawn => {
  const [from, to] = [
    circlePoint(hole.at, hole.length / 2, hole.angle + Math.PI),
    circlePoint(hole.at, hole.length / 2, hole.angle),
  ]
  return stroke('holes', openPath([line(from, to)]), hole.width)
}

const only = (...strokes: readonly Drawn[]): MarkDrawn => ({ strokes, asks: [] })

function markDrawing(mark: Mark, piece: Piece, lettering: Lettering): MarkDrawn {
  switch (mark.type) {
    case 'fold':
      return foldDrawing(mark, lettering)
    case 'glue':
      return only({ type: 'dots', layer: 'glue', points: stipple(mark.area, mark.without), diameter: 0.3 })
    case 'skive':
      return skiveDrawing(mark, piece.thickness ?? mark.start, lettering)
    case 'stitchLine':
      return only(stroke('holes', mark.path, WEIGHT.fine, SHORT_DASH))
    case 'notch':
      return notchDrawing(mark.at, mark.angle, mark.letters, piece, lettering)
    // The label brings the arrow of the grain with it.
    case 'grain':
      return NOTHING
    case 'skiveEdge':
      return skiveEdgeDrawing(mark, lettering)
    case 'foldTo':
      return only(...foldToDrawing(mark.path))
    case 'treat':
      return only(...treatDrawing(mark))
    case 'stop':
      return only(...holeDrawing(mark.at, mark.across))
    case 'block':
      return blockDrawing(mark.path, mark.by, lettering)
    case 'set':
      return setMarkDrawing(mark.mark, piece, lettering)
  }
}

function setMarkDrawing(mark: PanelMark, piece: Piece, lettering: Lettering): MarkDrawn {
  if (mark.type === 'notch' || mark.type === 'centre')
    return notchDrawing(mark.at, mark.angle, mark.letters, piece, lettering)
  const all = piece.marks.flatMap((m) => (m.type === 'set' ? [m.mark] : []))
  return setDrawing(mark, all, lettering)
}

/** A long dash with a pair of facing chevrons at each end, mountain or valley written beside it. */
function foldDrawing(
  { from, to, width, rises, note }: Mark & { type: 'fold' },
  lettering: Lettering,
): MarkDrawn {
  // A fold of no length folds nothing.
  if (Math.hypot(to.x - from.x, to.y - from.y) < 1e-6) return NOTHING
  const along = pointUnit(pointSubtract(to, from))
  const aside = pointRight(along)
  // A bend of no width worth drawing is one line.
  const half = width > 0.1 ? width / 2 : 0
  const chevron = (at: Point, side: number, inward: number): Drawn => {
    const tip = pointAdd(at, pointScale(aside, side * (half + 0.6)))
    const arm = (way: number) =>
      pointAdd(tip, pointAdd(pointScale(aside, side * 1.6), pointScale(along, way * 1.4)))
    return stroke(
      'fold',
      polyline([arm(-1), tip, arm(1)].map((p) => pointAdd(p, pointScale(along, inward * 3)))),
      WEIGHT.fold,
    )
  }
  const shifted = (by: number): Drawn => {
    const [a, b] = tupleOf([from, to], (p) => pointAdd(p, pointScale(aside, by)))
    return stroke('fold', openPath([line(a, b)]), WEIGHT.fold, LONG_DASH)
  }
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  const beside = pointAdd(
    from,
    pointAdd(pointScale(along, Math.min(14, length / 2)), pointScale(aside, -half)),
  )
  return {
    strokes: [
      ...(half > 0 ? [-half, half] : [0]).map(shifted),
      ...[-1, 1].flatMap((side) => [chevron(from, side, 1), chevron(to, side, -1)]),
    ],
    asks: [
      words('fold', beside, note ? `${rises}, ${withLengths(note, lettering.unit)}` : rises, lettering, {
        toward: Math.atan2(-aside.y, -aside.x),
      }),
    ],
  }
}

function skiveDrawing(mark: Mark & { type: 'skive' }, full: number, lettering: Lettering): MarkDrawn {
  const lines = hatch(mark.area, mark.from, mark.to, mark.start / full, mark.end / full).map((path) =>
    stroke('skive', path, WEIGHT.hatch),
  )
  const box = pathBox(mark.area)
  const print = (mm: number): string =>
    systemOf(lettering.unit, 'thickness') === 'mm'
      ? trimmed(mm, 2, lettering.unit)
      : printWeight(mm, lettering.unit)
  const x = boxWidth(box) > 16 || box.left < 1 ? box.right : box.left
  const toward = x === box.right ? 0 : Math.PI
  const figure = (y: number, thickness: number): Ask =>
    words('skive', { x, y }, print(thickness), lettering, { toward, off: 0.8 })
  const middle = (box.top + box.bottom) / 2
  return {
    strokes: [stroke('skive', mark.area, WEIGHT.hatch, [0.8, 0.8]), ...lines],
    asks:
      mark.start === mark.end
        ? [figure(middle, mark.start)]
        : skiveEnds(mark, box).map(({ at, thickness }) =>
            words('skive', at, print(thickness), lettering, { toward, off: 0.8 }),
          ),
  }
}

/** Where the thickness at either end of a sloping skive is written: on its own side of the band, at the border. */
function skiveEnds(
  { from, to, start, end }: Mark & { type: 'skive' },
  box: Box,
): { at: Point; thickness: number }[] {
  const clamped = (p: Point): Point => ({
    x: Math.min(box.right, Math.max(box.left, p.x)),
    y: Math.min(box.bottom, Math.max(box.top, p.y)),
  })
  return [
    { at: clamped(from), thickness: start },
    { at: clamped(to), thickness: end },
  ]
}

/** A short tick across the edge; its letters stand outside the piece. */
function notchDrawing(
  at: Point,
  angle: number,
  letters: string,
  piece: Piece,
  lettering: Lettering,
): MarkDrawn {
  const out = pointInside(circlePoint(at, 0.3, angle), piece.finished) ? angle + Math.PI : angle
  return {
    strokes: [
      stroke(
        'notches',
        openPath([line(circlePoint(at, 2, out + Math.PI), circlePoint(at, 2, out))]),
        WEIGHT.tick,
      ),
    ],
    asks: [
      words('notches', circlePoint(at, 2, out), letters, lettering, {
        off: 0.8,
        toward: out,
        where: 'outside',
      }),
    ],
  }
}

/** The same drawing somewhere else on the sheet. */
export function drawnMoved(drawn: Drawn, move: Move): Drawn {
  const angle = (a: number): number =>
    Math.atan2(move.b * Math.cos(a) + move.d * Math.sin(a), move.a * Math.cos(a) + move.c * Math.sin(a))
  if (drawn.type === 'stroke') return { ...drawn, path: pathMoved(drawn.path, move) }
  if (drawn.type === 'dots') return { ...drawn, points: drawn.points.map((p) => pointMoved(p, move)) }
  return { ...drawn, at: pointMoved(drawn.at, move), angle: angle(drawn.angle) }
}

/** Everything a piece's drawing may cover, letters outside its edge aside: its rough block or its cut outline. */
export const pieceOutline = (piece: Piece): Path => {
  const block = piece.marks.find((m) => m.type === 'block')
  return block?.type === 'block' ? block.path : piece.cut
}
