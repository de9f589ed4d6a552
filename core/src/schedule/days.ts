/** A day as it is written, `2027-03-28`. Times at the bench are the clock on its wall: minutes of the day, whatever the zone. */
export type Day = string

const MINUTES = 24 * 60
const DAY_MS = 86_400_000

/** Days since the first of January 1970; undefined where there is no such day. */
export function dayNumber(day: Day): number | undefined {
  const found = /^(\d{4})-(\d{2})-(\d{2})$/.exec(day)
  if (!found) return undefined
  const ms = Date.UTC(Number(found[1]), Number(found[2]) - 1, Number(found[3]))
  return new Date(ms).toISOString().slice(0, 10) === day ? ms / DAY_MS : undefined
}

export const dayOf = (number: number): Day => new Date(number * DAY_MS).toISOString().slice(0, 10)

/** 1 is Monday, 7 Sunday. */
export const weekdayOf = (number: number): number => ((((number + 3) % 7) + 7) % 7) + 1

/** The minute of a day as one number that only goes on. */
export const instant = (day: number, minute: number): number => day * MINUTES + minute
export const dayAt = (at: number): Day => dayOf(Math.floor(at / MINUTES))
export const minuteAt = (at: number): number => ((at % MINUTES) + MINUTES) % MINUTES

/** `20:05`. */
export const clock = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(Math.round(minute % 60)).padStart(2, '0')}`
