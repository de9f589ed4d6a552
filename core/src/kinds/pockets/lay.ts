import { type Move, type Point, moveThen, point, shift } from '../../geometry/index.js'
import { type Glue, type Join, type PanelSheet, type Sheet, clipAt, clipMoved } from '../../master/index.js'
import { CARD } from '../../stores/index.js'
import { cardOutline, contentSheet, panelSheet } from '../parts/sheets.js'
import { lineSeam } from '../parts/seams.js'
import { POCKET_BENCH as B } from './bench.js'
import { hasTurnedTops } from './params.js'
import { pouchWidth, stayInset } from './slits.js'
import { type Stack, type StackItem, cardLeft, footRadius, slitPanelTop, stackItems } from './stack.js'

/** One pile of a design: what tells its sheets apart, where it lies, and what its feet are sewn to. */
export interface Pile {
  /** `-left`; empty where there is only one. */
  readonly suffix: string
  /** Said after the names of its runs: `, left`. */
  readonly said: string
  readonly twin?: string
  /** From the pile's frame to that of the work. */
  readonly move: Move
  /** Sheets under the pockets that their feet are sewn to. */
  readonly carriers: readonly string[]
}

const pocketId = ({ index }: StackItem, { suffix }: Pile): string => `pocket-${index + 1}${suffix}`

/** The pile without what carries it, lowest first: each pocket with its cards behind it. */
export function pileSheets(stack: Stack, pile: Pile): Sheet[] {
  if (stack.start.p.pockets === 0) return []
  return stack.start.p.school === 'slits' ? slitSheets(stack, pile) : pocketSheets(stack, pile)
}

function cards(stack: Stack, item: StackItem, pile: Pile): Sheet {
  const { p } = stack.start
  return contentSheet(
    `cards-${item.index + 1}${pile.suffix}`,
    p.cardsPerPocket === 1 ? 'card' : `${p.cardsPerPocket} cards`,
    cardOutline(),
    p.cardsPerPocket * CARD.thickness,
    moveThen(shift(cardLeft(stack), item.top + item.depth - CARD.height), pile.move),
  )
}

function pocketSheets(stack: Stack, pile: Pile): Sheet[] {
  const turned = hasTurnedTops(stack.start.p)
  const inset = stayInset(stack)
  return stackItems(stack).flatMap((item) => {
    const at = moveThen(shift(0, item.top), pile.move)
    const stayId = `stay-${item.index + 1}${pile.suffix}`
    const stiff = stack.start.p.tops === 'stiffened'
    const tape = panelSheet(
      stayId,
      stiff ? 'reinforcement' : 'tape',
      'stay',
      moveThen(shift(inset, item.top), pile.move),
      true,
    )
    const pocket: PanelSheet = {
      ...panelSheet(pocketId(item, pile), item.name, item.panelId, at, true),
      ...(turned ? { turnedOver: stayId } : {}),
    }
    return [cards(stack, item, pile), ...(turned ? [tape] : []), pocket]
  })
}

/** Behind each slit the back leaf of its cloth, its cards and the front leaf; the face over all of them. */
function slitSheets(stack: Stack, pile: Pile): Sheet[] {
  const depth = stack.sizes.depth.value
  const x = (stack.sizes.pocketWidth.value - pouchWidth(stack)) / 2
  const place = (m: Move): Move => moveThen(m, pile.move)
  const clip = (move: Move, up: boolean) => clipMoved(clipAt(point(0, depth), point(0, up ? -1 : 1)), move)
  const leaves = stackItems(stack).flatMap((item): Sheet[] => {
    if (stack.start.p.pouch === 'none') return [cards(stack, item, pile)]
    const front = place(shift(x, item.top))
    // The back leaf goes up again behind the front one.
    const back = place({ a: 1, b: 0, c: 0, d: -1, e: x, f: item.top + 2 * depth })
    return [
      panelSheet(`pouch-${item.index + 1}${pile.suffix}-back`, 'cloth', 'pouch', back, false, [
        clip(back, false),
      ]),
      cards(stack, item, pile),
      panelSheet(`pouch-${item.index + 1}${pile.suffix}-front`, 'cloth', 'pouch', front, true, [
        clip(front, true),
      ]),
    ]
  })
  const face = place(shift(0, slitPanelTop(stack)))
  return [...leaves, panelSheet(`slits${pile.suffix}`, 'slit panel', 'slit-panel', face, true)]
}

/** A pocket's sheet and the chains of its edges that reach the side seams and the foot seam. */
export interface Side {
  readonly sheet: string
  readonly left: readonly string[]
  readonly right: readonly string[]
  /** Whether it reaches the foot seam too. */
  readonly front: boolean
}

