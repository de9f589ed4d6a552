import {
  type Path,
  offsetOpenMaybe,
  openPath,
  pathArea,
  pathLength,
  pathMoved,
  pathPart,
  pathReversed,
} from '../geometry/index.js'
import {
  type EdgeCourse,
  type Join,
  type Panel,
  type PanelSheet,
  type Sheet,
  edgeOf,
  panelOf,
} from '../master/index.js'

/** The panel sheet of that id; throws where the work has none. */
export function panelSheetOf(sheets: readonly Sheet[], id: string): PanelSheet {
  const sheet = sheets.find((s) => s.id === id)
  if (sheet?.type !== 'panel') throw new RangeError(`no panel lies as “${id}”`)
  return sheet
}

/** The stretch of a panel's outline that the named edges cover, in the order of the outline. */
export function edgeChain(panel: Panel, chain: readonly string[]): Path {
  const edges = chain.map((id) => edgeOf(panel, id))
  return openPath(edges.flatMap((e) => panel.outline.segments.slice(e.first, e.last + 1)))
}

/** The chain moved `inset` mm into the panel; undefined where the panel is too small for it. */
export function insetChainMaybe(panel: Panel, chain: readonly string[], inset: number): Path | undefined {
  const inward = pathArea(panel.outline) >= 0 ? 1 : -1
  return offsetOpenMaybe(edgeChain(panel, chain), inward * inset)
}

function edgeCourse(course: EdgeCourse, panel: Panel, sheet: PanelSheet): Path | undefined {
  const inset = insetChainMaybe(panel, course.chain, course.margin.value)
  if (!inset) return undefined
  const whole = course.backwards ? pathReversed(inset) : inset
  const end = pathLength(whole) - course.endTrim
  return end - course.startTrim > 0.01
    ? pathMoved(pathPart(whole, course.startTrim, end), sheet.move)
    : undefined
}

/** The line a join is sewn along, in the coordinates of the laid-up work; undefined where no room is left for one. */
export function coursePathMaybe(
  join: Join,
  panels: readonly Panel[],
  sheets: readonly Sheet[],
): Path | undefined {
  const sheet = panelSheetOf(sheets, join.course.sheet)
  if (join.course.type === 'edges') return edgeCourse(join.course, panelOf(panels, sheet.panelId), sheet)
  const { line } = join.course
  return pathLength(line) > 0.01 ? pathMoved(line, sheet.move) : undefined
}
