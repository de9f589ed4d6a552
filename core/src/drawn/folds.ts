import { nth } from '../lists/index.js'
import { V_GROOVE, FLAT_GROOVE } from '../formulas/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import { type Leathers, type Stuff, layerStuff, layersInOrder, panelStuff } from './materials.js'
import type { DrawnFold, DrawnPanel } from './schema.js'

/** What one fold asks of one thing that goes round it. */
export interface FoldNumbers {
  readonly fold: DrawnFold
  /** What lies in the fold, all in all, mm. */
  readonly gap: Reckoned
  /** Flat length the bend uses up. */
  readonly bend: Reckoned
  /** What is let into the drawing at the fold (taken out where negative). */
  readonly bendCompensation: Reckoned
  /** For each layer behind, by layer id: what is let into it. */
  readonly layers: Readonly<Record<string, Reckoned>>
  /** Cut longer by so much where it is marked on the work instead of figured. */
  readonly draped: Reckoned | undefined
  /** How far the innermost layer's edge stands back when closed. */
  readonly step: Reckoned | undefined
}

/** What a draped fold is cut longer by beyond the doubt about the neutral-axis factor, mm, and how wide that doubt is (J). */
const DRAPE = { spare: 3, doubt: 0.25 } as const
/** A fold beyond this is closed flat; its outside is measured to the outermost extent, radians. */
const CLOSED = 0.9 * Math.PI

/** Everything that goes round with a panel, from its own side outwards. */
interface Pile {
  readonly panel: Stuff
  readonly layers: readonly { readonly id: string; readonly stuff: Stuff }[]
  readonly total: number
}

const pileOf = (panel: DrawnPanel, leathers: Leathers): Pile => {
  const own = panelStuff(panel, leathers)
  const layers = layersInOrder(panel).map((l) => ({ id: l.id, stuff: layerStuff(panel, l, leathers) }))
  return { panel: own, layers, total: layers.reduce((sum, l) => sum + l.stuff.thickness, own.thickness) }
}

/** Folds that wrap the same way, in the order the panels are folded, innermost first. */
const wrappedBefore = (panel: DrawnPanel, fold: DrawnFold): readonly DrawnFold[] => {
  if (fold.type !== 'wrapped') return []
  const all = panel.folds.filter((f) => f.type === 'wrapped')
  return all.slice(0, all.indexOf(fold))
}

/** Distance of the layer that keeps its length from the middle of the fold, over half the gap. */
function middleOf(pile: Pile, fold: DrawnFold, layer: string | undefined): number {
  const own = (s: Stuff): number => s.neutral * s.thickness
  const thick = (list: Pile['layers']): number => list.reduce((sum, l) => sum + l.stuff.thickness, 0)
  const index = pile.layers.findIndex((l) => l.id === layer)
  if (fold.rises === 'mountain')
    return layer === undefined
      ? thick(pile.layers) + own(pile.panel)
      : thick(pile.layers.slice(index + 1)) + own(nth(pile.layers, index).stuff)
  return layer === undefined
    ? own(pile.panel)
    : pile.panel.thickness + thick(pile.layers.slice(0, index)) + own(nth(pile.layers, index).stuff)
}

/** One fold being worked out: what goes round it and over which gap. */
interface Folding {
  readonly fold: DrawnFold
  readonly pile: Pile
  readonly gap: Reckoned
  readonly reckon: Reckon
  /** The key of one of its numbers. */
  readonly key: (what: string) => string
}

/** Every fold of a drawn panel, worked out; docs/formulas.md §2, §3, §5. */
export function foldNumbers(panel: DrawnPanel, leathers: Leathers, reckon: Reckon): FoldNumbers[] {
  const pile = pileOf(panel, leathers)
  return panel.folds.map((fold) => {
    const key = (what: string): string => `${panel.id}.${fold.id}.${what}`
    const gap = gapOf(fold, wrappedBefore(panel, fold), pile, key('gap'), reckon)
    const folding: Folding = { fold, pile, gap, reckon, key }
    const bend = bendOf(folding)
    const layers = pile.layers.map((layer) => [layer.id, letInOf(folding, bend, layer)])
    const last = pile.layers.at(-1)
    return {
      fold,
      gap,
      bend,
      bendCompensation: letInOf(folding, bend),
      layers: Object.fromEntries(layers) as FoldNumbers['layers'],
      draped: fold.school === 'draped' ? drapedOf(folding) : undefined,
      step: last && stepOf(folding, last.id),
    }
  })
}

/** What lies in a fold; of one that wraps, all that was wrapped before it too. */
function gapOf(
  fold: DrawnFold,
  before: readonly DrawnFold[],
  pile: Pile,
  key: string,
  reckon: Reckon,
): Reckoned {
  const inner = before.reduce((sum, f) => sum + f.gap, 0)
  return reckon(
    {
      key,
      label: `gap in the ${fold.name}`,
      formula:
        before.length > 0 ? '{own} laid in + {inner} inside it + {count} × {leaf} leaves' : '{own} laid in',
      source: '§3',
    },
    {
      own: given('laid in', fold.gap, 'thickness'),
      inner: given('inside', inner, 'thickness'),
      count: given('leaves', before.length, 'count'),
      leaf: given('leaf', pile.total, 'thickness'),
    },
  )
}

