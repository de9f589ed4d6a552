import {
  type Move,
  flipAbout,
  moveThen,
  point,
  pointMoved,
  polygon,
  roundedPolygon,
  shift,
} from '../../geometry/index.js'
import type { Clip, Layup, Match, PanelSheet, Sheet } from '../../master/index.js'
import { CARD, NOTE_THICKNESS, currencyOf, largestNote } from '../../stores/index.js'
import { firstTop } from './pocketPanels.js'
import type { BifoldParams } from './params.js'
import type { BifoldSizes } from './sizes.js'

export type Side = 'left' | 'right'
export const SIDES: readonly Side[] = ['left', 'right']

const leftOf = (x: number): Clip => ({ at: point(x, 0), inward: point(-1, 0) })
const rightOf = (x: number): Clip => ({ at: point(x, 0), inward: point(1, 0) })

/** Everything on one half, lowest first, in the coordinates of the inside laid open. */
function half(side: Side, p: BifoldParams, s: BifoldSizes): { cover: Sheet[]; pockets: Sheet[] } {
  const [wi, wo] = [s.insideWidth.value, s.outsideWidth.value]
  const middle = wi / 2
  const clip = side === 'left' ? leftOf(middle) : rightOf(middle)
  // The right half is the left one turned over about the fold line.
  const place = (move: Move): Move => (side === 'left' ? move : moveThen(move, flipAbout(middle)))
  const lift = s.insideHeight.value - s.outsideHeight.value
  const cover: PanelSheet = {
    type: 'panel',
    id: `outside-${side}`,
    name: 'outside',
    panelId: 'outside',
    grainUp: false,
    move: shift(side === 'left' ? 0 : wi - wo, lift),
    clips: [clip],
  }
  const inside: PanelSheet = {
    type: 'panel',
    id: `inside-${side}`,
    name: 'inside',
    panelId: 'inside',
    grainUp: true,
    move: shift(0, 0),
    clips: [clip],
  }
  const pockets: Sheet[] = []
  for (let i = 0; i < p.pockets; i += 1) {
    const top = firstTop(p, s) + i * p.reveal
    pockets.push(...cardsOf(side, i, top, p, s, place), pocketSheet(side, i, top, p, s, place))
  }
  return { cover: [cover, ...notesOf(side, p, s, clip), inside], pockets }
}

function pocketSheet(
  side: Side,
  i: number,
  top: number,
  p: BifoldParams,
  s: BifoldSizes,
  place: (m: Move) => Move,
): PanelSheet {
  const isFoot = i === p.pockets - 1
  const panelId = isFoot ? 'foot-pocket' : i === 0 && s.shorten.value > 0 ? 'pocket-top' : 'pocket'
  return {
    type: 'panel',
    id: `pocket-${i + 1}-${side}`,
    name: isFoot ? 'foot pocket' : `card pocket ${i + 1}`,
    panelId,
    grainUp: true,
    move: place(shift(0, top)),
    clips: [],
  }
}

const rectangleCorners = (w: number, h: number) => [point(0, 0), point(w, 0), point(w, h), point(0, h)]
const rectangle = (w: number, h: number) => polygon(rectangleCorners(w, h))

/** The cards of one pocket stand on its foot seam. */
function cardsOf(
  side: Side,
  i: number,
  top: number,
  p: BifoldParams,
  s: BifoldSizes,
  place: (m: Move) => Move,
): Sheet[] {
  const floor = top + s.depth.value - (i === 0 ? s.shorten.value : 0)
  const x = (s.pocketWidth.value - CARD.width) / 2
  const corners = rectangleCorners(CARD.width, CARD.height)
  const card = roundedPolygon(corners.map((c) => ({ ...c, radius: CARD.cornerRadius }))).path
  return [
    {
      type: 'content',
      id: `cards-${i + 1}-${side}`,
      name: p.cardsPerPocket === 1 ? 'card' : `${p.cardsPerPocket} cards`,
      move: place(shift(x, floor - CARD.height)),
      clips: [],
      outline: card,
      thickness: p.cardsPerPocket * CARD.thickness,
    },
  ]
}

function notesOf(side: Side, p: BifoldParams, s: BifoldSizes, clip: Clip): Sheet[] {
  if (p.currency === 'none' || p.notes === 0) return []
  const note = largestNote(currencyOf(p.currency))
  const [x, y] = [
    (s.insideWidth.value - note.long) / 2,
    s.insideHeight.value - s.margin.value - s.hole.value - note.short,
  ]
  return [
    {
      type: 'content',
      id: `notes-${side}`,
      name: `${p.notes} notes`,
      move: shift(x, y),
      clips: [clip],
      outline: rectangle(note.long, note.short),
      thickness: p.notes * NOTE_THICKNESS,
    },
  ]
}

/** Laid open with the inside up; and closed, the right half folded over onto the left. */
export function bifoldLayups(p: BifoldParams, s: BifoldSizes): Layup[] {
  const [left, right] = [half('left', p, s), half('right', p, s)]
  const over = flipAbout(s.insideWidth.value / 2)
  const folded = [...right.cover, ...right.pockets].reverse().map((sheet): Sheet => ({
    ...sheet,
    ...(sheet.type === 'panel' ? { grainUp: !sheet.grainUp } : {}),
    move: moveThen(sheet.move, over),
    clips: sheet.clips.map(({ at, inward }) => ({
      at: pointMoved(at, over),
      inward: point(-inward.x, inward.y),
    })),
  }))
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
      bends: ['outside', 'inside'].map((cover) => ({
        sheets: [`${cover}-left`, `${cover}-right`] as const,
        at: point(s.insideWidth.value / 2, s.insideHeight.value / 2),
        outward: point(1, 0),
      })),
    },
  ]
}

/** Where the tops of the pockets meet the sides of the inside. */
export function bifoldMatches(p: BifoldParams, s: BifoldSizes): Match[] {
  return SIDES.flatMap((side) =>
    Array.from({ length: p.pockets }, (_, i) => ({
      id: `top-${i + 1}-${side}`,
      sheetA: `inside-${side}`,
      sheetB: `pocket-${i + 1}-${side}`,
      at: point(side === 'left' ? 0 : s.insideWidth.value, firstTop(p, s) + i * p.reveal),
    })),
  )
}
