import { firstOf } from '../../lists/index.js'
import { BOOK_FOLD, PIPED_COVER } from '../../formulas/index.js'
import { point, polyline } from '../../geometry/index.js'
import { type Join } from '../../master/index.js'
import { given } from '../../working/index.js'
import { hardwareOf, leatherOf } from '../kind.js'
import { type Bag } from './bag.js'
import { type Flap } from './flap.js'
import { arcOf, arcParts } from './handleArc.js'
import { BENCH, onFlap, onWall, type Hand } from './handlePlaces.js'
import { cordSizes, onTheFace } from './handleSizes.js'
import { ringLoops } from './ringLoops.js'
import { onPanel, rectanglePanel, row } from './onFace.js'
import { alone, part, together, type Body, type Part } from './parts.js'
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

function handle(bag: Bag, body: Body, hand: Hand, first: boolean): Part {
  const { suffix, words } = hand
  const { p, size, materials } = bag
  const strap = leatherOf(materials, 'straps')
  const t = strap.thickness
  const layers = p.handle === 'doubled' ? 2 : 1
  const arc = arcOf(bag, layers * t, strap.neutral)
  const ring = p.handle === 'ring'
  const rolled = p.handle === 'rolled'
  const back = size('handle.back', 'turned back round the ring', BOOK_FOLD, '§10', {
    gap: given('ring', hardwareOf(materials, 'handle-ring').bar),
    k: given('neutral-axis factor', strap.neutral, 'share'),
    thickness: given('leather', t, 'thickness'),
  })
  // Round both rings and back underneath, so that the ends meet in the middle.
  const length = ring
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
  const wide = rolled
    ? size(
        'handle.cover',
        'cover round the cord, with a flange on either side',
        `${PIPED_COVER} + 2 × {flange}`,
        '§10',
        { ...cordSizes(size, p.handleCord, t, strap.neutral), flange: given('flange', BENCH.flange) },
      )
    : size('handle.wide', 'width', '{wide}', '§10', { wide: given('width', p.handleWide) })
  const id = `handle-${suffix}`
  const w = wide.value
  const m = p.margin
  const panel = rectanglePanel(bag, 'handle', 'Handle', 'straps', length.value, w, {
    count: p.handles * layers,
    corner: rolled || ring ? 0 : Math.min(w / 2 - 0.5, 10),
    grain: 0,
    pull: 0,
    notes: [
      ...(rolled ? [`round a cord of ${p.handleCord} mm, ${Math.round(arc.value)} mm long`] : []),
      ...(ring ? ['its ends meet under the middle; edges sewn through both layers'] : []),
    ],
  })
  const top = BENCH.under
  const lap = p.lap
  const sewn = p.handleFix === 'sewn'
  const seams: Join[] = ring
    ? []
    : ([-1, 1] as const).flatMap((way): Join[] => {
        const { face, x: at } = hand.ends[way < 0 ? 0 : 1]
        const x = (q: number): number => (way < 0 ? q : length.value - q)
        const box = [point(x(lap - m), m), point(x(m), m), point(x(m), w - m), point(x(lap - m), w - m)]
        return sewn
          ? [
              {
                ...row(
                  `${id}-${way < 0 ? 'left' : 'right'}`,
                  `${way < 0 ? 'left' : 'right'} end of the handle ${words}`.trim(),
                  id,
                  box,
                  [id, ...(layers === 2 ? [`${id}-under`] : []), face.sheet],
                ),
                mate: {
                  type: 'line',
                  sheet: face.sheet,
                  line: polyline(
                    box.map((q) => {
                      // The end hangs down the face: its length runs up from the lap, its width across.
                      const down = top + lap - Math.abs(q.x - x(0))
                      return onPanel(face, at + (way < 0 ? q.y - w / 2 : w / 2 - q.y), down)
                    }),
                  ),
                },
              },
            ]
          : []
      })
  const edges: Join[] =
    layers === 2 || ring || rolled
      ? [m, w - m].map((y, i) =>
          row(
            `${id}-edge-${i + 1}`,
            `edge row ${i + 1} of the handle ${words}`.trim(),
            id,
            rolled
              ? [point(lap + 6, y), point(length.value - lap - 6, y)]
              : ring
                ? [point(length.value / 4 + 4, y), point((3 * length.value) / 4 - 4, y)]
                : [point(lap + 4, y), point(length.value - lap - 4, y)],
            [id, ...(layers === 2 ? [`${id}-under`] : [])],
          ),
        )
      : []
  const riveted =
    !ring && !sewn ? handleRivets(bag, body, hand, { id, layers, length: length.value, wide: w }) : undefined
  return part({
    panels: first ? [panel] : [],
    piles: [
      {
        base: id,
        sheets: [
          ...(layers === 2
            ? [{ ...firstOf(alone(panel, `${id}-under`, 'handle, under layer').sheets), grainUp: false }]
            : []),
          firstOf(alone(panel, id, 'handle').sheets),
        ],
      },
    ],
    joins: [...edges, ...seams],
    fittings: riveted ?? [],
    fits: [
      ...(first && !hand.flat ? [onTheFace(bag, body, w)] : []),
      ...(first && riveted ? [capsOn(bag, w)] : []),
    ],
    sizes: first
      ? [arc, ...(ring ? [back] : []), length, ...(rolled ? [wide] : [])].map((size) => ({
          panelId: 'handle',
          size,
        }))
      : [],
    hanging: [
      {
        name: words ? `handle ${words}` : 'handle',
        points: hand.ends.map(({ face, x }) => ({ sheet: face.sheet, at: onPanel(face, x, 0) })),
      },
    ],
    strapRuns: first ? [{ panelId: 'handle', name: 'handle', role: 'straps', length }] : [],
    stood: (opened) => [
      {
        sheet: id,
        proud: t / 2,
        group: 'straps',
        parts: arcParts(
          hand,
          opened,
          p.handleSpan,
          length.value,
          ring ? length.value / 4 : lap,
          w,
          ring,
          top,
          bag.body.thickness / 2 + (layers - 1) * t,
        ),
      },
    ],
  })
}
