import { point } from '../../geometry/index.js'
import type { Fitting, Fold, Panel } from '../../master/index.js'
import type { Reckoned } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { snapHalf } from '../parts/snap.js'
import {
  RIM,
  allRound,
  box,
  finishedFate,
  levelBand,
  plainPanel,
  rectangleShape,
  rimBand,
  withNotch,
} from '../parts/shape.js'
import { firstTop, stackPanels } from '../pockets/index.js'
import { BENCH, topRadius } from './bench.js'
import type { BifoldParams } from './params.js'
import type { BifoldSizes } from './sizes.js'

/** The backing begins this far above the uppermost pocket, mm. */
const BACKING_ABOVE = 5

export function bifoldPanels(p: BifoldParams, s: BifoldSizes, materials: Materials): Panel[] {
  const t = (role: string): number => leatherOf(materials, role).thickness
  const tall = { top: p.corner, height: s.outsideHeight.value }
  const low = { top: 0, height: dividerHeight(s) }
  return [
    { ...leaf(p, s, { ...LEAVES.outside, taken: s.taken, ...tall }), folds: [outsideFold(s)] },
    ...(s.liningTaken ? [leaf(p, s, { ...LEAVES.lining, taken: s.liningTaken, ...tall }, t('lining'))] : []),
    ...(s.dividerTaken
      ? [leaf(p, s, { ...LEAVES.divider, taken: s.dividerTaken, ...low }, t('divider'))]
      : []),
    ...(s.dividerLiningTaken
      ? [leaf(p, s, { ...LEAVES.dividerLining, taken: s.dividerLiningTaken, ...low }, t('lining'))]
      : []),
    insidePanel(p, s, t('inside')),
    ...(hasBacking(p) ? [backing(p, s, t('pockets'))] : []),
    ...stackPanels(s.stack),
    ...(p.coins === 'right' ? coinPanels(p, s, t('pockets')) : []),
  ]
}

export const hasBacking = (p: BifoldParams): boolean => p.hidden === 'behind' && p.pockets > 0
/** Height of the divider, mm. */
export const dividerHeight = (s: BifoldSizes): number => s.insideHeight.value - BENCH.dividerDrop
/** From the top of the inside to the top of the coin pocket, mm. */
export const coinTop = (s: BifoldSizes): number =>
  Math.max(
    BENCH.flapAbove + s.margin.value,
    s.insideHeight.value - s.margin.value - s.hole.value - BENCH.coinDeep,
  )

const outsideFold = (s: BifoldSizes): Fold => ({
  id: 'fold',
  name: 'fold',
  from: point(s.outsideWidth.value / 2, 0),
  to: point(s.outsideWidth.value / 2, s.outsideHeight.value),
  width: s.taken.value,
  rises: 'mountain',
  allowance: { full: s.difference, taken: s.taken },
})

interface Leaf {
  readonly id: string
  readonly name: string
  readonly role: string
  /** How much longer than the inside it is. */
  readonly taken: Reckoned
  /** Radius of its top corners and its height, mm. */
  readonly top: number
  readonly height: number
}
const LEAVES = {
  outside: { id: 'outside', name: 'Outside', role: 'outside' },
  lining: { id: 'lining', name: 'Lining of the outside', role: 'lining' },
  divider: { id: 'divider', name: 'Divider', role: 'divider' },
  dividerLining: { id: 'divider-lining', name: 'Lining of the divider', role: 'lining' },
} as const

/** A leaf that goes round the fold outside the inside, longer than it by what the fold asks; with a rim of `t` mm leather. */
function leaf(
  p: BifoldParams,
  s: BifoldSizes,
  { id, name, role, taken, top, height }: Leaf,
  t?: number,
): Panel {
  const w = s.insideWidth.value + taken.value
  const shape = rectangleShape(
    w,
    height,
    { ...allRound(p.corner), topLeft: top, topRight: top },
    finishedFate(p.finish, p.trim, (edge) => id !== 'outside' && !edge.startsWith('top')),
  )
  const chain = ['right', 'foot-right', 'foot', 'foot-left', 'left']
  const rim = t === undefined ? [] : rimBand(`${id}.rim`, `rim of the ${name.toLowerCase()}`, shape, chain, t)
  const middle = [point(w / 2, 0), point(w / 2, height)] as const
  return plainPanel({
    id,
    name,
    role,
    ...shape,
    bands: rim,
    folds: [
      { id: 'fold', name: 'fold', from: middle[0], to: middle[1], width: taken.value, rises: 'mountain' },
    ],
  })
}

