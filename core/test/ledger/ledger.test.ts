import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { clientJson, shoppingCsv, shoppingText, stockCsv } from '@drumlin/core/exchange/books'
import {
  type Client,
  begunRecord,
  clashes,
  clientSchema,
  dayOfEntry,
  earned,
  earnedBy,
  entryOf,
  firsts,
  grouped,
  hoursBySort,
  hoursSaid,
  mistakesBy,
  nextNumber,
  remembered,
  seenThrough,
  usedBy,
  wantedBy,
  wasteOf,
  withoutClient,
} from '@drumlin/core/ledger'
import { type Making, endedIfDone, finished, makingOf, readMakingData, reopened } from '@drumlin/core/makings'
import { USUAL_TRADE } from '@drumlin/core/price'
import { stepsOf } from '@drumlin/core/steps'
import { levelsOf, shoppingOf } from '@drumlin/core/stock'
import { readStoresData } from '@drumlin/core/stores'
import { demoDesign, everyDesign, derivedOf } from '../support/all.js'
import { exampleBooks } from '../support/year.js'

const stores = readStoresData(
  JSON.parse(readFileSync(new URL('../../../demo/stores.json', import.meta.url), 'utf8')),
)
const books = exampleBooks(stores)
const makings = books.makings.map((m): Making => ({ ...m, design: demoDesign(m.job) }))
const entries = makings.map(entryOf)
const byId = (id: string): Making => makings.find((m) => m.id === id)!

describe('a making as it is begun', () => {
  it.each(everyDesign())(
    '$name: its record holds every step, sizes that are sizes, and thread that adds up',
    ({ design }) => {
      const derived = derivedOf(design)
      const steps = stepsOf(derived, 2)
      const making = makingOf(design, { id: 'm', count: 2, forWhom: '', begun: '2027-01-04' })
      const record = begunRecord(making, derived, steps, USUAL_TRADE)
      expect(record.plan.map((p) => p.id)).toEqual(steps.steps.map((s) => s.id))
      const thread = derived.runs.reduce((sum, r) => sum + r.times * r.thread.value, 0)
      const sewn = record.plan.flatMap((p) => p.takes).filter((t) => t.unit === 'mm')
      expect(sewn.reduce((sum, t) => sum + t.amount, 0)).toBeCloseTo(2 * thread, 3)
      for (const t of record.threads) {
        expect(t.reckoned).toBeCloseTo(2 * thread, 3)
        // The factor scales the row, not its tails.
        expect(t.row).toBeGreaterThan(0)
        expect(t.row).toBeLessThan(t.reckoned + 1e-6)
      }
      for (const s of record.sizes) expect(s.reckoned).toBeGreaterThan(0)
      expect(readMakingData(JSON.parse(JSON.stringify({ ...making, record })))).toEqual({ ...making, record })
    },
  )

  it('of an older form is read with an empty record, its design brought up to date', () => {
    const {
      record: _,
      example: __,
      ...old
    } = makingOf(demoDesign('lamp-holder'), {
      id: 'old',
      count: 1,
      forWhom: 'somebody',
      begun: '2026-01-04',
    })
    const read = readMakingData({ ...old, version: 1 })
    expect(read).toMatchObject({ version: 2, example: false, forWhom: 'somebody', record: { plan: [] } })
    expect(() => readMakingData({ ...old, version: 1, count: 0 })).toThrow()
  })

  it('is finished with its last step, and taken up again it is not', () => {
    const design = demoDesign('bosuns-wrap')
    const steps = stepsOf(derivedOf(design))
    const begun = makingOf(design, { id: 'm', count: 1, forWhom: '', begun: '2027-01-04' })
    let m: Making = begun
    for (const s of steps.steps) {
      expect(m.record.finished).toBeUndefined()
      m = endedIfDone(finished(m, s, 1000), steps, '2027-01-06')
    }
    expect(m.record.finished).toBe('2027-01-06')
    expect(reopened(m, steps.steps[0]!.id).record.finished).toBeUndefined()
  })
})

