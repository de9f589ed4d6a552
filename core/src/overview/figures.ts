import type { Derived } from '../derived/index.js'
import { boxHeight, boxWidth, pathArea } from '../geometry/index.js'
import type { CutFigures } from '../hide/index.js'
import type { BenchTime } from '../make/index.js'
import { carried, closedThickness, weightOfWork, workBox } from '../relief/index.js'
import type { Reckoned } from '../working/index.js'
import { timeOf } from './time.js'

/** What a maker weighs one variant against another by; mm, mm² and minutes unless said. */
export interface Figures {
  /** As it is carried. */
  readonly width: number
  readonly height: number
  readonly empty: number
  readonly full: number
  readonly pieces: number
  /** Leather to cut, all copies. */
  readonly area: number
  readonly runs: number
  readonly holes: number
  readonly thread: number
  readonly thickest: number
  readonly weight: Reckoned
  readonly time: BenchTime
  readonly carries: readonly string[]
  /** What it takes of the hides it is cut from, where somebody laid it out. */
  readonly cut?: CutFigures
}

/** The figures of a design, all from its pieces and runs as they would be made. */
export function figuresOf(derived: Derived): Figures {
  const { pieces, runs, master, design } = derived
  const leather = pieces.filter((p) => p.panel.role !== 'guide')
  const { outside } = master
  const work = outside ? undefined : carried(derived)
  const box = work && workBox(work)
  return {
    width: outside ? outside.wide.value : box ? boxWidth(box) : 0,
    height: outside ? outside.high.value : box ? boxHeight(box) : 0,
    ...closedThickness(derived),
    pieces: leather.reduce((sum, p) => sum + p.count, 0),
    area: leather
      .filter((p) => !p.panel.stock)
      .reduce((sum, p) => sum + p.count * Math.abs(pathArea(p.cut)), 0),
    runs: runs.length,
    holes: runs.reduce((sum, r) => sum + r.holes.length, 0),
    thread: runs.reduce((sum, r) => sum + r.times * r.thread.value, 0),
    thickest: Math.max(0, ...runs.map((r) => r.thickest)),
    weight: weightOfWork(derived),
    time: timeOf(derived),
    carries: [
      ...master.carries,
      ...design.contents.map(({ thing, count }) => (count === 1 ? thing.name : `${count} × ${thing.name}`)),
    ],
  }
}
