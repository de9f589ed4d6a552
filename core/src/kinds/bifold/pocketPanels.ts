import { point } from '../../geometry/index.js'
import type { Band, Fate, Panel } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { BENCH } from './bench.js'
import type { BifoldParams } from './params.js'
import { type Named, RIM, box, levelBand, outlineOf } from './shape.js'
import type { BifoldSizes } from './sizes.js'

/** Width of the skive across a pocket's foot, mm (J). */
const FOOT_SKIVE = 10
/** What a pocket's foot is skived to at its end, as a share of its leather (J). */
const FOOT_END = 1 / 3

/** From the top edge of the inside to the top edge of the uppermost pocket, mm. */
export const firstTop = (p: BifoldParams, s: BifoldSizes): number =>
  s.insideHeight.value - s.margin.value - s.hole.value - s.depth.value - (p.pockets - 1) * p.reveal

export function tPanels(p: BifoldParams, s: BifoldSizes, materials: Materials, fate: () => Fate): Panel[] {
  const shorten = s.shorten.value
  const perSide = p.pockets - 1
  if (shorten === 0)
    return [
      tPanel(
        'pocket',
        `Card pocket${perSide === 1 ? '' : ` 1–${perSide}`}`,
        2 * perSide,
        0,
        p,
        s,
        materials,
        fate,
      ),
    ]
  return [
    tPanel('pocket-top', 'Uppermost pocket', 2, shorten, p, s, materials, fate),
    tPanel(
      'pocket',
      perSide === 2 ? 'Card pocket 2' : `Card pocket 2–${perSide}`,
      2 * (perSide - 1),
      0,
      p,
      s,
      materials,
      fate,
    ),
  ]
}

/** A T pocket: a body that hangs between the stitches, and two arms at its top that reach the side seams. */
function tPanel(
  id: string,
  name: string,
  count: number,
  shorten: number,
  p: BifoldParams,
  s: BifoldSizes,
  materials: Materials,
  fate: () => Fate,
): Panel {
  const [w, arm, lap] = [s.pocketWidth.value, s.arm.value, s.lap.value]
  const tab = p.reveal + lap
  const bottom = s.depth.value - shorten + s.hole.value + BENCH.footMargin
  const t = leatherOf(materials, 'pockets').thickness
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
    fate,
  )
  const arms = [box(0, 0, arm, tab), box(w - arm, 0, w, tab)]
  const laps = [box(0, p.reveal, arm, tab), box(w - arm, p.reveal, w, tab)]
  const foot: Band = {
    key: 'pocket.foot',
    name: 'foot of the card pockets',
    start: t,
    end: t * FOOT_END,
    planned: true,
    areas: [
      {
        outline: box(arm, bottom - FOOT_SKIVE, w - arm, bottom),
        from: point(0, bottom - FOOT_SKIVE),
        to: point(0, bottom),
      },
    ],
  }
  const lapBand = lap > 0 ? [levelBand('pocket.lap', 'lower half of the arms', t, t / 2, laps, true)] : []
  return {
    id,
    name,
    role: 'pockets',
    count,
    flipped: 0,
    ...shape,
    folds: [],
    grain: 0,
    bands: [levelBand('pocket.arms', 'arms of the card pockets', t, t, arms, false), ...lapBand, foot],
    notes: [],
  }
}

export function footPocket(
  p: BifoldParams,
  s: BifoldSizes,
  materials: Materials,
  fate: (edge: string) => Fate,
): Panel {
  const [w, h] = [s.pocketWidth.value, s.depth.value + s.hole.value + s.margin.value]
  const t = leatherOf(materials, 'pockets').thickness
  const shape = outlineOf(
    [
      { x: 0, y: 0, edge: 'top' },
      { x: w, y: 0, edge: 'right' },
      { x: w, y: h, edge: 'foot' },
      { x: 0, y: h, radius: p.corner, edge: 'left', corner: 'foot-left' },
    ],
    (edge) => (edge === 'right' ? { ...fate(edge), trim: 0 } : fate(edge)),
  )
  const rims = [box(0, 0, RIM, h), box(w - RIM, 0, w, h), box(RIM, h - RIM, w - RIM, h)]
  return {
    id: 'foot-pocket',
    name: 'Foot pocket',
    role: 'pockets',
    count: 2,
    flipped: 1,
    ...shape,
    folds: [],
    grain: 0,
    bands: [levelBand('footPocket.rim', 'sides and foot of the foot pocket', t, t, rims, false)],
    notes: [],
  }
}

/** A stepped strip of card: laid along the top of the inside, each step stops the top edge of one pocket. */
export function guide(p: BifoldParams, s: BifoldSizes): Panel {
  const first = firstTop(p, s)
  const [body, step] = [58, 12]
  const corners: Named[] = [{ x: 0, y: 0, edge: 'top' }]
  for (let i = 0; i < p.pockets; i += 1) {
    const x = body + step * (p.pockets - 1 - i)
    const above = i === 0 ? 0 : first + (i - 1) * p.reveal
    corners.push(
      { x, y: above, edge: `side-${i + 1}` },
      { x, y: first + i * p.reveal, edge: `step-${i + 1}` },
    )
  }
  corners.push({ x: 0, y: first + (p.pockets - 1) * p.reveal, edge: 'left' })
  const shape = outlineOf(corners, () => ({ type: 'raw', finish: 'left', trim: 0 }))
  return {
    id: 'guide',
    name: 'Pocket guide',
    role: 'guide',
    count: 1,
    flipped: 0,
    ...shape,
    folds: [],
    bands: [],
    grain: 0,
    labelAt: point(body / 2, first + 5),
    notes: ['top flush with the inside', 'each step stops a pocket’s top'],
  }
}
