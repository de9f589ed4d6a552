import { point } from '../../geometry/index.js'
import type { Band, Panel, PanelMark } from '../../master/index.js'
import {
  type FateOf,
  type Named,
  RIM,
  type Shape,
  box,
  finishedFate,
  levelBand,
  outlineOf,
  plainPanel,
  rectangleShape,
  rimBand,
  slopeBand,
  turnedFate,
  withNotch,
} from '../parts/shape.js'
import { FOOT_BAND, POCKET_BENCH as B } from './bench.js'
import { hasOwnFront, hasTurnedTops } from './params.js'
import { type Stack, footRadius, handed } from './stack.js'

import { guide, pouch, slitPanel, stay } from './slits.js'

/** Every piece the pockets of a design need, the guide included. */
export function stackPanels(stack: Stack): Panel[] {
  const { p } = stack.start
  if (p.pockets === 0) return []
  if (p.school === 'slits') return [slitPanel(stack), ...(p.pouch === 'fabric' ? [pouch(stack)] : [])]
  const { shorten } = stack.sizes
  const behind = p.pockets - 1
  const first = shorten.value > 0 ? 1 : 0
  const named = (from: number): string =>
    behind - from === 1 && from + 1 === behind && from === 0
      ? 'Card pocket'
      : from + 1 === behind
        ? `Card pocket ${behind}`
        : `Card pocket ${from + 1}–${behind}`
  return [
    ...(first === 1 ? [upperPocket(stack, 'pocket-top', 'Uppermost pocket', 1, shorten.value)] : []),
    ...(behind > first ? [upperPocket(stack, 'pocket', named(first), behind - first, 0)] : []),
    frontPocket(stack),
    ...(hasTurnedTops(p) ? [stay(stack)] : []),
    guide(stack),
  ]
}

/** Top edges are turned where that was chosen; all else is finished as edges are. */
function fates({ start: { p, leather } }: Stack, trimmed: (edge: string) => boolean, upper = true): FateOf {
  const plain = finishedFate(p.finish, p.trim, trimmed)
  const turned = turnedFate(B.turn, p.topSkive, leather, B.turnMargin)
  // What another pocket covers is left as cut.
  const hidden = new Set(['foot', 'left', 'right', 'under-left-arm', 'under-right-arm'])
  return (edge) =>
    edge === 'top' && hasTurnedTops(p)
      ? turned
      : upper && hidden.has(edge)
        ? { type: 'raw', finish: 'left', trim: 0 }
        : plain(edge)
}

/** A thumb notch in the top, or a slot under it; a turned top takes no notch. */
function gripped(stack: Stack, shape: Shape): { shape: Shape; marks: PanelMark[] } {
  const { p } = stack.start
  const [w, depth] = [stack.sizes.pocketWidth.value, stack.sizes.depth.value]
  if (p.grip === 'notch' && p.tops === 'raw')
    return { shape: withNotch(shape, 'top', B.notchAcross, Math.min(B.notchDeep, p.reveal - 2)), marks: [] }
  if (p.grip !== 'slot') return { shape, marks: [] }
  const at = point(w / 2, Math.min(B.slotBelow + B.slotHigh / 2, depth - B.slotHigh))
  return {
    shape,
    marks: [{ type: 'slot', id: 'thumb', at, angle: 0, length: B.slotAcross, punch: B.slotHigh }],
  }
}

/** The skive across a pocket's foot. */
function footBand(t: number, left: number, right: number, bottom: number): Band {
  return slopeBand(
    FOOT_BAND,
    'foot of the card pockets',
    [t, t * B.footEnd],
    box(left, bottom - B.footSkive, right, bottom),
    point(0, bottom - B.footSkive),
    point(0, bottom),
  )
}

/** A pocket behind the front one: a T whose arms reach the seams, or one of full width. */
function upperPocket(stack: Stack, id: string, name: string, perPile: number, shorten: number): Panel {
  const { p, hole, leather } = stack.start
  const t = leather.thickness
  const bottom = stack.sizes.depth.value - shorten + hole.value + B.footMargin
  const { shape: plain, bands } = p.school === 'overlap' ? fullWidth(stack, bottom) : tShape(stack, bottom)
  const { shape, marks } = gripped(stack, plain)
  const [left, right] =
    p.school === 'overlap'
      ? [0, stack.sizes.pocketWidth.value]
      : [stack.sizes.arm.value, stack.sizes.pocketWidth.value - stack.sizes.arm.value]
  return plainPanel({
    id,
    name,
    role: 'pockets',
    count: perPile * stack.piles,
    flipped: p.school === 'overlap' && handed(stack) ? perPile * (stack.piles - 1) : 0,
    ...shape,
    bands: [...bands, footBand(t, left, right, bottom)],
    marks,
  })
}

