import { firstOf, nth } from '../../lists/index.js'
import { STAY, flipAbout, moveThen, point, shift } from '../../geometry/index.js'
import {
  type Glue,
  type Join,
  type Layup,
  type PanelSheet,
  type Sheet,
  clipAt,
  clipMoved,
} from '../../master/index.js'
import { CARD } from '../../stores/index.js'
import { notesMaybe } from '../parts/basics.js'
import {
  type FoldedPanel,
  type Strip,
  foldedMove,
  isTurnedOver,
  stripBend,
  stripSheet,
} from '../parts/folding.js'
import { edgeSeam, glueBetween, lineSeam } from '../parts/seams.js'
import { rectangle } from '../parts/shape.js'
import { cardOutline, contentSheet, panelSheet } from '../parts/sheets.js'
import { type WrapParams, hasFlaps, isSewn } from './params.js'
import { flapsOn } from './panels.js'
import type { WrapSizes } from './sizes.js'

const folded = (s: WrapSizes): FoldedPanel => ({ panelId: 'body', name: 'body', strips: s.strips, stays: 1 })

/** The note flaps folded in over what lies on their panel, wherever that lies once it is wrapped. */
function flapSheets(p: WrapParams, s: WrapSizes): PanelSheet[] {
  if (!hasFlaps(p)) return []
  const [w, bend, on] = [s.across.value, s.sideBend.value, flapsOn(p)]
  const whole = folded(s)
  const panel = nth(s.strips, on)
  const one = (side: string, fold: number, edge: number, inward: number): PanelSheet => {
    const move = moveThen(flipAbout(fold), foldedMove(whole, on))
    const clip = (x: number, y: number, dx: number, dy: number) =>
      clipMoved(clipAt(point(x, y), point(dx, dy)), move)
    // On the second panel, which lies grain down, a flap shows its grain; on the third it lies under that.
    return panelSheet(`body.${side}`, `${side} note flap`, 'body', move, !isTurnedOver(whole, on), [
      clip(edge, 0, inward, 0),
      clip(0, panel.from, 0, 1),
      clip(0, panel.to, 0, -1),
    ])
  }
  return [one('left', -bend / 2, -bend, -1), one('right', w + bend / 2, w + bend, 1)]
}

function contents(p: WrapParams, s: WrapSizes): { cards: Sheet[]; notes: Sheet[] } {
  const [w, second] = [s.across.value, nth(s.strips, 1)]
  const note = notesMaybe(p)
  const middle = (second.from + second.to) / 2
  const card = cardOutline()
  // A card lies along the panel: turned a quarter about the middle of the panel.
  const along = { a: 0, b: 1, c: -1, d: 0, e: w / 2 + CARD.height / 2, f: middle - CARD.width / 2 }
  return {
    cards:
      p.cards > 0
        ? [
            contentSheet(
              'cards',
              p.cards === 1 ? 'card' : `${p.cards} cards`,
              card,
              firstOf(s.contents),
              along,
            ),
          ]
        : [],
    notes:
      note && note.count > 0
        ? [
            contentSheet(
              'notes',
              `${note.count} notes, folded once`,
              rectangle(note.short, note.long / 2),
              nth(s.contents, 1),
              shift((w - note.short) / 2, middle - note.long / 4),
            ),
          ]
        : [],
  }
}

/** The first panel folded onto the second, all others laid out: as its sides are sewn. */
function firstTurn(s: WrapSizes, cards: readonly Sheet[]): Layup {
  const rest: Strip = {
    name: 'second panel and those after it',
    from: nth(s.strips, 1).from,
    to: s.length.value,
  }
  const turn: FoldedPanel = { panelId: 'body', name: 'body', strips: [firstOf(s.strips), rest], stays: 1 }
  return {
    id: 'open',
    name: 'the first turn folded',
    carrier: 'body',
    sheets: [stripSheet(turn, 1, false), ...cards, stripSheet(turn, 0, false)],
  }
}

