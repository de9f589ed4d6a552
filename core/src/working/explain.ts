import { type LengthUnit, decimal, printBare, trimmed } from '../measure/index.js'
import type { Quantity, Reckoned, Term } from './reckoned.js'

/** A number of a working as the maker reads it, without its unit. */
export function printQuantity(value: number, quantity: Quantity, unit: LengthUnit): string {
  switch (quantity) {
    case 'length':
      return printBare(value, unit)
    case 'thickness':
      return trimmed(value, 2)
    case 'count':
      return String(Math.round(value))
    case 'share':
      return trimmed(value, 3)
    case 'angle':
      return `${decimal((value * 180) / Math.PI, 0)}°`
  }
}

/** One line of a working: `outside 203.9 = 2 × 99.0 + 5.9 round the fold`. */
export function explainLine(reckoned: Reckoned, unit: LengthUnit): string {
  const print = (term: Term): string => printQuantity(term.value, term.quantity, unit)
  const sum = reckoned.formula.replace(/\{(\w+)\}/g, (_, name: string) => {
    const term = reckoned.inputs[name]
    if (!term) throw new Error(`working ${reckoned.key} names {${name}} but has no such input`)
    return print(term)
  })
  const figured = printQuantity(reckoned.figured, reckoned.quantity, unit)
  const own = reckoned.overridden ? `; you wrote ${print(reckoned)}` : ''
  return `${reckoned.label} ${figured} = ${sum}${own}`
}

/** The working from the result down to what was given, each reckoned number once, nearest first. */
export function explain(reckoned: Reckoned, unit: LengthUnit, depth = 3): readonly string[] {
  const seen = new Set<string>()
  const lines: string[] = []
  let level: readonly Reckoned[] = [reckoned]
  for (let step = 0; step < depth && level.length > 0; step += 1) {
    const fresh = level.filter((one) => !seen.has(one.key))
    for (const one of fresh) {
      if (seen.has(one.key)) continue
      seen.add(one.key)
      lines.push(explainLine(one, unit))
    }
    level = fresh.flatMap((one) => Object.values(one.inputs).filter((term) => term.kind === 'reckoned'))
  }
  return lines
}
