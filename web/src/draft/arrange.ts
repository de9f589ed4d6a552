import { lettered } from '@drumlin/core/drawing'
import { type Move, boxesMeet, shift } from '@drumlin/core/geometry'
import type { LaidSheet, LaidUp } from '@drumlin/core/layup'
import { type Arrangement, type Piece, arrangeInRows } from '@drumlin/core/reckon'

/** Between pieces on the sheet, and round all of them, mm. */
const GAP = 12
export const ROOM = { left: 16, top: 4, right: 14, bottom: 12 }
/** Rows of that width at the most, mm. */
const WIDTHS = [240, 330, 430, 560, 800, 1100, 1500, 2000]

/** The pieces where another arrangement has them; what is new lies after the last. */
export function keptRows(pieces: readonly Piece[], before: Arrangement<Piece>): Arrangement<Piece> {
  const known = (id: string): Move | undefined => before.placed.find((p) => p.item.id === id)?.move
  const placed = pieces.map((item) => ({ item, move: known(item.id) ?? shift(0, before.height + GAP) }))
  return { ...before, placed }
}

/** The pieces in rows, of whichever width shows them largest on a screen of that size. */
export function largestRows(
  pieces: readonly Piece[],
  job: { readonly name: string; readonly draft: string },
  screen: { width: number; height: number },
): Arrangement<Piece> {
  const shown = (a: { width: number; height: number }): number =>
    Math.min(
      screen.width / (a.width + ROOM.left + ROOM.right),
      screen.height / (a.height + ROOM.top + ROOM.bottom),
    )
  const tried = WIDTHS.map((w) => arrangeInRows(pieces, (piece) => lettered(piece, job), w, GAP, 'lie'))
  return tried.reduce((a, b) => (shown(b) > shown(a) * 1.02 ? b : a))
}

/** Whole panels that lie over or under the piece that carries the work: what lies elsewhere says nothing there. */
export function sheetsOver({ sheets, layup }: LaidUp): LaidSheet[] {
  const under = sheets.find((s) => s.sheet.type === 'panel' && s.sheet.panelId === layup.carrier)?.box
  return sheets.filter(
    (s) =>
      s.part === 'whole' &&
      s.sheet.type === 'panel' &&
      s.sheet.clips.length === 0 &&
      (!under || boxesMeet(s.box, under)),
  )
}