/** Both sides of the first turn, from the fold to its mouth. */
function turnJoins(p: WrapParams, s: WrapSizes): Join[] {
  const [first, second] = [firstOf(s.strips), nth(s.strips, 1)]
  const margin = s.margin.value
  const mouth = second.from + first.to - first.from
  return (['left', 'right'] as const).map((side) => {
    const x = side === 'left' ? margin : s.across.value - margin
    return lineSeam({
      id: `turn-${side}`,
      name: `${side} side of the first turn`,
      sheet: 'body.2',
      points: [point(x, second.from + margin), point(x, mouth - Math.max(margin, p.corner))],
      through: ['body.2', 'body.1'],
      twin: side === 'left' ? 'turn-right' : 'turn-left',
      pairName: 'left and right side of the first turn',
      glue: [
        sideGlue(p, s, 'body.1', side, [first.from, first.to]),
        sideGlue(p, s, 'body.2', side, [second.from, mouth]),
      ],
    })
  })
}

/** Glue down a side between two heights: above the note flaps, where there are any, a side is an edge of its own. */
function sideGlue(
  p: WrapParams,
  s: WrapSizes,
  sheet: string,
  side: 'left' | 'right',
  [from, to]: readonly [number, number],
): Glue {
  const limit = s.margin.value
  if (!hasFlaps(p))
    return glueBetween(sheet, side, [from, to], { high: s.length.value, corner: p.corner, limit })
  const above = Math.max(0, from - p.corner)
  const below = Math.max(0, nth(s.strips, flapsOn(p)).from + 1 - to)
  return side === 'right'
    ? { sheet, chain: ['right'], limit, startFree: above, endFree: below }
    : { sheet, chain: ['left-after'], limit, startFree: below, endFree: above }
}

/** Laid out flat; and wrapped: panels with even numbers below, odd ones above what they carry. */
export function wrapLayups(p: WrapParams, s: WrapSizes): Layup[] {
  const closed = folded(s)
  const { cards, notes } = contents(p, s)
  const side = (x: number, inward: number) => clipAt(point(x, 0), point(inward, 0))
  const strip = (i: number): PanelSheet => {
    const sheet = stripSheet(closed, i, false)
    // The panel without its note flaps, which lie folded in.
    if (i !== flapsOn(p) || !hasFlaps(p)) return sheet
    const move = foldedMove(closed, i)
    return {
      ...sheet,
      clips: [...sheet.clips, ...[side(0, 1), side(s.across.value, -1)].map((c) => clipMoved(c, move))],
    }
  }
  const below = s.strips.flatMap((_, i) => (i % 2 === 1 ? [strip(i)] : [])).reverse()
  const flaps = flapSheets(p, s)
  const third = flapsOn(p) === 2
  const above = s.strips.flatMap((_, i): Sheet[] =>
    i % 2 === 0 ? [strip(i), ...(i === 0 ? [...(third ? flaps : []), ...notes] : [])] : [],
  )
  return [
    isSewn(p)
      ? firstTurn(s, cards)
      : {
          id: 'open',
          name: 'laid out',
          carrier: 'body',
          sheets: [panelSheet('body', 'body', 'body', STAY, false)],
        },
    {
      id: 'closed',
      name: 'wrapped',
      carrier: 'body',
      sheets: [...below, ...cards, ...(third ? [] : flaps), ...above],
      bends: s.bends.map((_, i) => stripBend(closed, i)),
    },
  ]
}

/** Both sides of a turn that is a pocket, and a row along the turned edge of each note flap. */
export const wrapJoins = (p: WrapParams, s: WrapSizes): Join[] => [
  ...(isSewn(p) ? turnJoins(p, s) : []),
  ...(hasFlaps(p) ? flapJoins(p, s) : []),
]

function flapJoins(p: WrapParams, s: WrapSizes): Join[] {
  const sheet = isSewn(p) ? 'body.2' : 'body'
  return (['left', 'right'] as const).map((side) =>
    edgeSeam({
      id: `note-${side}`,
      name: `turned edge of the ${side} note flap`,
      sheet,
      chain: [`note-${side}`],
      margin: s.margin,
      trims: [s.margin.value, s.margin.value],
      through: [sheet],
      twin: `note-${side === 'left' ? 'right' : 'left'}`,
      pairName: 'turned edges of the note flaps',
    }),
  )
}
