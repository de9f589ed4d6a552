import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { type Design, freshDesign, setField } from '@drumlin/core/design'
import { fieldsOf, kindOf, startingLeathers } from '@drumlin/core/kinds'
import { figuresOf } from '@drumlin/core/overview'
import { USUAL_TRADE, billOf } from '@drumlin/core/price'
import { stepsOf } from '@drumlin/core/steps'
import { STARTER_STORES } from '@drumlin/core/stores'
import { bandColour, bandCount, bandOf, inkOn } from '../src/relief/ramp.js'
import { seamsOf } from '../src/relief/seams.js'
import { sayTime } from '../src/parts/time.js'
import { rowsIn, sayDifference, sayValue } from '../src/whatif/rows.js'
import {
  NOTHING_CHANGED,
  type Variant,
  changedFields,
  variantOf,
  withChange,
  withoutField,
} from '../src/whatif/variants.js'

const fresh = (kind: string): Design =>
  freshDesign({
    id: 'one',
    name: 'One',
    kind,
    leathers: startingLeathers(kindOf(kind), STARTER_STORES.leathers),
    iron: STARTER_STORES.irons[1]!,
    awl: STARTER_STORES.awls[0]!,
    thread: STARTER_STORES.threads[0]!,
    machine: STARTER_STORES.machines[0]!,
  })

/** How light a colour is, 0 to 1, by the eye. */
function lightness(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const c = Number.parseInt(hex.slice(at, at + 2), 16) / 255
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
  })
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
}
const contrast = (a: string, b: string): number => {
  const [light, dark] = [lightness(a), lightness(b)].sort((x, y) => y - x)
  return (light! + 0.05) / (dark! + 0.05)
}

describe('the colours of the map', () => {
  test('a band for every step up to the thickest', () => {
    expect(bandCount(5, 0.5)).toBe(11)
    expect(bandCount(0.4, 0.5)).toBe(1)
    expect([bandOf(0, 0.5), bandOf(0.49, 0.5), bandOf(0.5, 0.5), bandOf(4.999999999, 0.5)]).toEqual([
      0, 0, 1, 10,
    ])
  })
  test('each band is darker than the one below it, whatever their number', () => {
    for (const bands of [2, 5, 11, 17])
      for (let i = 1; i < bands; i += 1)
        expect(lightness(bandColour(i, bands))).toBeLessThan(lightness(bandColour(i - 1, bands)))
  })
  test('every figure can be read on its band', () => {
    for (const bands of [1, 3, 8, 17])
      for (let i = 0; i < bands; i += 1)
        expect(contrast(bandColour(i, bands), inkOn(i, bands))).toBeGreaterThan(3.7)
  })
  test('beyond the last band the last colour holds', () => expect(bandColour(40, 9)).toBe(bandColour(8, 9)))
})

describe('seams', () => {
  test('both of a pair stand as one, under their common name, as thick as the thicker', () => {
    const derived = derive(fresh('bifold'))
    const seams = seamsOf(derived)
    expect(seams.map((s) => s.name)).toEqual([
      'foot of pocket 1, both sides',
      'foot of pocket 2, both sides',
      'seam beside the fold, both sides',
      'outer seam, both sides',
    ])
    expect(seams.flatMap((s) => s.runs).toSorted()).toEqual(derived.runs.map((r) => r.join.id).toSorted())
    for (const seam of seams)
      for (const id of seam.runs)
        expect(seam.thickest).toBeGreaterThanOrEqual(derived.runs.find((r) => r.join.id === id)!.thickest)
  })
  test('a seam without a twin stands alone', () =>
    expect(seamsOf(derive(fresh('card-sleeve'))).at(-1)).toMatchObject({
      name: 'outer seam',
      runs: ['outer'],
    }))
})

