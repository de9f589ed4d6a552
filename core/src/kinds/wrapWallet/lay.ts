import { firstOf, nth } from '../../lists/index.js'
import { STAY, flipAbout, point, shift } from '../../geometry/index.js'
import {
  type EdgeTreatment,
  type Fold,
  type Join,
  type Layup,
  type Panel,
  type PanelSheet,
  type Sheet,
  clipAt,
  clipMoved,
} from '../../master/index.js'
import { CARD } from '../../stores/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { notesMaybe } from '../parts/basics.js'
import { type FoldedPanel, type Strip, foldsOf, stripBend, stripSheet } from '../parts/folding.js'
import { edgeSeam, glueBetween, lineSeam } from '../parts/seams.js'
import {
  type Named,
  finishedFate,
  outlineOf,
  plainPanel,
  rectangle,
  rectangleShape,
  turnedFate,
} from '../parts/shape.js'
import { cardOutline, contentSheet, panelSheet } from '../parts/sheets.js'
import type { WrapParams } from './params.js'
import { BENCH, type WrapSizes } from './sizes.js'

const hasFlaps = (p: WrapParams): boolean => p.noteFlaps === 'turned'
/** A flap reaches no farther than the middle of the panel it covers. */
const flapWidth = (p: WrapParams, s: WrapSizes): number => Math.min(p.flapWidth, s.across.value / 2)
const ear = (p: WrapParams, s: WrapSizes): number => Math.min(p.ear, flapWidth(p, s) - 2, s.flat.value / 3)

export function wrapPanels(p: WrapParams, s: WrapSizes, materials: Materials): Panel[] {
  const [w, h] = [s.across.value, s.length.value]
  const second = nth(s.strips, 1)
  const plain = finishedFate(p.finish, 0, () => false)
  const width = Math.min(p.turn, flapWidth(p, s) / 2)
  const turned = turnedFate(width, 'even', leatherOf(materials, 'body'), p.margin)
  const fate = (edge: string): EdgeTreatment => (edge.startsWith('note-') ? turned : plain(edge))
  const reach = s.sideBend.value + flapWidth(p, s)
  const cut = ear(p, s)
  const wing = (x: number, out: 1 | -1, side: string): Named[] => {
    const corners: Named[] = [
      { x, y: second.from + 1, edge: `${side}-ear-1` },
      { x: x + out * (reach - cut), y: second.from + 1, edge: `${side}-ear-cut-1` },
      { x: x + out * reach, y: second.from + 1 + cut, edge: `note-${side}` },
      { x: x + out * reach, y: second.to - 1 - cut, edge: `${side}-ear-cut-2` },
      { x: x + out * (reach - cut), y: second.to - 1, edge: `${side}-ear-2` },
      { x, y: second.to - 1, edge: `${side}-after` },
    ]
    if (out === 1) return corners
    // The left side is walked upwards: each edge begins at what was its other end.
    const names = ['left-after', ...corners.map((c) => c.edge).slice(0, 5)]
    return corners.map((c, i) => ({ ...c, edge: nth(names, i) })).reverse()
  }
  const corners: Named[] = [
    { x: 0, y: 0, radius: p.corner, edge: 'top', corner: 'top-left' },
    { x: w, y: 0, radius: p.corner, edge: 'right', corner: 'top-right' },
    ...(hasFlaps(p) ? wing(w, 1, 'right') : []),
    { x: w, y: h, radius: p.corner, edge: 'foot', corner: 'foot-right' },
    { x: 0, y: h, radius: p.corner, edge: 'left', corner: 'foot-left' },
    ...(hasFlaps(p) ? wing(0, -1, 'left') : []),
  ]
  const sideFold = (id: string, name: string, x: number): Fold => ({
    id,
    name,
    from: point(x, second.from + 1),
    to: point(x, second.to - 1),
    width: s.sideBend.value,
    rises: 'valley',
  })
  const half = s.sideBend.value / 2
  return [
    plainPanel({
      id: 'body',
      name: 'Body',
      role: 'body',
      ...outlineOf(corners, fate),
      grain: Math.PI / 2,
      folds: [
        ...foldsOf({ strips: s.strips }, 0, w, 'valley'),
        ...(hasFlaps(p)
          ? [
              sideFold('note-left', 'left note flap', -half),
              sideFold('note-right', 'right note flap', w + half),
            ]
          : []),
      ],
      notes: ['grain out; fold from the top down'],
    }),
    ...(s.band
      ? [
          plainPanel({
            id: 'band',
            name: 'Loop',
            role: 'body',
            ...rectangleShape(s.band.value, BENCH.bandWide, {}, plain),
            notes: [`skive ${BENCH.bandLap} mm at both ends to half and glue them over each other`],
          }),
        ]
      : []),
  ]
}

