import { point } from '../../../geometry/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { edgeSeam } from '../../parts/seams.js'
import { type Bag } from '../bag.js'
import { rectanglePanel, rowsAlong } from './onFace.js'
import { onto, part, type Part } from '../assembly.js'
import { BENCH, type Sizes } from './strapSizes.js'

/** A pad of a strap, mm: wider than the strap on either side, and a third of it long at most. */
export interface Pad {
  readonly wide: number
  readonly long: number
  /** Where it begins on the long part of the strap, from the end turned back round the ring. */
  readonly from: number
}

const CORNER = 18
/** Seams of the pads and turn-backs of the strap keep apart by so much, mm. */
const CLEAR = 20
/** A seam of the pads begins so far beside the strap, mm: none crosses the pull. */
const BESIDE = 2

/** The pad of each strap: in the middle of what is worn, but off the buckle; undefined where there is none. */
export function padOf({ p }: Bag, s: Sizes): Pad | undefined {
  if (p.strap === 'none' || p.strapPad !== 'pad') return undefined
  const free = s.usual.value - CLEAR
  const long = Math.min(BENCH.pad, p.carried / 3, free - CLEAR)
  if (long < 2 * CORNER + CLEAR) return undefined
  const from = Math.min((p.carried - long) / 2, free - long)
  return { wide: p.strapWide + 2 * BENCH.padBeside, long, from: s.back.value + from }
}

const padMargin = ({ p, reckon }: Bag): Reckoned =>
  reckon(
    {
      key: 'margin.pad',
      label: 'margin, shoulder pad',
      formula: '{margin} from the edge of the pad',
      source: '§7',
    },
    { margin: given('margin', p.margin) },
  )

/** A slot is so much longer than the strap is wide; from the pad’s end to its slot, and the slot’s round ends, mm. */
const SLOT = { ease: 4, in: 22, punch: 4 } as const

/**
 * A pad that slides on a shoulder strap: two layers, the strap in through a slot of the upper one, between them, and out
 * through the other; no glue between the slots.
 */
export function slidingPad(bag: Bag, { wide, long, from }: Pad): Part {
  const { p } = bag
  const common = { corner: CORNER, count: 1 } as const
  const slot = p.strapWide + SLOT.ease
  const upper = rectanglePanel(bag, 'pad', 'Shoulder pad', 'inner', wide, long, {
    ...common,
    notes: ['glued to its under layer all round: none between the slots'],
    marks: [
      ...[SLOT.in, long - SLOT.in].map((y, i) => ({
        type: 'slot' as const,
        id: i === 0 ? 'in' : 'out',
        at: point(wide / 2, y),
        angle: 0,
        length: slot,
        punch: SLOT.punch,
      })),
      {
        type: 'window',
        id: 'no-glue',
        at: point(wide / 2, long / 2),
        angle: Math.PI / 2,
        length: long - 2 * SLOT.in,
        width: slot,
      },
    ],
  })
  const under = rectanglePanel(bag, 'pad-under', 'Shoulder pad, under layer', 'inner', wide, long, common)
  const margin = padMargin(bag)
  const move = { a: 1, b: 0, c: 0, d: 1, e: -BENCH.padBeside, f: from }
  return part({
    panels: [upper, under],
    onto: [onto('strap-long', 'outside', upper, move), onto('strap-long', 'inside', under, move)],
    joins: [
      edgeSeam({
        id: 'pad-round',
        name: 'seam round the shoulder pad',
        sheet: 'pad',
        chain: ['top', 'top-right', 'right', 'foot-right', 'foot', 'foot-left', 'left', 'top-left'],
        margin,
        through: ['pad', 'pad-under'],
        away: true,
        glue: [],
        back: [2, 1],
      }),
    ],
  })
}

/** Two pads to a strap with the strap between them: sewn to each other along both sides, and to the strap along its edges. */
export function padParts(bag: Bag, { wide, long, from }: Pad): Part {
  const { p } = bag
  const panel = rectanglePanel(bag, 'pad', 'Shoulder pad', 'inner', wide, long, {
    count: 4,
    corner: CORNER,
    notes: ['two to a strap, flesh sides in, the strap between them', 'foam between, cut short of the rows'],
  })
  const margin = padMargin(bag)
  const round = Math.max(1, CORNER - p.margin)
  const cut = round * Math.asin(Math.min(1, Math.max(0, CORNER - BENCH.padBeside + BESIDE) / round))
  const trim = (Math.PI / 2) * round - cut
  const strap = ['strap-long', ...(p.strapJoin === 'none' ? [] : ['strap-tip'])]
  const move = { a: 1, b: 0, c: 0, d: 1, e: -BENCH.padBeside, f: from }
  const sides = (['right', 'left'] as const).map((side) =>
    edgeSeam({
      id: `pad-${side}`,
      name: `shoulder pad, ${side} side`,
      sheet: 'pad',
      chain: side === 'right' ? ['top-right', 'right', 'foot-right'] : ['foot-left', 'left', 'top-left'],
      margin,
      trims: [trim, trim],
      through: ['pad', 'pad-under'],
      twin: `pad-${side === 'right' ? 'left' : 'right'}`,
      pairName: 'sides of the shoulder pad',
    }),
  )
  const [a, b] = [BENCH.padBeside + p.margin, wide - BENCH.padBeside - p.margin]
  return part({
    panels: [panel],
    onto: [
      onto('strap-long', 'outside', panel, move),
      onto('strap-long', 'inside', panel, move, 'pad-under', false),
    ],
    joins: [
      ...rowsAlong(
        'pad-strap',
        'strap through the shoulder pad',
        'pad',
        [a, b],
        [p.margin + 4, long - p.margin - 4],
        ['pad', ...strap, 'pad-under'],
      ),
      ...sides,
    ],
  })
}
