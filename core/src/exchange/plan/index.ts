import type { Derived } from '../../derived/index.js'
import { drawnMoved } from '../../drawing/index.js'
import { type Path, shift } from '../../geometry/index.js'
import { dxfOf } from '../dxf/index.js'
import { svgOf } from '../svg/index.js'
import { type HidePlan, planDrawing, plansOf } from './plan.js'

export { type HidePlan, type PlanPiece, planDrawing, plansOf } from './plan.js'

/** Between hides, and round them, mm. */
const ROUND = 20
/** Height of the numbers at 1:1, mm. */
const TYPE = 14

/** Hides one under the other, at 1:1. */
function stacked(
  plans: readonly HidePlan[],
  mirrored: boolean,
): { readonly all: readonly ReturnType<typeof laid>[]; readonly width: number; readonly height: number } {
  let y = ROUND
  const all = plans.map((plan) => {
    const one = laid(plan, y, mirrored)
    y += plan.wide + ROUND
    return one
  })
  return { all, width: Math.max(0, ...plans.map((p) => p.long)) + 2 * ROUND, height: y }
}

function laid(plan: HidePlan, y: number, mirrored: boolean) {
  const { drawn, cut } = planDrawing(plan, { scale: 1, type: TYPE, mirrored, marks: true })
  const move = shift(ROUND, y)
  const moved = drawn.map((d) => ({ before: d, after: drawnMoved(d, move) }))
  const isCut = (d: (typeof drawn)[number]): boolean => d.type === 'stroke' && cut.has(d.path)
  const cuts: Path[] = moved.flatMap(({ before, after }) =>
    isCut(before) && after.type === 'stroke' ? [after.path] : [],
  )
  return { plan, drawn: moved.map((m) => m.after), cuts }
}

/** Every hide with its zones, flaws and pieces at 1:1 as SVG, named layers; mirrored for cutting from the flesh side. */
export function writePlanSvg(derived: Derived, mirrored: boolean): string {
  const { all, width, height } = stacked(plansOf(derived), mirrored)
  return svgOf(
    `${derived.design.name}: cutting plan${mirrored ? ', flesh side up' : ''}`,
    { width, height },
    all.map(({ plan, drawn }) => ({ id: plan.hide.id, name: plan.hide.name, drawn })),
  )
}

/** The same as DXF in mm. */
export function writePlanDxf(derived: Derived, mirrored: boolean): string {
  const { all } = stacked(plansOf(derived), mirrored)
  return dxfOf(
    all.flatMap((one) => one.drawn),
    new Set(all.flatMap((one) => one.cuts)),
  )
}

/** The same as data: which hide, which piece where. */
export const writePlanJson = (derived: Derived): string =>
  `${JSON.stringify(
    {
      format: 'drumlin.plan',
      version: 1,
      design: derived.design.name,
      hides: plansOf(derived).map(({ hide, material, pieces, figures }) => ({
        hide: hide.id,
        name: hide.name,
        material,
        waste: figures.waste,
        pieces: pieces.map(({ number, name, why, over, along, across, long, wide, outline }) => ({
          number,
          name,
          why,
          over,
          along,
          across,
          long,
          wide,
          outline,
        })),
      })),
    },
    null,
    2,
  )}\n`
