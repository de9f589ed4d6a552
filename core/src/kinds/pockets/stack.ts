import { firstOf } from '../../lists/index.js'
import { CARD } from '../../stores/index.js'
import type { Reckoned } from '../../working/index.js'
import type { StackSizes, StackStart } from './sizes.js'
import { POCKET_BENCH } from './bench.js'

/** A pile of pockets placed on what carries it: its frame is the carrier's, with x from the pile's left side. */
export interface Stack {
  readonly start: StackStart
  readonly sizes: StackSizes
  /** Height of the carrier, mm; the front pocket's foot lies flush with its foot. */
  readonly height: number
  /** Radius of the carrier's upper corners: nothing is laid on above them, mm. */
  readonly topRadius: number
  /** How many such piles the design has: as many of each piece are cut, those on the second turned over. */
  readonly piles: 1 | 2
  /** Whether the two piles are mirror images, and which lower corners of the front pocket are rounded. */
  readonly mirrored: boolean
  readonly rounded: { readonly left: boolean; readonly right: boolean }
  /** Which sides lie in a seam that is trimmed afterwards. */
  readonly trimmed: { readonly left: boolean; readonly right: boolean }
}

/** From the top of the carrier to the top of the uppermost pocket, or to the first slit, mm. */
export function firstTop({ start: { p, margin, hole }, sizes, height }: Stack): number {
  return height - margin.value - hole.value - sizes.depth.value - (p.pockets - 1) * p.reveal
}

/** One pocket of the pile, from the uppermost down. */
export interface StackItem {
  readonly index: number
  readonly panelId: string
  readonly name: string
  /** From the top of the carrier to its own top edge, or its slit, mm. */
  readonly top: number
  /** How deep the card stands in it, mm. */
  readonly depth: number
  readonly front: boolean
}

export function stackItems(stack: Stack): StackItem[] {
  const { p } = stack.start
  const shorten = stack.sizes.shorten.value
  return Array.from({ length: p.pockets }, (_, index) => {
    const front = index === p.pockets - 1
    return {
      index,
      front,
      panelId:
        p.school === 'slits'
          ? 'pouch'
          : front
            ? 'foot-pocket'
            : index === 0 && shorten > 0
              ? 'pocket-top'
              : 'pocket',
      name: p.school === 'slits' ? `slit ${index + 1}` : front ? 'foot pocket' : `card pocket ${index + 1}`,
      top: firstTop(stack) + index * p.reveal,
      depth: stack.sizes.depth.value - (index === 0 ? shorten : 0),
    }
  })
}

/** Room over the uppermost card, so that pockets and slits stay below rounded upper corners, mm. */
export const roomOverCards = (p: StackStart['p'], topRadius: number): number =>
  Math.max(
    POCKET_BENCH.overCard,
    topRadius - p.shown + (p.school === 'slits' && topRadius > 0 ? POCKET_BENCH.aboveSlit : 0),
  )

/** Top edge of a slit panel: some leather above the first slit, flush with the carrier where little would be left. */
export function slitPanelTop(stack: Stack): number {
  const top = firstTop(stack) - Math.max(POCKET_BENCH.aboveSlit, stack.start.margin.value * 2)
  if (stack.topRadius > 0) return Math.max(stack.topRadius, top)
  return top < POCKET_BENCH.overCard ? 0 : top
}

/** The card's left side in the pile's frame, mm. */
export const cardLeft = ({ sizes }: Stack): number => (sizes.pocketWidth.value - CARD.width) / 2

/** Half the outline of a rounding that does not fit is worse than a corner. */
export const footRadius = ({ start: { p }, sizes }: Stack): number =>
  Math.min(p.corner, sizes.depth.value / 2)

/** The numbers shown with each piece of the pile that there is. */
export function stackSizesShown(stack: Stack): { readonly panelId: string; readonly size: Reckoned }[] {
  const { sizes, start } = stack
  if (start.p.pockets === 0) return []
  const items = stackItems(stack)
  const own: readonly (readonly [string, Reckoned])[] =
    start.p.school === 'slits'
      ? [['slit-panel', sizes.slit]]
      : [
          [firstOf(items).panelId, sizes.shorten],
          ...items.filter((i) => !i.front).map((i) => [i.panelId, sizes.lap] as const),
          ['foot-pocket', sizes.sideRoom],
        ]
  const shown = [...new Set(own.map(([panelId]) => panelId))]
  return shown.flatMap((panelId) => [
    ...[sizes.pocketWidth, sizes.depth].map((size) => ({ panelId, size })),
    ...[...new Set(own.filter(([id]) => id === panelId).map(([, size]) => size))].map((size) => ({
      panelId,
      size,
    })),
  ])
}

/** Whether the two piles take a left and a right one of what is rounded at one foot corner. */
export const handed = ({ mirrored, rounded }: Stack): boolean => mirrored && rounded.left !== rounded.right
