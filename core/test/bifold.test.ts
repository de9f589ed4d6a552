import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { overrideNumber, applyEdit } from '@drumlin/core/design'
import { explain } from '@drumlin/core/working'
import { boxHeight, boxWidth, pathBox, pathPoints, pointInside, pathNearest } from '../src/geometry/index.js'
import { thicknessAt } from '../src/layup/index.js'
import { demo, demoWith, sizeOf, withValues } from './support/designs.js'

const leather = (thickness: number, neutral = 0.5) => ({
  'leathers.outside.thickness': thickness,
  'leathers.outside.neutral': neutral,
})

describe('the demo bifold, checked with a pencil', () => {
  const derived = demoWith({})
  test('the outside is longer by what the fold asks: 0.6 × π × (0.45 + 0.88 + 0.70) = 3.83', () => {
    expect(sizeOf(derived, 'fold.taken')).toBeCloseTo(0.6 * Math.PI * (0.45 + 0.88 + 0.7), 9)
    expect(sizeOf(derived, 'outside.width') - sizeOf(derived, 'inside.width')).toBeCloseTo(3.8264, 3)
  })
  test('the height for three cards: 3 + 0.6 + 45.98 + 2 × 12 + 8 + 2 = 83.58', () =>
    expect(sizeOf(derived, 'inside.height')).toBeCloseTo(3 + 0.60104 + 45.98 + 24 + 8 + 2, 4))
  test('the pieces have those sizes', () => {
    const outside = derived.pieces.find((p) => p.id === 'outside')!
    expect(boxWidth(pathBox(outside.cut))).toBeCloseTo(sizeOf(derived, 'outside.width'), 9)
    expect(boxHeight(pathBox(outside.cut))).toBeCloseTo(sizeOf(derived, 'outside.height'), 9)
    expect(derived.pieces.map((p) => [p.id, p.count, p.flipped])).toEqual([
      ['outside', 1, 0],
      ['inside', 1, 0],
      ['pocket', 4, 0],
      ['foot-pocket', 2, 1],
      ['guide', 1, 0],
    ])
  })
  test('edge by the middle pocket: outside 1.4 + inside 0.9 + half an arm 0.45 + an arm 0.9 = 3.65', () => {
    const open = derived.works[0]!
    const top = sizeOf(derived, 'inside.height') - 3 - 0.60104 - 45.98 - 24
    expect(thicknessAt(open, { x: 3, y: top + 18 })).toBeCloseTo(3.65, 9)
    expect(thicknessAt(open, { x: 3, y: top + 6 })).toBeCloseTo(3.2, 9)
    expect(thicknessAt(open, { x: sizeOf(derived, 'inside.width') / 2 - 1, y: 40 })).toBeCloseTo(2.3, 9)
  })
  test('closed it is twice as thick, and carries cards where they are put in', () => {
    const [open, closed] = derived.works
    const at = { x: 40, y: 50 }
    expect(thicknessAt(closed!, at)).toBeCloseTo(2 * thicknessAt(open!, at), 9)
    expect(thicknessAt(closed!, at, true) - thicknessAt(closed!, at)).toBeCloseTo(6 * 0.76 + 2 * 0.88, 9)
  })
  test('the working names every number it uses', () => {
    const lines = explain(derived.master.sizes[0]!.size, 'mm', 4)
    expect(lines[0]).toBe('outside width 208.2 = 204.4 + 3.8 round the fold')
    expect(lines).toContain('between the middles of the two layers 2.03 = 0.5 × 0.9 + 0.88 notes + 0.5 × 1.4')
  })
})

describe('what changes what', () => {
  test('0.4 mm more on the outside adds 0.6 × π × k × 0.4 to its width and nothing to the inside', () => {
    const [before, after] = [demoWith({}), demoWith(leather(1.8))]
    expect(sizeOf(after, 'outside.width') - sizeOf(before, 'outside.width')).toBeCloseTo(
      0.6 * Math.PI * 0.5 * 0.4,
      9,
    )
    expect(sizeOf(after, 'inside.width')).toBe(sizeOf(before, 'inside.width'))
  })
  test('flush when laid open means no difference; flush when closed means all of it', () => {
    expect(sizeOf(demoWith({ 'params.foldShare': 0 }), 'fold.taken')).toBe(0)
    expect(sizeOf(demoWith({ 'params.foldShare': 1 }), 'fold.taken')).toBeCloseTo(Math.PI * 2.03, 9)
  })
  test('without cards the notes make the size: 2 × (73 + 3 + 3 + 0.6) wide', () =>
    expect(sizeOf(demoWith({ 'params.pockets': 0 }), 'inside.width')).toBeCloseTo(
      2 * (146 / 2 + 3 + 3 + 0.60104),
      3,
    ))
  test('the uppermost of five pockets is shortened so that its foot clears the front one', () => {
    const derived = demoWith({ 'params.pockets': 5 })
    expect(sizeOf(derived, 'pocket.shorten')).toBeCloseTo(45.98 + 0.60104 + 4 - 48 + 1, 4)
    const [top, other] = ['pocket-top', 'pocket'].map((id) =>
      boxHeight(pathBox(derived.pieces.find((p) => p.id === id)!.cut)),
    )
    expect(other! - top!).toBeCloseTo(sizeOf(derived, 'pocket.shorten'), 9)
    expect(sizeOf(demoWith({ 'params.pockets': 5, 'params.topPocket': 'full' }), 'pocket.shorten')).toBe(0)
  })
  test('a number written over a computed one is kept apart from it, and what hangs on it follows', () => {
    const edited = applyEdit(demo(), overrideNumber('inside width', 'inside.width', 190))
    const derived = derive(edited.ok ? edited.design : demo())
    const width = derived.master.sizes.find(({ size }) => size.key === 'inside.width')!.size
    expect([width.value, width.overridden]).toEqual([190, true])
    expect(width.figured).toBeCloseTo(204.42, 2)
    expect(sizeOf(derived, 'outside.width')).toBeCloseTo(193.826, 2)
  })
  test('cut over size and trimmed: the cut line stands off the finished one by just that, on the sewn sides only', () => {
    const inside = demoWith({ 'params.trim': 2 }).pieces.find((p) => p.id === 'inside')!
    const [cut, finished] = [pathBox(inside.cut), pathBox(inside.finished)]
    expect(
      [
        finished.left - cut.left,
        cut.right - finished.right,
        cut.bottom - finished.bottom,
        finished.top - cut.top,
      ].map((v) => Math.round(v * 1e6) / 1e6),
    ).toEqual([2, 2, 2, 0])
  })
})

