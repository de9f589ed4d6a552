import { type Point, pathNearest } from '../geometry/index.js'
import type { EdgeTreatment, Panel } from '../master/index.js'

/** How dark a face of a leather is drawn, as a share of its swatch: none of these is measured, they tell faces apart. */
export const SHADE = {
  grain: 1,
  flesh: 0.84,
  turned: 0.94,
  left: 0.8,
  burnished: 0.58,
  painted: 0.36,
} as const

/** What is seen where a cut edge was: the grain of what is turned over or folded, or the cut as it is finished. */
function edgeShade(fate: EdgeTreatment | undefined): number {
  switch (fate?.type) {
    case 'raw':
    case 'sewn':
      return SHADE[fate.finish]
    case 'turned':
    case 'rolled':
    case 'bound':
    case 'doubled':
      return SHADE.turned
    default:
      return SHADE.left
  }
}

/** The shade of a panel's edge at a place of it. */
export const edgeShadeOf =
  (panel: Panel) =>
  (p: Point): number => {
    const { segment } = pathNearest(panel.outline, p)
    return edgeShade(panel.edges.find((e) => segment >= e.first && segment <= e.last)?.fate)
  }