type Layer = Pile['layers'][number]

/** Flat length that the panel (or a layer of it) uses up going round. */
function bendOf({ fold, pile, gap, reckon, key }: Folding, layer?: Layer): Reckoned {
  const about = {
    key: key(layer ? `${layer.id}.bend` : 'bend'),
    label: `${fold.name} uses up${layer ? ` of the ${layer.stuff.name}` : ''}`,
  }
  const angle = given('angle', fold.turn, 'angle')
  if (fold.type === 'groove' && fold.groove && !layer) {
    const inputs = {
      angle,
      thickness: given('thickness', pile.panel.thickness, 'thickness'),
      k: given('neutral-axis factor', pile.panel.neutral, 'share'),
      depth: given('depth', fold.groove.depth, 'thickness'),
      gap,
    }
    return fold.groove.shape === 'v'
      ? reckon({ ...about, formula: V_GROOVE, source: '§5' }, inputs)
      : reckon({ ...about, formula: FLAT_GROOVE, source: '§5' }, inputs)
  }
  return reckon(
    {
      ...about,
      formula: '{angle} in radians × ({gap} / 2 + {middle} to the middle of the layer)',
      source: '§2',
    },
    { angle, gap, middle: given('middle', middleOf(pile, fold, layer?.id), 'thickness') },
  )
}

/** What the drawing is short of (or over) at the fold, by what it shows: of the panel, or of a layer. */
function letInOf(folding: Folding, panelBend: Reckoned, layer?: Layer): Reckoned {
  const { fold, pile, gap, reckon, key } = folding
  const bend = layer ? bendOf(folding, layer) : panelBend
  const about = {
    key: key(layer ? `${layer.id}.letIn` : 'letIn'),
    label: layer ? `let into the ${layer.stuff.name} at the ${fold.name}` : `let in at the ${fold.name}`,
  }
  if (fold.drawn === 'bend')
    return reckon({ ...about, formula: '{bend}: drawn to where the bend begins', source: '§2' }, { bend })
  if (fold.drawn === 'flat') {
    const formula = layer
      ? '{bend} − {drawn} of the panel drawn flat'
      : '{bend} − {drawn}: drawn as it lies flat'
    return reckon({ ...about, formula, source: '§2' }, { bend, drawn: panelBend })
  }
  const groove = fold.type === 'groove' && fold.groove?.shape === 'v' ? fold.groove : undefined
  const radius = groove ? '({thickness} − {depth} groove)' : '({gap} / 2 + {pile} of leather)'
  const formula =
    fold.turn > CLOSED
      ? `{bend} − 2 × ${radius} to the outside of the fold`
      : `{bend} − 2 × ${radius} × tangent of half of {angle} to the outside corner`
  return reckon<string>(
    { ...about, formula, source: '§0' },
    {
      bend,
      gap,
      pile: given('pile', pile.total, 'thickness'),
      thickness: given('thickness', pile.panel.thickness, 'thickness'),
      depth: given('depth', groove?.depth ?? 0, 'thickness'),
      angle: given('angle', fold.turn, 'angle'),
    },
  )
}

const drapedOf = ({ fold, pile, reckon, key }: Folding): Reckoned =>
  reckon(
    {
      key: key('draped'),
      label: `cut long for the ${fold.name}`,
      formula: '{angle} in radians × {t} × {doubt} in doubt + {spare} to mark and cut',
      source: '§0',
    },
    {
      angle: given('angle', fold.turn, 'angle'),
      t: given('thickness', pile.total, 'thickness'),
      doubt: given('doubt', DRAPE.doubt, 'share'),
      spare: given('spare', DRAPE.spare),
    },
  )

const stepOf = ({ fold, pile, reckon, key }: Folding, layer: string): Reckoned =>
  reckon(
    {
      key: key('step'),
      label: `step at the edge, ${fold.name} closed`,
      formula: '{angle} in radians × {apart} between the middles',
      source: '§2',
      measured: true,
    },
    {
      angle: given('angle', fold.turn, 'angle'),
      apart: given(
        'apart',
        Math.abs(middleOf(pile, fold, undefined) - middleOf(pile, fold, layer)),
        'thickness',
      ),
    },
  )

/** Thickness of the panel with all its folds closed and everything laid in; docs/formulas.md §3. */
export function closedThickness(panel: DrawnPanel, leathers: Leathers, reckon: Reckon): Reckoned | undefined {
  const closing = panel.folds.filter((f) => f.turn > CLOSED)
  if (closing.length === 0) return undefined
  const { total } = pileOf(panel, leathers)
  return reckon(
    {
      key: `${panel.id}.closed`,
      label: 'closed thickness',
      formula: '{leaves} × {leaf} + {contents} laid in',
      source: '§3',
      measured: true,
    },
    {
      leaves: given('leaves', closing.length + 1, 'count'),
      leaf: given('leaf', total, 'thickness'),
      contents: given(
        'contents',
        closing.reduce((sum, f) => sum + f.gap, 0),
        'thickness',
      ),
    },
  )
}