describe('variants', () => {
  const base = fresh('bifold')
  const bare: Variant = { name: 'B', edit: NOTHING_CHANGED }
  const school = setField('butted', ['params', 'school'], 'butted')
  const fewer = setField('two', ['params', 'pockets'], 2)
  test('nothing changed is the design itself', () => expect(variantOf(base, bare)).toBe(base))
  test('changes add up, the later of two at one place counts, and the design stays as it was', () => {
    const both = withChange(withChange(bare, school), fewer)
    expect(variantOf(base, both).params).toMatchObject({ school: 'butted', pockets: 2 })
    const again = withChange(both, setField('one', ['params', 'pockets'], 1))
    expect(variantOf(base, again).params.pockets).toBe(1)
    expect(again.edit.changes).toHaveLength(2)
    expect(base.params).toMatchObject({ school: 'lapped', pockets: 3 })
  })
  test('what is changed is told in the order of the kind, and can be left again', () => {
    const both = withChange(withChange(bare, fewer), school)
    const fields = changedFields({ kind: kindOf('bifold') }, both)
    expect(fields.map((f) => f.id)).toEqual(['pockets', 'school'])
    const left = withoutField(both, fields[0]!)
    expect(variantOf(base, left).params).toMatchObject({ school: 'butted', pockets: 3 })
  })
  test('a change the design won’t have leaves it as it is', () => {
    const wrong: Variant = { name: 'B', edit: setField('many', ['params', 'pockets'], 60) }
    expect(variantOf(base, wrong)).toBe(base)
  })
})

describe('the rows that compare them', () => {
  const [three, two] = [3, 2].map((pockets) =>
    figuresOf(
      derive(variantOf(fresh('bifold'), { name: 'B', edit: setField('n', ['params', 'pockets'], pockets) })),
    ),
  )
  const row = (label: string, unit: 'mm' | 'in' = 'mm') => rowsIn(unit, 'EUR').find((r) => r.label === label)!
  test('say more and less with their sign, and nothing where nothing shows', () => {
    expect(sayDifference(row('Pieces'), three!, two!)).toBe('−2')
    expect(sayDifference(row('Pieces'), two!, three!)).toBe('+2')
    expect(sayDifference(row('Thickest seam'), three!, two!)).toBe('the same')
    const weighing = (value: number) => ({ ...three!, weight: { ...three!.weight, value } })
    expect(sayDifference(row('Weight'), weighing(62.4), weighing(62.3))).toBe('the same')
    expect(sayDifference(row('Weight'), weighing(62.4), weighing(62.6))).toBe('nearly the same')
    expect(sayDifference(row('Holes'), three!, two!)).toMatch(/^−\d+$/)
  })
  test('follow the maker’s units', () => {
    expect(row('Width as carried').say(25.4)).toBe('25.4 mm')
    expect(row('Width as carried', 'in').say(25.4)).toMatch(/in$/)
  })
  test('every figure can be said', () => {
    const derived = derive(fresh('bifold'))
    const bill = billOf({
      derived,
      steps: stepsOf(derived),
      count: 1,
      trade: USUAL_TRADE,
      hides: [],
      first: false,
    })
    for (const unit of ['mm', 'in'] as const)
      for (const one of rowsIn(unit, 'EUR'))
        expect(
          one.say(one.of({ ...three!, cut: { left: 1, used: 420_000, waste: 0.08 }, bill })),
        ).not.toMatch(/NaN|undefined/)
  })
  test('a setting is said by its label, a leather with its thickness, an iron by name, a length in the units', () => {
    const design = fresh('bifold')
    const said = (id: string, unit: 'mm' | 'in' = 'mm') =>
      sayValue(
        design,
        fieldsOf(kindOf('bifold')).find((f) => f.id === id)!,
        unit,
      )
    expect(said('school')).toBe('T, lapped')
    expect(said('pockets')).toBe('3')
    expect(said('foldShare')).toBe('0.6')
    expect(said('reveal')).toBe('12.0 mm')
    expect(said('reveal', 'in')).toMatch(/in$/)
    expect(said('leather-outside')).toBe('Vegetable calf, 1.4 mm')
    expect(said('iron')).toBe('No. 9 iron')
  })
  test('time is hours and minutes, and rounds up into the hour', () => {
    expect([sayTime(0), sayTime(59.6), sayTime(61), sayTime(125)]).toEqual([
      '0 h 00',
      '1 h 00',
      '1 h 01',
      '2 h 05',
    ])
  })
})
