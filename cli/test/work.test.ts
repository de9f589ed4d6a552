import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'
import { run } from '../src/run.js'

const fold = fileURLToPath(new URL('../../demo/designs/deckhands-fold.drumlin.json', import.meta.url))
const scratch = mkdtempSync(join(tmpdir(), 'drumlin-work-'))
const HOURS = 'Mon-Fri 20:00-22:30, Sat 9:00-13:00'

interface Told {
  readonly steps: {
    readonly id: string
    readonly says: string
    readonly minutes: number
    readonly rows: unknown[]
  }[]
  readonly reasons: { readonly first: string; readonly then: string; readonly why: string[] }[]
}

describe('steps', () => {
  test('the order with what is asked for the last time', async () => {
    const { code, out } = await run(['steps', fold])
    expect(code).toBe(0)
    expect(out).toMatch(/^ +1\. Measure the test bar of the print/)
    expect(out).toMatch(/! before it: Skive 8 skives \(it is thinned while it lies flat and single\)/)
    expect(out).toMatch(/^27 steps, \d+ min at the bench$/m)
  })
  test('as data for three, each reason between steps that are there', async () => {
    const told = async (...more: string[]) =>
      JSON.parse((await run(['steps', fold, '--json', ...more])).out!) as Told
    const [one, three] = [await told(), await told('--count', '3')]
    expect(three.steps.map((s) => s.id)).toEqual(one.steps.map((s) => s.id))
    const ids = new Set(one.steps.map((s) => s.id))
    for (const { first, then, why } of one.reasons) {
      expect(ids.has(first) && ids.has(then)).toBe(true)
      expect(why.length).toBeGreaterThan(0)
    }
    const sewn = (t: Told): number =>
      t.steps.filter((s) => s.says.startsWith('Sew')).reduce((sum, s) => sum + s.minutes, 0)
    expect(sewn(three)).toBeGreaterThan(2.8 * sewn(one) - 20)
  })
})

describe('plan', () => {
  test('evenings, and the day it is done', async () => {
    const { code, out } = await run([
      'plan',
      fold,
      '--hours',
      HOURS,
      '--from',
      '2027-03-22',
      '--due',
      '2027-03-26',
    ])
    expect(code).toBe(0)
    expect(out).toMatch(/^2027-03-22 20:00–22:30$/m)
    expect(out).toMatch(/lay out: steel rule/)
    expect(out).toMatch(/^Done on 2027-03-2[34] at 2\d:\d\d\.$/m)
  })
  test('too late, or never, is said and ends with 1', async () => {
    const late = await run([
      'plan',
      fold,
      '--hours',
      'Mon 20:00-21:00',
      '--from',
      '2027-03-22',
      '--due',
      '2027-03-23',
    ])
    expect(late.code).toBe(1)
    expect(late.out).toMatch(/Done on 2027-0\d-\d\d at 2\d:\d\d, after 2027-03-23\./)
  })
  test('a calendar that is not ours is not written over', async () => {
    const ics = join(scratch, 'own.ics')
    const words = ['plan', fold, '--hours', HOURS, '--from', '2027-03-22', '--ics', ics]
    expect((await run(words)).code).toBe(0)
    expect(readFileSync(ics, 'utf8')).toMatch(/^BEGIN:VCALENDAR/)
    expect((await run(words)).code).toBe(0)
    writeFileSync(ics, 'BEGIN:VCALENDAR\nPRODID:another\n')
    const { code, error } = await run(words)
    expect(code).toBe(2)
    expect(error).toContain('--replace')
  })
  test.each([
    [['--from', '2027-03-22'], 'plan needs --hours'],
    [['--hours', HOURS], 'plan needs --from DATE'],
    [['--hours', 'Mon 22:00-21:00', '--from', '2027-03-22'], 'it ends before it begins'],
    [['--hours', HOURS, '--from', '2027-02-30'], '--from must be a day such as 2027-03-28'],
    [
      ['--hours', HOURS, '--from', '2027-03-22', '--count', '0'],
      '--count must be a whole number from 1 to 200',
    ],
  ])('%j is refused in words', async (words, why) => {
    const { code, error } = await run(['plan', fold, ...words])
    expect(code).toBe(2)
    expect(error).toContain(why)
  })
})
