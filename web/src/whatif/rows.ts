import { sayTime } from '../parts/time.js'
import type { Design } from '@drumlin/core/design'
import type { Field } from '@drumlin/core/kinds'
import { type Units, printArea, printLength, printLong, printWeight } from '@drumlin/core/measure'
import { moneySaid } from '@drumlin/core/money'
import type { Weighed } from './weighed.js'

/** A figure of a variant, and how it is said. */
export interface Row {
  readonly label: string
  readonly of: (figures: Weighed) => number
  readonly say: (value: number) => string
}

/** What is compared, from how it is carried to how long it takes. */
export function rowsIn(unit: Units, currency: string): readonly Row[] {
  const money = (v: number): string => moneySaid(v, currency)
  const mm = (v: number): string => printLength(v, unit)
  const area = (v: number): string => printArea(v, unit)
  const thick = (v: number): string => printWeight(v, unit)
  return [
    { label: 'Width as carried', of: (f) => f.width, say: mm },
    { label: 'Height as carried', of: (f) => f.height, say: mm },
    { label: 'Thick, empty', of: (f) => f.empty, say: mm },
    { label: 'Thick, full', of: (f) => f.full, say: mm },
    { label: 'Thickest seam', of: (f) => f.thickest, say: thick },
    { label: 'Leather', of: (f) => f.area, say: area },
    // What nobody chose hides for has no such figures.
    {
      label: 'Hide used up',
      of: (f) => f.cut?.used ?? NaN,
      say: area,
    },
    { label: 'Waste of it', of: (f) => f.cut?.waste ?? NaN, say: (v) => `${Math.round(100 * v)} %` },
    { label: 'Without a place', of: (f) => f.cut?.left ?? NaN, say: String },
    { label: 'Weight', of: (f) => f.weight.value, say: (v) => `${Math.round(v)} g` },
    { label: 'Pieces', of: (f) => f.pieces, say: String },
    { label: 'Holes', of: (f) => f.holes, say: String },
    { label: 'Thread', of: (f) => f.thread, say: (v) => printLong(v, unit) },
    { label: 'Time at the bench', of: (f) => f.time.total.value, say: sayTime },
    { label: 'Cost of one', of: (f) => f.bill?.cost.value ?? NaN, say: money },
    { label: 'To ask for one', of: (f) => f.bill?.price.value ?? NaN, say: money },
  ]
}

/** How a figure differs from the first one, as it is said: `−0.9 mm`, or `the same` where neither of them shows it. */
export function sayDifference({ of, say }: Row, from: Weighed, to: Weighed): string {
  const by = of(to) - of(from)
  const said = say(Math.abs(by))
  if (said !== say(0)) return `${by > 0 ? '+' : '−'}${said}`
  return say(of(from)) === say(of(to)) ? 'the same' : 'nearly the same'
}

/** How a setting of a design is said: a choice by its label, a leather by name and thickness. */
export function sayValue(design: Design, field: Field, unit: Units): string {
  if (field.type === 'leather') {
    const leather = design.leathers[field.role]
    return leather ? `${leather.name}, ${printWeight(leather.thickness, unit)}` : 'none'
  }
  const value = field.path.reduce<unknown>(
    (inner, key) => (inner as Record<string, unknown> | undefined)?.[key],
    design,
  )
  if (field.type === 'choice') return field.choices.find((c) => c.value === value)?.label ?? String(value)
  if (field.type === 'length') return printLength(Number(value), unit)
  return typeof value === 'object' && value !== null && 'name' in value ? String(value.name) : String(value)
}
