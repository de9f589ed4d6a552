import { firstOf } from '../lists/index.js'
import { FOLDED_CUT } from '../formulas/index.js'
import { pathLength, point, polygon } from '../geometry/index.js'
import { type Edge, type MasterSize, type Panel, chainsOf, edgeChain } from '../master/index.js'
import { type Reckon, given } from '../working/index.js'
import { type Leathers, layerStuff, panelStuff } from './materials.js'
import type { DrawnPanel } from './schema.js'

/** A binding is cut longer than its edge and trimmed where it meets or ends, mm (J). */
const OVER = 15

export interface BindingMade {
  readonly panel: Panel
  readonly sizes: readonly MasterSize[]
}

/** What lies in the binding: the panel and what lines it, mm. */
const boundThickness = (drawn: DrawnPanel, own: number, leathers: Leathers): number =>
  drawn.layers
    .filter((l) => l.sort === 'lining')
    .reduce((sum, l) => sum + layerStuff(drawn, l, leathers).thickness, own)

/** A strip so long and so wide, folded along its middle round an edge. */
const stripPanel = (bound: Panel, edge: Edge, id: string, l: number, w: number): Panel => ({
  id,
  name: `${bound.name}: binding`,
  role: bound.role,
  count: bound.count,
  flipped: 0,
  outline: polygon([point(0, 0), point(l, 0), point(l, w), point(0, w)]),
  edges: [
    {
      id: 'round',
      name: 'edge all round',
      first: 0,
      last: 3,
      fate: { type: 'raw', finish: 'left', trim: 0 },
    },
  ],
  folds: [
    {
      id: 'middle',
      name: 'middle',
      from: point(0, w / 2),
      to: point(l, w / 2),
      width: 0,
      rises: 'mountain',
    },
  ],
  bands: [],
  grain: 0,
  notes: [`wraps the ${edge.name}`],
})

/** The strips that bind a panel's raw edges: as long as the edge, wide enough to wrap what lies in it. */
export function bindingsOf(
  drawn: DrawnPanel,
  panel: Panel,
  leathers: Leathers,
  reckon: Reckon,
): BindingMade[] {
  const own = panelStuff(drawn, leathers)
  const gap = boundThickness(drawn, own.thickness, leathers)
  const same = (a: Edge, b: Edge): boolean => JSON.stringify(a.fate) === JSON.stringify(b.fate)
  return chainsOf(panel, (e) => e.fate.type === 'bound', same).map((chain) => {
    const first = firstOf(chain)
    const fate = first.fate as Extract<Edge['fate'], { type: 'bound' }>
    const id = `${panel.id}-binding-${first.id}`
    const edge = edgeChain(
      panel,
      chain.map((e) => e.id),
    )
    const width = reckon(
      { key: `${id}.width`, label: `binding width, ${first.name}`, formula: FOLDED_CUT, source: '§2' },
      {
        width: given('shown', fate.width),
        gap: given('stack', gap, 'thickness'),
        k: given('neutral-axis factor', own.neutral, 'share'),
        thickness: given('binding', fate.binding, 'thickness'),
      },
    )
    const length = reckon(
      {
        key: `${id}.length`,
        label: `binding length, ${first.name}`,
        formula: '{edge} along the edge + {over} to trim',
        source: '§2',
      },
      { edge: given('edge', pathLength(edge)), over: given('over', OVER) },
    )
    return {
      sizes: [width, length].map((size) => ({ panelId: id, size })),
      panel: { ...stripPanel(panel, first, id, length.value, width.value), split: fate.binding },
    }
  })
}