const folded = (s: WrapSizes): FoldedPanel => ({ panelId: 'body', name: 'body', strips: s.strips, stays: 1 })

/** The note flaps folded in over what lies on the second panel. */
function flapSheets(p: WrapParams, s: WrapSizes): PanelSheet[] {
  if (!hasFlaps(p)) return []
  const [w, bend] = [s.across.value, s.sideBend.value]
  const one = (side: string, fold: number, edge: number, inward: number): PanelSheet => {
    const move = flipAbout(fold)
    const second = nth(s.strips, 1)
    return panelSheet(`body.${side}`, `${side} note flap`, 'body', move, true, [
      clipMoved(clipAt(point(edge, 0), point(inward, 0)), move),
      clipAt(point(0, second.from), point(0, 1)),
      clipAt(point(0, second.to), point(0, -1)),
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
  const body = { high: s.length.value, corner: p.corner, limit: margin }
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
      pairName: 'both sides of the first turn',
      glue: [
        glueBetween('body.1', side, [first.from, first.to], body),
        glueBetween('body.2', side, [second.from, mouth], body),
      ],
    })
  })
}

/** Laid out flat; and wrapped: panels with even numbers below, odd ones above what they carry. */
export function wrapLayups(p: WrapParams, s: WrapSizes): Layup[] {
  const closed = folded(s)
  const { cards, notes } = contents(p, s)
  const side = (x: number, inward: number) => clipAt(point(x, 0), point(inward, 0))
  const strip = (i: number): PanelSheet => {
    const sheet = stripSheet(closed, i, false)
    // The second panel without its note flaps, which lie folded in.
    return i === 1 && hasFlaps(p)
      ? { ...sheet, clips: [...sheet.clips, side(0, 1), side(s.across.value, -1)] }
      : sheet
  }
  const below = s.strips.flatMap((_, i) => (i % 2 === 1 ? [strip(i)] : [])).reverse()
  const above = s.strips.flatMap((_, i): Sheet[] =>
    i % 2 === 0 ? [strip(i), ...(i === 0 ? notes : [])] : [],
  )
  return [
    p.noteFlaps === 'sewn'
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
      sheets: [...below, ...cards, ...flapSheets(p, s), ...above],
      bends: s.bends.map((_, i) => stripBend(closed, i)),
    },
  ]
}

/** A row along the turned edge of each note flap, or down both sides of a turn that is a pocket. */
export const wrapJoins = (p: WrapParams, s: WrapSizes): Join[] =>
  p.noteFlaps === 'sewn'
    ? turnJoins(p, s)
    : hasFlaps(p)
      ? (['left', 'right'] as const).map((side) =>
          edgeSeam({
            id: `note-${side}`,
            name: `turned edge of the ${side} note flap`,
            sheet: 'body',
            chain: [`note-${side}`],
            margin: s.margin,
            trims: [s.margin.value, s.margin.value],
            through: ['body'],
            twin: `note-${side === 'left' ? 'right' : 'left'}`,
            pairName: 'turned edges of the note flaps',
          }),
        )
      : []
