import { point, type Point } from '../../../geometry/index.js'
import { type Reckoned } from '../../../working/index.js'
import { type Bag } from '../bag.js'
import { flapOf, type Flap } from '../parts/flap.js'

/** A boxed corner between stitch lines: the flat panel, and the square that is cut out of its foot, mm. */
export interface Box {
  readonly w0: Reckoned
  readonly h0: Reckoned
  readonly c: Reckoned
  readonly m: number
  /** The whole panel with its allowances. */
  readonly w: number
  /** Where the sides and the base are folded. */
  readonly xl: number
  readonly xr: number
  readonly fold: number
  readonly bend: number
  readonly flap: Flap | undefined
}

export function boxOf(bag: Bag): Box {
  const { s, size, margin, body, p } = bag
  const c = size('boxed.square', 'square at the foot corners, between stitch lines', '{deep} / 2', '§20', {
    deep: s.deep,
  })
  const w0 = size('boxed.wide', 'panel between the side seams', '{wide} + 2 × {square}', '§20', {
    wide: s.wide,
    square: c,
  })
  const h0 = size('boxed.high', 'panel from the top edge to the foot seam', '{high} + {square}', '§20', {
    high: s.high,
    square: c,
  })
  const m = margin.value
  const w = w0.value + 2 * m
  const bend = (Math.PI / 2) * body.neutral * body.thickness
  const apart = 2 * (body.neutral * body.thickness + c.value - bend / 2)
  return {
    w0,
    h0,
    c,
    m,
    w,
    xl: m + c.value,
    xr: w - m - c.value,
    fold: h0.value - c.value,
    bend,
    flap: p.flap === 'one' ? flapOf(bag, apart, w) : undefined,
  }
}

/** A face of the bag and how its own coordinates lie on its sheet: the back of a one-piece bag is turned round. */
export interface Face {
  readonly id: 'front' | 'back'
  readonly sheet: string
  readonly place: (p: Point) => Point
  readonly way: (v: Point) => Point
}

export function facesOf(bag: Bag, { w, h0 }: Box): Face[] {
  const same = { place: (p: Point) => p, way: (v: Point) => v }
  if (bag.p.body === 'boxed')
    return [
      { id: 'front', sheet: 'front', ...same },
      { id: 'back', sheet: 'back', ...same },
    ]
  return [
    { id: 'front', sheet: 'body', ...same },
    {
      id: 'back',
      sheet: 'body',
      place: (p) => point(w - p.x, 2 * h0.value - p.y),
      way: (v) => point(-v.x, -v.y),
    },
  ]
}
