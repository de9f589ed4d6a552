import { lengthSaid, roundTo, thicknessSaid } from '../measure/index.js'
import { firstOf, nth } from '../lists/index.js'
import {
  type Path,
  type Point,
  pathBox,
  boxHeight,
  boxWidth,
  boxCentre,
  inwardSide,
  pathCrossesItself,
  pathLength,
  segmentTangent,
} from '../geometry/index.js'
import type { Edge, EdgeTreatment, Fault, MasterSize, Panel } from '../master/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import { bandsOf, edgeSkivesOf } from './skives.js'
import { foldLine } from './foldLine.js'
import { type FoldNumbers, closedThickness, foldNumbers } from './folds.js'
import { type LayerMade, layerPanel } from './layers.js'
import { marksOf } from './marks.js'
import { type Leathers, isEnclosed, layerStuff, panelStuff } from './materials.js'
import { type Opened, openedAt } from './opened.js'
import { type Outline, type Owned, outlineOf } from './outline.js'
import type { DrawnFate, DrawnPanel } from './schema.js'

/** An edge lies beyond a fold where it faces that way within 45°: its cosine. */
const FACES = 0.7

/** What a drawn panel comes to: the panel, its component pieces, the numbers, and what is wrong with it. */
export interface DrawnMade {
  readonly drawn: DrawnPanel
  readonly panel: Panel
  readonly layers: readonly Panel[]
  readonly folds: readonly FoldNumbers[]
  readonly opened: Opened
  readonly sizes: readonly MasterSize[]
  readonly faults: readonly Fault[]
}

/** The fate of an edge with what the leather itself says filled in. */
function fateOf(fate: DrawnFate, atEdge: number): EdgeTreatment {
  switch (fate.type) {
    case 'turned':
    case 'rolled':
      return { ...fate, atEdge: fate.atEdge ?? atEdge }
    case 'raw':
      return { ...fate, trim: 0 }
    case 'sewn':
      return { ...fate, trim: 0 }
    case 'trimmed':
      return { ...fate, type: 'sewn' }
    case 'bound':
    case 'doubled':
    case 'long':
      return fate
  }
}

/** Edges from the owners of the segments: stretches of one edge that touch are one, the mirrored half gets its own id. */
function edgesFrom(owners: readonly Owned[], drawn: DrawnPanel, fates: readonly EdgeTreatment[]): Edge[] {
  const edges: Edge[] = []
  owners.forEach(({ edge, half }, i) => {
    const last = edges[edges.length - 1]
    const before = owners[i - 1]
    if (last && before && before.edge === edge) {
      edges[edges.length - 1] = {
        ...last,
        last: i,
        id: half === 'drawn' || !last.id.endsWith('-m') ? edge : last.id,
      }
      return
    }
    const known = drawn.edges.find((e) => e.id === edge)
    const id = half === 'mirrored' ? `${edge}-m` : edge
    edges.push({
      id,
      name: `${known?.name ?? edge}${half === 'mirrored' ? ', other half' : ''}`,
      first: i,
      last: i,
      fate: nth(fates, i),
    })
  })
  return edges.map((e) =>
    e.id.endsWith('-m') ? e : { ...e, name: drawn.edges.find((d) => d.id === e.id)?.name ?? e.name },
  )
}

/** Edges that face away beyond a draped fold are cut long. */
function withDraping(edges: readonly Edge[], opened: Opened, folds: readonly FoldNumbers[]): Edge[] {
  const inward = inwardSide(opened.path)
  return edges.map((edge) => {
    const tangent = segmentTangent(nth(opened.path.segments, edge.first), 0.5)
    const out = { x: tangent.y * inward, y: -tangent.x * inward }
    const extra = folds.reduce((sum, f, i) => {
      const { beyond } = nth(opened.lines, i)
      return sum + (f.draped && out.x * beyond.x + out.y * beyond.y > FACES ? f.draped.value : 0)
    }, 0)
    if (extra === 0) return edge
    const { fate } = edge
    if (fate.type === 'raw') return { ...edge, fate: { type: 'long', by: extra } as const }
    if (fate.type === 'long') return { ...edge, fate: { ...fate, by: fate.by + extra } }
    return fate.type === 'sewn' ? { ...edge, fate: { ...fate, trim: fate.trim + extra } } : edge
  })
}

