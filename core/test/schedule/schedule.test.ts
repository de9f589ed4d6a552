import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  type Hours,
  type ToDo,
  dayAt,
  dayNumber,
  dayOf,
  hoursWritten,
  instant,
  minuteAt,
  plan,
  readHours,
  sittings,
  weekdayOf,
} from '@drumlin/core/schedule'

const hoursOf = (text: string): Hours => {
  const read = readHours(text)
  if (!read.ok) throw new Error(read.why)
  return read.hours
}
const EVENINGS = hoursOf('Mon-Fri 20:00-22:30, Sat 9:00-13:00')
const MONDAY = instant(dayNumber('2027-03-22')!, 0)

describe('hours as they are written', () => {
  it.each([
    ['Mon-Fri 20:00-22:30, Sat 9:00-13:00', 6],
    ['sat-mon 9-12', 3],
    ['Tue Thu 19.30–24:00', 2],
    ['Monday 8:00-9:00, Mon 8:30-10:00', 1],
  ])('%s', (text, count) => {
    const { week } = hoursOf(text)
    expect(week).toHaveLength(count)
    expect(hoursOf(hoursWritten({ week }))).toEqual({ week, least: 10, off: [] })
  })
  it.each([
    ['', 'No hours are given'],
    ['Mon-Fri', 'these are no days with hours'],
    ['Someday 9:00-10:00', '“Someday” are no days of the week'],
    ['Mon 22:00-1:00', 'it ends before it begins'],
    ['Mon 25:00-26:00', '25:00 is no time of the day'],
    ['Mon 9:75-10:00', '9:75 is no time of the day'],
  ])('“%s” is refused in words', (text, why) => {
    const read = readHours(text)
    expect(read.ok ? '' : read.why).toContain(why)
  })
})

it('days are those of the calendar, leap years and all', () => {
  expect(dayNumber('2028-02-29')).toBeDefined()
  expect(dayNumber('2027-02-29')).toBeUndefined()
  expect(dayNumber('2027-3-1')).toBeUndefined()
  expect(weekdayOf(dayNumber('2027-03-22')!)).toBe(1)
  expect(weekdayOf(dayNumber('1969-12-28')!)).toBe(7)
})

it('a day is the same as the calendar of the machine has it', () => {
  fc.assert(
    fc.property(fc.integer({ min: -700_000, max: 2_900_000 }), (n) => {
      const day = new Date(n * 86_400_000).toISOString().slice(0, 10)
      if (!/^\d{4}-/.test(day)) return
      expect(dayOf(n)).toBe(day)
      expect(dayNumber(day)).toBe(n)
    }),
  )
})

const anyToDo = (id: string): fc.Arbitrary<ToDo> =>
  fc
    .array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 140 }),
        wait: fc.constantFrom(0, 0, 8, 60, 720),
        whole: fc.boolean(),
        after: fc.array(fc.integer({ min: 0, max: 4 }), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 5 },
    )
    .map((works) => ({
      id,
      works: works.map(({ minutes, wait, whole }, i) => ({ id: `${i}`, minutes, wait, whole })),
      links: works.flatMap(({ after }, i) =>
        after.filter((a) => a < i).map((a) => ({ first: `${a}`, then: `${i}` })),
      ),
    }))

/** When everything is done if works are taken up strictly in this order, each as soon as it can be. */
function inOrder(todo: ToDo, order: readonly number[], hours: Hours, from: number): number {
  const ends = new Map<string, number>()
  let now = from
  for (const k of order) {
    const work = todo.works[k]!
    const ready = Math.max(
      now,
      ...todo.links
        .filter((l) => l.then === work.id)
        .map((l) => ends.get(l.first)! + todo.works.find((w) => w.id === l.first)!.wait),
    )
    let left = work.minutes
    for (const s of sittings(hours, ready, 60)) {
      const room = s.to - s.from
      if (work.whole ? left > room : room < Math.min(10, left)) continue
      const taken = Math.min(left, room)
      left -= taken
      now = s.from + taken
      if (left === 0) break
    }
    ends.set(work.id, now)
  }
  return Math.max(...ends.values())
}

function* permutations(
  n: number,
  links: ToDo['links'],
  so: readonly number[] = [],
): Generator<readonly number[]> {
  if (so.length === n) yield so
  for (let k = 0; k < n; k += 1) {
    if (so.includes(k) || links.some((l) => l.then === `${k}` && !so.includes(Number(l.first)))) continue
    yield* permutations(n, links, [...so, k])
  }
}

