import { type Move, flipAbout, moveThen, point, shift } from '../../geometry/index.js'
import { type Clip, type Layup, type Match, type Sheet, clipAt } from '../../master/index.js'
import { notesMaybe } from '../parts/basics.js'
import { box, rectangle } from '../parts/shape.js'
import { contentSheet, panelSheet, pileTurnedOver } from '../parts/sheets.js'
import { type Pile, pileSheets, stackItems } from '../pockets/index.js'
import { BENCH } from './bench.js'
import { backingTop, coinTop, dividerHeight, flapInset, hasBacking } from './panels.js'
import type { BifoldParams } from './params.js'
import type { BifoldSizes } from './sizes.js'

/** Coins take up no more of a pocket's height than this, mm. */
const COINS_HIGH = 40

export type Side = 'left' | 'right'
export const SIDES: readonly Side[] = ['left', 'right']
/** Whether this half carries cards; the other carries the coins. */
export const hasCards = (p: BifoldParams, side: Side): boolean =>
  p.pockets > 0 && (p.coins === 'none' || side === 'left')

const clipOf = (side: Side, middle: number): Clip =>
  clipAt(point(middle, 0), point(side === 'left' ? -1 : 1, 0))

/** The right half is the left one turned over about the fold line. */
const mirrored = (side: Side, move: Move, s: BifoldSizes): Move =>
  side === 'left' ? move : moveThen(move, flipAbout(s.insideWidth.value / 2))

export function pileOf(side: Side, p: BifoldParams, s: BifoldSizes): Pile {
  return {
    suffix: `-${side}`,
    said: `, ${side}`,
    ...(p.coins === 'none' ? { twin: side === 'left' ? '-right' : '-left' } : {}),
    move: mirrored(side, shift(0, 0), s),
    carriers: [hasBacking(p) ? `backing-${side}` : `inside-${side}`],
  }
}

/** Leaves outside the inside, outermost first: id, width, height, whether its grain lies up. */
function leavesOf(
  s: BifoldSizes,
): { id: string; name: string; width: number; height: number; up: boolean }[] {
  const wide = (taken: number): number => s.insideWidth.value + taken
  const [tall, low] = [s.outsideHeight.value, dividerHeight(s)]
  return [
    { id: 'outside', name: 'outside', width: wide(s.taken.value), height: tall, up: false },
    ...(s.liningTaken
      ? [{ id: 'lining', name: 'lining', width: wide(s.liningTaken.value), height: tall, up: true }]
      : []),
    ...(s.dividerTaken
      ? [{ id: 'divider', name: 'divider', width: wide(s.dividerTaken.value), height: low, up: false }]
      : []),
    ...(s.dividerLiningTaken
      ? [
          {
            id: 'divider-lining',
            name: 'divider lining',
            width: wide(s.dividerLiningTaken.value),
            height: low,
            up: true,
          },
        ]
      : []),
  ]
}

/** Sheets of one half that go through the outer seam below the pockets, lowest first. */
export const coverIds = (side: Side, s: BifoldSizes): string[] => [
  ...leavesOf(s).map((l) => `${l.id}-${side}`),
  `inside-${side}`,
]

/** Everything on one half, lowest first, in the coordinates of the inside laid open. */
function half(side: Side, p: BifoldParams, s: BifoldSizes): { cover: Sheet[]; pockets: Sheet[] } {
  const wi = s.insideWidth.value
  const clip = clipOf(side, wi / 2)
  const leaves = leavesOf(s).map((l) =>
    panelSheet(
      `${l.id}-${side}`,
      l.name,
      l.id,
      shift(side === 'left' ? 0 : wi - l.width, s.insideHeight.value - l.height),
      l.up,
      [clip],
    ),
  )
  const inside = panelSheet(`inside-${side}`, 'inside', 'inside', shift(0, 0), true, [clip])
  const at = (move: Move): Move => mirrored(side, move, s)
  const pockets = hasCards(p, side)
    ? [
        ...(hasBacking(p)
          ? [panelSheet(`backing-${side}`, 'backing', 'backing', at(shift(0, backingTop(s))), true)]
          : []),
        ...pileSheets(s.stack, pileOf(side, p, s)),
      ]
    : p.coins === 'right' && side === 'right'
      ? coinSheets(s, at)
      : []
  const behind = leaves.findIndex((l) => l.panelId === 'divider')
  const notes = notesOf(side, p, s, clip, behind < 0 ? 1 : 2)
  const cover = leaves.flatMap((l, i) => (i === behind && notes[1] ? [notes[1], l] : [l]))
  return { cover: [...cover, ...notes.slice(0, 1), inside], pockets }
}

