import type { Design } from '../design/index.js'
import { type Kind, type Materials, kindOf } from '../kinds/index.js'
import { withAdded } from '../added/index.js'
import { withDrawn } from '../drawn/index.js'
import { type EdgeWork, workEdges } from '../edges/index.js'
import { type LaidUp, layUp, withSkives } from '../layup/index.js'
import { type SetFitting, fittingsOf, hardwareMarks } from '../fittings/index.js'
import { withSplit } from './split.js'
import type { Master, Panel, MasterSize } from '../master/index.js'
import { type Piece, pieces } from '../reckon/index.js'
import { type Run, decorJoins, runsOf } from '../stitch/index.js'
import { reckoner, remembered } from '../working/index.js'

/** All that follows from a design. */
export interface Derived {
  readonly design: Design
  readonly kind: Kind
  readonly master: Master
  readonly panels: readonly Panel[]
  readonly edges: readonly EdgeWork[]
  readonly works: readonly LaidUp[]
  readonly runs: readonly Run[]
  readonly fittings: readonly SetFitting[]
  readonly pieces: readonly Piece[]
}

const materialsOf = ({ leathers, iron, hardware, skives }: Design): Materials => ({
  leathers,
  iron,
  hardware,
  skives,
})

/** A panel that is the very same has the same edges. */
const edgesOnce = remembered(workEdges)

/** A design as far as its sizes are known: panels and their edges, before anything is laid up or sewn. */
export interface Mastered {
  readonly kind: Kind
  readonly master: Master
  readonly panels: readonly Panel[]
  readonly edges: readonly EdgeWork[]
}

/** Design → master panels → edges, with every size; who asks for sizes alone needs no more. */
export function mastered(design: Design): Mastered {
  const kind = kindOf(design.kind)
  const reckon = reckoner(design.overrides)
  const made = kind.master(kind.params.parse(design.params), materialsOf(design), reckon)
  const bare = withDrawn(made, design.drawn, design.ties, design.leathers, reckon)
  const drawn = withAdded(bare, design.added, design, reckon)
  const panels = withSkives(
    drawn.panels.map((p) => withSplit(p, design.leathers)),
    design.skives,
  )
  const edges = panels.map((panel) => edgesOnce(panel, design.leathers, reckon))
  const lines = decorJoins(design.sewing.lines, drawn.layups, panels, reckon)
  const master = {
    ...drawn,
    joins: [...drawn.joins, ...lines],
    sizes: [...drawn.sizes, ...edges.flatMap(edgeSizes)],
  }
  return { kind, master, panels, edges }
}

/** Design → master panels → edges → laid-up work → runs → pieces. Pure: the same design gives the same result everywhere. */
export function derive(design: Design): Derived {
  const reckon = reckoner(design.overrides)
  const { kind, master, panels, edges } = mastered(design)
  const works = master.layups.map((layup) => layUp(layup, edges))
  const runs = runsOf(master.joins, panels, works, design, reckon)
  let set: readonly SetFitting[] | undefined
  const fittings = (): readonly SetFitting[] =>
    (set ??= fittingsOf(master, design.hardware, works, runs, reckon))
  let cut: readonly Piece[] | undefined
  return {
    design,
    kind,
    master,
    panels,
    edges,
    works,
    runs,
    get fittings() {
      return fittings()
    },
    // Drawn when somebody looks: whoever tries out hundreds of designs for their holes does not.
    get pieces() {
      return (cut ??= pieces({
        master,
        works: edges,
        states: works,
        runs,
        hardware: hardwareMarks(fittings(), works),
      }))
    },
  }
}

/** The numbers of a panel's turned edges, once for edges that share them. */
const edgeSizes = ({ panel, turned, treatments }: EdgeWork): MasterSize[] =>
  [
    ...turned.flatMap(({ turn }) => [turn.atFold, turn.allowance, turn.foldTo, turn.cost]),
    ...treatments.flatMap((t) => t.numbers),
  ].map((size) => ({ panelId: panel.id, size, of: 'edges' }))
