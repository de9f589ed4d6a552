import { STAY, pathLength, pathPart, point, shift } from '../../geometry/index.js'
import { type Join, type Layup, type Sheet, insetChainMaybe, clipAt } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { lineSeam } from '../parts/seams.js'
import { box, plainPanel } from '../parts/shape.js'
import { contentSheet, panelSheet } from '../parts/sheets.js'
import { pocketShape, upperSlot } from './panels.js'
import type { HolderParams } from './params.js'
import { BENCH, type HolderSizes, LEAST_INSIDE } from './sizes.js'

/** From the left side of the back to the pocket, mm: what a wing takes. */
const pocketLeft = (p: HolderParams, s: HolderSizes): number => (p.hung === 'wings' ? s.wing.value : 0)

/** The two ends of the loop inside, and the part of it that shows. */
function loopSheets(p: HolderParams, s: HolderSizes): { outside: Sheet[]; ends: Sheet[] } {
  if (p.hung !== 'loop') return { outside: [], ends: [] }
  const w = s.pocketWide.value
  const x = (w - BENCH.loopWide) / 2
  const [top, lap, length] = [upperSlot(s), BENCH.loopLap, s.loop.value]
  const foot = top + s.spacing.value
  const below = (y: number) => clipAt(point(0, y), point(0, 1))
  const above = (y: number) => clipAt(point(0, y), point(0, -1))
  return {
    outside: [panelSheet('loop', 'loop', 'loop', shift(x, top - lap), false, [below(top), above(foot)])],
    // Each end turns back inside the holder: the upper one upwards from its slot, the lower one downwards.
    ends: [
      panelSheet('loop-top', 'end of the loop', 'loop', shift(x, top - lap), true, [above(top)]),
      panelSheet('loop-foot', 'end of the loop', 'loop', shift(x, foot + lap - length), true, [below(foot)]),
    ],
  }
}

/** The block under the leather, open at the mouth; from its edge the wall comes down to the flange. */
function overTheBlock(p: HolderParams, s: HolderSizes, t: number) {
  const w = s.pocketWide.value
  const x = pocketLeft(p, s) + (w - p.wide) / 2
  const foot = s.pocketHigh.value - s.flange.value - t
  const inside = box(x, -p.shown - p.high, x + p.wide, foot)
  return (share: number) => ({ raised: { inside, by: share * p.deep, within: t + 1 } })
}

export function holderLayups(p: HolderParams, s: HolderSizes, materials: Materials): Layup[] {
  const { outside, ends } = loopSheets(p, s)
  const left = pocketLeft(p, s)
  const t = leatherOf(materials, 'front').thickness
  const raised = overTheBlock(p, s, t)
  // As one pouch the back is pushed out as well, with all that lies on it.
  const below = p.formed === 'sewn' ? raised(-0.5) : {}
  const thing = contentSheet(
    'thing',
    'the thing',
    box(0, 0, p.wide, Math.max(LEAST_INSIDE, p.high - p.shown)),
    p.deep,
    shift(left + (p.formed === 'sewn' ? (s.pocketWide.value - p.wide) / 2 : s.flange.value + t), 0),
  )
  return [
    {
      id: 'open',
      name: 'as it is sewn',
      carrier: 'back',
      sheets: [
        ...outside.map((sheet) => ({ ...sheet, ...below })),
        { ...panelSheet('back', 'back', 'back', STAY, false), ...below },
        ...ends.map((sheet) => ({ ...sheet, ...below })),
        thing,
        {
          ...panelSheet('front', 'front', 'front', shift(left, 0), true),
          ...(p.formed === 'first' ? { formed: pocketShape(p, s).outline, ...raised(1) } : raised(0.5)),
        },
      ],
    },
  ]
}

export function holderJoins(p: HolderParams, s: HolderSizes): Join[] {
  const { margin } = s
  const shape = pocketShape(p, s)
  const panel = plainPanel({ id: 'front', name: '', role: 'front', ...shape })
  const chain = ['right', 'foot-right', 'foot', 'foot-left', 'left'].filter((id) =>
    shape.edges.some((e) => e.id === id),
  )
  const whole = insetChainMaybe(panel, chain, margin.value)
  // From just under the mouth on one side round to just under it on the other.
  const path = whole && pathPart(whole, margin.value, pathLength(whole) - margin.value)
  const outer: Join[] = path
    ? [
        {
          id: 'outer',
          name: 'outer seam',
          layup: 'open',
          course: { type: 'line', sheet: 'front', line: path },
          through: ['back', 'front'],
          glue: p.hung !== 'wings' ? [{ sheet: 'back', chain, limit: margin.value }] : [],
          backstitches: { start: 2, end: 2 },
          ...(p.formed === 'sewn' ? { formed: true as const } : {}),
        },
      ]
    : []
  if (p.hung !== 'loop') return outer
  const length = s.loop
  const lap = BENCH.loopLap
  const inset = 4
  const frame = (y: number) => [
    point(inset, y),
    point(BENCH.loopWide - inset, y),
    point(BENCH.loopWide - inset, y + lap - 2 * inset),
    point(inset, y + lap - 2 * inset),
    point(inset, y),
  ]
  const ends = [
    { id: 'loop-top', name: 'upper end of the loop', y: inset },
    { id: 'loop-foot', name: 'lower end of the loop', y: length.value - lap + inset },
  ].map(({ id, name, y }) =>
    lineSeam({ id, name, sheet: id, points: frame(y), through: ['back', id], back: [2, 1] }),
  )
  return [...ends, ...outer]
}
