import type { AlikeFittings } from '../fittings/index.js'
import type { Point } from '../geometry/index.js'
import type { Piece } from '../reckon/index.js'

/** A place on a piece where hardware is set, with the number of its row among what is set alike, from 1. */
export interface FittedPlace {
  readonly row: number
  readonly name: string
  /** On the piece, mm. */
  readonly at: Point
}

/** A piece that hardware is set on or through, and where. */
export interface FittedPiece {
  readonly piece: Piece
  readonly places: readonly FittedPlace[]
}

/** Every piece that carries hardware, each place told by the row of `alike` that says how it is set. */
export function fittedPieces(pieces: readonly Piece[], alike: readonly AlikeFittings[]): FittedPiece[] {
  return pieces.flatMap((piece) => {
    const places = piece.marks.flatMap((mark): FittedPlace[] => {
      if (mark.type !== 'set' || mark.mark.type !== 'hardware') return []
      const { id, at, name } = mark.mark
      const row = alike.findIndex((a) => a.ids.some((own) => id === `${piece.panel.id}-${own}`))
      return row < 0 ? [] : [{ row: row + 1, name, at }]
    })
    return places.length > 0 ? [{ piece, places }] : []
  })
}
