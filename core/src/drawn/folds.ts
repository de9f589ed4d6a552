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
  readonly letIn: Reckoned
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

/** Every fold of a drawn panel, worked out; docs/formulas.md §2, §3, §5. */
export function foldNumbers(panel: DrawnPanel, leathers: Leathers, reckon: Reckon): FoldNumbers[] {
  const pile = pileOf(panel, leathers)
  return panel.folds.map((fold) => {
    const key = (what: string): string => `${panel.id}.${fold.id}.${what}`
    const before = wrappedBefore(panel, fold)
    const gap = reckon(
      {
        key: key('gap'),
        label: `gap in the ${fold.name}`,
        formula:
          before.length > 0 ? '{own} laid in + {inner} inside it + {count} × {leaf} leaves' : '{own} laid in',
        source: '§3',
      },
      {
        own: given('laid in', fold.gap, 'thickness'),
        inner: given(
          'inside',
          before.reduce((sum, f) => sum + f.gap, 0),
          'thickness',
        ),
        count: given('leaves', before.length, 'count'),
        leaf: given('leaf', pile.total, 'thickness'),
      },
    )
    const bend = bendOf(fold, pile, gap, undefined, key('bend'), `${fold.name} uses up`, reckon)
    const letIn = letInOf(fold, pile, gap, bend, bend, key('letIn'), `let in at the ${fold.name}`, reckon)
    const layers = Object.fromEntries(
      pile.layers.map(({ id, stuff }) => {
        const own = bendOf(
          fold,
          pile,
          gap,
          id,
          key(`${id}.bend`),
          `${fold.name} uses up of the ${stuff.name}`,
          reckon,
        )
        return [
          id,
          letInOf(
            fold,
            pile,
            gap,
            own,
            bend,
            key(`${id}.letIn`),
            `let into the ${stuff.name} at the ${fold.name}`,
            reckon,
          ),
        ]
      }),
    )
    const last = pile.layers[pile.layers.length - 1]
    return {
      fold,
      gap,
      bend,
      letIn,
      layers,
      draped: fold.school === 'draped' ? drapedOf(fold, pile, key('draped'), reckon) : undefined,
      step: last && stepOf(fold, pile, last.id, key('step'), reckon),
    }
  })
}

/** Flat length that the panel (or a layer of it) uses up going round. */
function bendOf(
  fold: DrawnFold,
  pile: Pile,
  gap: Reckoned,
  layer: string | undefined,
  key: string,
  label: string,
  reckon: Reckon,
): Reckoned {
  const angle = given('angle', fold.turn, 'angle')
  if (fold.type === 'groove' && fold.groove && layer === undefined) {
    const inputs = {
      angle,
      thickness: given('thickness', pile.panel.thickness, 'thickness'),
      k: given('neutral-axis factor', pile.panel.neutral, 'share'),
      depth: given('depth', fold.groove.depth, 'thickness'),
      gap,
    }
    return fold.groove.shape === 'v'
      ? reckon({ key, label, formula: V_GROOVE, source: '§5' }, inputs)
      : reckon({ key, label, formula: FLAT_GROOVE, source: '§5' }, inputs)
  }
  const middle = given('middle', middleOf(pile, fold, layer), 'thickness')
  return reckon(
    {
      key,
      label,
      formula: '{angle} in radians × ({gap} / 2 + {middle} to the middle of the layer)',
      source: '§2',
    },
    { angle, gap, middle },
  )
}

/** What the drawing is short of (or over) at the fold, by what it shows. */
function letInOf(
  fold: DrawnFold,
  pile: Pile,
  gap: Reckoned,
  bend: Reckoned,
  panelBend: Reckoned,
  key: string,
  label: string,
  reckon: Reckon,
): Reckoned {
  if (fold.drawn === 'bend')
    return reckon({ key, label, formula: '{bend}: drawn to where the bend begins', source: '§2' }, { bend })
  if (fold.drawn === 'flat')
    return reckon(
      {
        key,
        label,
        formula:
          bend === panelBend
            ? '{bend} − {drawn}: drawn as it lies flat'
            : '{bend} − {drawn} of the panel drawn flat',
        source: '§2',
      },
      { bend, drawn: panelBend },
    )
  const v = fold.type === 'groove' && fold.groove?.shape === 'v'
  const radius = v ? '({thickness} − {depth} groove)' : '({gap} / 2 + {pile} of leather)'
  return reckon(
    {
      key,
      label,
      formula:
        fold.turn > CLOSED
          ? `{bend} − 2 × ${radius} to the outside of the fold`
          : `{bend} − 2 × ${radius} × tangent of half of {angle} to the outside corner`,
      source: '§0',
    },
    {
      bend,
      gap,
      pile: given('pile', pile.total, 'thickness'),
      thickness: given('thickness', pile.panel.thickness, 'thickness'),
      depth: given('depth', v ? fold.groove!.depth : 0, 'thickness'),
      angle: given('angle', fold.turn, 'angle'),
    },
  )
}

const drapedOf = (fold: DrawnFold, pile: Pile, key: string, reckon: Reckon): Reckoned =>
  reckon(
    {
      key,
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

const stepOf = (fold: DrawnFold, pile: Pile, layer: string, key: string, reckon: Reckon): Reckoned =>
  reckon(
    {
      key,
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
