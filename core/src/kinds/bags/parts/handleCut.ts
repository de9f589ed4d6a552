import { lengthSaid } from '../../../measure/index.js'
import { BOOK_FOLD, PIPED_COVER } from '../../../formulas/index.js'
import { flipAbout, point, polyline, shift } from '../../../geometry/index.js'
import { type Panel, type PanelMark, type PanelSheet, clipAt, clipMoved } from '../../../master/index.js'
import type { Leather } from '../../../stores/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { hardwareOf, leatherOf } from '../../kind.js'
import { outlineOf, plainPanel } from '../../parts/shape.js'
import { panelSheet } from '../../parts/sheets.js'
import { type Bag } from '../bag.js'
import { arcOf } from './handleArc.js'
import { TAPER, fillOf, overOf } from './handleFiller.js'
import { BENCH, type Hand } from './handlePlaces.js'
import { cordSizes } from './handleSizes.js'
import { rectanglePanel } from './onFace.js'

/** A handle as it will be cut: what it is, its layers and its sizes. */
export interface Cut {
  readonly id: string
  readonly hand: Hand
  readonly ring: boolean
  readonly rolled: boolean
  readonly layers: 1 | 2
  /** Thickness of a layer, mm. */
  readonly t: number
  readonly arc: Reckoned
  readonly back: Reckoned
  readonly length: Reckoned
  readonly wide: Reckoned
  /** How much further an upper layer reaches at either edge over a filler; undefined where both are cut alike. */
  readonly over: Reckoned | undefined
}

export function cutOf(bag: Bag, hand: Hand): Cut {
  const { p, materials } = bag
  const strap = leatherOf(materials, 'straps')
  const layers = p.handle === 'doubled' ? 2 : 1
  const shape = {
    id: `handle-${hand.suffix}`,
    hand,
    ring: p.handle === 'ring',
    rolled: p.handle === 'rolled',
    layers,
    t: strap.thickness,
  } as const
  const arc = arcOf(bag, pileOf(p, layers, strap.thickness), strap.neutral)
  const back = bag.size('handle.back', 'turned back round the ring', BOOK_FOLD, '§10', {
    gap: given('ring', hardwareOf(materials, 'handle-ring').bar),
    k: given('neutral-axis factor', strap.neutral, 'share'),
    thickness: given('leather', strap.thickness, 'thickness'),
  })
  const length = lengthOf(bag, shape.ring, arc, back)
  const wide = widthOf(bag, shape.rolled, strap)
  return { ...shape, arc, back, length, wide, over: overOf(bag, wide) }
}

/** Thickness of a handle where its layers and a filler lie together, mm; the strip between rings lies there twice. */
const pileOf = (p: Bag['p'], layers: number, t: number): number =>
  (p.handle === 'ring' ? 2 : layers) * t + fillOf(p)

/** Between rings it goes round both and back underneath, so that the ends meet in the middle. */
const lengthOf = ({ p, size }: Bag, ring: boolean, arc: Reckoned, back: Reckoned): Reckoned =>
  ring
    ? size(
        'handle.length',
        'handle strip: out, round both rings, back to where its ends meet in the middle',
        '2 × {arc} + 2 × {back}',
        '§10',
        { arc, back },
      )
    : size('handle.length', 'handle with both ends', '{arc} + 2 × {ends} sewn on', '§10', {
        arc,
        ends: given('ends', p.lap),
      })

const widthOf = ({ p, size }: Bag, rolled: boolean, { thickness, neutral }: Leather): Reckoned =>
  rolled
    ? size(
        'handle.cover',
        'cover round the cord, with a flange on either side',
        `${PIPED_COVER} + 2 × {flange}`,
        '§10',
        { ...cordSizes(size, p.handleCord, thickness, neutral), flange: given('flange', BENCH.flange) },
      )
    : size('handle.wide', 'width', '{wide}', '§10', { wide: given('width', p.handleWide) })

/** Where a strip between rings is laid round them, and where its ends meet underneath. */
function meetingMarks(length: number, arc: number, wide: number): PanelMark[] {
  const across = (x: number) => polyline([point(x, 0), point(x, wide)])
  const middle = length / 2
  // From the middle half the handle to either ring, and as much of a turn round it as is left.
  const turn = (length - 2 * arc) / 4
  return [
    { type: 'lines', id: 'meet', at: point(middle, wide), paths: [across(middle)], said: 'ends meet here' },
    ...([-1, 1] as const).map((way): PanelMark => {
      const x = middle + way * (arc / 2 + turn)
      return {
        type: 'lines',
        id: `ring-${way}`,
        at: point(x, wide),
        paths: [across(x)],
        said: 'round the ring',
      }
    }),
  ]
}

