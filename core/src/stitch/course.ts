import {
  type Path,
  offsetOpenMaybe,
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
  insetChainMaybe,
  panelOf,
} from '../master/index.js'

/** The panel sheet of that id; throws where the work has none. */
export function panelSheetOf(sheets: readonly Sheet[], id: string): PanelSheet {
  const sheet = sheets.find((s) => s.id === id)
  if (sheet?.type !== 'panel') throw new RangeError(`no panel lies as “${id}”`)
  return sheet
}

function edgeCourse(course: EdgeCourse, panel: Panel, sheet: PanelSheet, beside: number): Path | undefined {
  if (!course.chain.every((id) => panel.edges.some((e) => e.id === id))) return undefined
  const inset = insetChainMaybe(panel, course.chain, course.margin.value + beside)
  if (!inset) return undefined
  const whole = course.backwards ? pathReversed(inset) : inset
  const end = pathLength(whole) - course.endTrim
  return end - course.startTrim > 0.01
    ? pathMoved(pathPart(whole, course.startTrim, end), sheet.move)
    : undefined
}

/**
 * The line of a course in the coordinates of the laid-up work, or one `beside` mm beside it (further in from an edge; to
 * the right of a line); undefined where no room is left for it.
 */
export function courseMaybe(
  course: Join['course'],
  panels: readonly Panel[],
  sheets: readonly Sheet[],
  beside = 0,
): Path | undefined {
  const sheet = panelSheetOf(sheets, course.sheet)
  if (course.type === 'edges') return edgeCourse(course, panelOf(panels, sheet.panelId), sheet, beside)
  const line = beside === 0 ? course.line : offsetOpenMaybe(course.line, beside)
  return line && pathLength(line) > 0.01 ? pathMoved(line, sheet.move) : undefined
}
