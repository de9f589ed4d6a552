import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { gapsOf } from '@drumlin/core/space'
import { boxHeight, pathNearest, point, pointDistance } from '../src/geometry/index.js'
import { sizeOf } from './support/designs.js'
import { finishedBox as box, plain } from './support/plain.js'

describe('the gusseted case on a flat foot', () => {
  const flat = (params: Record<string, unknown> = {}) =>
    plain('gusseted-case', { foot: 'flat', footDeep: 14, high: 62, deep: 36, ease: 4, pockets: 0, ...params })
  const d = flat()
  test('front, foot and back are one piece: no margin at the foot, a bend at each corner', () => {
    expect(d.pieces.map((p) => p.id)).not.toContain('front')
    expect(sizeOf(d, 'height')).toBe(66)
    // Out by (40 − 14) / 2 over 66; what is left of a right angle × half of the leather of 1.
    const lean = Math.asin(13 / 66)
    expect(sizeOf(d, 'foot.corner')).toBeCloseTo((Math.PI / 2 - lean) * 0.5, 6)
    expect(sizeOf(d, 'gusset.high')).toBeCloseTo(Math.sqrt(66 ** 2 - 13 ** 2), 6)
    expect(sizeOf(d, 'body.length')).toBeCloseTo(
      45 + (36 + 1 + Math.PI * 0.5) + 2 * (66 + sizeOf(d, 'foot.corner')) + 14,
      6,
    )
  })
  test('each gusset is sewn down one side, along its foot and up the other, hole by hole', () => {
    const sides = d.runs.filter((r) => r.join.id.startsWith('side-'))
    for (const { length, holes, other } of sides) {
      expect(length).toBeCloseTo(2 * 66 + 14 - 2 * 3, 6)
      expect(other!.holes.length).toBe(holes.length)
    }
    expect(sides.length).toBe(2)
  })
  test('in the round its seams meet, whatever its depth and its foot', () =>
    fc.assert(
      fc.property(
        fc.record({
          deep: fc.integer({ min: 8, max: 60 }),
          high: fc.integer({ min: 40, max: 150 }),
          footDeep: fc.integer({ min: 4, max: 60 }),
        }),
        (params) => {
          const made = flat(params)
          for (const opened of [0, 1])
            for (const gap of gapsOf(made.master, made.runs, made.works[0]!, opened))
              expect(gap.max).toBeLessThan(0.3)
        },
      ),
      { seed: 14, numRuns: 25 },
    ))
  test('a foot is no deeper than what goes in, with its room', () =>
    expect(sizeOf(flat({ footDeep: 80 }), 'foot.deep')).toBe(40))
  test('its corners are cut out and end in a hole that lies between stitches and edge', () => {
    const gusset = d.panels.find((p) => p.id === 'gusset')!
    // Half of 40 between the stitches and the margin of 3 along the slant.
    const middle = 20 + (3 * 66) / sizeOf(d, 'gusset.high')
    const holes = (gusset.marks ?? []).flatMap((m) => (m.type === 'hole' ? [m] : []))
    expect(holes.map((h) => h.punch)).toEqual([2, 2])
    for (const { at, punch } of holes) {
      const corner = point(middle + Math.sign(at.x - middle) * 7, sizeOf(d, 'gusset.high'))
      expect(pointDistance(at, corner) - punch / 2).toBeCloseTo(1, 9)
      expect(pathNearest(gusset.outline, at).distance - punch / 2).toBeGreaterThan(0.4)
    }
    expect(findingsOf(d).map((f) => f.code)).not.toContain('glue-in-mouth')
    expect(findingsOf(flat({ relief: 5 })).map((f) => f.key)).toContain('concern:relief-too-large')
  })
  test('a foot far slimmer than the mouth of a low case: it can’t stand', () =>
    expect(findingsOf(flat({ deep: 90, high: 40, footDeep: 4 })).map((f) => f.key)).toContain(
      'concern:leans-too-far',
    ))
})

describe('a facing behind the flap', () => {
  const d = plain('gusseted-case', { facing: 'facing', flap: 45, pockets: 0 })
  test('ends where the flap bends, and is sewn round it before the snap goes through both', () => {
    expect(boxHeight(box(d, 'facing'))).toBe(44)
    const cap = d.fittings.find((f) => f.fitting.id === 'snap-upper')!
    expect(cap.stack!.value).toBeCloseTo(2, 9)
    expect(d.runs[0]!.join.id).toBe('facing')
    expect(new Set(d.runs[0]!.holes.map((h) => h.stack.toFixed(2)))).toEqual(new Set(['2.00']))
  })
})
