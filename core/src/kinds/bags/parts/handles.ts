import { type Point, STAY, point, polyline } from '../../../geometry/index.js'
import type { Join } from '../../../master/index.js'
import { leatherOf } from '../../kind.js'
import { panelSheet } from '../../parts/sheets.js'
import { type Bag } from '../bag.js'
import { type Flap } from './flap.js'
import { arcParts } from './handleArc.js'
import { type Cut, cutOf, fullWide, handlePanels, underSheets, upperClips } from './handleCut.js'
import { BENCH, onFlap, onWall, type Hand } from './handlePlaces.js'
import { onTheFace, woundRound } from './handleSizes.js'
import { ringLoops } from './ringLoops.js'
import { onPanel, row } from './onFace.js'
import { part, together, type Body, type Part } from '../assembly.js'
import { fillerOf, holdSizes, overFiller } from './handleFiller.js'
import { capsOn, handleRivets } from './handleRivets.js'

/** Below the mouth a ring's tab begins, mm. */
const TAB_DOWN = 6
/** A handle is sewn together from this far past its lap, mm: a rolled one has to close first. */
const PAST_LAP = { rolled: 6, flat: 4 } as const

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
              y: TAB_DOWN,
            })),
          ),
        })
      : part({})
  return together([rings, ...on.map((hand, i) => handle(bag, body, hand, i === 0))])
}

/** All sheets of a handle that its rows hold. */
const sheetsOf = (cut: Cut): string[] => [cut.id, ...underSheets(cut).map((s) => s.id)]

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
  const over = cut.over?.value ?? 0
  const drawn = box.map((q) => point(q.x, q.y + over))
  return {
    ...row(`${id}-${side}`, `${side} end of the handle ${hand.words}`.trim(), id, drawn, [
      ...sheetsOf(cut),
      face.sheet,
    ]),
    mate: { type: 'line', sheet: face.sheet, line: polyline(onFace) },
  }
}

/** The longest half of a row not over `half` mm that has a stitch across its middle, where the ends beneath it meet. */
const straddled = (half: number, pitch: number): number => {
  const steps = Math.floor((2 * half) / pitch)
  return steps < 1 ? half : ((steps - (steps % 2 === 0 ? 1 : 0)) * pitch) / 2
}

/** Where a row along an edge of a handle runs, `y` mm down a layer of it, as far as it can be reached. */
function edgePoints({ p, s }: Bag, { ring, rolled, length }: Cut, y: number): Point[] {
  const from = ring
    ? length.value / 2 - straddled(length.value / 4 - 4, s.pitch.value)
    : p.lap + (rolled ? PAST_LAP.rolled : PAST_LAP.flat)
  return [point(from, y), point(length.value - from, y)]
}

/** Rows along both edges of a handle of two layers; the edges of a cover round a cord are sewn to each other in one. */
function edgeRows(bag: Bag, cut: Cut): Join[] {
  const { id, ring, rolled, layers, wide, over, hand } = cut
  if (layers === 1 && !ring && !rolled) return []
  const m = bag.p.margin
  const edge = (number: string, y: number, meets?: { readonly sheet: string; readonly y: number }): Join => ({
    ...row(
      `${id}-edge-${number || 1}`,
      `edge row ${number} of the handle ${hand.words}`.replace(/ +/g, ' ').trim(),
      id,
      edgePoints(bag, cut, y),
      sheetsOf(cut),
    ),
    ...(meets
      ? { mate: { type: 'line', sheet: meets.sheet, line: polyline(edgePoints(bag, cut, meets.y)) } }
      : {}),
  })
  const full = fullWide(cut)
  if (rolled) return [edge('', m, { sheet: id, y: full - m })]
  const under = `${id}-under`
  return [
    edge('1', m, over && { sheet: under, y: m }),
    edge('2', full - m, over && { sheet: under, y: wide.value - m }),
  ]
}

/** A handle over its two ends; what is alike in a second one is said with the first. */
function handle(bag: Bag, body: Body, hand: Hand, first: boolean): Part {
  const { p } = bag
  const cut = cutOf(bag, hand)
  const { id, ring, rolled, layers, t, arc, back, length, wide, over } = cut
  const filler = fillerOf(bag, cut)
  const seams =
    ring || p.handleFix !== 'sewn' ? [] : (['left', 'right'] as const).map((side) => endSeam(bag, cut, side))
  const riveted = !ring && p.handleFix !== 'sewn' ? handleRivets(bag, body, hand, cut) : undefined
  const sizes = [arc, ...(ring ? [back] : []), length, ...(rolled ? [wide] : []), ...(over ? [over] : [])]
  return part({
    panels: first ? [...handlePanels(bag, cut), ...(filler ? [filler.panel] : [])] : [],
    piles: [
      {
        base: id,
        sheets: [
          ...underSheets(cut),
          ...(filler ? [filler.sheet] : []),
          panelSheet(id, 'handle', 'handle', STAY, true, upperClips(cut)),
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
    concerns: first ? overFiller(bag, wide) : [],
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
            wide: fullWide(cut),
            end: ring ? length.value / 4 : p.lap,
            ...(rolled
              ? { wound: woundRound(bag.size, p.handleCord, leatherOf(bag.materials, 'straps')) }
              : {}),
          },
          ring ? 'rings' : { top: BENCH.under, out: bag.body.thickness / 2 + (layers - 1) * t },
        ),
      },
    ],
  })
}
