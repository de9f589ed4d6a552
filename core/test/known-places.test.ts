import { describe, expect, test } from 'vitest'
import {
  atKey,
  firstOf,
  floatAt,
  foundIn,
  intAt,
  lastOf,
  nth,
  required,
  tupleOf,
} from '../src/lists/index.js'

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
  test('what is looked for is the first that is it, or said to be missing', () => {
    expect(foundIn([1, 4, 6], (n) => n > 3)).toBe(4)
    expect(() => foundIn([1, 2], (n) => n > 3)).toThrow('none of a list of 2 is what was looked for')
    expect(required(0, 'width')).toBe(0)
    expect(required('', 'name')).toBe('')
    expect(() => required(undefined, 'width')).toThrow('there is no width')
    expect(() => required(null, 'width')).toThrow('there is no width')
  })
  test('packed numbers are read as they are, and spoil what is reckoned beyond their end', () => {
    expect([floatAt(Float64Array.of(1.5, 0), 1), floatAt(Float64Array.of(1.5), 0)]).toEqual([0, 1.5])
    expect([intAt(Int32Array.of(7, -3), 1), intAt(Int32Array.of(0), 0)]).toEqual([-3, 0])
    expect([floatAt(Float64Array.of(1), 1), intAt(Int32Array.of(1), -1)]).toEqual([Number.NaN, Number.NaN])
  })
})
