import {
  type Path,
  type Point,
  boxCentre,
  boxHeight,
  boxWidth,
  circlePoint,
  line,
  openPath,
  pathBox,
  pathMoved,
  pointAdd,
  pointInside,
  pointScale,
  pointSubtract,
  pointUnit,
  pointRight,
  polyline,
  type Move,
  pointMoved,
} from '../geometry/index.js'
import type { PanelMark } from '../master/index.js'
import type { LengthUnit } from '../measure/index.js'
import { printWeight, trimmed } from '../measure/index.js'
import { type JobName, type Mark, type Piece, type PieceHole, pieceLabel } from '../reckon/index.js'
import {
  blockDrawing,
  foldToDrawing,
  holeDrawing,
  setDrawing,
  skiveEdgeDrawing,
  treatDrawing,
} from './edgeMarks.js'
import { hatch, stipple } from './fill.js'
import { type Drawn, stroke, text } from './primitives.js'

/** Line weights in mm: the language must survive a black-and-white printer, so weight and form carry it. */
const WEIGHT = { cut: 0.5, finished: 0.18, fold: 0.25, fine: 0.15, tick: 0.35 } as const
const LONG_DASH = [7, 2.2] as const
const SHORT_DASH = [2, 1.2] as const
const TYPE = { name: 4.2, line: 3, mark: 2.8 } as const

/** Everything drawn for a piece, in its own coordinates, from the lowest layer to the uppermost. */
export function pieceDrawing(piece: Piece, job: JobName, unit: LengthUnit): readonly Drawn[] {
  const marks = piece.marks.flatMap((mark) => markDrawing(mark, piece, unit))
  const finished = piece.finished === piece.cut ? [] : [stroke('finished', piece.finished, WEIGHT.finished)]
  return [
    ...marks,
    ...finished,
    ...piece.holes.map(slitDrawing),
    stroke('cut', piece.cut, WEIGHT.cut),
    ...labelDrawing(piece, job, unit),
  ]
}

const slitDrawing = (hole: PieceHole): Drawn => {
  const [from, to] = [
    circlePoint(hole.at, hole.length / 2, hole.angle + Math.PI),
    circlePoint(hole.at, hole.length / 2, hole.angle),
  ]
  return stroke('holes', openPath([line(from, to)]), hole.width)
}

function markDrawing(mark: Mark, piece: Piece, unit: LengthUnit): Drawn[] {
  switch (mark.type) {
    case 'fold':
      return foldDrawing(mark)
    case 'glue':
      return [{ type: 'dots', layer: 'glue', points: stipple(mark.area, mark.without), diameter: 0.3 }]
    case 'skive':
      return skiveDrawing(mark, piece.thickness ?? mark.start, unit)
    case 'stitchLine':
      return [stroke('holes', mark.path, WEIGHT.fine, SHORT_DASH)]
    case 'notch':
      return notchDrawing(mark.at, mark.angle, mark.letters, piece)
    case 'grain':
      return grainDrawing(labelSpot(piece), mark.angle)
    case 'skiveEdge':
      return skiveEdgeDrawing(mark, unit)
    case 'foldTo':
      return foldToDrawing(mark.path)
    case 'treat':
      return treatDrawing(mark)
    case 'stop':
      return holeDrawing(mark.at, mark.across)
    case 'block':
      return blockDrawing(mark.path, mark.by, unit)
    case 'set':
      return setMarkDrawing(mark.mark, piece, unit)
  }
}

function setMarkDrawing(mark: PanelMark, piece: Piece, unit: LengthUnit): Drawn[] {
  if (mark.type === 'notch' || mark.type === 'centre')
    return notchDrawing(mark.at, mark.angle, mark.letters, piece)
  return setDrawing(mark, piece.panel.marks ?? [], unit)
}

/** A long dash with a pair of facing chevrons at each end, hill or valley written beside it. */
function foldDrawing({ from, to, width, rises, note }: Mark & { type: 'fold' }): Drawn[] {
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
  const word = pointAdd(from, pointAdd(pointScale(along, 8), pointScale(aside, -half - 1.2)))
  const shifted = (by: number): Drawn => {
    const [a, b] = [from, to].map((p) => pointAdd(p, pointScale(aside, by))) as [Point, Point]
    return stroke('fold', openPath([line(a, b)]), WEIGHT.fold, LONG_DASH)
  }
  return [
    ...(half > 0 ? [-half, half] : [0]).map(shifted),
    ...[-1, 1].flatMap((side) => [chevron(from, side, 1), chevron(to, side, -1)]),
    text(
      'fold',
      word,
      note ? `${rises}, ${note}` : rises,
      TYPE.mark,
      'start',
      false,
      Math.atan2(along.y, along.x),
    ),
  ]
}

