import { point } from '../../geometry/index.js'
import type { Glue, Join } from '../../master/index.js'
import { edgeSeam, lineSeam } from '../parts/seams.js'
import { firstTop, pileJoins, pileSides, sideGlue } from '../pockets/index.js'
import { topRadius } from './bench.js'
import { SIDES, type Side, coverIds, hasCards, pileOf } from './layup.js'
import { coinTop, flapInset, hasBacking } from './panels.js'
import type { BifoldParams } from './params.js'
import type { BifoldSizes } from './sizes.js'

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left')
const hasCoins = (p: BifoldParams, side: Side): boolean => p.coins === 'right' && side === 'right'

/** Sheets that lie on the inside of one half and reach its seams, lowest first. */
function onInside(side: Side, p: BifoldParams, s: BifoldSizes): string[] {
  if (hasCoins(p, side)) return ['coin-pocket']
  if (!hasCards(p, side)) return []
  const backing = hasBacking(p) ? [`backing-${side}`] : []
  return [...backing, ...pileSides(s.stack, pileOf(side, p, s)).map((i) => i.sheet)]
}

/** Feet first, then the seam beside the fold, then the outer seam through everything, each on both halves. */
export function bifoldJoins(p: BifoldParams, s: BifoldSizes): Join[] {
  const feet = SIDES.filter((side) => hasCards(p, side)).flatMap((side) =>
    pileJoins(s.stack, pileOf(side, p, s), 'open'),
  )
  const inner = SIDES.filter((side) => onInside(side, p, s).length > 0).map((side) => innerJoin(side, p, s))
  const coins = p.coins === 'right' ? [flapJoin(s)] : []
  return [...feet, ...coins, ...inner, ...SIDES.map((side) => outerJoin(side, p, s))]
}

const twin = (p: BifoldParams, side: Side, id: string, name: string): Pick<Join, 'twin' | 'pairName'> =>
  p.coins === 'none' ? { twin: `${id}-${other(side)}`, pairName: `${name}, both sides` } : {}

/** The flap of the coin pocket, sewn to the inside above it. */
function flapJoin(s: BifoldSizes): Join {
  const inset = s.margin.value + s.pitch.value / 2
  const to = Math.max(inset, s.pocketWidth.value - 2 * flapInset(s) - inset)
  return lineSeam({
    id: 'coin-flap',
    name: 'top of the coin flap',
    sheet: 'coin-flap',
    points: [point(inset, s.margin.value), point(to, s.margin.value)],
    through: ['inside-right', 'coin-flap'],
    glue: [{ sheet: 'coin-flap', chain: ['top'], limit: 2 * s.margin.value }],
  })
}

/** Down the pockets beside the fold, ending one hole short of the outer seam's last hole. */
function innerJoin(side: Side, p: BifoldParams, s: BifoldSizes): Join {
  const top = hasCoins(p, side) ? coinTop(s) : firstTop(s.stack)
  const x = s.pocketWidth.value - s.margin.value
  const inFrame = (y: number) => point(side === 'left' ? x : s.insideWidth.value - x, y)
  const start = top + s.pitch.value / 2
  const end = Math.max(start, s.insideHeight.value - 2 * s.margin.value)
  const backed = hasCards(p, side) && hasBacking(p)
  return lineSeam({
    id: `inner-${side}`,
    name: `seam beside the fold, ${side}`,
    ...twin(p, side, 'inner', 'seam beside the fold'),
    sheet: `inside-${side}`,
    points: [inFrame(start), inFrame(end)],
    // A hidden pocket opens towards the fold: its backing is not sewn to the inside there.
    through: [...(backed ? [] : [`inside-${side}`]), ...onInside(side, p, s)],
    glue: hasCoins(p, side)
      ? [{ sheet: 'coin-pocket', chain: ['right'], limit: s.margin.value }]
      : sideGlue(s.stack, pileOf(side, p, s), 'right', false),
    back: [2, 1],
  })
}

function outerJoin(side: Side, p: BifoldParams, s: BifoldSizes): Join {
  // At the cut-away the foot is parted: each seam ends on its own part.
  const end = s.cutAway.value > 2 ? (s.insideWidth.value + s.cutAway.value) / 2 : p.corner
  const endTrim = s.insideWidth.value - end - s.reach.value
  return edgeSeam({
    id: `outer-${side}`,
    name: `outer seam, ${side}`,
    ...twin(p, side, 'outer', 'outer seam'),
    sheet: `inside-${side}`,
    margin: s.margin,
    trims: [outerStart(p, s), endTrim],
    backwards: side === 'left',
    chain: around(side, p, s.cutAway.value > 2),
    through: [...coverIds(side, s), ...onInside(side, p, s)],
    glue: outerGlue(side, p, s, endTrim),
  })
}

/** The edges from the side of a half round its foot; in the order of the outline. */
function around(side: Side, p: BifoldParams, parted: boolean): string[] {
  const edges =
    side === 'right' ? ['right', 'foot-right', 'foot'] : [parted ? 'foot-far' : 'foot', 'foot-left', 'left']
  return p.corner > 0 ? edges : edges.filter((e) => e !== 'foot-right' && e !== 'foot-left')
}

/**
 * How far down the straight side the outer seam begins: a margin below the top and clear of rounded corners, and up to a
 * pitch lower so that pocket tops fall between two holes.
 */
function outerStart(p: BifoldParams, s: BifoldSizes): number {
  const straight = topRadius(p)
  const min = Math.max(s.margin.value, straight)
  const [top, pitch] = [firstTop(s.stack), s.pitch.value]
  const stitches = Math.floor((top - min) / pitch - 0.5)
  return (p.pockets === 0 ? min : top - (stitches + 0.5) * pitch) - straight
}

/** Glue stops where the sewing does: the covers have to slide on each other round the fold. */
function outerGlue(side: Side, p: BifoldParams, s: BifoldSizes, insideFree: number): Glue[] {
  const limit = s.margin.value
  const free = (by: number) =>
    side === 'right' ? { endFree: Math.max(0, by) } : { startFree: Math.max(0, by) }
  const parted = s.cutAway.value > 2
  const covers = coverIds(side, s).map((sheet): Glue => {
    const inside = sheet === `inside-${side}`
    // A leaf is longer than the inside by what it takes at the fold, half of it on either half.
    const taken = leafTaken(sheet.slice(0, -side.length - 1), s)
    return {
      sheet,
      limit,
      chain: around(side, p, inside && parted),
      ...free(inside ? insideFree : s.insideWidth.value + taken - p.corner - s.reach.value),
    }
  })
  const chain = p.corner > 0 ? ['foot', 'foot-left', 'left'] : ['foot', 'left']
  const pockets = hasCards(p, side)
    ? sideGlue(s.stack, pileOf(side, p, s), 'left', true)
    : hasCoins(p, side)
      ? [{ sheet: 'coin-pocket', chain, limit }]
      : []
  const backing = hasCards(p, side) && hasBacking(p) ? [{ sheet: `backing-${side}`, chain, limit }] : []
  return [...covers, ...backing, ...pockets]
}

const leafTaken = (leaf: string, s: BifoldSizes): number =>
  ({
    outside: s.taken.value,
    lining: s.liningTaken?.value,
    divider: s.dividerTaken?.value,
    'divider-lining': s.dividerLiningTaken?.value,
  })[leaf] ?? 0
