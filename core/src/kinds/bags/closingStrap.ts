import { type Move, moveThen, point } from '../../geometry/index.js'
import { given } from '../../working/index.js'
import { type Bag } from './bag.js'
import { putOn, rectanglePanel, row, rowsAlong } from './onFace.js'
import { onto, part, type Body, type Part } from './parts.js'

/** From the tip of a flap to its closure; width of a closing strap and of the loop it goes through, mm. */
export const BENCH = { closureIn: 22, sewnLap: 25, strapWide: 24, loopWide: 16, strapOver: 70 } as const

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
  const length = size(
    'closing.length',
    'closing strap',
    '{sewn} sewn on + {over} beyond the edge',
    '§20',
    {
      sewn: given('sewn', sewn),
      over: given('over', tip ? BENCH.strapOver : BENCH.strapOver + bag.s.outDeep.value),
    },
    (v) => v.sewn + v.over,
  )
  const loop = size(
    'closing.loop',
    'loop for the closing strap, with its ends sewn down',
    '{wide} strap + 2 × {t} + 2 × {t} room + 2 × {ends} ends',
    '§10',
    { wide: given('strap', BENCH.strapWide), t: given('leather', t, 'thickness'), ends: given('ends', 14) },
    (v) => v.wide + 4 * v.t + 2 * v.ends,
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
  const down = tip ? tip.down + 28 : Math.min(90, body.front.high / 2)
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
  const under = p.top === 'single' ? 6 : p.topBand + 4
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
  })
}
