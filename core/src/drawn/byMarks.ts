import { type Move, moveBack, moveThen, pointDistance, pointMoved, turn } from '../geometry/index.js'
import type { Layup, Panel, PanelMark } from '../master/index.js'
import { lieOf } from './lies.js'
import type { DrawnPanel } from './schema.js'

/** A panel as it lies in the work. */
interface Laid {
  readonly panel: Panel
  readonly move: Move
}

/** One mark of a panel that could be laid on one of another: where the panel would lie then. */
export interface ByMark {
  /** Tells the pair from all others of the panel. */
  readonly id: string
  /** What is laid on what: “its a on a of the back”. */
  readonly said: string
  readonly lies: DrawnPanel['lies']
  /** Both have the same letters, or both are the middle of an edge. */
  readonly alike: boolean
}

/** Marks that a piece is laid on another by. */
type MatchMark = PanelMark & { type: 'notch' | 'centre' | 'hole' }
const matchMarks = ({ marks = [] }: Panel): MatchMark[] =>
  marks.filter((m): m is MatchMark => m.type === 'notch' || m.type === 'centre' || m.type === 'hole')

const nameOf = (mark: MatchMark, panel: Panel): string => {
  if (mark.type === 'centre') return 'middle'
  if (mark.type === 'notch') return mark.letters === '' ? 'notch' : mark.letters
  const holes = matchMarks(panel).filter((m) => m.type === 'hole')
  return holes.length === 1 ? 'hole' : `hole ${holes.indexOf(mark) + 1}`
}

const alike = (a: MatchMark, b: MatchMark): boolean =>
  (a.type === 'notch' && b.type === 'notch' && a.letters !== '' && a.letters === b.letters) ||
  (a.type === 'centre' && b.type === 'centre')

/** Places are written to a thousandth of a millimetre. */
const tidy = (n: number): number => Math.round(n * 1000) / 1000

/** The panels of a layup but one, each where it lies first. */
function othersIn({ sheets }: Layup, panels: readonly Panel[], own: Panel): Laid[] {
  return panels.flatMap((panel): Laid[] => {
    const sheet = sheets.find((s) => s.type === 'panel' && s.panelId === panel.id)
    return sheet && panel.id !== own.id ? [{ panel, move: sheet.move }] : []
  })
}

/**
 * Every way to lay a panel drawn by hand on another by one mark of each, those first whose letters are the same. It is
 * shifted, and stays turned as it is. None where it isn’t laid out with the others.
 */
export function layingsByMark(
  drawn: DrawnPanel,
  { panels, layups: [open] }: { readonly panels: readonly Panel[]; readonly layups: readonly Layup[] },
): ByMark[] {
  const own = panels.find((p) => p.id === drawn.id)
  const sheet = open?.sheets.find((s) => s.type === 'panel' && s.panelId === drawn.id)
  if (!own || !open || !sheet) return []
  // The work may lie in the coordinates of another panel than those that drawings are laid in.
  const toLaid = moveThen(moveBack(sheet.move), lieOf(drawn))
  const pairs = matchMarks(own).flatMap((mark) =>
    othersIn(open, panels, own).flatMap(({ panel, move }) =>
      matchMarks(panel).map((other): ByMark => {
        const there = pointMoved(pointMoved(other.at, move), toLaid)
        const at = pointMoved(mark.at, turn(drawn.lies.turn))
        return {
          id: `${mark.id} ${panel.id} ${other.id}`,
          said: `its ${nameOf(mark, own)} on ${nameOf(other, panel)} of the ${panel.name.toLowerCase()}`,
          lies: { ...drawn.lies, x: tidy(there.x - at.x), y: tidy(there.y - at.y) },
          alike: alike(mark, other),
        }
      }),
    ),
  )
  return [...pairs.filter((p) => p.alike), ...pairs.filter((p) => !p.alike)]
}

/** Whether a panel lies so already. */
export const liesSo = (drawn: DrawnPanel, { lies }: ByMark): boolean =>
  pointDistance(drawn.lies, lies) < 0.002
