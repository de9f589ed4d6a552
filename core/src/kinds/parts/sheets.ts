import { type Move, type Path, moveThen, point, roundedPolygon } from '../../geometry/index.js'
import { type Clip, type ContentSheet, type PanelSheet, type Sheet, clipMoved } from '../../master/index.js'
import { CARD } from '../../stores/index.js'

export const panelSheet = (
  id: string,
  name: string,
  panelId: string,
  move: Move,
  grainUp: boolean,
  clips: readonly Clip[] = [],
): PanelSheet => ({ type: 'panel', id, name, panelId, move, grainUp, clips })

export const contentSheet = (
  id: string,
  name: string,
  outline: Path,
  thickness: number,
  move: Move,
  clips: readonly Clip[] = [],
): ContentSheet => ({ type: 'content', id, name, outline, thickness, move, clips })

/** The outline of a bank card, from its upper left corner. */
export const cardOutline = (): Path =>
  roundedPolygon(
    [point(0, 0), point(CARD.width, 0), point(CARD.width, CARD.height), point(0, CARD.height)].map((c) => ({
      ...c,
      radius: CARD.cornerRadius,
    })),
  ).path

/** A pile moved as a whole without turning it over. */
export const pileMoved = (sheets: readonly Sheet[], move: Move): Sheet[] =>
  sheets.map((s) => ({ ...s, move: moveThen(s.move, move), clips: s.clips.map((c) => clipMoved(c, move)) }))

/** A pile turned over by `over`, a flip: the order and what faces up are reversed. */
export const pileTurnedOver = (sheets: readonly Sheet[], over: Move): Sheet[] =>
  pileMoved(sheets, over)
    .reverse()
    .map((s) => (s.type === 'panel' ? { ...s, grainUp: !s.grainUp } : s))
