import { point, type Point } from '../../../geometry/index.js'
import { type Bag } from '../bag.js'
import { flapOf } from '../parts/flap.js'
import type { Box, Face } from './boxedTypes.js'
import { isLapped, lappedBase } from './lappedBase.js'

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
  const box = {
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
  return { ...box, base: isLapped(bag) ? lappedBase(bag, box) : undefined }
}

/** Front and back, in that order. */
export function facesOf(bag: Bag, { w, h0 }: Box): readonly [Face, Face] {
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
