import type { Chance } from '../random.js'

/** What may stand where a number should. */
export const NUMBERS = [
  'NaN',
  '1e400',
  '1e9',
  '-1',
  '0',
  '',
  '1,5',
  '0x10',
  '1e-300',
  '99999999999999999999',
  '50%',
  '2em',
  '5cm',
  'null',
  '--3',
]

/** Somewhere in a text something else. */
export function scratched(c: Chance, text: string): string {
  const at = c.below(text.length)
  switch (c.below(6)) {
    case 0:
      return text.slice(0, at)
    case 1:
      return text.slice(0, at) + String.fromCharCode(c.below(0x2100)) + text.slice(at + 1)
    case 2:
      return text.slice(0, at) + text.slice(at + c.below(200))
    case 3:
      return text.slice(0, at) + text.slice(at, at + 300).repeat(1 + c.below(20)) + text.slice(at)
    case 4: {
      const numbers = [...text.matchAll(/-?\d+(?:\.\d+)?/g)]
      if (numbers.length === 0) return text
      const hit = c.of(numbers)
      return text.slice(0, hit.index) + c.of(NUMBERS) + text.slice(hit.index + hit[0].length)
    }
    default:
      return `\uFEFF${text}`
  }
}