test('glue stops before the fold on both covers, where they have to slide', () => {
  for (const piece of demoWith({}).pieces.filter((p) => p.id === 'outside' || p.id === 'inside')) {
    const middle = boxWidth(pathBox(piece.finished)) / 2
    const strips = piece.marks.flatMap((m) => (m.type === 'glue' ? [pathBox(m.area)] : []))
    expect(strips).toHaveLength(2)
    for (const strip of strips) expect(strip.left > middle + 5 || strip.right < middle - 5).toBe(true)
  }
})

const wallets = fc.record({
  pockets: fc.integer({ min: 0, max: 6 }),
  cardsPerPocket: fc.integer({ min: 1, max: 2 }),
  school: fc.constantFrom('butted', 'lapped'),
  reveal: fc.double({ min: 8, max: 18, noNaN: true }),
  margin: fc.double({ min: 2.2, max: 5, noNaN: true }),
  corner: fc.constantFrom(0, 2, 6, 12),
  lip: fc.double({ min: 0, max: 10, noNaN: true }),
  currency: fc.constantFrom('none', 'eur', 'gbp', 'jpy'),
})
const drawn = (params: Record<string, unknown>) =>
  demoWith(Object.fromEntries(Object.entries(params).map(([k, v]) => [`params.${k}`, v])))

describe('whatever the wallet', () => {
  const seeded = { seed: 41, numRuns: 60 }
  test('every pocket lies inside its panel, and nothing beyond the outside', () =>
    fc.assert(
      fc.property(wallets, (params) => {
        const derived = drawn(params)
        const [open] = derived.works
        const inside = open!.sheets.find((s) => s.sheet.id === 'inside-left')!
        for (const laid of open!.sheets.filter((s) => s.sheet.id.startsWith('pocket-')))
          for (const p of pathPoints(laid.placed, 0.05))
            expect(pointInside(p, inside.placed) || pathNearest(inside.placed, p).distance < 1e-6).toBe(true)
      }),
      seeded,
    ))
  test('left and right have the same holes, and both panels of the outer seam too', () =>
    fc.assert(
      fc.property(wallets, (params) => {
        const { runs, pieces } = drawn(params)
        for (const run of runs)
          expect(run.holes.length).toBe(runs.find((r) => r.join.id === run.join.twin)!.holes.length)
        const outer = runs
          .filter((r) => r.join.id.startsWith('outer'))
          .reduce((sum, r) => sum + r.holes.length, 0)
        expect(pieces.find((p) => p.id === 'outside')!.holes).toHaveLength(outer)
        for (const run of runs.filter((r) => r.join.id.startsWith('outer')))
          for (const hole of run.holes)
            expect(hole.sheets).toEqual(
              expect.arrayContaining([`outside-${run.join.id.slice(6)}`, `inside-${run.join.id.slice(6)}`]),
            )
      }),
      seeded,
    ))
  test('cards fit between the stitches and under the edge', () =>
    fc.assert(
      fc.property(wallets, (params) => {
        for (const fit of drawn(params).master.fits)
          expect(fit.has.value).toBeGreaterThanOrEqual(fit.needs.value - 1e-6)
      }),
      seeded,
    ))
  test('the same design gives the same result to the last digit', () =>
    expect(JSON.stringify(derive(demo()).runs.map((r) => r.holes))).toBe(
      JSON.stringify(derive(withValues(demo(), {})).runs.map((r) => r.holes)),
    ))
  test('the halves of the laid-up work mirror each other', () => {
    const [open] = demoWith({}).works
    const middle = open!.sheets[0]!.sheet.clips[0]!.at.x
    for (let i = 1; i < 400; i += 1) {
      const at = { x: ((i * 37) % Math.floor(middle - 1)) + 0.31, y: ((i * 53) % 82) + 0.17 }
      expect(thicknessAt(open!, { x: 2 * middle - at.x, y: at.y })).toBeCloseTo(thicknessAt(open!, at), 9)
    }
  })
})
