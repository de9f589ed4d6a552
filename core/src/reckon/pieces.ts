import { type Path, offsetLargestMaybe } from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import type { Master, Panel } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import type { Iron, Leather } from '../stores/index.js'
import { markedHoles } from './holes.js'
import { foldMarks, glueMarks, grainMark, notchMarks, skiveMarks } from './marks.js'
import type { Piece } from './piece.js'

/** What guides are cut from. */
const CARD_STOCK = { name: 'card', swatch: '#ffffff' }

/** The outline to cut: the finished one, grown where an edge is trimmed flush after sewing. */
export function cutOutline(panel: Panel): Path {
  const trims = panel.outline.segments.map(
    (_, i) => panel.edges.find((e) => i >= e.first && i <= e.last)?.fate.trim ?? 0,
  )
  if (trims.every((t) => t === 0)) return panel.outline
  return offsetLargestMaybe(panel.outline, trims) ?? panel.outline
}

export interface PieceInputs {
  readonly master: Master
  readonly panels: readonly Panel[]
  readonly open: LaidUp
  readonly runs: readonly Run[]
  readonly leathers: Readonly<Record<string, Leather>>
  readonly iron: Iron
}

/** Every piece to cut, with all its marks. */
export function pieces(inputs: PieceInputs): Piece[] {
  return inputs.panels.map((panel) => pieceOf(panel, inputs))
}

function pieceOf(panel: Panel, { master, open, runs, leathers, iron }: PieceInputs): Piece {
  const leather = leathers[panel.role]
  return {
    panel,
    id: panel.id,
    name: panel.name,
    count: panel.count,
    flipped: panel.flipped,
    material: leather?.name ?? CARD_STOCK.name,
    thickness: leather?.thickness,
    swatch: leather?.swatch ?? CARD_STOCK.swatch,
    finished: panel.outline,
    cut: cutOutline(panel),
    marks: [
      ...glueMarks(panel, master, open),
      ...skiveMarks(panel),
      ...foldMarks(panel),
      ...notchMarks(panel, master, open),
      ...(leather ? [grainMark(panel)] : []),
    ],
    holes: markedHoles(panel, open, runs, iron),
  }
}
