import { describe, expect, test } from 'vitest'
import { addedUp, explain, explainLine, given, printQuantity, reckoner } from '../src/working/index.js'

const reckon = reckoner({ half: 100 })
const half = reckon(
  { key: 'half', label: 'half', formula: '{card} + {room}', source: '§9' },
  { card: given('card', 85.6), room: given('room', 3.4) },
)
const whole = reckon({ key: 'whole', label: 'whole', formula: '2 × {half}', source: '§9' }, { half })

describe('a number with its working', () => {
  test('what the maker wrote is used, what was figured is kept', () => {
    expect([half.value, half.figured, half.overridden]).toEqual([100, 89, true])
    expect([whole.value, whole.overridden]).toEqual([200, false])
  })
  test('is said in one line, in the maker’s units', () => {
    expect(explainLine(half, 'mm')).toBe('half 89.0 = 85.6 + 3.4; you wrote 100.0')
    expect(explainLine(whole, 'in')).toBe('whole 7.874 (7 7/8) = 2 × 3.937')
  })
  test('goes down from the result to what was given, each number once', () => {
    const twice = reckon(
      { key: 'twice', label: 'twice', formula: '{whole} + {half}', source: '§9' },
      { whole, half },
    )
    expect(explain(twice, 'mm').map((l) => l.split(' ')[0])).toEqual(['twice', 'whole', 'half'])
    expect(explain(twice, 'mm', 1)).toHaveLength(1)
  })
  test('a formula that names what it was not given is a mistake, not a blank', () => {
    const words: string = '2 × {nothing}'
    const broken = () => reckon({ key: 'x', label: 'x', formula: words, source: '§0' }, {})
    expect(broken).toThrow(/the working x names \{nothing\}/)
  })
  test('handed on as it is, it says why instead of repeating itself', () => {
    const say = (formula: string, value = 5) =>
      explainLine(
        reckon({ key: 'y', label: 'width', formula, source: '§0' }, { a: given('strap', value) }),
        'mm',
      )
    expect(say('{a}')).toBe('width 5.0: strap')
    expect(say('{a} of the strap')).toBe('width 5.0: of the strap')
    expect(say('0: there is none')).toBe('width 0.0: there is none')
    // One below nothing stands in brackets after a sign, and by itself without.
    expect(say('2 + {a} more', -5)).toBe('width −3.0 = 2 + (−5.0) more')
    expect(say('{a} × 2', -5)).toBe('width −10.0 = −5.0 × 2')
  })
  test('what a working names but does not need is no input of it', () => {
    const one = reckon({ key: 'z', label: 'z', formula: 'half of {a}', source: '§0' }, {
      a: half,
      b: whole,
    } as never)
    expect(Object.keys(one.inputs)).toEqual(['a'])
  })
  test('terms added up go by their names, as often as they are there; many by their numbers alone', () => {
    const thread = (n: number) =>
      Array.from({ length: n }, (_, i) => ({ term: given(`run ${i}`, i + 1), times: 2 }))
    const say = (n: number) => {
      const { formula, inputs } = addedUp(thread(n))
      return explainLine(reckon({ key: 'sum', label: 'all', formula, source: '§0' }, inputs), 'mm')
    }
    expect(say(0)).toBe('all 0.0: there is none')
    expect(say(2)).toBe('all 6.0 = 2 × 1.0 “run 0” + 2 × 2.0 “run 1”')
    expect(say(5)).toBe('all 30.0 = 2 × 1.0 + 2 × 2.0 + 2 × 3.0 + 2 × 4.0 + 2 × 5.0')
  })
  test('an override named like something every object has is none', () => {
    const odd = reckoner({})({ key: 'constructor', label: 'odd', formula: '1', source: '§0' }, {})
    expect(odd.value).toBe(1)
  })
  test.each([
    ['length', 12.345, '12.3'],
    ['thickness', 0.45, '0.45'],
    ['count', 4, '4'],
    ['share', 0.018, '0.018'],
    ['angle', Math.PI / 4, '45°'],
  ] as const)('%s prints as makers write it', (quantity, value, text) =>
    expect(printQuantity(value, quantity, 'mm')).toBe(text),
  )
})
