import { tupleOf, nth } from '../lists/index.js'
import type { Derived } from '../derived/index.js'
import { boxHeight, boxWidth } from '../geometry/index.js'
import { type LaidUp, layersAt, laidUpOf } from '../layup/index.js'
import { type Reckoned, reckoner } from '../working/index.js'
import { type SeamProfile, alongRun } from './along.js'
import { type Contour, contours, levelsOf } from './contours.js'
import { type ReliefMap, mapThickest, reliefMap, workBox } from './map.js'
import { type Spot, spotHeights } from './spots.js'
import { statesOf } from './states.js'
import { weightOf } from './weight.js'

/** What is looked at: which state, with what it carries or without, and how finely. Lengths mm. */
export interface Asked {
  readonly state: string
  readonly contents: boolean
  readonly step: number
  readonly interval: number
}

/** Everything the relief shows of a work in one state. */
export interface Survey {
  readonly asked: Asked
  readonly map: ReliefMap
  readonly contours: readonly Contour[]
  /** The thickest place first. */
  readonly spots: readonly Spot[]
  /** Names of what lies at the thickest place, lowest first. */
  readonly atThickest: readonly string[]
  readonly seams: readonly SeamProfile[]
}

/** Cells fine enough to find the thickest place of a closed work, mm. */
const COARSE = 0.5

/** The state a work is carried in: closed, or as it lies where it has no other. */
export const carried = ({ works }: Derived): LaidUp | undefined =>
  works.find((w) => w.layup.id === 'closed') ?? works[0]

/** Thickness of the work as it is carried, empty and with what goes in, mm; 0 for a design without panels. */
export function closedThickness(derived: Derived): { readonly empty: number; readonly full: number } {
  const { outside } = derived.master
  if (outside) return { empty: outside.deep.value, full: outside.deep.value }
  const work = carried(derived)
  if (!work) return { empty: 0, full: 0 }
  const [empty, full] = tupleOf([false, true], (contents) => mapThickest(reliefMap(work, COARSE, contents)))
  return { empty, full }
}

/** What the finished work weighs, grams. */
export const weightOfWork = ({ design, edges, runs }: Derived): Reckoned =>
  weightOf({ edges, runs, leathers: design.leathers, thread: design.thread }, reckoner(design.overrides))

/** A map of more cells takes longer than anybody looks at it. */
const MOST_CELLS = 600_000

/** Cells as fine as asked, or as fine as a large work allows, mm. */
function stepFor(work: LaidUp, asked: number): number {
  const box = workBox(work)
  return Math.max(asked, Math.sqrt((boxWidth(box) * boxHeight(box)) / MOST_CELLS))
}

/** The map of a state, its contours and figures, and the thickness along its seams. Throws for a state there is not. */
export function survey(derived: Derived, asked: Asked): Survey {
  const work = laidUpOf(statesOf(derived), asked.state)
  const map = reliefMap(work, stepFor(work, asked.step), asked.contents)
  const spots = spotHeights(map)
  return {
    asked,
    map,
    contours: contours(map, levelsOf(mapThickest(map), asked.interval)),
    spots,
    atThickest: [...new Set(layersAt(work, nth(spots, 0).at, asked.contents).map((l) => l.laid.sheet.name))],
    seams: derived.runs.map((run) => alongRun(run, laidUpOf(derived.works, run.join.layup))),
  }
}