function coinSheets(s: BifoldSizes, at: (m: Move) => Move): Sheet[] {
  const [w, top, inset] = [s.pocketWidth.value, coinTop(s), BENCH.coinInset]
  const high = Math.min(COINS_HIGH, s.insideHeight.value - top - inset)
  return [
    contentSheet(
      'coins',
      'coins',
      box(inset, 0, w - inset, high),
      BENCH.coins,
      at(shift(0, s.insideHeight.value - inset - high)),
    ),
    panelSheet('coin-pocket', 'coin pocket', 'coin-pocket', at(shift(0, top)), true),
    panelSheet('coin-flap', 'flap', 'coin-flap', at(shift(flapInset(s), top - BENCH.flapAbove)), true),
  ]
}

/** The notes of one half, parted evenly where a divider lies between them. */
function notesOf(side: Side, p: BifoldParams, s: BifoldSizes, clip: Clip, parts: 1 | 2): Sheet[] {
  const note = notesMaybe(p)
  if (!note || note.count === 0) return []
  const [x, y] = [
    (s.insideWidth.value - note.long) / 2,
    s.insideHeight.value - s.margin.value - s.hole.value - note.short,
  ]
  return Array.from({ length: parts }, (_, i) =>
    contentSheet(
      `notes-${side}${i === 0 ? '' : '-behind'}`,
      parts === 1 ? `${note.count} notes` : 'half of the notes',
      rectangle(note.long, note.short),
      note.thickness / parts,
      shift(x, y),
      [clip],
    ),
  )
}

/** Laid open with the inside up; and closed, the right half folded over onto the left. */
export function bifoldLayups(p: BifoldParams, s: BifoldSizes): Layup[] {
  const [left, right] = [half('left', p, s), half('right', p, s)]
  const folded = pileTurnedOver([...right.cover, ...right.pockets], flipAbout(s.insideWidth.value / 2))
  return [
    {
      id: 'open',
      name: 'laid open',
      carrier: 'inside',
      sheets: [...left.cover, ...right.cover, ...left.pockets, ...right.pockets],
    },
    {
      id: 'closed',
      name: 'closed',
      carrier: 'inside',
      sheets: [...left.cover, ...left.pockets, ...folded],
      bends: [...leavesOf(s).map((l) => l.id), 'inside'].map((cover) => ({
        sheets: [`${cover}-left`, `${cover}-right`] as const,
        at: point(s.insideWidth.value / 2, s.insideHeight.value / 2),
        outward: point(1, 0),
      })),
    },
  ]
}

/** Where the tops of the pockets meet the sides of the inside. */
export function bifoldMatches(p: BifoldParams, s: BifoldSizes): Match[] {
  const x = (side: Side): number => (side === 'left' ? 0 : s.insideWidth.value)
  const cards = SIDES.filter((side) => hasCards(p, side) && p.school !== 'slits').flatMap((side) =>
    stackItems(s.stack).map(({ index, top }) => ({
      id: `top-${index + 1}-${side}`,
      sheetA: `inside-${side}`,
      sheetB: `pocket-${index + 1}-${side}`,
      at: point(x(side), top),
    })),
  )
  return p.coins === 'none'
    ? cards
    : [
        ...cards,
        {
          id: 'top-coins',
          sheetA: 'inside-right',
          sheetB: 'coin-pocket',
          at: point(x('right'), coinTop(s)),
        },
      ]
}
