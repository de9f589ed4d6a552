import { describe, expect, test } from 'vitest'
import { type Derived, derive, seamPlan } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { figuresOf } from '@drumlin/core/overview'
import { explainLine } from '@drumlin/core/working'
import { ENTRIES, reckonEntry } from '@drumlin/core/pocketbook'
import type { Reckoned } from '../src/working/index.js'
import { everyDesign, madeKinds, derivedOf } from './support/all.js'
import { freshOf, variantsOf } from './support/designs.js'
import { formulaOf } from '../src/formulas/index.js'
import { valueOf } from '../src/expression/index.js'
import { some } from './support/long.js'

const UNITS = ['mm', 'in'] as const
/** Result, its degrees sign, its fraction, and the words that say how it comes about. */
const LINE = / (−?[\d.]+)(°?)(?: \(([^)]*)\))? = (.*?)(?:; you wrote.*)?$/

/** What the words of a printed line come to, read as they stand there. */
const pencilled = (words: string): number =>
  valueOf(
    formulaOf(
      inRadians(
        words
          .replace(/“[^”]*”/g, '')
          .replaceAll('(−', '(0 − ')
          .replace(/^−/, '0 − '),
      ),
    ),
    {},
  )
const inRadians = (words: string): string =>
  words.replace(/([\d.]+)°/g, (_, degrees: string) => ((Number(degrees) * Math.PI) / 180).toFixed(15))

/** What is wrong with a working as it is printed; undefined where a pencil comes to the number it says. */
function wrongWith(reckoned: Reckoned, unit: (typeof UNITS)[number]): string | undefined {
  const line = explainLine(reckoned, unit)
  const read = LINE.exec(line)
  // Handed on as it is: nothing is worked out, and nothing says “95.1 = 95.1”.
  if (!read) return /^[^=]+: .+/.test(line) ? undefined : `has no working: ${line}`
  const [, result, degrees, , words] = read as unknown as [string, string, string, string, string]
  let value: number
  try {
    value = pencilled(words)
  } catch (error) {
    return `${(error as Error).message}: ${line}`
  }
  if (degrees) value = (value * 180) / Math.PI
  const places = (result.split('.')[1] ?? '').length
  if (Math.abs(value - Number(result.replace('−', '-'))) > 0.5 * 10 ** -places + 1e-9)
    return `comes to ${value}: ${line}`
  if (unit === 'in' && /\d+\/\d+/.test(words)) return `mixes fractions into a sum: ${line}`
  if (/\d\.\d{8}/.test(line)) return `has digits nobody can measure: ${line}`
  return undefined
}

/** Every working below some numbers, each once. */
function workingsOf(from: readonly Reckoned[]): Reckoned[] {
  const found = new Map<string, Reckoned>()
  const walk = (r: Reckoned): void => {
    const key = `${r.key} ${r.figured}`
    if (found.has(key)) return
    found.set(key, r)
    for (const term of Object.values(r.inputs)) if (term.kind === 'reckoned') walk(term)
  }
  from.forEach(walk)
  return [...found.values()]
}

const sizesOf = ({ master, runs, fittings }: Derived): Reckoned[] => [
  ...master.sizes.map((s) => s.size),
  ...master.fits.flatMap((f) => [f.needs, f.has]),
  ...fittings.flatMap((f) => [...(f.stack ? [f.stack] : []), ...(f.wanted ? [f.wanted] : [])]),
  ...runs.flatMap((r) => [r.thread, ...(r.locked ? [r.locked.needle, r.locked.bobbin] : [])]),
]
function allOf(derived: Derived): Reckoned[] {
  const { weight, time } = figuresOf(derived)
  const { supplies, rows } = seamPlan(derived)
  const { bobbins } = supplies
  return [
    ...sizesOf(derived),
    weight,
    time.total,
    supplies.spools,
    ...(bobbins ? [bobbins.thread, bobbins.holds] : []),
    ...rows.map((r) => r.minutes),
  ]
}
const wrong = (all: readonly Reckoned[]): string[] =>
  workingsOf(all).flatMap((r) => UNITS.flatMap((unit) => wrongWith(r, unit) ?? []))

describe('a pencil follows every working to its last digit, in one unit', () => {
  test.each(everyDesign())('of $name', ({ design }) => expect(wrong(allOf(derivedOf(design)))).toEqual([]))
  test.each(madeKinds)('of a %s with each of its choices', (id) => {
    const bad = some(variantsOf(freshOf(id)), 12).flatMap((design: Design) =>
      wrong(sizesOf(derivedOf(design))),
    )
    expect([...new Set(bad)]).toEqual([])
  })
  test('sewn by machine', () => {
    const fresh = freshOf('flap-bag')
    const machine = derive({ ...fresh, sewing: { ...fresh.sewing, holes: 'machine' } })
    expect(wrong(allOf(machine))).toEqual([])
  })
  test('of the pocket book', () => {
    const usual = (entry: (typeof ENTRIES)[number]) =>
      Object.fromEntries(entry.inputs.map((i) => [i.id, i.value]))
    const all = ENTRIES.flatMap((entry) => reckonEntry(entry, usual(entry)).workings)
    // Sizes of threads, forces and areas of hides have units of their own: inches are not for them.
    const own = /^(thread-size|edge-distance|edge-loss|turning|stitch-count|step-phase)\./
    expect(wrong(all.filter((a) => !own.test(a.key)))).toEqual([])
  })
})
