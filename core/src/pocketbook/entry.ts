import { required } from '../lists/index.js'
import type { Path, Point } from '../geometry/index.js'
import { type Units, printArea, printLength } from '../measure/index.js'
import { type Given, type Quantity, type Reckoned, type Term, given, reckoner } from '../working/index.js'

/** How a thing that is asked for is written: lengths in mm, angles in degrees, shares of one, plain numbers. */
export type InputUnit = 'mm' | 'degrees' | 'share' | 'count' | 'number'

export interface Input {
  readonly id: string
  readonly label: string
  readonly unit: InputUnit
  readonly value: number
  readonly min: number
  readonly max: number
}

/** A word of a drawing: `{}` in it is a length in mm, or an area in mm², as the maker reads them. */
export interface SketchWord {
  readonly at: Point
  readonly text: string
  readonly mm?: number
  readonly area?: number
}

/** A small drawing, true to the numbers, in mm. */
export interface Sketch {
  readonly strokes: readonly { readonly path: Path; readonly style: 'leather' | 'line' | 'mark' | 'hole' }[]
  readonly words: readonly SketchWord[]
}

/** What is asked for, by input id, as reckoned with: mm, radians, shares. */
export type Values = Readonly<Record<string, number>>

/** Words of a formula over what is asked for and what was answered before; or which words, by what is asked for. */
type Words = string | ((values: Values) => string | undefined)

export interface AnswerRule {
  readonly label: string
  readonly formula: Words
  readonly quantity: Quantity
  /** By what name the formulas of later answers call it. */
  readonly as?: string
  /** Only a step on the way, told in the working. */
  readonly step?: boolean
  /** Measures that the formula names besides what is asked for: an inch, an ounce. */
  readonly also?: Readonly<Record<string, Given>>
}

/** What has to hold between the numbers for there to be such a thing, and what to say where it doesn't. */
export interface Condition {
  readonly holds: (values: Values) => boolean
  readonly says: string
}

/** One quick reckoner of the pocket book. The screen and the terminal both read it from here. */
export interface Entry {
  readonly id: string
  readonly title: string
  readonly says: string
  /** Section of docs/formulas.md. */
  readonly section: string
  readonly inputs: readonly Input[]
  readonly answers: readonly AnswerRule[]
  readonly draw: (values: Values, answers: readonly number[]) => Sketch
  readonly conditions: readonly Condition[]
}

const input = (unit: InputUnit, min: number, max: number) => (label: string, value: number) => ({
  label,
  unit,
  value,
  min,
  max,
})
/** A length in mm, 0 to 5 m. */
export const mm = input('mm', 0, 5000)
/** A thickness or gap in mm, 0 to 100. */
export const thin = input('mm', 0, 100)
export const share = input('share', 0, 1)
export const degrees = input('degrees', 0, 360)
export const count = input('count', 0, 500)
export const number = input('number', 0, 100_000)
/** The neutral-axis share k of the leather (docs/formulas.md §0). */
export const neutral = { ...share('neutral-axis factor k', 0.5), min: 0.3, max: 0.75 }

export const answer = (
  label: string,
  formula: Words,
  { quantity = 'length', ...more }: Partial<Omit<AnswerRule, 'label' | 'formula'>> = {},
): AnswerRule => ({ label, formula, quantity, ...more })

/** A number on the way to an answer, by the name that its formula calls it by. */
export const step = (as: string, label: string, formula: Words, quantity: Quantity = 'length'): AnswerRule =>
  answer(label, formula, { as, quantity, step: true })

type Asked = Readonly<Record<string, Omit<Input, 'id'>>>
/** The numbers that an entry asks for, by name. */
type NumbersOf<I extends Asked> = { readonly [Id in keyof I]: number }

/** An entry as it is written: the order of `inputs` is the order in which they are asked for. */
interface EntryOf<I extends Asked> extends Pick<Entry, 'id' | 'section' | 'title' | 'says' | 'answers'> {
  readonly inputs: I
  readonly draw: (values: NumbersOf<I>, answers: readonly number[]) => Sketch
  readonly conditions?: readonly {
    readonly holds: (values: NumbersOf<I>) => boolean
    readonly says: string
  }[]
}

