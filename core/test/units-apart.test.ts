import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import {
  type System,
  TOLD_APART,
  type Units,
  isUnits,
  parseLength,
  printArea,
  printLength,
  printLong,
  printWeight,
  systemOf,
  withSystem,
} from '@drumlin/core/measure'
import { amountSaid } from '@drumlin/core/price'
import { explain } from '@drumlin/core/working'
import { demoDesign } from './support/all.js'

const systems = fc.constantFrom<System>('mm', 'in')
const apart = fc.tuple(systems, systems, systems, systems).map((all) => all.join(' ') as Units)

describe('measures each told in its own way', () => {
  const mine: Units = 'mm in mm in'
  test('lengths in millimetres, leather in ounces, hides in dm², thread in yards', () => {
    expect([
      printLength(203.9, mine),
      printWeight(1.4, mine),
      printArea(246_000, mine),
      printLong(8600, mine),
    ]).toEqual(['203.9 mm', '3.5 oz', '24.6 dm²', '9.4 yd'])
    expect([amountSaid(8600, 'mm', mine), amountSaid(24.6, 'dm²', mine)]).toEqual(['9.4 yd', '24.6 dm²'])
    const read = parseLength('3', mine)
    expect(read.ok && read.value).toBe(3)
  })
  test('one changed leaves the others; all alike are one word', () => {
    fc.assert(
      fc.property(apart, fc.constantFrom(...TOLD_APART), systems, (units, what, system) => {
        const now = withSystem(units, what, system)
        expect(isUnits(now)).toBe(true)
        for (const one of TOLD_APART)
          expect(systemOf(now, one)).toBe(one === what ? system : systemOf(units, one))
        if (TOLD_APART.every((one) => systemOf(now, one) === system)) expect(now).toBe(system)
      }),
    )
  })
  test('what is no units is none', () => {
    for (const text of ['', 'cm', 'mm in', 'mm in mm in mm', 'mm  in mm in', 3, undefined])
      expect(isUnits(text)).toBe(false)
  })
  test('workings are those of the unit of lengths, so that they add up', () => {
    const derived = derive(demoDesign('deckhands-fold'))
    for (const { size } of derived.master.sizes)
      if (size.kind === 'reckoned') {
        expect(explain(size, 'mm in in in')).toEqual(explain(size, 'mm'))
        expect(explain(size, 'in mm mm mm')).toEqual(explain(size, 'in'))
      }
  })
  test('no finding tells a thickness in a unit that was not asked for', () => {
    for (const name of ['deckhands-fold', 'pilots-bag', 'riggers-sheath'])
      for (const f of findingsOf(derive(demoDesign(name)))) {
        const { what, why } = sayFinding(f, 'in in in in')
        expect([what, why]).toEqual([sayFinding(f, 'in').what, sayFinding(f, 'in').why])
        expect(sayFinding(f, 'mm in mm mm').what).not.toMatch(/\d in\b/)
      }
  })
})