/** The widest a handle is cut, mm: its upper layer, where that reaches over a filler. */
export const fullWide = ({ wide, over }: Cut): number => wide.value + 2 * (over?.value ?? 0)

/** The pieces of a handle: one, or an upper one that is wider over a filler and the one under it. */
export function handlePanels(bag: Bag, cut: Cut): Panel[] {
  const { p } = bag
  const { ring, rolled, layers, arc, length, wide, over } = cut
  const corner = rolled || ring ? 0 : Math.min(wide.value / 2 - 0.5, 10)
  const common = { grain: 0, pull: 0 }
  if (over) {
    const each = { ...common, count: p.handles }
    const [long, high] = [length.value, wide.value]
    return [
      { ...upperPanel(bag, { ...cut, over }, corner), ...each },
      rectanglePanel(bag, 'handle-under', 'Handle, under layer', 'straps', long, high, { ...each, corner }),
    ]
  }
  return [
    rectanglePanel(bag, 'handle', 'Handle', 'straps', length.value, wide.value, {
      ...common,
      count: p.handles * layers,
      corner,
      ...(ring ? { marks: meetingMarks(length.value, arc.value, wide.value) } : {}),
      notes: [
        ...(rolled
          ? [`round a cord of ${lengthSaid(p.handleCord)}, ${lengthSaid(Math.round(arc.value))} long`]
          : []),
        ...(ring ? ['its ends meet under the middle; edges sewn through both layers'] : []),
      ],
    }),
  ]
}

/** As wide as the under layer at its ends, wider between them: its ends lie flat, its middle goes over the filler. */
function upperPanel(
  bag: Bag,
  { length, wide, over }: Pick<Cut, 'length' | 'wide'> & { readonly over: Reckoned },
  radius: number,
): Panel {
  const { lap } = bag.p
  const [long, o] = [length.value, over.value]
  const [near, far] = [o, o + wide.value]
  const [from, to] = [lap - TAPER, lap + TAPER]
  const foot = 2 * o + wide.value
  return plainPanel({
    id: 'handle',
    name: 'Handle, upper layer',
    role: 'straps',
    ...outlineOf(
      [
        { x: 0, y: near, radius, edge: 'top-left', corner: 'top-left-round' },
        { x: from, y: near, edge: 'rises-left' },
        { x: to, y: 0, edge: 'top' },
        { x: long - to, y: 0, edge: 'rises-right' },
        { x: long - from, y: near, edge: 'top-right' },
        { x: long, y: near, radius, edge: 'right', corner: 'top-right-round' },
        { x: long, y: far, radius, edge: 'foot-right', corner: 'foot-right-round' },
        { x: long - from, y: far, edge: 'falls-right' },
        { x: long - to, y: foot, edge: 'foot' },
        { x: to, y: foot, edge: 'falls-left' },
        { x: from, y: far, edge: 'foot-left' },
        { x: 0, y: far, radius, edge: 'left', corner: 'foot-left-round' },
      ],
      () => bag.plain,
    ),
    labelAt: point(long / 2, foot / 2),
  })
}

/** The sheets of a handle that lie under its upper one, lowest first; ends of a strip between rings come back under its middle. */
export function underSheets({ id, ring, layers, length, over }: Cut): PanelSheet[] {
  if (layers === 2) {
    const panelId = over ? 'handle-under' : 'handle'
    const move = shift(0, over?.value ?? 0)
    return [panelSheet(`${id}-under`, 'handle, under layer', panelId, move, false)]
  }
  if (!ring) return []
  return ([1, 3] as const).map((quarter) => {
    const move = flipAbout((quarter * length.value) / 4)
    const clip = clipAt(point((quarter * length.value) / 4, 0), point(quarter === 1 ? -1 : 1, 0))
    return panelSheet(
      `${id}-${quarter === 1 ? 'left' : 'right'}-end`,
      'end of the handle, turned back',
      'handle',
      move,
      false,
      [clipMoved(clip, move)],
    )
  })
}

/** What of a handle shows above: a strip between rings only as far as it does not go back under itself. */
export const upperClips = ({ ring, length }: Cut) =>
  ring
    ? [
        clipAt(point(length.value / 4, 0), point(1, 0)),
        clipAt(point((3 * length.value) / 4, 0), point(-1, 0)),
      ]
    : []
