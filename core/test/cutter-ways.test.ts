import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import {
  type CutterWish,
  USUAL_CUTTER,
  bridged,
  cutPlan,
  cutterProblem,
  writeHpgl,
} from '@drumlin/core/exchange/hpgl'
import { plansOf } from '@drumlin/core/exchange/plan'
import { point, pointDistance } from '@drumlin/core/geometry'
import { demoDesign } from './support/all.js'

const wish = (more: Partial<CutterWish>): CutterWish => ({ ...USUAL_CUTTER, ...more })
const lengthOf = (points: readonly { x: number; y: number }[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + pointDistance(p, points[i]!), 0)

describe('bridges left in an outline', () => {
  const square = [point(50, 0), point(100, 0), point(100, 100), point(0, 100), point(0, 0), point(50, 0)]
  test('a square of 100 with four of 1 mm: each stretch is 99 long, an eighth of the way round to the first bridge', () => {
    const cut = bridged(square, 4, 1)
    expect(cut.map(lengthOf).map((l) => Math.round(l * 1e6) / 1e6)).toEqual([99, 99, 99, 99])
    expect(cut[0]![0]).toEqual(point(50.5, 0))
    expect(cut[0]!.at(-1)).toEqual(point(100, 49.5))
  })
  test('what is too short for them is cut whole', () => {
    expect(bridged(square, 4, 30)).toEqual([square])
    expect(bridged(square, 0, 1)).toEqual([square])
  })
  test('whatever the line, what is cut and what is left are together as long as it', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 300 })), {
          minLength: 3,
          maxLength: 9,
        }),
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        (places, count, wide) => {
          const loop = places
            .map(([x, y]) => point(x, y))
            .filter((p, i, all) => i === 0 || pointDistance(p, all[i - 1]!) > 0)
          const points = [...loop, loop[0]!]
          const total = lengthOf(points)
          const cut = bridged(points, count, wide)
          if (cut.length === 1 && count > 1) expect(total / count).toBeLessThan(5 * wide)
          else if (total / count >= 5 * wide)
            expect(cut.reduce((sum, c) => sum + lengthOf(c), 0)).toBeCloseTo(total - count * wide, 6)
        },
      ),
    ))
  test('of a design they are left in its outlines alone', () => {
    const sleeve = derive(demoDesign('pursers-sleeve'))
    const [whole, kept] = [0, 3].map((tabs) =>
      cutPlan(sleeve, wish({ tabs, tabWide: 1, past: 0, tool: 'beam' }), 'mm'),
    )
    const of = (plan: typeof whole, pass: string) => plan!.strokes.filter((s) => s.pass === pass)
    expect(of(kept, 'outline').length).toBe(3 * of(whole, 'outline').length)
    for (const pass of ['marks', 'holes', 'inside'])
      expect(of(kept, pass).length).toBe(of(whole, pass).length)
  })
})

test('the force on the blade is told once the blade is taken, and only where one is wished', () => {
  const sleeve = derive(demoDesign('pursers-sleeve'))
  const told = (more: Partial<CutterWish>) =>
    writeHpgl(sleeve, wish(more), 'mm').match(/SP\d;VS\d+;(FS\d+;)?/g)!
  expect(told({ force: 0 }).join('')).not.toContain('FS')
  for (const one of told({ force: 120 })) expect(one.includes('FS120;')).toBe(one.startsWith('SP2'))
  expect(told({ force: 120, tool: 'pen' }).join('')).not.toContain('FS')
  expect(cutterProblem(wish({ force: 1200 }))).toBe(
    'The force on the blade is between 0 g and 1000 g; 1200 g is not.',
  )
  expect(cutterProblem(wish({ tabs: 40 }))).toContain('between 0 bridges and 12 bridges')
})

describe('a layout on a hide, cut as it lies', () => {
  const derived = derive(demoDesign('pilots-bag'))
  const [plan] = plansOf(derived)
  const asked = wish({ hide: plan!.hide.id, wide: 3000, long: 5000, tool: 'pen', past: 0 })
  const cut = cutPlan(derived, asked, 'mm')
  test('every piece of it is cut once, as far from every other as it lies there', () => {
    const outlines = cut.strokes.filter((s) => s.pass === 'outline')
    expect(outlines.length).toBe(plan!.pieces.length)
    expect(cut.left).toEqual([])
    const middle = (points: readonly { x: number; y: number }[]) => {
      const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
      return point((Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2)
    }
    for (const a of plan!.pieces)
      for (const b of plan!.pieces) {
        const [p, q] = [a, b].map((one) => middle(outlines.find((s) => s.piece === one.name)!.points))
        expect(pointDistance(p!, q!)).toBeCloseTo(pointDistance(middle(a.outline), middle(b.outline)), 1)
      }
  })
  test('turned, not turned over: going round a piece keeps its hand', () => {
    const area = (points: readonly { x: number; y: number }[]) =>
      points.reduce((sum, p, i) => {
        const q = points[(i + 1) % points.length]!
        return sum + p.x * q.y - q.x * p.y
      }, 0)
    const one = plan!.pieces[0]!
    const own = cut.strokes.find((s) => s.pass === 'outline' && s.piece === one.name)!
    expect(Math.sign(area(own.points))).toBe(Math.sign(area(one.outline)))
    expect(Math.abs(area(own.points))).toBeCloseTo(Math.abs(area(one.outline)), 0)
    const over = cutPlan(derived, { ...asked, mirrored: true }, 'mm').strokes.find(
      (s) => s.pass === 'outline' && s.piece === one.name,
    )!
    expect(Math.sign(area(over.points))).toBe(-Math.sign(area(one.outline)))
  })
  test('what reaches over the bed is told by name and not cut', () => {
    const small = cutPlan(derived, { ...asked, wide: 300, long: 300 }, 'mm')
    const cutNow = small.strokes.filter((s) => s.pass === 'outline').length
    expect(cutNow + small.left.reduce((sum, l) => sum + l.count, 0)).toBe(plan!.pieces.length)
    expect(small.left.length).toBeGreaterThan(0)
  })
})
