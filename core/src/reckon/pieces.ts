import type { EdgeWork } from '../edges/index.js'
import type { LaidUp } from '../layup/index.js'
import type { Master, PanelMark } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import { alikePieces } from './alike.js'
import { blockMarks, doubledMarks, edgeSkiveMarks, turnMarks } from './edgeMarks.js'
import { machineLines, markedHoles } from './holes.js'
import { foldMarks, glueMarks, grainMark, notchMarks, skiveMarks, stopMarks } from './marks.js'
import { CARD_STOCK, type Piece } from './piece.js'
import { templatePieces } from './templates.js'

export interface PieceInputs {
  readonly master: Master
  readonly works: readonly EdgeWork[]
  /** The work laid open; a design without panels has none. */
  readonly open: LaidUp | undefined
  readonly runs: readonly Run[]
  /** Hardware on each panel, by id. */
  readonly hardware: ReadonlyMap<string, readonly PanelMark[]>
}

/** Every piece to cut, with all its marks. */
export function pieces(inputs: PieceInputs): Piece[] {
  const all = inputs.works.map((work) => pieceOf(work, inputs))
  return [...toldApart(all), ...templatePieces(inputs.runs, inputs.open)]
}

/** Pieces of one name that are not the same are numbered: `Tab of a ring 1`, `Tab of a ring 2`. */
function toldApart(all: readonly Piece[]): readonly Piece[] {
  const byName = new Map<string, Piece[]>()
  for (const p of all) byName.set(p.name, [...(byName.get(p.name) ?? []), p])
  const numbers = new Map<Piece, number>()
  for (const same of byName.values())
    if (same.length > 1 && alikePieces(same).length > 1) same.forEach((p, i) => numbers.set(p, i + 1))
  return all.map((p) => (numbers.has(p) ? { ...p, name: `${p.name} ${numbers.get(p)!}` } : p))
}

function pieceOf(work: EdgeWork, { master, open, runs, hardware }: PieceInputs): Piece {
  const { panel, stock } = work
  return {
    panel,
    work,
    id: panel.id,
    name: panel.name,
    count: panel.count,
    flipped: panel.flipped,
    material: stock?.name ?? CARD_STOCK.name,
    thickness: stock?.thickness,
    swatch: stock?.swatch ?? CARD_STOCK.swatch,
    finished: panel.outline,
    cut: work.cut,
    marks: [
      ...(open ? glueMarks(panel, master, open) : []),
      ...turnMarks(work),
      ...skiveMarks(panel),
      ...edgeSkiveMarks(work),
      ...foldMarks(panel),
      ...doubledMarks(panel),
      ...(open ? [...notchMarks(panel, master, open), ...stopMarks(panel, open, runs)] : []),
      ...[...(panel.marks ?? []), ...(hardware.get(panel.id) ?? [])].map(
        (mark) => ({ type: 'set', mark }) as const,
      ),
      ...(stock?.leather ? [grainMark(panel)] : []),
      ...(open ? machineLines(panel, open, runs) : []),
      ...blockMarks(work),
    ],
    holes: open ? markedHoles(panel, open, runs) : [],
  }
}
