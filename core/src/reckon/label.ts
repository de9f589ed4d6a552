import { type Units, printWeight, withLengths } from '../measure/index.js'
import type { Piece } from './piece.js'

/** Which job and draft a piece belongs to. */
export interface JobName {
  readonly name: string
  readonly draft: string
}

/** What is printed on every piece: name, how many, leather, job and draft. */
export function pieceLabel(piece: Piece, job: JobName, unit: Units): readonly string[] {
  const flip = piece.flipped > 0 ? `, ${piece.flipped} turned over` : ''
  const weight = piece.thickness === undefined ? '' : `, ${printWeight(piece.thickness, unit)}`
  return [
    piece.name,
    `cut ${piece.count}${flip}`,
    `${piece.material}${weight}`,
    `${job.name}, ${job.draft}`,
    ...piece.panel.notes.map((note) => withLengths(note, unit)),
  ]
}
