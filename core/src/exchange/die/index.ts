import type { Derived } from '../../derived/index.js'
import { type StrokeGroup, type TextDrawn, gathered } from '../../drawing/index.js'
import type { Path } from '../../geometry/index.js'
import type { Units } from '../../measure/index.js'
import { dxfOf } from '../dxf/index.js'
import { svgOf } from '../svg/index.js'
import { diesOf, laidDies } from './die.js'
import type { DieWish } from './wish.js'

export { type Die, dieOf, diesOf } from './die.js'
export { DIE_LIMITS, type DieWish, USUAL_DIE, dieProblem } from './wish.js'

/** Dies to look at before they are ordered; mm. */
export interface DiePreview {
  readonly width: number
  readonly height: number
  readonly strokes: readonly StrokeGroup[]
  readonly texts: readonly TextDrawn[]
  readonly dies: readonly {
    readonly id: string
    readonly name: string
    readonly rule: number
    readonly punches: number
    readonly troubles: readonly string[]
  }[]
}

/** All dies in rows, with what each takes and what is amiss with it. */
export function diePreview(derived: Derived, wish: DieWish, unit: Units): DiePreview {
  const { placed, width, height } = laidDies(diesOf(derived, wish, unit))
  return {
    width,
    height,
    ...gathered(placed.flatMap(({ drawn }) => drawn)),
    dies: placed.map(({ die: { id, name, rule, punches, troubles } }) => ({
      id,
      name,
      rule,
      punches,
      troubles,
    })),
  }
}

/** The same at 1:1 as DXF in mm: cutting edge, slots, tubes and words each on a layer. */
export function writeDieDxf(derived: Derived, wish: DieWish, unit: Units): string {
  const drawn = laidDies(diesOf(derived, wish, unit)).placed.flatMap((p) => p.drawn)
  const edges: Path[] = drawn.flatMap((d) => (d.type === 'stroke' && d.layer === 'cut' ? [d.path] : []))
  return dxfOf(drawn, new Set(edges))
}

/** The same as SVG, a named group for each die. */
export function writeDieSvg(derived: Derived, wish: DieWish, unit: Units): string {
  const { placed, width, height } = laidDies(diesOf(derived, wish, unit))
  return svgOf(
    `${derived.design.name}: dies`,
    { width, height },
    placed.map(({ die: { id, name }, drawn }) => ({ id, name, drawn })),
  )
}