/** A body that hangs between the stitches, and two arms at its top that reach the side seams. */
function tShape(stack: Stack, bottom: number): { shape: Shape; bands: Band[] } {
  const { p, leather } = stack.start
  const { pocketWidth, arm: armLength, lap: lapped } = stack.sizes
  const [w, arm, lap, t] = [pocketWidth.value, armLength.value, lapped.value, leather.thickness]
  const tab = Math.min(p.reveal + lap, bottom - 1)
  const shape = outlineOf(
    [
      { x: 0, y: 0, edge: 'top' },
      { x: w, y: 0, edge: 'right-arm' },
      { x: w, y: tab, edge: 'under-right-arm' },
      { x: w - arm, y: tab, edge: 'right' },
      { x: w - arm, y: bottom, edge: 'foot' },
      { x: arm, y: bottom, edge: 'left' },
      { x: arm, y: tab, edge: 'under-left-arm' },
      { x: 0, y: tab, edge: 'left-arm' },
    ],
    fates(stack, () => false),
  )
  const arms = [box(0, 0, arm, tab), box(w - arm, 0, w, tab)]
  const laps = [box(0, tab - lap, arm, tab), box(w - arm, tab - lap, w, tab)]
  return {
    shape,
    bands: [
      levelBand('pocket.arms', 'arms of the card pockets', t, t, arms, false),
      ...(lap > 0 ? [levelBand('pocket.lap', 'lapped part of the arms', t, t / 2, laps, true)] : []),
    ],
  }
}

/** Reaches both seams all the way down; only the strip that shows is cut over size, the rest lies hidden under it. */
function fullWidth(stack: Stack, bottom: number): { shape: Shape; bands: Band[] } {
  const { p, leather } = stack.start
  const [w, t, strip] = [stack.sizes.pocketWidth.value, leather.thickness, Math.min(p.reveal, bottom - 1)]
  // Its foot may reach into the rounding of what carries it.
  const [{ rounded }, r] = [stack, Math.min(footRadius(stack), (bottom - strip) / 2)]
  const corners: Named[] = [
    { x: 0, y: 0, edge: 'top' },
    { x: w, y: 0, edge: 'right-arm' },
    { x: w, y: strip, edge: 'right' },
    { x: w, y: bottom, radius: rounded.right ? r : 0, edge: 'foot', corner: 'foot-right' },
    { x: 0, y: bottom, radius: rounded.left ? r : 0, edge: 'left', corner: 'foot-left' },
    { x: 0, y: strip, edge: 'left-arm' },
  ]
  const shape = outlineOf(
    corners,
    fates(stack, (e) =>
      e === 'right-arm' ? stack.trimmed.right : e === 'left-arm' ? stack.trimmed.left : false,
    ),
  )
  const sides = [box(0, 0, RIM, bottom), box(w - RIM, 0, w, bottom)]
  return { shape, bands: [levelBand('pocket.sides', 'sides of the card pockets', t, t, sides, false)] }
}

/** The front pocket covers the pile and reaches the foot seam. */
function frontPocket(stack: Stack): Panel {
  const { start, sizes, rounded, trimmed } = stack
  const [w, h] = [sizes.pocketWidth.value, sizes.depth.value + start.hole.value + start.margin.value]
  const r = footRadius(stack)
  const plain = rectangleShape(
    w,
    h,
    { footLeft: rounded.left ? r : 0, footRight: rounded.right ? r : 0 },
    fates(
      { ...stack, start: { ...start, leather: start.frontLeather } },
      (e) => (e === 'right' ? trimmed.right : e === 'left' ? trimmed.left : e.startsWith('foot')),
      false,
    ),
  )
  const { shape, marks } = gripped(stack, plain)
  return plainPanel({
    id: 'foot-pocket',
    name: 'Foot pocket',
    role: hasOwnFront(start.p) ? 'front-pocket' : 'pockets',
    count: stack.piles,
    flipped: handed(stack) ? stack.piles - 1 : 0,
    ...shape,
    marks,
    bands: rimBand(
      'footPocket.rim',
      'sides and foot of the foot pocket',
      shape,
      ['right', 'foot-right', 'foot', 'foot-left', 'left'],
      start.frontLeather.thickness,
    ),
  })
}
