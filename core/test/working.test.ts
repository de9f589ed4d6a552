import { describe, expect, test } from 'vitest'
import { explain, explainLine, given, printQuantity, reckoner } from '../src/working/index.js'

const reckon = reckoner({ half: 100 })
const half = reckon(
  { key: 'half', label: 'half', formula: '{card} + {room}', source: '§9' },
  { card: given('card', 85.6), room: given('room', 3.4) },
  (v) => v.card + v.room,
)
const whole = reckon(
  { key: 'whole', label: 'whole', formula: '2 × {half}', source: '§9' },
  { half },
  (v) => 2 * v.half,
)

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
      (v) => v.whole + v.half,
    )
    expect(explain(twice, 'mm').map((l) => l.split(' ')[0])).toEqual(['twice', 'whole', 'half'])
    expect(explain(twice, 'mm', 1)).toHaveLength(1)
  })
  test('a formula that names what it was not given is a mistake, not a blank', () => {
    const broken = reckon({ key: 'x', label: 'x', formula: '{nothing}', source: '§0' }, {}, () => 1)
    expect(() => explainLine(broken, 'mm')).toThrow(/names \{nothing\}/)
  })
  test('an override named like something every object has is none', () => {
    const odd = reckoner({})({ key: 'constructor', label: 'odd', formula: '1', source: '§0' }, {}, () => 1)
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
