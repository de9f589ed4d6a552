import { type Move, courseOf, moveThen, point, point3Along } from '../../../geometry/index.js'
import type { Stood } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { leatherOf } from '../../kind.js'
import { minus } from '../axes.js'
import { type Bag } from '../bag.js'
import { putOn, rectanglePanel, row, rowsAlong } from './onFace.js'
import { onto, part, type Body, type Part } from '../assembly.js'

/**
 * From the tip of a flap to its closure; width of a closing strap and of the loop it goes through, and
 * how far it goes on beyond that, mm.
 */
export const BENCH = {
  closureIn: 22,
  sewnLap: 25,
  strapWide: 24,
  loopWide: 16,
  strapOver: 70,
  strapPast: 35,
} as const

/** Where the flap’s tip lies on its sheet, and how far down the front it comes. */
export interface Tip {
  readonly sheet: string
  readonly at: (up: number) => { x: number; y: number }
  readonly down: number
}

/** A strap on the flap that goes down through a loop on the front; without a flap, from the back over the top. */
export function strapped(bag: Bag, body: Body, tip: Tip | undefined): Part {
  const { p, size } = bag
  const m = p.margin
  const t = bag.body.thickness
  const sewn = 45
  const under = p.top === 'single' ? 6 : p.topBand + 4
  const down = tip ? tip.down + 28 : Math.min(90, body.front.high / 2)
  const length = tip
    ? size('closing.length', 'closing strap', '{sewn} sewn on + {over} beyond the edge', '§20', {
        sewn: given('sewn', sewn),
        over: given('over', BENCH.strapOver),
      })
    : size(
        'closing.length',
        'closing strap',
        '{sewn} sewn on + {under} up to the top + {deep} over the mouth + {down} down to the loop + {past} through it',
        '§20',
        {
          sewn: given('sewn', sewn),
          under: given('under', under),
          deep: bag.s.outDeep,
          down: given('down', down),
          past: given('past', BENCH.loopWide + BENCH.strapPast),
        },
      )
  const loop = size(
    'closing.loop',
    'loop for the closing strap, with its ends sewn down',
    '{wide} strap + 2 × {t} + 2 × {t} room + 2 × {ends} ends',
    '§10',
    { wide: given('strap', BENCH.strapWide), t: given('leather', t, 'thickness'), ends: given('ends', 14) },
  )
  const strap = rectanglePanel(
    bag,
    'closing-strap',
    'Closing strap',
    'straps',
    BENCH.strapWide,
    length.value,
    {
      foot: BENCH.strapWide / 2 - 0.1,
      pull: Math.PI / 2,
    },
  )
  const keeper = rectanglePanel(
    bag,
    'closing-loop',
    'Loop of the closing strap',
    'straps',
    loop.value,
    BENCH.loopWide,
  )
  // Its sewn end lies up the flap, and it hangs beyond the tip; without one it is sewn below the back’s top edge and
  // reaches up and over. Either way it lies the other way up than it is drawn.
  const upside = (x: number, y: number): Move => ({
    a: -1,
    b: 0,
    c: 0,
    d: -1,
    e: x + BENCH.strapWide / 2,
    f: y,
  })
  const lies = tip
    ? onto(tip.sheet, 'outside', strap, upside(tip.at(0).x, tip.at(sewn).y))
    : onto(body.back.sheet, 'outside', strap, moveThen(upside(0, under + sewn), body.back.move))
  const far = sewn - m
  return part({
    panels: [strap, keeper],
    onto: [lies, putOn(body.front, keeper, { x: 0, y: down })],
    joins: [
      ...rowsAlong(
        'closing-seam',
        'closing strap',
        'closing-strap',
        [m, BENCH.strapWide - m],
        [m, far],
        ['closing-strap', tip ? tip.sheet : body.back.sheet],
      ),
      ...([0, 1] as const).map((i) =>
        row(
          `loop-${i + 1}`,
          `end ${i + 1} of the loop`,
          'closing-loop',
          [point(i === 0 ? 7 : loop.value - 7, 2), point(i === 0 ? 7 : loop.value - 7, BENCH.loopWide - 2)],
          ['closing-loop', body.front.sheet],
          [1, 1],
        ),
      ),
    ],
    sizes: [
      { panelId: 'closing-strap', size: length },
      { panelId: 'closing-loop', size: loop },
    ],
    ...(tip ? {} : { stood: (opened) => [overTheTop(bag, body, under + sewn, 1 - opened)] }),
  })
}

/** It bends over an edge round so much, to the middle of its leather, mm. */
const BEND = 4

/** A strap sewn on below the back’s top edge, `up` mm from there: over the mouth and down the front where it is shut. */
function overTheTop(bag: Bag, { back }: Body, up: number, shut: number): Stood {
  const t = leatherOf(bag.materials, 'straps').thickness
  const { origin, down, grain } = back.frame(1 - shut)
  const out = back.seamOffset + (bag.body.thickness + t) / 2
  const bend = { length: (BEND * Math.PI) / 2, turn: (shut * Math.PI) / 2 }
  const flat = (length: number) => ({ length: Math.max(0.1, length), turn: 0 })
  return {
    sheet: 'closing-strap',
    seamOffset: 0,
    parts: [
      {
        clips: [],
        from: point(BENCH.strapWide / 2, 0),
        along: point(0, 1),
        course: courseOf([flat(up), bend, flat(bag.s.outDeep.value + t - 2 * BEND), bend]),
        frame: {
          origin: point3Along(point3Along(origin, down, up), grain, out),
          along: minus(down),
          rise: grain,
        },
      },
    ],
  }
}