/** The inside divides off the notes and carries the pockets; at the fold its foot may be cut away. */
function insidePanel(p: BifoldParams, s: BifoldSizes, t: number): Panel {
  const [w, h] = [s.insideWidth.value, s.insideHeight.value]
  const whole = rectangleShape(
    w,
    h,
    { ...allRound(p.corner), topLeft: topRadius(p), topRight: topRadius(p) },
    finishedFate(p.finish, p.trim, (edge) => !edge.startsWith('top') && edge !== 'cut-away'),
  )
  const shape =
    s.cutAway.value > 2
      ? withNotch(whole, 'foot', s.cutAway.value, Math.min(BENCH.cutAwayDeep, s.cutAway.value / 2), {
          bite: 'cut-away',
          after: 'foot-far',
        })
      : whole
  const toSize = shape.edges.map((e) =>
    e.id === 'cut-away' ? { ...e, fate: { type: 'raw', finish: p.finish, trim: 0 } as const } : e,
  )
  const rims = [box(0, 0, RIM, h), box(w - RIM, 0, w, h), box(RIM, h - RIM, w - RIM, h)]
  return plainPanel({
    id: 'inside',
    name: 'Inside',
    role: 'inside',
    ...shape,
    edges: toSize,
    bands: [levelBand('inside.rim', 'rim of the inside', t, t, rims, false)],
    folds: [
      { id: 'fold', name: 'fold', from: point(w / 2, 0), to: point(w / 2, h), width: 0, rises: 'valley' },
    ],
  })
}

/** Carries the pockets of one half, so that something can be kept between it and the inside. */
function backing(p: BifoldParams, s: BifoldSizes, t: number): Panel {
  const top = backingTop(s)
  const shape = rectangleShape(
    s.pocketWidth.value,
    s.insideHeight.value - top,
    { footLeft: p.corner },
    finishedFate(p.finish, p.trim, (e) => e === 'left' || e.startsWith('foot')),
  )
  return plainPanel({
    id: 'backing',
    name: 'Backing of the hidden pocket',
    role: 'pockets',
    count: s.stack.piles,
    flipped: s.stack.piles - 1,
    ...shape,
    bands: rimBand('backing.rim', 'rim of the backing', shape, ['foot', 'foot-left', 'left'], t),
  })
}

/** The backing begins a little above the uppermost pocket. */
export const backingTop = (s: BifoldSizes): number =>
  Math.max(s.stack.topRadius, firstTop(s.stack) - BACKING_ABOVE)

/** The flap stays clear of the seams at its sides, mm. */
export const flapInset = (s: BifoldSizes): number => s.margin.value + s.hole.value + 1

/** A flat coin pocket and the flap that a snap holds down over it. */
function coinPanels(p: BifoldParams, s: BifoldSizes, t: number): Panel[] {
  const w = s.pocketWidth.value
  const h = s.insideHeight.value - coinTop(s)
  const fate = finishedFate(p.finish, p.trim, (e) => e === 'left' || e.startsWith('foot'))
  const front = rectangleShape(w, h, { footLeft: p.corner }, fate)
  const flapHigh = BENCH.flapAbove + BENCH.flapOver
  const flapWide = w - 2 * flapInset(s)
  return [
    plainPanel({
      id: 'coin-pocket',
      name: 'Coin pocket',
      role: 'pockets',
      flipped: 1,
      ...front,
      notes: ['set the stud of the snap before it is sewn down'],
      bands: rimBand('coinPocket.rim', 'rim of the coin pocket', front, ['foot', 'foot-left', 'left'], t),
    }),
    plainPanel({
      id: 'coin-flap',
      name: 'Flap of the coin pocket',
      role: 'pockets',
      ...rectangleShape(
        flapWide,
        flapHigh,
        { footLeft: p.corner, footRight: p.corner },
        finishedFate(p.finish, 0, () => false),
      ),
      notes: ['finish its edges and set the cap of the snap before it is sewn on'],
    }),
  ]
}

/** The two halves of the coin pocket's snap, where they close on each other. */
export function coinFittings(p: BifoldParams, s: BifoldSizes): Fitting[] {
  if (p.coins === 'none') return []
  const w = s.pocketWidth.value
  const flap = point((w - 2 * flapInset(s)) / 2, BENCH.flapAbove + BENCH.flapOver - BENCH.snapIn)
  const front = point(w / 2, BENCH.flapOver - BENCH.snapIn)
  return [
    snapHalf('upper', 'cap of the coin pocket’s snap', 'coin-flap', flap, 'coin-flap'),
    snapHalf('lower', 'stud of the coin pocket’s snap', 'coin-pocket', front, 'outer-right'),
  ]
}
