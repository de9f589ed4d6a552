import { point, shift } from '../../../geometry/index.js'
import type { Concern, MasterSize, Panel, PanelSheet } from '../../../master/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { panelSheet } from '../../parts/sheets.js'
import { type Bag } from '../bag.js'
import { rectanglePanel } from './onFace.js'

/** Where what is wrong with the handle is shown, mm from its end. */
const ALONG = 30

/** A handle as far as its filler depends on it. */
interface Filled {
  readonly id: string
  readonly ring: boolean
  readonly arc: Reckoned
  readonly length: Reckoned
  readonly wide: Reckoned
  readonly over: Reckoned | undefined
}

/** The rows of a handle keep so far beside its filler: the needle misses it, mm. */
const BESIDE = 2
/** A filler ends so far short of the rings, mm. */
const SHORT = 6

/** Thickness of what fills a handle, mm; nothing in one that has no second layer. */
export const fillOf = ({ handle, handleFill }: Bag['p']): number =>
  handle === 'doubled' || handle === 'ring' ? handleFill : 0

/** The strip between the layers of a handle, its rows on either side of it: felt, cord or leather as thick as was written. */
export function fillerOf(
  bag: Bag,
  { id, ring, arc, length, wide, over }: Filled,
): { readonly panel: Panel; readonly sheet: PanelSheet; readonly sizes: readonly MasterSize[] } | undefined {
  const { p, size } = bag
  const thickness = fillOf(p)
  if (!isFilled(bag, wide)) return undefined
  const across = size(
    'handle.filler.wide',
    'filler, width',
    '{wide} − 2 × ({margin} + {beside} beside the rows)',
    '§10',
    {
      wide,
      margin: given('margin', p.margin),
      beside: given('beside', BESIDE),
    },
  )
  const long = size('handle.filler.long', 'filler, length', '{arc} − 2 × {short} short of its ends', '§10', {
    arc,
    short: given('short', ring ? SHORT : over ? TAPER : 0),
  })
  const panel = rectanglePanel(
    bag,
    'handle-filler',
    'Filler of the handle',
    'filler',
    long.value,
    across.value,
    {
      count: p.handles,
      stock: { name: 'filler', thickness, neutral: 0.5, swatch: '#e6e0d2' },
      behind: { panelId: 'handle', sort: 'foam' },
    },
  )
  const move = shift((length.value - long.value) / 2, (wide.value - across.value) / 2 + (over?.value ?? 0))
  return {
    panel,
    sheet: panelSheet(`${id}-filler`, 'filler of the handle', panel.id, move, true),
    sizes: [across, long].map((one) => ({ panelId: panel.id, size: one })),
  }
}

/** What is lost at each edge before it shows and the rows no longer lie over one another, mm (J). */
const LETS = 0.6
/** From the line where the ends are sewn on it widens over so much to either side, mm. */
export const TAPER = 4

/** Whether a filler has room between the rows of a handle. */
const isFilled = ({ p }: Bag, wide: Reckoned): boolean =>
  fillOf(p) > 0 && wide.value - 2 * (p.margin + BESIDE) >= 2

/** Going up over a filler and down again an upper layer reaches less far across: so much wider it is cut at either edge. */
export function overOf(bag: Bag, wide: Reckoned): Reckoned | undefined {
  const { p, size } = bag
  if (p.handle !== 'doubled' || !isFilled(bag, wide) || lostOver(p) <= LETS) return undefined
  return size(
    'handle.over',
    'upper layer wider at either edge, to go over the filler',
    '√({beside}² + {filler}²) − {beside} beside the rows',
    '§10',
    { beside: given('beside', BESIDE), filler: given('filler', fillOf(p), 'thickness') },
  )
}

const lostOver = (p: Bag['p']): number => Math.hypot(BESIDE, fillOf(p)) - BESIDE

/** A filler that both halves of one width still go round, mm. */
const THIN = 1.5

/** A strip between rings is its own under layer: it can't be cut wider over a filler alone. */
export function overFiller(bag: Bag, wide: Reckoned): readonly Concern[] {
  const { p } = bag
  const lost = lostOver(p)
  if (p.handle !== 'ring' || !isFilled(bag, wide) || lost <= LETS) return []
  return [
    {
      id: 'handle-filler-thick',
      rank: 'look',
      panelId: 'handle',
      at: point(ALONG, p.handleWide / 2),
      what: 'Over a filler of {fill} the upper half of the handle needs {more} more at each edge',
      lengths: { fill: fillOf(p), more: lost, thin: THIN },
      why: 'Both halves are one strip of one width. Mould the upper one wet over the filler and trim the other to it, or take a thinner filler.',
      remedy: { field: 'handleFill', value: THIN, said: 'a filler of {thin}' },
    },
  ]
}

/** What a handle was measured by, where that was a hand. */
export const holdSizes = ({ hold }: Bag): MasterSize[] =>
  [hold.span, hold.rise].flatMap((size) => (size.kind === 'given' ? [] : [{ panelId: 'handle', size }]))
