import { point } from '../../geometry/index.js'
import type { Fate, Panel } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { topRadius } from './bench.js'
import type { BifoldParams } from './params.js'
import { footPocket, guide, tPanels } from './pocketPanels.js'
import { RIM, box, levelBand, outlineOf } from './shape.js'
import type { BifoldSizes } from './sizes.js'

export function bifoldPanels(p: BifoldParams, s: BifoldSizes, materials: Materials): Panel[] {
  const sewn = (edge: string): Fate => ({
    type: 'raw',
    finish: p.finish,
    trim: edge.startsWith('top') ? 0 : p.trim,
  })
  const toSize = (): Fate => ({ type: 'raw', finish: p.finish, trim: 0 })
  const panels = [outsidePanel(p, s, toSize), insidePanel(p, s, materials, sewn)]
  if (p.pockets >= 2) panels.push(...tPanels(p, s, materials, toSize))
  if (p.pockets >= 1) panels.push(footPocket(p, s, materials, sewn), guide(p, s))
  return panels
}

function outsidePanel(p: BifoldParams, s: BifoldSizes, fate: (edge: string) => Fate): Panel {
  const [w, h, radius] = [s.outsideWidth.value, s.outsideHeight.value, p.corner]
  const shape = outlineOf(
    [
      { x: 0, y: 0, radius, edge: 'top', corner: 'top-left' },
      { x: w, y: 0, radius, edge: 'right', corner: 'top-right' },
      { x: w, y: h, radius, edge: 'foot', corner: 'foot-right' },
      { x: 0, y: h, radius, edge: 'left', corner: 'foot-left' },
    ],
    fate,
  )
  return {
    id: 'outside',
    name: 'Outside',
    role: 'outside',
    count: 1,
    flipped: 0,
    ...shape,
    bands: [],
    grain: 0,
    folds: [
      {
        id: 'fold',
        name: 'fold',
        from: point(w / 2, 0),
        to: point(w / 2, h),
        width: s.taken.value,
        rises: 'hill',
        allowance: { full: s.difference, taken: s.taken },
      },
    ],
    notes: [],
  }
}

function insidePanel(
  p: BifoldParams,
  s: BifoldSizes,
  materials: Materials,
  fate: (edge: string) => Fate,
): Panel {
  const [w, h, radius] = [s.insideWidth.value, s.insideHeight.value, p.corner]
  const t = leatherOf(materials, 'inside').thickness
  const shape = outlineOf(
    [
      { x: 0, y: 0, radius: topRadius(p), edge: 'top', corner: 'top-left' },
      { x: w, y: 0, radius: topRadius(p), edge: 'right', corner: 'top-right' },
      { x: w, y: h, radius, edge: 'foot', corner: 'foot-right' },
      { x: 0, y: h, radius, edge: 'left', corner: 'foot-left' },
    ],
    fate,
  )
  const rims = [box(0, 0, RIM, h), box(w - RIM, 0, w, h), box(RIM, h - RIM, w - RIM, h)]
  return {
    id: 'inside',
    name: 'Inside',
    role: 'inside',
    count: 1,
    flipped: 0,
    ...shape,
    grain: 0,
    bands: [levelBand('inside.rim', 'rim of the inside', t, t, rims, false)],
    folds: [
      { id: 'fold', name: 'fold', from: point(w / 2, 0), to: point(w / 2, h), width: 0, rises: 'valley' },
    ],
    notes: [],
  }
}
