import { describe, expect, it } from 'vitest'
import { derive } from '@drumlin/core/derived'
import {
  type Making,
  changedSince,
  clockMinutes,
  corrected,
  evenings,
  finished,
  isDone,
  makingOf,
  makingSchema,
  nextStep,
  noted,
  openCalls,
  paused,
  photographed,
  putTo,
  reopened,
  ringing,
  rung,
  seen,
  started,
  stepOf,
  tickOf,
  ticked,
  toDo,
  whyNotSooner,
} from '@drumlin/core/makings'
import { USUAL_HOURS, dayAt, dayNumber, instant, plan } from '@drumlin/core/schedule'
import { stepsOf } from '@drumlin/core/steps'
import { setField } from '@drumlin/core/design'
import { applyEdit } from '@drumlin/core/design'
import { demoDesign } from '../support/all.js'

const design = demoDesign('deckhands-fold')
const steps = stepsOf(derive(design), 2)
const fresh = makingOf(design, {
  id: 'm',
  count: 2,
  forWhom: 'the mate',
  begun: '2027-03-22',
  due: '2027-03-27',
})
const [bar, patterns] = steps.steps
const MIN = 60_000
const glue = steps.steps.find((s) => s.sort === 'glue')!

describe('a making', () => {
  it('is kept and read again as it is', () => {
    expect(makingSchema.parse(JSON.parse(JSON.stringify(fresh)))).toEqual(fresh)
    expect(makingSchema.safeParse({ ...fresh, due: '2027-02-30' }).success).toBe(false)
    expect(makingSchema.safeParse({ ...fresh, count: 0 }).success).toBe(false)
  })

  it('its clock runs while it is seen, and no longer', () => {
    let m: Making = started(fresh, bar!.id, 0)
    for (let t = 1; t <= 10; t += 1) m = seen(m, t * MIN)
    expect(clockMinutes(m.clock!, 10.5 * MIN)).toBeCloseTo(10.5)
    // The page was closed: three hours later the clock had stopped when it was last seen.
    expect(clockMinutes(m.clock!, 190 * MIN)).toBeCloseTo(10)
    m = seen(m, 190 * MIN)
    expect(m.clock?.since).toBeUndefined()
    expect(stepOf(m, bar!.id).minutes).toBeCloseTo(10)
    m = started(m, bar!.id, 200 * MIN)
    expect(clockMinutes(m.clock!, 201 * MIN)).toBeCloseTo(11)
    // The machine's clock was set back an hour: nothing is lost, nothing is made up.
    m = seen(m, 203 * MIN - 90_000)
    expect(clockMinutes(m.clock!, 140 * MIN)).toBeCloseTo(11.5)
    m = seen(m, 140 * MIN)
    expect(clockMinutes(m.clock!, 141 * MIN)).toBeCloseTo(12.5)
    expect(stepOf(paused(m, 141 * MIN), bar!.id).minutes).toBeCloseTo(12.5)
  })

  it('keeps what another step’s clock had when the next one begins', () => {
    const m = started(seen(started(fresh, bar!.id, 0), MIN), patterns!.id, 1.5 * MIN)
    expect(stepOf(m, bar!.id).minutes).toBeCloseTo(1.5)
    expect(m.clock?.step).toBe(patterns!.id)
    expect(stepOf(corrected(m, bar!.id, 7), bar!.id).minutes).toBe(7)
    expect(() => corrected(m, bar!.id, -1)).toThrow('from 0 to 2160')
    expect(() => corrected(m, bar!.id, 10_000)).toThrow('from 0 to 2160')
    expect(() => corrected(m, bar!.id, NaN)).toThrow('from 0 to 2160')
  })

  it('a step that is done waits, rings once, and can be taken up again with its notes', () => {
    let m = finished(noted(fresh, glue.id, 'not so', 'too much glue', 5), glue, 0)
    expect(isDone(m, glue.id)).toBe(true)
    expect(m.timers).toMatchObject([{ step: glue.id, until: glue.wait * MIN, rung: false }])
    expect(ringing(m, glue.wait * MIN - 1)).toEqual([])
    expect(ringing(m, glue.wait * MIN)).toHaveLength(1)
    m = rung(m, glue.wait * MIN)
    expect(ringing(m, glue.wait * MIN + 1)).toEqual([])
    m = reopened(photographed(m, glue.id, 'p'), glue.id)
    expect(isDone(m, glue.id)).toBe(false)
    expect(stepOf(m, glue.id)).toMatchObject({
      notes: [{ sort: 'not so', text: 'too much glue' }],
      photos: ['p'],
    })
    expect(m.timers).toEqual([])
  })

  it('asks for what was forgotten before it is glued over, until it is done or answered', () => {
    let m: Making = fresh
    for (const s of steps.steps.slice(0, steps.steps.indexOf(glue)))
      if (s.sort !== 'skive') m = finished(m, s, 0)
    const [call, ...others] = openCalls(m, glue.id, steps)
    expect(others).toEqual([])
    expect(call).toMatchObject({ why: 'flat' })
    expect(openCalls(ticked(m, tickOf(glue.id, call!), true), glue.id, steps)).toEqual([])
    expect(
      openCalls(
        finished(
          m,
          steps.steps.find((s) => s.sort === 'skive')!,
          0,
        ),
        glue.id,
        steps,
      ),
    ).toEqual([])
    expect(nextStep(m, steps)?.sort).toBe('skive')
  })

  it('is planned in evenings from where one is, with what each asks for', () => {
    const at = instant(dayNumber('2027-03-22')!, 0)
    const planned = (making: Making) => {
      const one = { making, steps }
      return evenings(plan([toDo(one, { at, ms: 0 })], USUAL_HOURS, at), [one])
    }
    const all = planned(fresh)
    expect(all[0]!.day).toBe('2027-03-22')
    expect(
      all
        .flatMap((e) => e.items)
        .filter((i) => !i.comesFrom)
        .map((i) => i.work),
    ).toHaveLength(steps.steps.length)
    const thread = all
      .flatMap((e) => e.supplies)
      .filter((s) => s.unit === 'mm')
      .reduce((sum, s) => sum + s.amount, 0)
    const needed = derive(design).runs.reduce((sum, r) => sum + 2 * r.times * r.thread.value, 0)
    expect(thread).toBeCloseTo(needed, 3)
    // With the first evening done there is an evening less; what is put off comes no sooner.
    let later: Making = fresh
    for (const i of all[0]!.items.filter((x) => !x.goesOn)) later = finished(later, i.step, 0)
    expect(planned(later).length).toBeLessThan(all.length)
    const last = steps.steps.at(-1)!
    const put = planned({ ...fresh, notBefore: { [last.id]: '2027-04-01' } })
    expect(dayAt(put.at(-1)!.from) >= '2027-04-01').toBe(true)
  })

  it('a step is put off to another evening; sooner only as far as what it comes after', () => {
    const begin = instant(dayNumber('2027-03-22')!, 0)
    const planned = (m: Making) => {
      const one = { making: m, steps }
      return evenings(plan([toDo(one, { at: begin, ms: 0 })], USUAL_HOURS, begin), [one])
    }
    const first = planned(fresh)
    const item = first[0]!.items.find((i) => i.step.sort === 'skive')!
    const later = putTo(fresh, item.work, '2027-03-24')
    const after = planned(later)
    const moved = after
      .flatMap((e) => e.items.map((i) => ({ ...i, day: e.day })))
      .find((i) => i.work === item.work)!
    expect(moved.day >= '2027-03-24').toBe(true)
    const one = [{ making: later, steps }]
    expect(whyNotSooner({ ...moved, making: later }, '2027-03-23', after, one)).toBeUndefined()
    expect(putTo(later, item.work, undefined)).toEqual(fresh)
    const last = first.at(-1)!
    const why = whyNotSooner(last.items.at(-1)!, '2027-03-22', first, [{ making: fresh, steps }])
    expect(why).toMatch(/^it comes after “/)
  })

  it('says what a later change of the design would change', () => {
    const edited = applyEdit(design, setField('machine', ['sewing', 'holes'], 'machine'))
    if (!edited.ok) throw new Error(edited.why)
    const now = stepsOf(derive(edited.design), 2)
    const { gone, other } = changedSince(steps, now)
    expect(gone.every((s) => s.sort === 'strike')).toBe(true)
    expect(gone.length).toBeGreaterThan(0)
    expect(other.every((s) => s.sort === 'machine')).toBe(true)
    expect(changedSince(steps, steps)).toEqual({ more: [], gone: [], other: [] })
  })
})
