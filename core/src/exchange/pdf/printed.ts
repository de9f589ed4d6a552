import {
  type Drawn,
  type PieceMarks,
  pieceMarks,
  pieceOutline,
  placed,
  shortened,
  stroke,
} from '../../drawing/index.js'
import { type Path, boxHeight, boxWidth, pathBox } from '../../geometry/index.js'
import { firstOf } from '../../lists/index.js'
import type { Units } from '../../measure/index.js'
import { type JobName, type Piece, alikeGroups, asOne } from '../../reckon/index.js'
import { ROOM, type Tile } from './paper.js'

/** Something drawn once on paper: a piece, or several that are the same. */
export interface PrintItem {
  readonly piece: Piece
  readonly drawn: readonly Drawn[]
  /** Where it is paper that is cut out, without its letters. */
  readonly outline: Path
  /** The same with its words kept off lines across the paper. */
  readonly keptOff: (lines: readonly Path[]) => PrintItem
}

/** Lengths of one page, two, three … that a shortened strap can fill. */
const lengthsOf = (tile: Tile): number[] => {
  const longest = Math.max(tile.width, tile.height)
  return [0, 1, 2, 3].map((more) => longest + more * (longest - tile.overlap) - 2 * (ROOM + LETTERS))
}
/** Letters beyond the ends of a strap, mm. */
const LETTERS = 5

function item(piece: Piece, job: JobName, unit: Units, lengths: readonly number[]): PrintItem {
  const outline = pieceOutline(piece)
  const box = pathBox(outline)
  const short: PieceMarks | undefined =
    Math.max(boxWidth(box), boxHeight(box)) > firstOf(lengths)
      ? shortened(piece, pieceMarks(piece, { job, unit }), lengths, unit)
      : undefined
  const marks = short ?? pieceMarks(piece, { job, unit })
  const kept = (lines: readonly Path[]): PrintItem => {
    const off = lines.map((path) => stroke('notches', path, 0.1))
    return {
      piece,
      drawn: [...marks.strokes, ...placed(marks.outline, [...marks.strokes, ...off], marks.asks)],
      outline: short?.outline ?? outline,
      keptOff: kept,
    }
  }
  return kept([])
}

/** What is drawn of a design on paper of that size: equal pieces once, plain long ones by their ends. */
export const printItems = (
  pieces: readonly Piece[],
  job: JobName,
  unit: Units,
  tile: Tile,
  {
    whole = false,
    copies = {},
  }: {
    /** On a roll a long strap is as long as it is. */
    readonly whole?: boolean
    /** How often each is printed, by id; once where left out. */
    readonly copies?: Readonly<Record<string, number>>
  } = {},
): readonly PrintItem[] => {
  const lengths = whole ? [Infinity] : lengthsOf(tile)
  return alikeGroups(pieces).flatMap((same) => {
    const one = item(asOne(same), job, unit, lengths)
    // What is drawn alike is had as often as any of it is asked for.
    const times = Math.max(...same.map((p) => copies[p.id] ?? 1))
    return Array.from({ length: times }, () => ({ ...one }))
  })
}