/** Everything of the pile that lies in the seams round it, lowest first. */
export function pileSides(stack: Stack, pile: Pile): Side[] {
  const { p } = stack.start
  if (p.pockets === 0) return []
  const round = footRadius(stack) > 0
  const front = {
    left: [...(round && stack.rounded.left ? ['foot-left'] : []), 'left'],
    right: ['right', ...(round && stack.rounded.right ? ['foot-right'] : [])],
    front: true,
  }
  if (p.school === 'slits') return [{ sheet: `slits${pile.suffix}`, ...front }]
  return stackItems(stack).map((item) => ({
    sheet: pocketId(item, pile),
    ...(item.front
      ? front
      : p.school === 'overlap'
        ? { left: ['left', 'left-arm'], right: ['right-arm', 'right'], front: false }
        : { left: ['left-arm'], right: ['right-arm'], front: false }),
  }))
}

/** The feet that are sewn or glued across before the next pocket covers them, and the rows along turned tops. */
export function pileJoins(stack: Stack, pile: Pile, layup: string): Join[] {
  const { p } = stack.start
  if (p.school === 'slits') return slitTopJoin(stack, pile, layup)
  return stackItems(stack).flatMap((item) => [
    ...(hasTurnedTops(p) ? [topJoin(stack, item, pile, layup)] : []),
    ...(item.front ? [] : [footJoin(stack, item, pile, layup)]),
  ])
}

const twinOf = ({ twin }: Pile, id: string, name: string): Pick<Join, 'twin' | 'pairName'> =>
  twin === undefined ? {} : { twin: `${id}${twin}`, pairName: `${name}, both sides` }

/** A row straight across a pocket, `inset` mm from both of its sides and `y` mm down. */
function rowAcross(stack: Stack, inset: number, y: number): readonly [Point, Point] {
  return [point(inset, y), point(Math.max(inset, stack.sizes.pocketWidth.value - inset), y)]
}

/** Rows that end in the side seams keep a pitch clear of them. */
const besideSeams = ({ start: { margin, pitch } }: Stack): number => margin.value + pitch.value

function footJoin(stack: Stack, item: StackItem, pile: Pile, layup: string): Join {
  const { p, hole, margin } = stack.start
  const sheet = pocketId(item, pile)
  const id = `foot-${item.index + 1}`
  const inset = p.school === 'overlap' ? besideSeams(stack) : stack.sizes.arm.value + margin.value
  return {
    ...lineSeam({
      id: `${id}${pile.suffix}`,
      name: `foot of pocket ${item.index + 1}${pile.said}`,
      layup,
      ...twinOf(pile, id, `foot of pocket ${item.index + 1}`),
      sheet,
      points: rowAcross(stack, inset, item.depth + hole.value),
      through: [...pile.carriers, sheet],
      glue: p.feet === 'sewn' ? [] : [{ sheet, chain: ['foot'], limit: B.footMargin }],
      back: [1, 1],
    }),
    ...(p.feet === 'glued' ? { glueOnly: true } : {}),
  }
}

/** The row that holds a turned top, sewn before the pocket is laid on. */
function topJoin(stack: Stack, item: StackItem, pile: Pile, layup: string): Join {
  const sheet = pocketId(item, pile)
  const id = `pocket-top-row-${item.index + 1}`
  return lineSeam({
    id: `${id}${pile.suffix}`,
    name: `turned top of pocket ${item.index + 1}${pile.said}`,
    layup,
    ...twinOf(pile, id, `turned top of pocket ${item.index + 1}`),
    sheet,
    points: rowAcross(stack, besideSeams(stack), B.turnMargin),
    through: [sheet, `stay-${item.index + 1}${pile.suffix}`],
    back: [1, 1],
  })
}

/** Across the top of a slit panel, so that it does not gape. */
function slitTopJoin(stack: Stack, pile: Pile, layup: string): Join[] {
  if (stack.start.p.pockets === 0) return []
  const margin = stack.start.margin.value
  const sheet = `slits${pile.suffix}`
  return [
    lineSeam({
      id: `slit-top${pile.suffix}`,
      name: `top of the slit panel${pile.said}`,
      layup,
      ...twinOf(pile, 'slit-top', 'top of the slit panel'),
      sheet,
      points: rowAcross(stack, besideSeams(stack), margin),
      through: [...pile.carriers, sheet],
      glue: [{ sheet, chain: ['top'], limit: margin }],
      back: [1, 1],
    }),
  ]
}

/** Glue along the sides of the pile that lie in a seam. */
export const sideGlue = (stack: Stack, pile: Pile, side: 'left' | 'right', foot: boolean): Glue[] =>
  pileSides(stack, pile).map((s) => ({
    sheet: s.sheet,
    limit: stack.start.margin.value,
    chain: s.front && foot ? (side === 'left' ? ['foot', ...s.left] : [...s.right, 'foot']) : s[side],
  }))
