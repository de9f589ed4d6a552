import { describe, expect, test } from 'vitest'
import { atKey, firstOf, lastOf, nth, tupleOf } from '../src/lists/index.js'

describe('places of a list that are known to be there', () => {
  test('are given, the first and the last too', () => {
    const list = ['a', 'b', 'c']
    expect([firstOf(list), nth(list, 1), lastOf(list)]).toEqual(['a', 'b', 'c'])
    expect(nth(Float64Array.of(1, 2), 1)).toBe(2)
  })
  test('say what is asked for where they are not', () => {
    expect(() => nth(['a'], 3)).toThrow('a list of 1 has no place 3')
    expect(() => nth(['a'], -1)).toThrow('a list of 1 has no place -1')
    expect(() => firstOf([])).toThrow('a list of 0 has no place 0')
    expect(() => lastOf([])).toThrow('a list of 0 has no place -1')
    expect(() => atKey(new Map([['calf', 1]]), 'goat')).toThrow('nothing is held for goat')
  })
  test('a value that counts as nothing is still there', () => {
    expect(nth([0, ''], 0)).toBe(0)
    expect(atKey(new Map([['none', 0]]), 'none')).toBe(0)
  })
  test('as many come out as went in, in their order, and each knows its place', () => {
    const [up, down] = tupleOf([1, 2], (n, place) => 10 * n + place)
    expect([up, down]).toEqual([10, 21])
  })
})
