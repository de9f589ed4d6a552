import { firstOf, lastOf, nth } from '../lists/index.js'
import { z } from 'zod'
import { dayNumber, instant, weekdayOf } from './days.js'

const minute = z.number().int().min(0).max(1440)

/** When the maker is at the bench: by the day of the week, and days when nobody is. */
export const hoursSchema = z.strictObject({
  week: z
    .array(z.strictObject({ day: z.number().int().min(1).max(7), from: minute, to: minute }))
    .max(60)
    .refine((all) => all.every((w) => w.to > w.from), 'hours that end after they begin'),
  /** No shorter piece of a step is begun at the end of a sitting, minutes. */
  least: z.number().int().min(1).max(240).default(10),
  off: z.array(z.string().refine((d) => dayNumber(d) !== undefined, 'a day such as 2027-03-28')).max(400),
})
export type Hours = z.infer<typeof hoursSchema>

/** Evenings in the week and Saturday morning. */
export const USUAL_HOURS: Hours = {
  week: [
    ...[1, 2, 3, 4, 5].map((day) => ({ day, from: 20 * 60, to: 22 * 60 + 30 })),
    { day: 6, from: 9 * 60, to: 13 * 60 },
  ],
  least: 10,
  off: [],
}

export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const
const dayNamed = (name: string): number =>
  WEEKDAYS.findIndex((d) => name.toLowerCase().startsWith(d.toLowerCase())) + 1

export type HoursRead =
  { readonly ok: true; readonly hours: Hours } | { readonly ok: false; readonly why: string }

const EXAMPLE = 'Mon-Fri 20:00-22:30, Sat 9:00-13:00'

function daysOf(text: string): number[] | undefined {
  const days = text
    .split(/[\s+]+/)
    .filter(Boolean)
    .map((part) => {
      const [from, to] = part.split(/[-–]/).map(dayNamed)
      if (!from || to === 0) return undefined
      if (to === undefined) return [from]
      return Array.from({ length: ((to - from + 7) % 7) + 1 }, (_, i) => ((from - 1 + i) % 7) + 1)
    })
  return days.length > 0 && days.every((d) => d !== undefined) ? days.flat() : undefined
}

function minuteOf(text: string): number | undefined {
  const found = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(text)
  if (!found) return undefined
  const at = Number(found[1]) * 60 + Number(found[2] ?? 0)
  return at <= 1440 && Number(found[2] ?? 0) < 60 ? at : undefined
}

/** Hours as they are written: `Mon-Fri 20:00-22:30, Sat 9:00-13:00`. */
export function readHours(text: string): HoursRead {
  const week: Hours['week'] = []
  const wrong = (part: string, what: string): HoursRead => ({
    ok: false,
    why: `“${part.trim()}”: ${what}. Hours are written like ${EXAMPLE}.`,
  })
  const parts = text.split(/[,;]/).filter((p) => p.trim() !== '')
  if (parts.length === 0) return { ok: false, why: `No hours are given. They are written like ${EXAMPLE}.` }
  for (const part of parts) {
    const found = /^\s*(.*?)\s+([\d:.]+)\s*[-–]\s*([\d:.]+)\s*$/.exec(part)
    if (!found) return wrong(part, 'these are no days with hours')
    const days = daysOf(nth(found, 1))
    if (!days) return wrong(part, `“${found[1]}” are no days of the week`)
    const [from, to] = [minuteOf(nth(found, 2)), minuteOf(nth(found, 3))]
    if (from === undefined || to === undefined)
      return wrong(part, `${from === undefined ? found[2] : found[3]} is no time of the day`)
    if (to <= from)
      return wrong(
        part,
        'it ends before it begins; past midnight write until 24:00 and go on the next day from 0:00',
      )
    week.push(...days.map((day) => ({ day, from, to })))
  }
  return { ok: true, hours: { week: merged(week), least: USUAL_HOURS.least, off: [] } }
}

/** Hours of a day that meet or overlap are one. */
function merged(week: Hours['week']): Hours['week'] {
  const sorted = [...week].sort((a, b) => a.day - b.day || a.from - b.from)
  return sorted.reduce<Hours['week']>((all, one) => {
    const last = all[all.length - 1]
    if (last && last.day === one.day && one.from <= last.to)
      return [...all.slice(0, -1), { ...last, to: Math.max(last.to, one.to) }]
    return [...all, one]
  }, [])
}

/** Hours in words that `readHours` reads again. */
export function hoursWritten({ week }: Pick<Hours, 'week'>): string {
  const time = (m: number): string => `${Math.floor(m / 60)}:${String(m % 60).padStart(2, '0')}`
  const by = new Map<string, number[]>()
  for (const { day, from, to } of week) {
    const key = `${time(from)}-${time(to)}`
    by.set(key, [...(by.get(key) ?? []), day])
  }
  return [...by].map(([times, days]) => `${daysWritten(days)} ${times}`).join(', ')
}

function daysWritten(days: readonly number[]): string {
  const runs = days.reduce<number[][]>((all, day) => {
    const last = all[all.length - 1]
    if (last && last[last.length - 1] === day - 1) last.push(day)
    else all.push([day])
    return all
  }, [])
  const name = (day: number): string => nth(WEEKDAYS, day - 1)
  return runs
    .map((r) => (r.length > 1 ? `${name(firstOf(r))}-${name(lastOf(r))}` : name(firstOf(r))))
    .join(' ')
}

/** A stretch at the bench, in minutes that only go on. */
export interface Sitting {
  readonly from: number
  readonly to: number
}

/** Sittings from an instant on, day by day, for so many days. */
export function* sittings({ week, off }: Hours, from: number, days: number): Generator<Sitting> {
  const first = Math.floor(from / 1440)
  const free = new Set(off.map((d) => dayNumber(d)))
  const sorted = [...week].sort((a, b) => a.from - b.from)
  for (let day = first; day < first + days; day += 1) {
    if (free.has(day)) continue
    for (const w of sorted) {
      if (w.day !== weekdayOf(day)) continue
      const [start, end] = [Math.max(from, instant(day, w.from)), instant(day, w.to)]
      if (start < end) yield { from: start, to: end }
    }
  }
}
