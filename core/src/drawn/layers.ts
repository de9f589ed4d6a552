import { required } from '../lists/index.js'
import { type Path, offsetLargestMaybe, offsetSidesMaybe } from '../geometry/index.js'
import type { Panel } from '../master/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import { foldLine } from './foldLine.js'
import type { FoldNumbers } from './folds.js'
import { LAYER_SWATCH, type Leathers, isEnclosed, layerRole, layerStuff, panelStuff } from './materials.js'
import { openedAt } from './opened.js'
import type { DrawnFate, DrawnLayer, DrawnPanel } from './schema.js'

/** A layer that is turned is feathered over this at most, mm. */
const MOST_FEATHER = 5

/** Insets of component pieces, mm (J): what makers allow when they cut a lining or a board by eye. */
const INSET = {
  /** A lining's edge stays this far inside a turned edge, so that it does not show. */
  lining: 2,
  /** Under a hem it is caught by so much. */
  underHem: 6,
  /** A reinforcement stops this short of where the turned edge lands. */
  shortOfTurn: 0.5,
  /** Stiff layers stop this short of stitches; interlining too. */
  shortOfSeam: 1,
  /** Everything but lining stays back from an edge that shows. */
  shown: 1,
} as const

/** How far a layer stops inside an edge, mm, and why; negative where it reaches past it. */
interface Inset {
  readonly by: number
  readonly why: string
}
type InsetOf<EdgeTreatment extends DrawnFate> = (fate: EdgeTreatment, layer: DrawnLayer) => Inset | undefined
type FateOf<Type extends DrawnFate['type']> = Extract<DrawnFate, { readonly type: Type }>

const isLining = ({ sort }: DrawnLayer): boolean => sort === 'lining'
/** What is caught in a seam, and not kept clear of it. */
const isCaught = ({ sort }: DrawnLayer): boolean => sort === 'lining' || sort === 'reinforcement'
const CLEAR = 'clear of the stitches'

/** By what becomes of the edge; undefined where it is worked out from the turn. */
const INSETS: { readonly [Type in DrawnFate['type']]: InsetOf<FateOf<Type>> } = {
  doubled: () => ({ by: 0, why: 'on the fold' }),
  turned: (fate, layer) => {
    if (!isLining(layer)) return undefined
    return fate.lines > 0
      ? { by: Math.min(INSET.lining, fate.margin / 3), why: 'so that the stitches still catch it well' }
      : { by: INSET.lining, why: 'so that it does not show' }
  },
  rolled: (fate, layer) =>
    isLining(layer)
      ? { by: Math.max(1, fate.width - INSET.underHem), why: 'so that the hem catches it' }
      : undefined,
  trimmed: (fate, layer) =>
    isCaught(layer)
      ? { by: -fate.trim, why: 'outside it: trimmed flush with the panel' }
      : { by: fate.margin + INSET.shortOfSeam, why: CLEAR },
  sewn: (fate, layer) =>
    isCaught(layer)
      ? { by: 0, why: 'caught in the seam' }
      : { by: fate.margin + INSET.shortOfSeam, why: CLEAR },
  long: (fate, layer) => ({ by: isLining(layer) ? -fate.by : 0, why: 'cut long with the panel' }),
  bound: (fate, layer) => ({
    by: isLining(layer) ? fate.binding : fate.binding + INSET.shown,
    why: 'inside the binding',
  }),
  raw: (_, layer) =>
    isLining(layer)
      ? { by: 0, why: 'flush with the raw edge' }
      : { by: INSET.shown, why: 'back from the edge that shows' },
}
const usualInset = <Type extends DrawnFate['type']>(
  fate: FateOf<Type>,
  layer: DrawnLayer,
): Inset | undefined => (INSETS[fate.type] as InsetOf<DrawnFate>)(fate, layer)

