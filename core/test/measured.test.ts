import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { applyEdit } from '@drumlin/core/design'
import { type Taken, measurables, reproduce, sayWhy } from '@drumlin/core/fit'
import { STARTER_STORES } from '../src/stores/index.js'
import { madeKinds } from './support/all.js'
import { freshOf } from './support/designs.js'
import { many } from './support/long.js'

const { irons } = STARTER_STORES
const read = (design: ReturnType<typeof freshOf>, taken: readonly Taken[]) => {
  const found = reproduce(design, taken, irons)
  const edited = found.edit && applyEdit(design, found.edit)
  const after = edited?.ok ? edited.design : design
  const now = new Map(measurables(derive(after)).map((m) => [m.id, m.now]))
  return { found, after, now: (id: string) => now.get(id)! }
}

describe('settings that reproduce a thing as it was measured', () => {
  test('a bag by its three outside measures: each by the room inside', () => {
    const taken = [
      { id: 'size bag.out.wide', value: 300 },
      { id: 'size bag.out.high', value: 260 },
      { id: 'size bag.out.deep', value: 95 },
    ]
    const { found, now } = read(freshOf('tote'), taken)
    expect(found.changed.map((c) => c.label).toSorted()).toEqual([
      'depth inside',
      'height inside',
      'width inside',
    ])
    for (const { id, value } of taken) expect(Math.abs(now(id) - value)).toBeLessThan(0.1)
    expect(found.answers.every((a) => a.why === undefined)).toBe(true)
  })
  test('a thickness that no length moves is the leather’s', () => {
    const bare = freshOf('wrap-wallet')
    const closed = measurables(derive(bare)).find((m) => m.id === 'size closed')!.now
    const { found } = read(bare, [{ id: 'size closed', value: closed + 2 }])
    expect(found.changed).toHaveLength(1)
    expect(found.changed[0]!.label).toContain('thickness of the')
  })
  test('what a setting can’t reach is told with how far it goes', () => {
    const { found } = read(freshOf('tote'), [{ id: 'size bag.out.wide', value: 900 }])
    expect(found.answers[0]).toMatchObject({ wanted: 900, why: { type: 'ends', setting: 'width inside' } })
    expect(found.answers[0]!.got).toBeLessThan(720)
  })
  test('a count of holes asks for another iron, or is told what it would be', () => {
    const bare = freshOf('tote')
    const seam = measurables(derive(bare)).find((m) => m.type === 'holes')!
    // Steps of 4 instead of 3: three quarters as many stitches.
    const value = Math.round((seam.now - 1) * 0.77) + 1
    const { found } = read(bare, [{ id: seam.id, value }])
    expect(found.iron?.pitch).toBeGreaterThan(bare.iron.pitch)
    for (const a of found.answers)
      if (a.got !== value) expect(sayWhy(a.why!, 'mm')).toMatch(/would be [\d.]+ mm apart; the nearest iron/)
  })
  test('lengths are as measured with the iron that a count asks for', () => {
    const bare = freshOf('bifold')
    const seam = measurables(derive(bare)).find((m) => m.type === 'holes' && m.now > 30)!
    const counted = { id: seam.id, value: Math.round((seam.now - 1) * 0.77) + 1 }
    // The holes of a coarser iron are larger, and ask for a wider pocket.
    const { found, now } = read(bare, [{ id: 'size pocket.width', value: 100 }, counted])
    expect(found.iron).toBeDefined()
    const [width] = found.answers
    expect(width!.got).toBe(now('size pocket.width'))
    expect(width!.why === undefined).toBe(Math.abs(width!.got - 100) <= 0.1)
  })
  test('no number is written over a computed one', () => {
    const { after } = read(freshOf('bifold'), [{ id: 'size inside.height', value: 104 }])
    expect(after.overrides).toEqual({})
  })
  test('of any kind, what another design of it measures is met or told', () => {
    let met = 0
    fc.assert(
      fc.property(
        fc.constantFrom(...madeKinds),
        fc.nat(),
        fc.integer({ min: -12, max: 12 }),
        (kind, pick, by) => {
          const bare = freshOf(kind)
          const lengths = measurables(derive(bare)).filter((m) => m.type !== 'holes' && m.now > 30)
          const one = lengths[pick % lengths.length]!
          const value = one.now + by
          const { found, now } = read(bare, [{ id: one.id, value }])
          const [answer] = found.answers
          if (answer!.why === undefined) {
            met += 1
            expect(Math.abs(now(one.id) - value)).toBeLessThanOrEqual(0.1 + 1e-9)
          } else expect(sayWhy(answer!.why!, 'in').length).toBeGreaterThan(10)
          expect(answer!.got).toBeCloseTo(now(one.id), 1)
        },
      ),
      { seed: 4, numRuns: many(8, 80) },
    )
    expect(met).toBeGreaterThan(many(4, 50))
  })
})