const notedDrape = ({ draped }: FoldNumbers): { readonly note?: string } =>
  draped ? { note: `cut ${lengthSaid(roundTo(draped.value, 1))} long, mark on the work` } : {}

/** Works a drawn panel out to the master panel and its component pieces. */
export function makeDrawn(drawn: DrawnPanel, leathers: Leathers, reckon: Reckon): DrawnMade {
  const own = panelStuff(drawn, leathers)
  const outline = outlineOf(drawn)
  const { path, owners } = outline
  const folds = foldNumbers(drawn, leathers, reckon)
  const opened = openedAt(
    path,
    folds.map((f) => ({ fold: f.fold, by: f.bendCompensation.value })),
  )
  const drawnFates = owners.map(
    (o) => drawn.edges.find((e) => e.id === o.edge)?.fate ?? ({ type: 'raw', finish: 'left' } as const),
  )
  const placedOwners = opened.origins.map((i) => nth(owners, i))
  const fates = opened.origins.map((i) => fateOf(nth(drawnFates, i), own.atEdge))
  const edges = withDraping(edgesFrom(placedOwners, drawn, fates), opened, folds)
  const core = drawn.layers
    .filter(isEnclosed)
    .reduce((sum, l) => sum + layerStuff(drawn, l, leathers).thickness, 0)
  const bare: Panel = {
    id: drawn.id,
    name: drawn.name,
    role: drawn.role,
    count: drawn.count,
    flipped: Math.min(drawn.flipped, drawn.count),
    outline: opened.path,
    edges,
    folds: folds.flatMap((f, i) =>
      foldLine(f.fold, nth(opened.lines, i).at, opened.path, {
        width: f.fold.type === 'groove' && f.fold.groove?.shape === 'v' ? 0 : f.bend.value,
        ...notedDrape(f),
      }),
    ),
    bands: bandsOf(drawn, own.thickness, folds, opened),
    grain: drawn.grain,
    ...(drawn.pull === undefined ? {} : { pull: drawn.pull }),
    notes: drawn.split === null ? [] : [`split to ${thicknessSaid(own.thickness)}`],
    core,
    letIns: opened.letIns,
    ...(drawn.split === null ? {} : { split: drawn.split }),
    ...(drawn.block > 0 ? { block: drawn.block } : {}),
  }
  const skives = edgeSkivesOf(drawn, bare)
  const panel: Panel = { ...bare, skives, marks: marksOf(drawn, bare, opened.moved) }
  const made = drawn.layers.map((layer) =>
    layerPanel(drawn, layer, path, drawnFates, folds, leathers, reckon),
  )
  return {
    drawn,
    panel,
    folds,
    opened,
    layers: made.flatMap((m) => (m.ok ? [m.panel] : [])),
    sizes: [
      ...sizesOf(drawn, panel, path, folds, closedThickness(drawn, leathers, reckon), reckon),
      ...made.flatMap((m) => (m.ok ? m.insets.map((size) => ({ panelId: m.panel.id, size })) : [])),
    ],
    faults: [
      ...faultsOf(drawn, outline, panel, own.thickness),
      ...made.flatMap((m, i) => layerFaults(drawn, path, nth(drawn.layers, i).name, m)),
    ],
  }
}

