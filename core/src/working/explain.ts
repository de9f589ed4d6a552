import { required } from '../lists/index.js'
import {
  type System,
  type Units,
  decimal,
  inchFraction,
  marked,
  printLong,
  roundTo,
  systemOf,
} from '../measure/index.js'
import { INPUT } from '../expression/index.js'
import { formulaOf } from '../formulas/index.js'
import { type Quantity, type Reckoned, type Term, recomputed } from './reckoned.js'

const INCH = 25.4

/** Decimals a number of a working is written with at least, and whether noughts at its end are left off. */
const PLACES: Readonly<Record<System, Readonly<Record<Quantity, number>>>> = {
  mm: { length: 1, long: 1, thickness: 2, count: 0, share: 3, angle: 0, money: 2 },
  in: { length: 3, long: 3, thickness: 3, count: 0, share: 3, angle: 0, money: 2 },
}
const LENGTHS: ReadonlySet<Quantity> = new Set(['length', 'long', 'thickness'])
const TRIMMED: ReadonlySet<Quantity> = new Set(['thickness', 'share'])
/** More than so many decimals nobody follows with a pencil. */
const MOST_MORE = 4

/** What one of the number is in the unit it is written in: millimetres, inches, degrees, or itself. */
function scaleOf(quantity: Quantity, unit: Units): number {
  if (quantity === 'angle') return Math.PI / 180
  // A working adds lengths and thicknesses: both are told in one, whatever they are told in by themselves.
  return systemOf(unit) === 'in' && LENGTHS.has(quantity) ? INCH : 1
}

/** Decimals of a number: of many inches fewer, since nobody lays off a thousandth along a yard. */
function placesOf(value: number, quantity: Quantity, unit: Units): number {
  const places = PLACES[systemOf(unit)][quantity]
  if (systemOf(unit) === 'mm' || places < 3 || scaleOf(quantity, unit) === 1) return places
  const inches = Math.abs(value) / INCH
  return inches >= 100 ? 1 : inches >= 10 ? 2 : places
}

/** A number of a working as the maker reads it, without its unit, with `more` decimals than usual. */
function written(value: number, quantity: Quantity, unit: Units, more = 0): string {
  const text = decimal(value / scaleOf(quantity, unit), placesOf(value, quantity, unit) + more)
  const short =
    TRIMMED.has(quantity) || more > 0 ? text.replace(/(\.\d*?)0+$/, '$1').replace(/\.$/, '') : text
  const whole = placesOf(value, quantity, unit) > 0 && !short.includes('.') ? `${short}.0` : short
  return marked(quantity === 'angle' ? `${short}°` : quantity === 'count' ? short : whole, unit)
}

/** The number that is read back from what was written. */
const asWritten = (value: number, quantity: Quantity, unit: Units, more: number): number => {
  const scale = scaleOf(quantity, unit)
  return roundTo(value / scale, placesOf(value, quantity, unit) + more) * scale
}

/** How many more decimals the inputs need so that who follows the working with a pencil gets the number it says. */
function moreDecimals(reckoned: Reckoned, unit: Units): number {
  const { quantity, figured, inputs } = reckoned
  const said = written(figured, quantity, unit)
  for (let more = 0; more <= MOST_MORE; more += 1) {
    const pencilled = Object.fromEntries(
      Object.entries(inputs).map(([name, t]) => [name, asWritten(t.value, t.quantity, unit, more)]),
    )
    const again = recomputed(reckoned, pencilled)
    if (!Number.isFinite(again)) return 0
    if (written(again, quantity, unit) === said) return more
  }
  return MOST_MORE
}

/** What the words say besides the number they hand on as it is; undefined for words that are worked out. */
function handedOn({ formula, inputs }: Reckoned): string | undefined {
  const read = formulaOf(formula)
  if (read.op !== 'input' && read.op !== 'number') return undefined
  const told = formula.replace(/^(\{[^}]*\}|[\d.]+)[:,;]?/, '').trim()
  return told || (read.op === 'input' ? required(inputs[read.name], read.name).label : 'as it is set')
}

/** The words with the inputs written in; one below nothing stands in brackets after a sign. */
function filledIn(words: string, { key, inputs }: Reckoned, unit: Units, more: number): string {
  const said = words.replace(INPUT, (_all: string, name: string, named: string | undefined, at: number) => {
    const term = inputs[name]
    if (!term) throw new Error(`working ${key} names {${name}} but has no such input`)
    const number = written(term.value, term.quantity, unit, more)
    const signed = number.startsWith('−') && /[+−×/]\s*$/.test(words.slice(0, at)) ? `(${number})` : number
    return named ? `${signed} “${term.label}”` : signed
  })
  return marked(said, unit)
}

/**
 * One line of a working, in one unit: `outside 203.9 = 2 × 99.0 + 5.9 round the fold`. Inches are decimal, the number
 * itself also as a fraction. Inputs are written as finely as the number needs to come out with a pencil.
 */
export function explainLine(reckoned: Reckoned, unit: Units): string {
  const { label, formula, figured, quantity } = reckoned
  const fraction =
    systemOf(unit) === 'in' && quantity === 'length' && Math.abs(figured) < 100 * INCH
      ? ` (${inchFraction(figured)})`
      : ''
  const own = reckoned.overridden ? `; you wrote ${written(reckoned.value, quantity, unit)}` : ''
  const result = `${label} ${written(figured, quantity, unit)}${fraction}`
  const told = handedOn(reckoned)
  if (told === undefined)
    return `${result} = ${filledIn(formula, reckoned, unit, moreDecimals(reckoned, unit))}${own}`
  const from = filledIn(told, reckoned, unit, 0)
  return `${result}: ${from === label ? 'as it is set' : from}${own}`
}

/** A result as it stands by itself, without its unit but for a long one: inches as makers' fractions. */
export function printQuantity(value: number, quantity: Quantity, unit: Units): string {
  if (quantity === 'long') return printLong(value, unit, 2)
  return quantity === 'length' && systemOf(unit) === 'in'
    ? inchFraction(value)
    : written(value, quantity, unit)
}

/** A line of a working: the number it works out, and how it reads. */
export interface WorkingStep {
  readonly reckoned: Reckoned
  readonly line: string
}

const reckonedInputs = ({ inputs }: Reckoned): Reckoned[] =>
  Object.values(inputs).filter((term: Term): term is Reckoned => term.kind === 'reckoned')

/** The working from the result down to what was given, each reckoned number once, nearest first; `depth` levels of it. */
export function explainSteps(reckoned: Reckoned, unit: Units, depth = 3): readonly WorkingStep[] {
  const seen = new Set<string>()
  const steps: WorkingStep[] = []
  let level: readonly Reckoned[] = [reckoned]
  for (let step = 0; step < depth && level.length > 0; step += 1) {
    const fresh = level.filter((one) => !seen.has(one.key))
    for (const one of fresh) {
      if (seen.has(one.key)) continue
      seen.add(one.key)
      steps.push({ reckoned: one, line: explainLine(one, unit) })
    }
    level = fresh.flatMap(reckonedInputs)
  }
  return steps
}

/** The lines of a working, as `explainSteps` orders them. */
export const explain = (reckoned: Reckoned, unit: Units, depth = 3): readonly string[] =>
  explainSteps(reckoned, unit, depth).map((s) => s.line)