describe('a plan', () => {
  it('does all of every making within the hours, none twice at once, each after what it waits for', () => {
    fc.assert(
      fc.property(anyToDo('a'), anyToDo('b'), (a, b) => {
        const todos = [a, b]
        const { placed, done } = plan(todos, EVENINGS, MONDAY)
        const sorted = [...placed].sort((x, y) => x.from - y.from)
        sorted.forEach((p, i) => expect(p.from).toBeGreaterThanOrEqual(sorted[i - 1]?.to ?? 0))
        for (const p of placed) {
          const within = EVENINGS.week.some(
            (w) =>
              w.day === weekdayOf(dayNumber(dayAt(p.from))!) &&
              w.from <= minuteAt(p.from) &&
              minuteAt(p.from) + (p.to - p.from) <= w.to,
          )
          expect(within).toBe(true)
        }
        for (const todo of todos) {
          const of = (work: string) => placed.filter((p) => p.todo === todo.id && p.work === work)
          for (const w of todo.works) {
            expect(of(w.id).reduce((sum, p) => sum + p.to - p.from, 0)).toBe(w.minutes)
            if (w.whole) expect(of(w.id)).toHaveLength(1)
          }
          for (const { first, then } of todo.links) {
            const end = Math.max(...of(first).map((p) => p.to)) + todo.works.find((w) => w.id === first)!.wait
            expect(Math.min(...of(then).map((p) => p.from))).toBeGreaterThanOrEqual(end)
          }
          expect(done[todo.id]).toBe(Math.max(...placed.filter((p) => p.todo === todo.id).map((p) => p.to)))
        }
      }),
      { numRuns: 150 },
    )
  })

  it('is hardly ever done later than the best of all orders', () => {
    let [worse, all] = [0, 0]
    fc.assert(
      fc.property(anyToDo('a'), (todo) => {
        const end = plan([todo], EVENINGS, MONDAY).done['a']!
        const best = Math.min(
          ...[...permutations(todo.works.length, todo.links)].map((o) => inOrder(todo, o, EVENINGS, MONDAY)),
        )
        all += 1
        // An order taken strictly leaves gaps that a plan fills: it may be sooner, too.
        if (end > best) worse += 1
      }),
      { numRuns: 400, seed: 7 },
    )
    expect(worse / all).toBeLessThan(0.1)
  })

  it('says what is too long for any sitting, and ends what does not come to an end', () => {
    const long: ToDo = { id: 'a', works: [{ id: 'dye', minutes: 600, wait: 0, whole: true }], links: [] }
    const { done, tooLong } = plan([long], EVENINGS, MONDAY)
    expect(tooLong).toEqual([{ todo: 'a', work: 'dye', minutes: 600 }])
    expect(done['a']).toBeUndefined()
    expect(plan([long], { week: [], least: 10, off: [] }, MONDAY).done['a']).toBeUndefined()
  })

  it('what there is only one of is taken until its wait is over, whoever made it', () => {
    const form = (id: string): ToDo => ({
      id,
      works: [{ id: 'form', minutes: 20, wait: 60, whole: true, ties: 'block' }],
      links: [],
    })
    const { placed } = plan([form('a'), form('b')], EVENINGS, MONDAY)
    expect(placed[1]!.from - placed[0]!.to).toBe(60)
  })

  it('what asks for the tools that lie there is done before they are put away, whatever it belongs to', () => {
    const one = (id: string, due?: number): ToDo => ({
      id,
      works: ['cut', 'skive', 'glue'].map((layout) => ({
        id: layout,
        layout,
        minutes: 20,
        wait: 0,
        whole: false,
      })),
      links: [
        { first: 'cut', then: 'skive' },
        { first: 'skive', then: 'glue' },
      ],
      ...(due === undefined ? {} : { due }),
    })
    const said = (todos: readonly ToDo[]): string =>
      plan(todos, EVENINGS, MONDAY)
        .placed.map((p) => `${p.todo}.${p.work}`)
        .join(' ')
    expect(said([one('a'), one('b')])).toBe('a.cut b.cut a.skive b.skive a.glue b.glue')
    // What is due sooner is not kept waiting for it.
    expect(said([one('a', MONDAY + 1440), one('b')])).toBe('a.cut a.skive a.glue b.cut b.skive b.glue')
  })

  it('no shorter piece of a step is begun at the end of a sitting than the maker wants', () => {
    const two: ToDo = {
      id: 'a',
      works: [130, 60].map((minutes, i) => ({ id: `${i}`, minutes, wait: 0, whole: false })),
      links: [{ first: '0', then: '1' }],
    }
    const days = (least: number): string[] =>
      plan([two], { ...EVENINGS, least }, MONDAY).placed.map((p) => `${p.work} ${dayAt(p.from)}`)
    expect(days(20)).toEqual(['0 2027-03-22', '1 2027-03-22', '1 2027-03-23'])
    expect(days(21)).toEqual(['0 2027-03-22', '1 2027-03-23'])
  })

  it('takes the more urgent first, keeps days off free, and lets a night be the wait', () => {
    const one = (id: string, due?: string): ToDo => ({
      id,
      works: [
        { id: 'glue', minutes: 100, wait: 720, whole: true },
        { id: 'sew', minutes: 100, wait: 0, whole: false },
      ],
      links: [{ first: 'glue', then: 'sew' }],
      ...(due ? { due: instant(dayNumber(due)! + 1, 0) } : {}),
    })
    const off = { ...EVENINGS, off: ['2027-03-23'] }
    const { placed, done } = plan([one('later'), one('soon', '2027-03-25')], off, MONDAY)
    expect(placed[0]).toMatchObject({ todo: 'soon', work: 'glue' })
    expect(placed.some((p) => dayAt(p.from) === '2027-03-23')).toBe(false)
    expect(dayAt(done['soon']!)).toBe('2027-03-24')
  })

  it('an evening stays at its hours through summer time', () => {
    const { placed } = plan(
      [{ id: 'a', works: [{ id: 'sew', minutes: 400, wait: 0, whole: false }], links: [] }],
      hoursOf('Sat-Mon 20:00-22:00'),
      instant(dayNumber('2027-03-27')!, 0),
    )
    expect(placed.map((p) => [dayAt(p.from), minuteAt(p.from)])).toEqual([
      ['2027-03-27', 1200],
      ['2027-03-28', 1200],
      ['2027-03-29', 1200],
      ['2027-04-03', 1200],
    ])
  })
})
