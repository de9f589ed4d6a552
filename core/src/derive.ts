import type { Design } from './design/index.js'
import { type Kind, type Materials, kindOf } from './kinds/index.js'
import { type LaidUp, layUp, withSkives } from './layup/index.js'
import type { Master, Panel } from './master/index.js'
import { type Piece, pieces } from './reckon/index.js'
import { type Run, runMaybe } from './stitch/index.js'
import { reckoner } from './working/index.js'

/** All that follows from a design. */
export interface Derived {
  readonly design: Design
  readonly kind: Kind
  readonly master: Master
  readonly panels: readonly Panel[]
  readonly works: readonly LaidUp[]
  readonly runs: readonly Run[]
  readonly pieces: readonly Piece[]
}

const materialsOf = ({ leathers, iron }: Design): Materials => ({ leathers, iron })

const thicknessesOf = (design: Design): Record<string, number> =>
  Object.fromEntries(Object.entries(design.leathers).map(([role, leather]) => [role, leather.thickness]))

/** Design → master panels → laid-up work → runs → pieces. Pure: the same design gives the same result everywhere. */
export function derive(design: Design): Derived {
  const kind = kindOf(design.kind)
  const reckon = reckoner(design.overrides)
  const master = kind.master(kind.params.parse(design.params), materialsOf(design), reckon)
  const panels = withSkives(master.panels, design.skives)
  const works = master.layups.map((layup) => layUp(layup, panels, thicknessesOf(design)))
  const runs = master.joins.flatMap((join) => {
    const work = workOf(works, join.layup)
    const run = runMaybe(join, panels, work, design, reckon)
    return run ? [run] : []
  })
  return {
    design,
    kind,
    master,
    panels,
    works,
    runs,
    pieces: pieces({ master, panels, open: works[0]!, runs, leathers: design.leathers, iron: design.iron }),
  }
}

/** The laid-up work in the state of that id; throws where the design has none. */
export function workOf(works: readonly LaidUp[], id: string): LaidUp {
  const work = works.find((w) => w.layup.id === id)
  if (!work) throw new RangeError(`no state “${id}” of the work`)
  return work
}
