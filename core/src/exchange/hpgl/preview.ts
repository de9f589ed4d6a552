import { firstOf } from '../../lists/index.js'
import { type CutPlan, PASSES, type Pass } from './plan.js'

/** A plan to look at: lines of each pass and the way through the air between them, as SVG paths in mm. */
export interface CutPreview extends Omit<CutPlan, 'strokes'> {
  readonly passes: readonly { readonly pass: Pass; readonly d: string; readonly lines: number }[]
  readonly air: string
}

const at = ({ x, y }: { x: number; y: number }): string => `${x.toFixed(2)} ${y.toFixed(2)}`

/** The plan gathered into few paths. */
export function cutPreview({ strokes, ...plan }: CutPlan): CutPreview {
  const passes = PASSES.map((pass) => {
    const own = strokes.filter((s) => s.pass === pass)
    return { pass, lines: own.length, d: own.map(({ points }) => `M${points.map(at).join('L')}`).join('') }
  }).filter((p) => p.lines > 0)
  const air = strokes
    .map(({ points }, i) => `M${at(strokes[i - 1]?.points.at(-1) ?? { x: 0, y: 0 })}L${at(firstOf(points))}`)
    .join('')
  return { ...plan, passes, air }
}
