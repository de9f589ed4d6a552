import { firstOf } from '../../../lists/index.js'
import { BOOK_FOLD, PIPED_COVER } from '../../../formulas/index.js'
import { point, polyline } from '../../../geometry/index.js'
import type { Join, Panel, PanelMark } from '../../../master/index.js'
import type { Leather } from '../../../stores/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { hardwareOf, leatherOf } from '../../kind.js'
import { type Bag } from '../bag.js'
import { type Flap } from './flap.js'
import { arcOf, arcParts } from './handleArc.js'
import { BENCH, onFlap, onWall, type Hand } from './handlePlaces.js'
import { cordSizes, onTheFace } from './handleSizes.js'
import { ringLoops } from './ringLoops.js'
import { onPanel, rectanglePanel, row } from './onFace.js'
import { alone, part, together, type Body, type Part } from '../assembly.js'
import { fillOf, fillerOf, holdSizes, overFiller } from './handleFiller.js'
import { capsOn, handleRivets } from './handleRivets.js'

/** Handles on front and back, or one on the back, or on top of the flap. */
export function handles(bag: Bag, body: Body, flap: Flap | undefined): Part {
  const { p } = bag
  if (p.handle === 'none') return part({})
  const on: Hand[] =
    p.handles === 2
      ? [onWall(bag, body.front, 'front', 'of the front'), onWall(bag, body.back, 'back', 'of the back')]
      : [flap ? onFlap(bag, body, flap) : onWall(bag, body.back, 'back', '')]
  const rings =
    p.handle === 'ring'
      ? ringLoops(bag, {
          panelId: 'ring-tab',
          role: 'handle-ring',
          wide: p.handleWide,
          field: 'handleWide',
          places: on.flatMap(({ ends, suffix, words }) =>
            ends.map(({ face, x }, i) => ({
              id: `${suffix}-${i + 1}`,
              words: `${i + 1} of the handle ${words}`.trim(),
              face,
              x,
              y: 6,
            })),
          ),
        })
      : part({})
  return together([rings, ...on.map((hand, i) => handle(bag, body, hand, i === 0))])
}

/** A handle as it will be cut: what it is, its layers and its sizes. */
interface Cut {
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
}

function cutOf(bag: Bag, hand: Hand): Cut {
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
  return { ...shape, arc, back, length, wide: widthOf(bag, shape.rolled, strap) }
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

function panelOf(bag: Bag, { ring, rolled, layers, arc, length, wide }: Cut): Panel {
  const { p } = bag
  return rectanglePanel(bag, 'handle', 'Handle', 'straps', length.value, wide.value, {
    count: p.handles * layers,
    corner: rolled || ring ? 0 : Math.min(wide.value / 2 - 0.5, 10),
    grain: 0,
    pull: 0,
    ...(ring ? { marks: meetingMarks(length.value, arc.value, wide.value) } : {}),
    notes: [
      ...(rolled ? [`round a cord of ${p.handleCord} mm, ${Math.round(arc.value)} mm long`] : []),
      ...(ring ? ['its ends meet under the middle; edges sewn through both layers'] : []),
    ],
  })
}

/** All sheets of a handle. */
const sheetsOf = ({ id, layers }: Cut): string[] => [id, ...(layers === 2 ? [`${id}-under`] : [])]

/** A box of stitches on an end that hangs down the face. */
function endSeam({ p }: Bag, cut: Cut, side: 'left' | 'right'): Join {
  const { id, hand } = cut
  const [w, m, lap] = [cut.wide.value, p.margin, p.lap]
  const left = side === 'left'
  const { face, x: at } = hand.ends[left ? 0 : 1]
  const x = (q: number): number => (left ? q : cut.length.value - q)
  const box = [point(x(lap - m), m), point(x(m), m), point(x(m), w - m), point(x(lap - m), w - m)]
  // Its length runs up from the lap, its width across.
  const onFace = box.map((q) =>
    onPanel(face, at + (left ? q.y - w / 2 : w / 2 - q.y), BENCH.under + lap - Math.abs(q.x - x(0))),
  )
  return {
    ...row(`${id}-${side}`, `${side} end of the handle ${hand.words}`.trim(), id, box, [
      ...sheetsOf(cut),
      face.sheet,
    ]),
    mate: { type: 'line', sheet: face.sheet, line: polyline(onFace) },
  }
}

/** Rows along both edges of a handle of more than one layer, as far as they can be reached. */
function edgeRows({ p }: Bag, cut: Cut): Join[] {
  const { id, ring, rolled, layers, length, wide, hand } = cut
  if (layers === 1 && !ring && !rolled) return []
  const from = ring ? length.value / 4 + 4 : p.lap + (rolled ? 6 : 4)
  return [p.margin, wide.value - p.margin].map((y, i) =>
    row(
      `${id}-edge-${i + 1}`,
      `edge row ${i + 1} of the handle ${hand.words}`.trim(),
      id,
      [point(from, y), point(length.value - from, y)],
      sheetsOf(cut),
    ),
  )
}

/** A handle over its two ends; what is alike in a second one is said with the first. */
function handle(bag: Bag, body: Body, hand: Hand, first: boolean): Part {
  const { p } = bag
  const cut = cutOf(bag, hand)
  const { id, ring, rolled, layers, t, arc, back, length, wide } = cut
  const panel = panelOf(bag, cut)
  const filler = fillerOf(bag, cut)
  const under = { ...firstOf(alone(panel, `${id}-under`, 'handle, under layer').sheets), grainUp: false }
  const seams =
    ring || p.handleFix !== 'sewn' ? [] : (['left', 'right'] as const).map((side) => endSeam(bag, cut, side))
  const riveted =
    !ring && p.handleFix !== 'sewn'
      ? handleRivets(bag, body, hand, { id, layers, length: length.value, wide: wide.value })
      : undefined
  const sizes = [arc, ...(ring ? [back] : []), length, ...(rolled ? [wide] : [])]
  return part({
    panels: first ? [panel, ...(filler ? [filler.panel] : [])] : [],
    piles: [
      {
        base: id,
        sheets: [
          ...(layers === 2 ? [under] : []),
          ...(filler ? [filler.sheet] : []),
          firstOf(alone(panel, id, 'handle').sheets),
        ],
      },
    ],
    joins: [...edgeRows(bag, cut), ...seams],
    fittings: riveted ?? [],
    fits: [
      ...(first && !hand.flat ? [onTheFace(bag, body, wide.value)] : []),
      ...(first && riveted ? [capsOn(bag, wide.value)] : []),
    ],
    sizes: first
      ? [...holdSizes(bag), ...sizes.map((size) => ({ panelId: 'handle', size })), ...(filler?.sizes ?? [])]
      : [],
    concerns: first ? overFiller(bag, filler !== undefined) : [],
    hanging: [
      {
        name: hand.words ? `handle ${hand.words}` : 'handle',
        points: hand.ends.map(({ face, x }) => ({ sheet: face.sheet, at: onPanel(face, x, 0) })),
      },
    ],
    strapRuns: first ? [{ panelId: 'handle', name: 'handle', role: 'straps', length }] : [],
    stood: (opened) => [
      {
        sheet: id,
        seamOffset: t / 2,
        group: 'straps',
        parts: arcParts(
          hand,
          opened,
          {
            span: bag.hold.span.value,
            length: length.value,
            wide: wide.value,
            end: ring ? length.value / 4 : p.lap,
          },
          ring ? 'rings' : { top: BENCH.under, out: bag.body.thickness / 2 + (layers - 1) * t },
        ),
      },
    ],
  })
}
