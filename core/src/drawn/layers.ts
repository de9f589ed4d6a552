import { type Path, offsetLargestMaybe, offsetSidesMaybe } from '../geometry/index.js'
import type { Panel } from '../master/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import { foldLine } from './foldLine.js'
import type { FoldNumbers } from './folds.js'
import { LAYER_SWATCH, type Leathers, isEnclosed, layerRole, layerStuff, panelStuff } from './materials.js'
import { openedAt } from './opened.js'
import type { DrawnFate, DrawnLayer, DrawnPanel } from './schema.js'

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

/** How far inside the finished edge a layer stops along an edge of that fate, with its working. */
function insetOf(
  panel: DrawnPanel,
  layer: DrawnLayer,
  fate: DrawnFate,
  leathers: Leathers,
  reckon: Reckon,
): Reckoned {
  const named = { key: `${panel.id}-${layer.id}.inset.${fate.type}`, source: '§4' }
  const label = `${layer.name} inside the ${fate.type === 'doubled' ? 'fold' : `${fate.type} edge`} by`
  const say = (formula: string, value: number): Reckoned =>
    reckon({ ...named, label, formula: `{own} ${formula}` }, { own: given('inset', value) })
  if (layer.inset !== null) return say('as you set it', layer.inset)
  if (fate.type === 'doubled') return say('on the fold', 0)
  const lining = layer.sort === 'lining'
  switch (fate.type) {
    case 'turned':
    case 'rolled': {
      if (lining && fate.type === 'rolled')
        return say('so that the hem catches it', Math.max(1, fate.width - INSET.underHem))
      if (lining && fate.lines > 0)
        return say('so that the stitches still catch it well', Math.min(INSET.lining, fate.margin / 3))
      if (lining) return say('so that it does not show', INSET.lining)
      if (isEnclosed(layer)) {
        const own = panelStuff(panel, leathers)
        const edge = fate.atEdge ?? own.atEdge
        const even = fate.school === 'even'
        return reckon(
          {
            ...named,
            label,
            formula: even ? '({t} + {edge}) / 2 of leather round it' : '{t} of leather round it',
          },
          {
            t: given('leather', own.thickness, 'thickness'),
            edge: given('edge', even ? edge : own.thickness, 'thickness'),
          },
        )
      }
      return reckon(
        { ...named, label, formula: '{turn} turn + {short}: it stops where the turn lands' },
        { turn: given('turn', fate.width), short: given('short', INSET.shortOfTurn) },
      )
    }
    case 'trimmed':
      return lining || layer.sort === 'reinforcement'
        ? say('outside it: trimmed flush with the panel', -fate.trim)
        : say('clear of the stitches', fate.margin + INSET.shortOfSeam)
    case 'sewn':
      return lining || layer.sort === 'reinforcement'
        ? say('caught in the seam', 0)
        : say('clear of the stitches', fate.margin + INSET.shortOfSeam)
    case 'long':
      return say('cut long with the panel', lining ? -fate.by : 0)
    case 'bound':
      return say('inside the binding', lining ? fate.binding : fate.binding + INSET.shown)
    case 'raw':
      return lining ? say('flush with the raw edge', 0) : say('back from the edge that shows', INSET.shown)
  }
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
    folds.map((f) => ({ fold: f.fold, by: f.layers[layer.id]!.value })),
  )
  const stuff = layerStuff(panel, layer, leathers)
  const count = opened.path.segments.length
  return {
    ok: true,
    evened: own ? undefined : widest,
    insets: [...numbers, ...folds.map((f) => f.layers[layer.id]!)],
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
        feather: Math.min(5, layer.turn),
        core: 'round',
        lines: 0,
        margin: 1,
      }
    : { type: 'raw', finish: 'left', trim: 0 }
