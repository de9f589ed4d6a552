import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { readDesign, writeDesign } from '@drumlin/core/exchange/json'
import { begunRecord } from '@drumlin/core/ledger'
import { makingOf } from '@drumlin/core/makings'
import { USUAL_TRADE } from '@drumlin/core/price'
import { stepsOf } from '@drumlin/core/steps'
import { planned } from './support/print.js'
import { WORKS } from './support/works.js'
import { designOf } from './support/worksMade.js'

describe.each(WORKS)('$id $name', (work) => {
  const design = designOf(work)
  const derived = derive(design)
  const steps = stepsOf(derived)

  test('nothing in it stops but what the maker has to decide', () => {
    const stops = findingsOf(derived).filter((f) => f.rank === 'stop')
    const told = stops.filter((f) => !work.stops?.includes(f.code)).map((f) => sayFinding(f, 'mm').what)
    expect(told).toEqual([])
  })
  test('nothing told of it says “the both”, or an article twice', () => {
    for (const finding of findingsOf(derived)) {
      const { what, why } = sayFinding(finding, 'mm')
      expect(`${what} ${why}`).not.toMatch(/\b(the|a|an) (both|the|a|an) /i)
    }
  })
  test('is sewn in some order', () => expect(steps.circles).toEqual([]))
  test('goes to paper, every piece of it', () => {
    const { sheets } = planned(design)
    expect(sheets.length).toBeGreaterThan(0)
  })
  test('comes back from its file the same', () => {
    const read = readDesign(writeDesign(design))
    expect(read.ok && read.design).toEqual(design)
  })
  test('its record is filled when it is begun', () => {
    const making = makingOf(design, { id: 'm', count: 1, forWhom: '', begun: '2027-01-04' })
    const record = begunRecord(making, derived, steps, USUAL_TRADE)
    expect(record.plan.length).toBe(steps.steps.length)
    expect(record.sizes.length).toBeGreaterThan(0)
  })
  test.each(Object.entries(work.sizes ?? {}))('by pencil: %s is %d', (key, value) => {
    const size = derived.master.sizes.find((s) => s.size.key === key)
    expect(size?.size.value).toBeCloseTo(value, 1)
  })
})
