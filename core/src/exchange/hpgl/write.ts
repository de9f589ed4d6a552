import { firstOf } from '../../lists/index.js'
import type { Units } from '../../measure/index.js'
import type { Derived } from '../../derived/index.js'
import { type CutPlan, PASSES, type Pass, cutPlan } from './plan.js'
import type { CutterWish } from './wish.js'

/** Steps of a plotter to the mm: HPGL counts in 0.025 mm. */
const STEPS = 40
/** Pens by what is done: a pen in the first holder, the tool that cuts in the second. */
const HOLDER: Readonly<Record<Pass, number>> = { marks: 1, holes: 2, inside: 2, outline: 2 }
const MARK = 'CO"Drumlin";'

/** Whether an HPGL file was written here. */
export const isOurHpgl = (bytes: Uint8Array): boolean =>
  new TextDecoder().decode(bytes.subarray(0, 200)).includes(MARK)

/** A plan as HPGL: y grows away from the operator, as a plotter's does. */
export function hpglOf({ strokes, long }: CutPlan, wish: CutterWish): string {
  const at = ({ x, y }: { x: number; y: number }): string =>
    `${Math.round(x * STEPS)},${Math.round((long - y) * STEPS)}`
  const lines = ['IN;', MARK, 'PA;']
  for (const pass of PASSES) {
    const own = strokes.filter((s) => s.pass === pass)
    if (own.length === 0) continue
    // A machine for a pen only draws all of it with that.
    const holder = wish.tool === 'pen' ? 1 : HOLDER[pass]
    const force = wish.force > 0 && holder === 2 ? `FS${Math.round(wish.force)};` : ''
    lines.push(`PU;SP${holder};VS${Math.max(1, Math.round(wish.cuts / 10))};${force}`)
    for (const { points } of own)
      lines.push(`PU${at(firstOf(points))};PD${points.slice(1).map(at).join(',')};`)
  }
  return `${[...lines, 'PU0,0;SP0;'].join('\n')}\n`
}

/** The pieces of a design for a cutter, in rows on its bed. */
export const writeHpgl = (derived: Derived, wish: CutterWish, unit: Units): string =>
  hpglOf(cutPlan(derived, wish, unit), wish)
