import { atKey } from '../lists/index.js'
import type { EdgeWork } from '../edges/index.js'
import type { LaidUp } from '../layup/index.js'
import { type Master, type PanelMark, liesIn } from '../master/index.js'
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
  /** The work in its states, the first as it is laid open; a design without panels has none. */
  readonly states: readonly LaidUp[]
  readonly runs: readonly Run[]
  /** Hardware on each panel, by id. */
  readonly hardware: ReadonlyMap<string, readonly PanelMark[]>
}

/** Every piece to cut, with all its marks. */
export function pieces(inputs: PieceInputs): Piece[] {
  const all = inputs.works.map((work) => pieceOf(work, inputs))
  return [...toldApart(all), ...templatePieces(inputs.runs, inputs.states[0])]
}

/** Pieces of one name that are not the same are numbered: `Tab of a ring 1`, `Tab of a ring 2`. */
function toldApart(all: readonly Piece[]): readonly Piece[] {
  const byName = new Map<string, Piece[]>()
  for (const p of all) byName.set(p.name, [...(byName.get(p.name) ?? []), p])
  const numbers = new Map<Piece, number>()
  for (const same of byName.values())
    if (same.length > 1 && alikePieces(same).length > 1) same.forEach((p, i) => numbers.set(p, i + 1))
  return all.map((p) => (numbers.has(p) ? { ...p, name: `${p.name} ${atKey(numbers, p)}` } : p))
}

function pieceOf(work: EdgeWork, { master, states, runs, hardware }: PieceInputs): Piece {
  const { panel, stock } = work
  const lain = states.filter(({ layup }) => liesIn(layup, panel.id))
  const open = lain[0] ?? states[0]
  // What is sewn in later states is opened there, through the layers below.
  const marked = lain.filter(({ layup }, i) => i === 0 || layup.alone)
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
      ...glueMarks(panel, master),
      ...turnMarks(work),
      ...skiveMarks(panel),
      ...edgeSkiveMarks(work),
      ...foldMarks(panel),
      ...doubledMarks(panel),
      ...(open ? notchMarks(panel, master, open) : []),
      ...marked.flatMap((work) => stopMarks(panel, work, runs)),
      ...[...(panel.marks ?? []), ...(hardware.get(panel.id) ?? [])].map(
        (mark) => ({ type: 'set', mark }) as const,
      ),
      ...(stock?.leather ? [grainMark(panel)] : []),
      ...marked.flatMap((work) => machineLines(panel, work, runs)),
      ...blockMarks(work),
    ],
    holes: markedHoles(panel, marked, runs),
  }
}