describe('the year looked back on', () => {
  it('counts every minute once, whichever way it is looked at', () => {
    const all = entries.flatMap((e) => e.steps).reduce((sum, s) => sum + s.actual, 0)
    expect(hoursBySort(entries).reduce((sum, s) => sum + s.actual, 0)).toBeCloseTo(all, 6)
    expect(hoursSaid(entries)).toMatch(
      /^\d+ % of your hours are sewing by hand; .* took .* what you reckon\.$/,
    )
    expect(hoursSaid([])).toBe('')
  })

  it('through a lens shows what it asks for', () => {
    const wallets = seenThrough(entries, { kind: 'bifold', year: '2026' })
    expect(wallets.map((e) => e.job)).toEqual(expect.arrayContaining(['deckhands-fold', 'harbour-fold']))
    expect(wallets.every((e) => e.kind === 'bifold')).toBe(true)
    expect(seenThrough(entries, { year: '2025' })).toEqual([])
    const office = seenThrough(entries, { client: 'example-the-harbour-office' })
    expect(office.every((e) => e.forWhom === 'the harbour office')).toBe(true)
    expect(seenThrough(entries, { leather: 'Tarn calf' }).length).toBeGreaterThan(5)
  })

  it('what an hour earned, by pencil', () => {
    const e = entryOf({
      ...byId('example-making-01'),
      record: { ...byId('example-making-01').record, paid: 240, materials: 20 },
    })
    const hours = e.steps.reduce((sum, s) => sum + s.actual, 0) / 60
    expect(earned(e, 0.2)!.each).toBeCloseTo((200 - 20) / hours, 9)
    expect(earned(entries.at(-1)!, 0.2)).toBeUndefined()
  })

  it('mistakes by sort, waste by what was cut', () => {
    const told = entries.flatMap((e) => e.record.mistakes).length
    expect(mistakesBy(entries).reduce((sum, m) => sum + m.count, 0)).toBe(told)
    expect(mistakesBy(entries)[0]).toMatchObject({ sort: 'hardware', count: 3, makings: 3 })
    for (const e of entries) expect(wasteOf([e])!).toBeGreaterThan(0.25)
  })

  it('many are laid side by side month by month, and nothing is lost by it', () => {
    const many = [...entries, ...entries.map((e) => ({ ...e, id: `${e.id}-b` }))]
    const groups = grouped(many)
    expect(groups.map((g) => g.name)).toEqual([
      ...new Set(seenThrough(many, {}).map((e) => dayOfEntry(e).slice(0, 7))),
    ])
    expect(groups.flatMap((g) => g.entries)).toHaveLength(many.length)
    expect(grouped(entries)).toHaveLength(entries.length)
    const [all, each] = [earnedBy(many, 0.2)!, many.flatMap((e) => earned(e, 0.2) ?? [])]
    expect(all.hours).toBeCloseTo(
      each.reduce((s, k) => s + k.hours, 0),
      6,
    )
    expect(all.each).toBeGreaterThan(Math.min(...each.map((k) => k.each)))
    expect(all.each).toBeLessThan(Math.max(...each.map((k) => k.each)))
  })

  it('brings up what was noted, the nearest first', () => {
    const { design } = byId('example-making-06')
    const notes = remembered(entries, {
      job: 'deckhands-fold',
      kind: 'bifold',
      leathers: Object.values(design.leathers).map((l) => l.name),
    })
    expect(notes[0]!.near).toBe('design')
    expect(notes.map((n) => n.text)).toContain('cut the outer thread for four a hand longer')
    const ranks = notes.map((n) => ['design', 'kind', 'leather'].indexOf(n.near))
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b))
  })

  it('the first of each design is told apart', () => {
    const found = firsts(entries)
    expect(found.size).toBe(new Set(entries.map((e) => e.job)).size)
    expect(found.has('example-making-01')).toBe(true)
    expect(found.has('example-making-06')).toBe(false)
  })
})