export function entry<const I extends Asked>({ inputs, draw, conditions = [], ...said }: EntryOf<I>): Entry {
  const own = (values: Values): NumbersOf<I> => values as NumbersOf<I>
  return {
    ...said,
    inputs: Object.entries(inputs).map(([key, one]) => ({ id: key, ...one })),
    draw: (values, answers) => draw(own(values), answers),
    conditions: conditions.map(({ holds, says }) => ({ says, holds: (values) => holds(own(values)) })),
  }
}

const QUANTITY: Readonly<Record<InputUnit, Quantity>> = {
  mm: 'thickness',
  degrees: 'angle',
  share: 'share',
  count: 'count',
  number: 'share',
}

const reckonedWith = (one: Input, value: number): number =>
  one.unit === 'degrees' ? (value * Math.PI) / 180 : value

/** What an entry answers, and the working of it all, steps on the way included, in order. */
export interface Answered {
  readonly answers: readonly Reckoned[]
  readonly workings: readonly Reckoned[]
  readonly sketch: Sketch
  /** Why no such thing can be made. */
  readonly cant?: string
}

/**
 * What an entry answers for the numbers given, as written (degrees, shares); inputs left out take their usual value.
 * Where no such thing can be made there are no answers, and `cant` says why.
 */
export function reckonEntry(one: Entry, written: Readonly<Record<string, number>>): Answered {
  const values: Values = Object.fromEntries(
    one.inputs.map((i) => [i.id, reckonedWith(i, written[i.id] ?? i.value)]),
  )
  const broken = one.conditions.find((c) => !c.holds(values))
  if (broken) return { answers: [], workings: [], sketch: NO_SKETCH, cant: broken.says }
  const numbers = numbersOf(one, values)
  // What can't be answered for these numbers is left out rather than shown as nothing.
  const made = numbers.filter(({ number }) => Number.isFinite(number.value))
  return {
    answers: made.flatMap(({ rule, number }) => (rule.step ? [] : [number])),
    workings: made.map(({ number }) => number),
    sketch: drawnMaybe(
      one,
      values,
      numbers.flatMap(({ rule, number }) => (rule.step ? [] : [number.value])),
    ),
  }
}

/** Every number of an entry in its order; each may name those before it. */
function numbersOf(one: Entry, values: Values): { readonly rule: AnswerRule; readonly number: Reckoned }[] {
  const terms: Record<string, Term> = Object.fromEntries(
    one.inputs.map((i) => [i.id, given(i.label, required(values[i.id], i.id), QUANTITY[i.unit])]),
  )
  const reckon = reckoner({})
  return one.answers.flatMap((rule, i) => {
    const formula = typeof rule.formula === 'string' ? rule.formula : rule.formula(values)
    if (formula === undefined) return []
    const about = {
      key: `${one.id}.${i}`,
      label: rule.label,
      source: one.section,
      quantity: rule.quantity,
      formula,
    }
    const number = reckon(about, { ...terms, ...rule.also })
    if (rule.as) terms[rule.as] = number
    return [{ rule, number }]
  })
}

/** A word of a drawing as it is read, in the maker’s units. */
export function sketchWord({ text, mm, area }: SketchWord, unit: Units): string {
  const value = mm !== undefined ? printLength(mm, unit) : area !== undefined ? printArea(area, unit) : ''
  return text.replace('{}', value)
}

const NO_SKETCH: Sketch = { strokes: [], words: [] }

/** The drawing, or an empty one where these numbers make a shape that can't be. */
function drawnMaybe(one: Entry, values: Values, figures: readonly number[]): Sketch {
  const sketch = one.draw(values, figures)
  const whole = (n: number): boolean => Number.isFinite(n)
  const possible = sketch.strokes.every(({ path }) =>
    path.segments.every((s) => [s.from, s.to].every((p) => whole(p.x) && whole(p.y))),
  )
  return possible ? sketch : NO_SKETCH
}

/** Why a number can't be reckoned with, or undefined where it can. */
export function inputProblem(one: Input, value: number): string | undefined {
  if (!Number.isFinite(value)) return `${one.label} needs a number, such as ${one.value}`
  if (one.unit === 'count' && !Number.isInteger(value))
    return `${one.label} needs a whole number, such as ${Math.max(one.min, Math.round(value))}`
  if (value < one.min || value > one.max)
    return `${one.label} goes from ${one.min} to ${one.max}, not ${value}`
  return undefined
}
