import { describe, expect, test } from 'vitest'
import { unworkable } from '@drumlin/core/derived'
import { type Design, applyEdit } from '@drumlin/core/design'
import { ownRange } from '@drumlin/core/working'
import { everyDesign, derivedOf } from './support/all.js'
import { freshOf } from './support/designs.js'

const over = (design: Design, values: Readonly<Record<string, number>>): Design => {
  const changes = Object.entries(values).map(([key, value]) => ({ path: ['overrides', key], value }))
  const edited = applyEdit(design, { name: 'test', changes })
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return edited.design
}
const why = (design: Design): string | undefined => unworkable(() => derivedOf(design))

describe('what nothing can be made of is said before it is taken', () => {
  test('every demo and every kind as it first comes can be made', () => {
    for (const { name, design } of everyDesign()) expect(why(design), name).toBeUndefined()
  })

  test.each([
    ['bifold', { 'inside.height': 0 }, /the inside height can be from 1 to 5000, not 0/],
    ['bifold', { 'outside.width': 1e6 }, /not 1000000/],
    ['bifold', { 'pocket.width': 5000 }, /the Outside would be 10 m long/],
    ['portfolio', { 'bag.high': -1 }, /can be from 1 to 5000, not -1/],
    ['gusseted-case', { 'bridge.rise': 0 }, /the length of the bridge support comes to no number/],
    // Written over, the number that is none does not show; given back it would.
    [
      'gusseted-case',
      { 'bridge.rise': 0, bridge: 60 },
      /the length of the bridge support comes to no number/,
    ],
  ] as const)('%s, %j', (kind, values, words) => {
    const said = why(over(freshOf(kind), values))
    expect(said).toMatch(/^with that .*; it was left as it was$/)
    expect(said).toMatch(words)
    expect(said).not.toMatch(/undefined|NaN|Cannot|Invalid/)
  })

  test('errors of the language are not told to a maker', () => {
    const broken = (error: Error) =>
      unworkable(() => {
        throw error
      })
    expect(broken(new TypeError("Cannot read properties of undefined (reading 'x')"))).toBe(
      'with that the pieces can’t be drawn; it was left as it was',
    )
    expect(broken(new RangeError('Maximum call stack size exceeded'))).toContain('too much to draw')
    expect(broken(new Error('the outline crosses itself'))).toContain('(the outline crosses itself)')
  })
})

test('an allowance can be nothing, a size of something can’t; below nothing only where the formula itself is', () => {
  expect(ownRange({ quantity: 'length', figured: 4 })).toEqual({ min: 0, max: 5000 })
  expect(ownRange({ quantity: 'length', figured: 40 })).toEqual({ min: 1, max: 5000 })
  expect(ownRange({ quantity: 'length', figured: -2 })).toEqual({ min: -5000, max: 5000 })
  expect(ownRange({ quantity: 'count', figured: 6 })).toEqual({ min: 0, max: 5000 })
})