function skiveDrawing(mark: Mark & { type: 'skive' }, full: number, unit: LengthUnit): Drawn[] {
  const lines = hatch(mark.area, mark.from, mark.to, mark.start / full, mark.end / full).map((path) =>
    stroke('skive', path, WEIGHT.fine),
  )
  const box = pathBox(mark.area)
  const level = mark.start === mark.end
  const wide = boxWidth(box) > 16
  const print = (mm: number): string => (unit === 'mm' ? trimmed(mm, 2) : printWeight(mm, unit))
  const rightwards = wide || box.left < 1
  const at = (y: number): Point => ({ x: rightwards ? box.right + 1 : box.left - 1, y })
  const anchor = rightwards ? 'start' : 'end'
  const figures = level
    ? [text('skive', at((box.top + box.bottom) / 2 + 1), print(mark.start), TYPE.mark, anchor)]
    : [
        text('skive', at(box.top + 1.5), print(mark.start), TYPE.mark, anchor),
        text('skive', at(box.bottom + 0.5), print(mark.end), TYPE.mark, anchor),
      ]
  return [stroke('skive', mark.area, WEIGHT.fine, [0.8, 0.8]), ...lines, ...figures]
}

/** A short tick across the edge; its letters stand outside the piece. */
function notchDrawing(at: Point, angle: number, letters: string, piece: Piece): Drawn[] {
  const out = pointInside(circlePoint(at, 0.3, angle), piece.finished) ? angle + Math.PI : angle
  const outside = circlePoint(at, 3, out)
  const anchor = Math.cos(out) < -0.5 ? 'end' : Math.cos(out) > 0.5 ? 'start' : 'middle'
  return [
    stroke(
      'notches',
      openPath([line(circlePoint(at, 2, out + Math.PI), circlePoint(at, 2, out))]),
      WEIGHT.tick,
    ),
    text('notches', { x: outside.x, y: outside.y + 1 }, letters, TYPE.mark, anchor),
  ]
}

function grainDrawing(spot: Spot, angle: number): Drawn[] {
  const at = { x: spot.at.x, y: spot.grainY }
  const [from, to] = [circlePoint(at, 9, angle + Math.PI), circlePoint(at, 9, angle)]
  const barb = (turn: number): Point => circlePoint(to, 2.4, angle + Math.PI + turn)
  return [
    stroke('grain', openPath([line(from, to)]), WEIGHT.fold),
    stroke('grain', polyline([barb(0.5), to, barb(-0.5)]), WEIGHT.fold),
    text('grain', { x: from.x - 1.5, y: from.y + 1 }, 'grain', TYPE.mark, 'end'),
  ]
}

interface Spot {
  readonly at: Point
  readonly grainY: number
  readonly scale: number
}

/** Where the label stands: the middle of the piece, or of its left half where a fold runs down the middle. */
function labelSpot(piece: Piece): Spot {
  const box = pathBox(piece.cut)
  const fold = piece.marks.find((m) => m.type === 'fold')
  const level = fold?.type === 'fold' && Math.abs(fold.to.y - fold.from.y) < Math.abs(fold.to.x - fold.from.x)
  const folded = fold !== undefined && !level
  const centre = boxCentre(box)
  const middle = {
    x: folded ? box.left + boxWidth(box) / 4 : centre.x,
    y: box.top + boxHeight(box) * (level ? 0.22 : 0.42),
  }
  const at = piece.panel.labelAt ?? middle
  const scale = Math.min(1, boxWidth(box) / (folded ? 2 : 1) / 55)
  return { at, grainY: at.y + 17, scale }
}

/** A narrow upright piece carries its label along it, read from the right. */
function isUpright(piece: Piece): boolean {
  const box = pathBox(piece.cut)
  return boxWidth(box) < 45 && boxHeight(box) > 1.5 * boxWidth(box)
}

function labelDrawing(piece: Piece, job: JobName, unit: LengthUnit): Drawn[] {
  const lines = pieceLabel(piece, job, unit)
  const upright = isUpright(piece)
  const spot = labelSpot(piece)
  const box = pathBox(piece.cut)
  const room = boxWidth(box) / (lines.length * TYPE.line * 1.45 + TYPE.name)
  const scale = upright ? Math.min(1, boxHeight(box) / 55, room) : spot.scale
  const [name, line] = [TYPE.name * scale, TYPE.line * scale]
  const { x, y } = upright ? boxCentre(box) : spot.at
  return lines.map((words, i) => {
    const down = -6 * scale + i * line * 1.45 + (i === 0 ? 0 : name * 0.25)
    return text(
      'label',
      upright ? { x: x + down, y } : { x, y: y + down },
      words,
      i === 0 ? name : line,
      'middle',
      i === 0,
      upright ? -Math.PI / 2 : 0,
    )
  })
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
