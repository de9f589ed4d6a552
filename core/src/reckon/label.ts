import { type LengthUnit, printWeight } from '../measure/index.js'
import type { Piece } from './piece.js'

/** What is printed on every piece: name, how many, leather, job and draft. */
export function pieceLabel(piece: Piece, job: string, unit: LengthUnit): readonly string[] {
  const flip = piece.flipped > 0 ? `, ${piece.flipped} turned over` : ''
  const weight = piece.thickness === undefined ? '' : `, ${printWeight(piece.thickness, unit)}`
  return [piece.name, `cut ${piece.count}${flip}`, `${piece.material}${weight}`, job, ...piece.panel.notes]
}
