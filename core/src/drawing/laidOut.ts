import { type Path, moveThen, point, polygon, shift } from '../geometry/index.js'
import type { Units } from '../measure/index.js'
import { type JobName, type Piece, arrangeInRows } from '../reckon/index.js'
import { drawnMoved, pieceDrawing } from './piece.js'
import type { Drawn } from './primitives.js'
import { drawnSpan } from './span.js'

/** Between pieces, letters included; and how wide a sheet of them is where no piece is wider, mm. */
const [GAP, WIDE] = [8, 420] as const

/** A rectangle round a piece and all its words. */
export function lettered(piece: Piece, job: JobName, unit: Units = 'mm'): Path {
  const { left, top, right, bottom } = drawnSpan(pieceDrawing(piece, job, unit))
  return polygon([point(left, top), point(right, top), point(right, bottom), point(left, bottom)])
}

/** A piece's drawing where it lies on one large sheet. */
export interface LaidOutPiece {
  readonly piece: Piece
  readonly drawn: readonly Drawn[]
}

/** All pieces in rows on one sheet, `margin` mm round it, none over the letters of another. */
export function laidOut(
  pieces: readonly Piece[],
  job: JobName,
  unit: Units,
  margin: number,
): { readonly pieces: readonly LaidOutPiece[]; readonly width: number; readonly height: number } {
  const items = pieces.map((piece) => ({
    piece,
    drawn: pieceDrawing(piece, job, unit),
    box: lettered(piece, job, unit),
  }))
  const { placed, width, height } = arrangeInRows(items, (item) => item.box, WIDE, GAP)
  return {
    pieces: placed.map(({ item, move }) => ({
      piece: item.piece,
      drawn: item.drawn.map((d) => drawnMoved(d, moveThen(move, shift(margin, margin)))),
    })),
    width: width + 2 * margin,
    height: height + 2 * margin,
  }
}
