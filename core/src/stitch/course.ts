import { type Path, pathLength, pathMoved, pathPart, pathReversed } from '../geometry/index.js'
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

function edgeCourse(course: EdgeCourse, panel: Panel, sheet: PanelSheet): Path | undefined {
  if (!course.chain.every((id) => panel.edges.some((e) => e.id === id))) return undefined
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
