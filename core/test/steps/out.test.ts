import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { planCsv, stepsCsv, writeIcs } from '@drumlin/core/exchange/work'
import { evenings, makingOf, toDo } from '@drumlin/core/makings'
import { USUAL_HOURS, dayNumber, instant, minuteAt, plan } from '@drumlin/core/schedule'
import { stepPicture, stepsOf } from '@drumlin/core/steps'
import { drawnSpan } from '@drumlin/core/drawing'
import { demoDesign, everyDesign, derivedOf } from '../support/all.js'

const derived = derive(demoDesign('pilots-bag'))
const steps = stepsOf(derived)
const one = {
  steps,
  making: makingOf(derived.design, { id: 'm', count: 1, forWhom: '', begun: '2027-03-22' }),
}
const at = instant(dayNumber('2027-03-22')!, 0)
const all = evenings(plan([toDo(one, { at, ms: 0 })], USUAL_HOURS, at), [one])

describe('the calendar', () => {
  const text = writeIcs(all, 'mm', '20270322T193000Z')
  it('is read by another program: one event an evening, at the hours on the wall', () => {
    const events = new ICAL.Component(ICAL.parse(text))
      .getAllSubcomponents('vevent')
      .map((e) => new ICAL.Event(e))
    expect(events).toHaveLength(all.length)
    events.forEach((event, i) => {
      const evening = all[i]!
      expect(event.startDate.zone.tzid).toBe('floating')
      expect(event.startDate.toString()).toBe(
        `${evening.day}T${String(Math.floor(minuteAt(evening.from) / 60)).padStart(2, '0')}:${String(minuteAt(evening.from) % 60).padStart(2, '0')}:00`,
      )
      expect(event.endDate.compare(event.startDate)).toBe(1)
      expect(event.summary).toContain(derived.design.name)
      for (const item of evening.items) expect(event.description).toContain(item.step.says)
    })
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length)
  })
  it('is the same file for the same plan', () => expect(writeIcs(all, 'mm', '20270322T193000Z')).toBe(text))
})

/** Rows of RFC 4180, read by themselves. */
const read = (csv: string): string[][] =>
  csv
    .trimEnd()
    .split('\r\n')
    .map((row) => {
      const cells: string[] = []
      for (const [, cell, end] of row.matchAll(/("(?:[^"]|"")*"|[^,]*)(,|$)/g)) {
        cells.push(cell!.replace(/^"|"$/g, '').replaceAll('""', '"'))
        if (end === '') break
      }
      return cells
    })

describe('tables', () => {
  it('hold every step with its number, minutes and what it follows', () => {
    const rows = read(stepsCsv(steps, 'mm'))
    expect(rows).toHaveLength(steps.steps.length + 1)
    expect(new Set(rows.map((r) => r.length)).size).toBe(1)
    rows.slice(1).forEach((r, i) => {
      expect(r.slice(0, 2)).toEqual([`${i + 1}`, steps.steps[i]!.says])
      for (const n of r[5]!.split(' ').filter(Boolean)) expect(Number(n)).toBeLessThanOrEqual(i)
    })
  })
  it('hold every part of every evening', () => {
    const rows = read(planCsv(all))
    expect(rows).toHaveLength(1 + all.reduce((sum, e) => sum + e.items.length, 0))
  })
})

it('every step that touches a piece has a picture that stays in its box', () => {
  for (const { design } of everyDesign()) {
    const work = derivedOf(design)
    for (const step of stepsOf(work).steps) {
      const drawn = stepPicture(step, work, 110, 60)
      expect(drawn.length > 0).toBe(step.rows.some((r) => r.touches.length > 0))
      if (drawn.length === 0) continue
      const box = drawnSpan(drawn)
      expect(box.right - box.left, `${design.name}: ${step.says}`).toBeLessThan(130)
      expect(box.bottom).toBeLessThan(64)
    }
  }
})
