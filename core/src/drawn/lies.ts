import {
  type Move,
  type Point,
  boxCentre,
  moveBack,
  moveThen,
  pathBox,
  pointMoved,
  shift,
  turn,
} from '../geometry/index.js'
import { tidy } from './draw.js'
import { outlineOf } from './outline.js'
import type { DrawnPanel } from './schema.js'

/** From a drawn panel's own coordinates to those of the work it was drawn for: turned about its origin, then moved. */
export const lieOf = ({ lies }: Pick<DrawnPanel, 'lies'>): Move =>
  moveThen(turn(lies.turn), shift(lies.x, lies.y))

/** From one drawn panel's own coordinates to those of another, as both lie in the work. */
export const lieBeside = (panel: DrawnPanel, other: DrawnPanel): Move =>
  moveThen(lieOf(panel), moveBack(lieOf(other)))

/** Where a panel lies once it is turned so, radians, and a place of it stays where it is. */
export function turnedAbout(panel: DrawnPanel, radians: number, about: Point): DrawnPanel['lies'] {
  const [stays, goes] = [pointMoved(about, lieOf(panel)), pointMoved(about, turn(radians))]
  return { ...panel.lies, turn: radians, x: tidy(stays.x - goes.x), y: tidy(stays.y - goes.y) }
}

/** The same about its middle. */
export const turnedInPlace = (panel: DrawnPanel, radians: number): DrawnPanel['lies'] =>
  turnedAbout(panel, radians, boxCentre(pathBox(outlineOf(panel).path)))