function sizesOf(
  drawn: DrawnPanel,
  panel: Panel,
  path: Path,
  folds: readonly FoldNumbers[],
  closed: Reckoned | undefined,
  reckon: Reckon,
) {
  const [was, is] = [pathBox(path), pathBox(panel.outline)]
  const size = (what: string, label: string, before: number, now: number): Reckoned =>
    reckon(
      {
        key: `${drawn.id}.${what}`,
        label,
        formula: '{drawn} as drawn + {folds} let in at folds',
        source: '§2',
        measured: true,
      },
      { drawn: given('drawn', before), folds: given('folds', now - before) },
    )
  const around = reckon(
    {
      key: `${drawn.id}.round`,
      label: 'all round the finished edge',
      formula: '{length} measured along it',
      source: '§7',
      measured: true,
    },
    { length: given('length', pathLength(panel.outline)) },
  )
  return [
    size('width', 'width', boxWidth(was), boxWidth(is)),
    size('height', 'height', boxHeight(was), boxHeight(is)),
    around,
    ...folds.flatMap((f) => [
      f.bend,
      f.bendCompensation,
      ...(f.draped ? [f.draped] : []),
      ...(f.step ? [f.step] : []),
    ]),
    ...(closed ? [closed] : []),
  ].map((one) => ({ panelId: drawn.id, size: one }))
}

/** A layer of which nothing is left, or whose edges could not each keep their own distance. */
function layerFaults(drawn: DrawnPanel, path: Path, layer: string, made: LayerMade): Fault[] {
  const inset = made.ok ? made.evened : made.widest
  if (inset === undefined) return []
  const what = made.ok ? ('evened out' as const) : ('nothing left' as const)
  return [{ panelId: drawn.id, at: boxCentre(pathBox(path)), what, layer, inset }]
}

/** Thickness that must stay at a groove (J): a share of the leather, and a least; docs/formulas.md §5. */
const GROOVE = { share: 0.4, min: 0.8 } as const

/** Whether an edge that is to lie on a fold turns anywhere. */
const bentOnFold =
  (panel: Panel) =>
  ({ fate, first, last }: Edge): boolean => {
    if (fate.type !== 'doubled') return false
    const segments = panel.outline.segments.slice(first, last + 1)
    const along = segmentTangent(firstOf(segments), 0)
    return segments.some((s) => {
      const way = segmentTangent(s, 0)
      return s.type !== 'line' || way.x * along.x + way.y * along.y < 1 - 1e-6
    })
  }

function faultsOf(
  drawn: DrawnPanel,
  { path, unrounded, empty }: Outline,
  panel: Panel,
  thickness: number,
): Fault[] {
  const crossing = pathCrossesItself(path)
  const here = (at: Point) => ({ panelId: drawn.id, at })
  return [
    ...(empty ? [{ ...here(firstOf(drawn.nodes)), what: 'encloses nothing' as const }] : []),
    ...(crossing ? [{ ...here(crossing), what: 'crosses itself' as const }] : []),
    ...[...new Set(unrounded)].map((i) => {
      const node = nth(drawn.nodes, i)
      return { ...here(node), what: 'no corner to round' as const, point: i + 1, radius: node.radius }
    }),
    ...panel.edges.filter(bentOnFold(panel)).map((e) => ({
      ...here(nth(panel.outline.segments, e.first).from),
      what: 'fold not straight' as const,
      edge: e.name,
    })),
    ...drawn.folds.flatMap((f): Fault[] => {
      const about = { ...here(f.at), fold: f.name }
      const missed = panel.folds.some((p) => p.id === f.id)
        ? []
        : [{ ...about, what: 'fold misses' as const }]
      const groove = f.type === 'groove' ? f.groove : null
      if (!groove) return missed
      const left = thickness - groove.depth
      const min = Math.min(thickness, Math.max(GROOVE.share * thickness, GROOVE.min))
      return [
        ...missed,
        ...(groove.shape === 'v' && f.turn > groove.opening + 1e-6
          ? [{ ...about, what: 'groove too narrow' as const, turn: f.turn, opening: groove.opening }]
          : []),
        ...(left < min - 1e-9 ? [{ ...about, what: 'groove too deep' as const, left, min, thickness }] : []),
      ]
    }),
  ]
}
