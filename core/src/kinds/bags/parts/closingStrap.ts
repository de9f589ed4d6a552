import { mostRadius } from '../../parts/shape.js'
import { type Move, courseOf, moveThen, point, point3Along } from '../../../geometry/index.js'
import type { Join, Panel, Stood } from '../../../master/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { leatherOf } from '../../kind.js'
import { minus } from '../axes.js'
import { type Bag } from '../bag.js'
import { putOn, rectanglePanel, row, rowsAlong } from './onFace.js'
import { onto, part, type Body, type Part } from '../assembly.js'

/** Where the strap goes, mm: its row below a raw edge, its row below a band, and the loop down the front where no tip says. */
const PLACES = { underEdge: 6, underBand: 4, down: 90 } as const
/** Both ends of the strap together, and the rows of its loop from the loop's ends, mm. */
const ENDS = { strap: 14, loop: 7 } as const
/** The least of a stretch that is drawn, mm. */
const LEAST_STRETCH = 0.1

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

/** So much of the strap is sewn down; it comes so far beyond a flap’s tip before its loop, mm. */
const [SEWN, BELOW_TIP] = [45, 28] as const

/** Where the strap is sewn on below the back’s top edge where there is no flap, and how far down the front its loop sits, mm. */
interface Places {
  readonly under: number
  readonly down: number
}

const placesOf = ({ p }: Bag, { front }: Body, tip: Tip | undefined): Places => ({
  under: p.top === 'single' ? PLACES.underEdge : p.topBand + PLACES.underBand,
  down: tip ? tip.down + BELOW_TIP : Math.min(PLACES.down, front.high / 2),
})

const strapLength = ({ size, s }: Bag, tip: Tip | undefined, { under, down }: Places): Reckoned =>
  tip
    ? size('closing.length', 'closing strap', '{sewn} sewn on + {over} beyond the edge', '§20', {
        sewn: given('sewn', SEWN),
        over: given('over', BENCH.strapOver),
      })
    : size(
        'closing.length',
        'closing strap',
        '{sewn} sewn on + {under} up to the top + {deep} over the mouth + {down} down to the loop + {past} through it',
        '§20',
        {
          sewn: given('sewn', SEWN),
          under: given('under', under),
          deep: s.outDeep,
          down: given('down', down),
          past: given('past', BENCH.loopWide + BENCH.strapPast),
        },
      )

const loopLength = ({ size, body }: Bag): Reckoned =>
  size(
    'closing.loop',
    'loop for the closing strap, with its ends sewn down',
    '{wide} strap + 2 × {t} + 2 × {t} room + 2 × {ends} ends',
    '§10',
    {
      wide: given('strap', BENCH.strapWide),
      t: given('leather', body.thickness, 'thickness'),
      ends: given('ends', ENDS.strap),
    },
  )

const strapPanel = (bag: Bag, length: number): Panel =>
  rectanglePanel(bag, 'closing-strap', 'Closing strap', 'straps', BENCH.strapWide, length, {
    foot: mostRadius(BENCH.strapWide),
    pull: Math.PI / 2,
  })

const loopPanel = (bag: Bag, length: number): Panel =>
  rectanglePanel(bag, 'closing-loop', 'Loop of the closing strap', 'straps', length, BENCH.loopWide)

/**
 * Its sewn end lies up the flap, and it hangs beyond the tip; without one it is sewn below the back’s top edge and
 * reaches up and over. Either way it lies the other way up than it is drawn.
 */
function strapOn(
  { back }: Body,
  tip: Tip | undefined,
  strap: Panel,
  { under }: Places,
): Part['onto'][number] {
  const upside = (x: number, y: number): Move => ({
    a: -1,
    b: 0,
    c: 0,
    d: -1,
    e: x + BENCH.strapWide / 2,
    f: y,
  })
  return tip
    ? onto(tip.sheet, 'outside', strap, upside(tip.at(0).x, tip.at(SEWN).y))
    : onto(back.sheet, 'outside', strap, moveThen(upside(0, under + SEWN), back.move))
}

/** Rows along the sewn end, and one across either end of the loop. */
function seamsOf({ p }: Bag, { front }: Body, host: string, loop: number): Join[] {
  const m = p.margin
  const end = (i: 0 | 1): Join => {
    const x = i === 0 ? ENDS.loop : loop - ENDS.loop
    return row(
      `loop-${i + 1}`,
      `end ${i + 1} of the loop`,
      'closing-loop',
      [point(x, 2), point(x, BENCH.loopWide - 2)],
      ['closing-loop', front.sheet],
      [1, 1],
    )
  }
  return [
    ...rowsAlong(
      'closing-seam',
      'closing strap',
      'closing-strap',
      [m, BENCH.strapWide - m],
      [m, SEWN - m],
      ['closing-strap', host],
    ),
    end(0),
    end(1),
  ]
}

/** A strap on the flap that goes down through a loop on the front; without a flap, from the back over the top. */
export function strapped(bag: Bag, body: Body, tip: Tip | undefined): Part {
  const places = placesOf(bag, body, tip)
  const [length, loop] = [strapLength(bag, tip, places), loopLength(bag)]
  const [strap, keeper] = [strapPanel(bag, length.value), loopPanel(bag, loop.value)]
  return part({
    panels: [strap, keeper],
    onto: [strapOn(body, tip, strap, places), putOn(body.front, keeper, { x: 0, y: places.down })],
    joins: seamsOf(bag, body, tip ? tip.sheet : body.back.sheet, loop.value),
    sizes: [
      { panelId: 'closing-strap', size: length },
      { panelId: 'closing-loop', size: loop },
    ],
    ...(tip ? {} : { stood: (opened) => [overTheTop(bag, body, places.under + SEWN, 1 - opened)] }),
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
  const flat = (length: number) => ({ length: Math.max(LEAST_STRETCH, length), turn: 0 })
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
