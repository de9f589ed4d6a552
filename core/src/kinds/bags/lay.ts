import { firstOf, nth } from '../../lists/index.js'
import {
  type Box,
  type Move,
  boxHeight,
  boxUnion,
  boxWidth,
  moveThen,
  pathBox,
  pathMoved,
  pointMoved,
  shift,
  turn,
} from '../../geometry/index.js'
import {
  type Layup,
  type Match,
  type Panel,
  type PanelSheet,
  clipMoved,
  panelOf,
} from '../../master/index.js'
import type { Part } from './assembly.js'

/** Room between pieces laid out beside each other, for their letters, mm. */
const ROOM = 40
/** A row of pieces is about so wide, mm. */
const ROW = 1500

const sheetMoved = (sheet: PanelSheet, by: Move): PanelSheet => ({
  ...sheet,
  move: moveThen(sheet.move, by),
  clips: sheet.clips.map((c) => clipMoved(c, by)),
})

/** Every pile with what lies on it from other parts, in the coordinates of its base. */
function pilesOf(all: Part): PanelSheet[][] {
  return all.piles.map((pile) => {
    let sheets = [...pile.sheets]
    const pending = [...all.onto]
    for (let placed = true; placed;) {
      placed = false
      for (const one of [...pending]) {
        const at = sheets.findIndex((s) => s.id === one.on)
        if (at < 0) continue
        // Nearer the base first: what comes later lies further out.
        const sheet = sheetMoved(one.sheet, nth(sheets, at).move)
        sheets = one.where === 'inside' ? [sheet, ...sheets] : [...sheets, sheet]
        pending.splice(pending.indexOf(one), 1)
        placed = true
      }
    }
    return sheets
  })
}

const boxOf = (sheets: readonly PanelSheet[], panels: readonly Panel[]): Box =>
  boxUnion(sheets.map((s) => pathBox(pathMoved(panelOf(panels, s.panelId).outline, s.move))))

/** What is long and narrow lies on its side. */
function lying(pile: readonly PanelSheet[], panels: readonly Panel[]): PanelSheet[] {
  const box = boxOf(pile, panels)
  const tall = boxHeight(box) > 4 * boxWidth(box)
  return tall ? pile.map((s) => sheetMoved(s, turn(-Math.PI / 2))) : [...pile]
}

/** All panels laid out, none over another but those that lie on each other in the work; the first at the origin. */
export function bagLayup(all: Part): Layup {
  let [x, y, row] = [0, 0, 0]
  const sheets = pilesOf(all).flatMap((flat, i) => {
    const pile = i === 0 ? flat : lying(flat, all.panels)
    const box = boxOf(pile, all.panels)
    if (x > 0 && x + boxWidth(box) > ROW) {
      x = 0
      y += row + ROOM
      row = 0
    }
    const to = i === 0 ? shift(0, 0) : shift(x - box.left, y - box.top)
    x += boxWidth(box) + ROOM + (i === 0 ? box.left : 0)
    row = Math.max(row, boxHeight(box))
    return pile.map((s) => sheetMoved(s, to))
  })
  return { id: 'open', name: 'laid out', carrier: firstOf(all.panels).id, sheets }
}

/** Places that meet, as they lie in the laid-out work. */
export const bagMatches = (all: Part, { sheets }: Layup): Match[] =>
  all.meetings.flatMap(({ id, a, b }) => {
    const [one, other] = [a, b].map(({ sheet }) => sheets.find((s) => s.id === sheet))
    if (!one || !other) return []
    return [
      {
        id,
        sheetA: a.sheet,
        sheetB: b.sheet,
        at: pointMoved(a.at, one.move),
        atB: pointMoved(b.at, other.move),
      },
    ]
  })