describe('the shelf and the makings', () => {
  it('what is done is taken, what is not is spoken for; together it is what was planned', () => {
    const sum = (all: readonly { what: string; amount: number }[], what: string): number =>
      all.reduce((s, t) => s + (t.what === what ? t.amount : 0), 0)
    const thread = 'thread Linen 18/3, undyed'
    const planned = entries.flatMap((e) => e.steps.flatMap((s) => s.takes))
    const [used, wanted] = [usedBy(entries), wantedBy(entries, () => undefined)]
    expect(sum(used, thread) + sum(wanted, thread)).toBeCloseTo(sum(planned, thread), 3)
    // By the evening it is planned for, else by the day it is due.
    const due = entries.map((e) => ({ ...e, due: '2027-01-08' }))
    expect(new Set(wantedBy(due, () => undefined).map((w) => w.day))).toEqual(new Set(['2027-01-08']))
    expect(new Set(wantedBy(due, () => '2027-01-04').map((w) => w.day))).toEqual(new Set(['2027-01-04']))
    const levels = levelsOf(books.stock, used, wanted)
    expect(levels.filter((l) => l.negative)).toEqual([])
    const list = shoppingOf(levels, books.trade.prices)
    expect(shoppingCsv(list, 'EUR', 'mm').split('\r\n').length).toBe(list.length + 2)
    expect(shoppingText(list, 'in').split('\n').filter(Boolean)).toHaveLength(list.length)
    expect(stockCsv(levels, 'mm')).toContain('"thread Linen 18/3, undyed",m,')
  })

  it('two makings on the same uncut hide are told', () => {
    const tote = makings.at(-1)!
    const other = { ...tote, id: 'other', steps: {} }
    const uncut = { ...tote, id: 'one', steps: {} }
    const [clash] = clashes([entryOf(uncut), entryOf(other)])
    expect(clash!.makings.map((m) => m.id)).toEqual(['one', 'other'])
    expect(
      clashes([entryOf(uncut), entryOf({ ...other, record: { ...other.record, finished: '2026-11-30' } })]),
    ).toEqual([])
  })
})

describe('clients and quotes', () => {
  const client: Client = clientSchema.parse(books.clients.find((c) => c.name === 'the harbour office'))
  it('a client is deleted wholly; what was learnt of the work stays', () => {
    const theirs = makings.filter((m) => m.record.client === client.id)
    expect(theirs.length).toBeGreaterThan(3)
    for (const m of theirs) {
      const without = withoutClient(m, client)
      const text = JSON.stringify({ ...without, design: undefined })
      expect(text).not.toContain(client.name)
      expect(text).not.toContain(client.id)
      expect(without.record.wishes).toEqual([])
      expect(without.steps).toEqual(m.steps)
    }
    const others = makings.filter((m) => m.record.client !== client.id)
    for (const m of others) expect(withoutClient(m, client)).toEqual(m)
    expect(
      JSON.parse(
        clientJson(
          client,
          entries.filter((e) => e.client === client.id),
        ),
      ),
    ).toMatchObject({
      client: { name: client.name },
    })
  })

  it('quotes are numbered by year', () => {
    expect(nextNumber([], '2027')).toBe('2027-001')
    expect(nextNumber([{ number: '2026-017' }, { number: '2027-009' }], '2027')).toBe('2027-010')
  })
})

it('what the makers of the year taught is what they are made of', async () => {
  const { lessonsOf, figuresOf } = await import('@drumlin/core/learning')
  const { TRUE_FIRST, TRUE_PACES, TRUE_SET_UP } = await import('../support/year.js')
  const first = firsts(entries)
  const { paces } = lessonsOf(
    entries.map((e) => ({ ...e, first: first.has(e.id), steps: e.steps.filter((s) => s.done) })),
    figuresOf(demoDesign('deckhands-fold')),
  )
  const within = (s: { low: number; high: number }, is: number): boolean => s.low <= is && is <= s.high
  const told = Object.entries(TRUE_PACES).flatMap(([id, is]) => {
    const s = paces.groups.get(id)
    return s ? [within(s, is)] : []
  })
  expect(told.length).toBe(Object.keys(TRUE_PACES).length)
  expect(told.filter(Boolean).length).toBeGreaterThanOrEqual(told.length - 1)
  expect(within(paces.setUp!, TRUE_SET_UP)).toBe(true)
  expect(within(paces.first!, TRUE_FIRST)).toBe(true)
})
