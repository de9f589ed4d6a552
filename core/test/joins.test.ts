import { describe, expect, test } from 'vitest'
import { summary } from '@drumlin/core/overview'
import { pathNearest, pointDistance } from '../src/geometry/index.js'
import { demoWith, sizeOf } from './support/designs.js'

const run = (id: string, values: Record<string, unknown> = {}) =>
  demoWith(values).runs.find((r) => r.join.id === id)!

describe('where the demo is sewn', () => {
  const derived = demoWith({})
  const height = sizeOf(derived, 'inside.height')
  const width = sizeOf(derived, 'inside.width')
  const pocket = sizeOf(derived, 'pocket.width')
  const top = height - 3 - 0.60104 - 45.98 - 24

  test('feet lie where the cards stop: a pocket’s depth and half a hole below its top, as wide as its body less the margins', () => {
    const foot = run('foot-1-left')
    expect(foot.holes[0]!.at.y).toBeCloseTo(top + 45.98 + 0.60104, 4)
    const arm = 3 + 0.60104 + 2
    expect(foot.length).toBeCloseTo(pocket - 2 * arm - 6, 4)
    expect(run('foot-2-left').holes[0]!.at.y - foot.holes[0]!.at.y).toBeCloseTo(12, 9)
  })
  test('a foot goes through its pocket and the inside, never through the outside', () => {
    for (const hole of run('foot-1-left').holes) expect(hole.sheets).toEqual(['inside-left', 'pocket-1-left'])
  })
  test('the outer seam keeps its margin from the edge of the inside everywhere', () => {
    const inside = derived.works[0]!.sheets.find((s) => s.sheet.id === 'inside-left')!
    for (const hole of run('outer-left').holes)
      expect(pathNearest(inside.placed, hole.at).distance).toBeCloseTo(3, 6)
  })
  test('it ends where the seam beside the fold comes down, a stitch from that one’s last hole', () => {
    const [outer, inner] = [run('outer-left'), run('inner-left')]
    expect(outer.holes.at(-1)!.at.x).toBeCloseTo(inner.holes[0]!.at.x, 4)
    const apart = pointDistance(outer.holes.at(-1)!.at, inner.holes.at(-1)!.at)
    expect(apart).toBeGreaterThan(2.5)
    expect(apart).toBeLessThan(3.6)
  })
  test('left and right are mirrored about the fold', () => {
    const [left, right] = [run('outer-left'), run('outer-right')]
    left.holes.forEach((h, i) => {
      expect(right.holes[i]!.at.x).toBeCloseTo(width - h.at.x, 6)
      expect(right.holes[i]!.at.y).toBeCloseTo(h.at.y, 6)
    })
  })
  test('the fold stays free: 2 × (5.9 + 3) mm and more between the last holes of the two sides', () =>
    expect(run('outer-right').holes.at(-1)!.at.x - run('outer-left').holes.at(-1)!.at.x).toBeGreaterThan(17))
})

describe('schools', () => {
  test('lapped arms make 1.5 thicknesses of pocket in the side seam, butted ones 1', () => {
    expect(run('outer-left').thickest).toBeCloseTo(1.4 + 0.9 + 1.35, 9)
    expect(run('outer-left', { 'params.school': 'butted' }).thickest).toBeCloseTo(1.4 + 0.9 + 0.9, 9)
  })
  test('without a rounding the corner has a hole, or is straddled', () => {
    const at = (values: Record<string, unknown>) => run('outer-left', { 'params.corner': 0, ...values })
    const corner = { x: 3, y: sizeOf(demoWith({ 'params.corner': 0 }), 'inside.height') - 3 }
    const nearest = (values: Record<string, unknown>) =>
      Math.min(...at(values).holes.map((h) => pointDistance(h.at, corner)))
    expect(nearest({})).toBeLessThan(1e-6)
    expect(nearest({ 'habits.cornerSchool': 'straddled' })).toBeGreaterThan(1.3)
    expect(at({}).sides).toHaveLength(2)
  })
  test('a finer iron makes more holes and takes more thread', () => {
    const fine = run('outer-left', { 'iron.pitch': 2.7 })
    expect(fine.holes.length).toBeGreaterThan(run('outer-left').holes.length)
    expect(fine.thread.value).toBeGreaterThan(run('outer-left').thread.value)
  })
})

describe('the summary', () => {
  test('names every size once, with a working that holds', () => {
    const { sizes, pieces, runs, findings } = summary(demoWith({}))
    expect(new Set(sizes.map((s) => s.key)).size).toBe(sizes.length)
    for (const size of sizes) expect(size.working).toContain(size.label)
    expect([pieces.length, runs.length, findings.length]).toEqual([5, 8, 0])
    expect(pieces.find((p) => p.id === 'outside')).toMatchObject({ width: 208.245525, count: 1 })
  })
  test('is plain data: the same through JSON', () => {
    const all = summary(demoWith({ 'params.reveal': 13 }))
    expect(JSON.parse(JSON.stringify(all))).toEqual(
      JSON.parse(JSON.stringify(summary(demoWith({ 'params.reveal': 13 })))),
    )
    expect(all.findings[0]).toMatchObject({ rank: 'stop' })
  })
})
