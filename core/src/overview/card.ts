import { findingsOf, overruledFor } from '../check/index.js'
import { derive } from '../derived/index.js'
import type { Snapshot } from '../snapshot/index.js'
import type { Design } from '../design/index.js'
import { type StrokeGroup, gathered, pathData, pieceMarks, pieceOutline } from '../drawing/index.js'
import { type Arrangement, type Piece, arrangeInRows } from '../reckon/index.js'
import { finished } from './finished.js'

/** A piece as a card shows it: its tint and its lines as path data, where it lies among the others. */
export interface CardPiece {
  readonly move: readonly [number, number, number, number, number, number]
  readonly tint: string
  readonly swatch: string
  readonly strokes: readonly StrokeGroup[]
}

/** What the shelf shows of a job; plain data, mm. */
export interface Card {
  readonly kind: string
  /** Width and height as they are carried, as far as the kind states them. */
  readonly sizes: readonly number[]
  /** Findings that are not overruled. */
  readonly open: number
  readonly width: number
  readonly height: number
  readonly pieces: readonly CardPiece[]
  /** The finished thing, where something stands. */
  readonly picture: Snapshot | undefined
}

const GAP = 14
/** How much wider than high the picture on a card is. */
const SHAPE = 1.7
/** Widths of the sheet that are tried, mm: the narrowest, and how much wider each next one is. */
const [NARROWEST, WIDER, TRIED] = [430, 1.3, 8]
const SHOWN = new Set(['cut', 'fold', 'holes'])

/** The pieces in rows on the sheet that shows them largest in the shape of a card. */
function largest(pieces: readonly Piece[]): Arrangement<Piece> {
  const shown = ({ width, height }: Arrangement<Piece>): number => Math.min(SHAPE / width, 1 / height)
  return Array.from({ length: TRIED }, (_, i) =>
    arrangeInRows(pieces, pieceOutline, NARROWEST * WIDER ** i, GAP, 'lie'),
  ).reduce((best, one) => (shown(one) > shown(best) * 1.02 ? one : best))
}

/** The card of a design: its pieces without their words, its size, and how much there is to look at. */
export function cardOf(design: Design): Card {
  const derived = derive(design)
  const { placed, width, height } = largest(derived.pieces)
  return {
    kind: derived.kind.name,
    sizes: derived.master.sizes.slice(0, 2).map(({ size }) => size.value),
    open: findingsOf(derived).filter((f) => overruledFor(derived, f) === undefined).length,
    width,
    height,
    picture: finished(derived),
    pieces: placed.map(({ item, move: { a, b, c, d, e, f } }) => ({
      move: [a, b, c, d, e, f],
      tint: pathData(item.cut),
      swatch: item.swatch,
      strokes: gathered(
        pieceMarks(item, { job: design, unit: 'mm' }).strokes.filter((s) => SHOWN.has(s.layer)),
      ).strokes,
    })),
  }
}