/** How far inside the finished edge a layer stops along an edge of that fate, with its working. */
function insetOf(
  panel: DrawnPanel,
  layer: DrawnLayer,
  fate: DrawnFate,
  leathers: Leathers,
  reckon: Reckon,
): Reckoned {
  const about = {
    key: `${panel.id}-${layer.id}.inset.${fate.type}`,
    label: `${layer.name} inside the ${fate.type === 'doubled' ? 'fold' : `${fate.type} edge`} by`,
    source: '§4',
  }
  const own = layer.inset === null ? usualInset(fate, layer) : { by: layer.inset, why: 'as you set it' }
  if (own) return reckon<string>({ ...about, formula: `{own} ${own.why}` }, { own: given('inset', own.by) })
  if (fate.type !== 'turned' && fate.type !== 'rolled') throw new Error(`no inset for a ${fate.type} edge`)
  if (!isEnclosed(layer))
    return reckon(
      { ...about, formula: '{turn} turn + {short}: it stops where the turn lands' },
      { turn: given('turn', fate.width), short: given('short', INSET.shortOfTurn) },
    )
  const leather = panelStuff(panel, leathers)
  const even = fate.school === 'even'
  return reckon(
    { ...about, formula: even ? '({t} + {edge}) / 2 of leather round it' : '{t} of leather round it' },
    {
      t: given('leather', leather.thickness, 'thickness'),
      edge: given('edge', even ? (fate.atEdge ?? leather.atEdge) : leather.thickness, 'thickness'),
    },
  )
}

/** A component piece, or why there is none. */
export type LayerMade =
  | {
      readonly ok: true
      readonly panel: Panel
      readonly insets: readonly Reckoned[]
      /** Where its edges could not each have an inset of their own: the one it has all round, mm. */
      readonly evened: number | undefined
    }
  | { readonly ok: false; readonly layer: DrawnLayer; readonly widest: number }

/** The component piece of one layer: the panel's outline, inset edge by edge, with the folds let in as it needs them. */
export function layerPanel(
  panel: DrawnPanel,
  layer: DrawnLayer,
  outline: Path,
  fates: readonly DrawnFate[],
  folds: readonly FoldNumbers[],
  leathers: Leathers,
  reckon: Reckon,
): LayerMade {
  const byFate = new Map<string, Reckoned>()
  const insets = fates.map((fate) => {
    const key = JSON.stringify(fate)
    const inset = byFate.get(key) ?? insetOf(panel, layer, fate, leathers, reckon)
    byFate.set(key, inset)
    return inset.value
  })
  const numbers = [...new Map([...byFate.values()].map((r) => [r.key, r])).values()]
  const widest = Math.max(...insets)
  const own = offsetSidesMaybe(
    outline,
    insets.map((d) => -d),
  )?.path
  const inner = own ?? (widest > 0 ? offsetLargestMaybe(outline, -widest) : undefined)
  if (!inner) return { ok: false, layer, widest }
  const opened = openedAt(
    inner,
    folds.map((f) => ({ fold: f.fold, by: required(f.layers[layer.id], layer.id).value })),
  )
  const stuff = layerStuff(panel, layer, leathers)
  const count = opened.path.segments.length
  return {
    ok: true,
    evened: own ? undefined : widest,
    insets: [...numbers, ...folds.map((f) => required(f.layers[layer.id], layer.id))],
    panel: {
      id: `${panel.id}-${layer.id}`,
      name: `${panel.name}: ${layer.name}`,
      role: layerRole(panel, layer),
      count: panel.count,
      flipped: panel.flipped,
      outline: opened.path,
      edges: [
        {
          id: 'round',
          name: 'edge all round',
          first: 0,
          last: count - 1,
          fate: edgeFate(layer, stuff.atEdge),
        },
      ],
      folds: opened.lines.flatMap(({ fold, at }) => foldLine(fold, at, opened.path)),
      bands: [],
      grain: panel.grain,
      notes: [`${layer.sort} of the ${panel.name.toLowerCase()}`],
      behind: { panelId: panel.id, sort: layer.sort },
      ...(layer.stock
        ? {
            stock: {
              ...layer.stock,
              neutral: stuff.neutral,
              swatch: LAYER_SWATCH[layer.sort === 'foam' ? 'foam' : 'board'],
            },
          }
        : {}),
      ...(layer.block > 0 ? { block: layer.block } : {}),
    },
  }
}

const edgeFate = (layer: DrawnLayer, atEdge: number): Panel['edges'][number]['fate'] =>
  layer.turn > 0
    ? {
        type: 'turned',
        width: layer.turn,
        school: 'feather',
        atEdge,
        feather: Math.min(MOST_FEATHER, layer.turn),
        core: 'round',
        lines: 0,
        margin: 1,
      }
    : { type: 'raw', finish: 'left', trim: 0 }
