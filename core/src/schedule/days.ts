/** A day as it is written, `2027-03-28`. Times at the bench are the clock on its wall: minutes of the day, whatever the zone. */
export type Day = string

const MINUTES = 24 * 60
/** Days of four centuries, of a common year, and before each month of a year that begins in March. */
const [ERA, YEAR, EPOCH] = [146_097, 365, 719_468] as const
const pad = (n: number, places = 2): string => String(n).padStart(places, '0')

/** Days from the first of January 1970 to a day of the Gregorian calendar. */
function daysTo(year: number, month: number, date: number): number {
  // Years are counted from March, so that the leap day is the last of one.
  const y = month <= 2 ? year - 1 : year
  const era = Math.floor(y / 400)
  const inEra = y - era * 400
  const inYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + date - 1
  return era * ERA + inEra * YEAR + Math.floor(inEra / 4) - Math.floor(inEra / 100) + inYear - EPOCH
}

/** The day that is so many days after the first of January 1970. */
export function dayOf(number: number): Day {
  const days = number + EPOCH
  const era = Math.floor(days / ERA)
  const inEra = days - era * ERA
  const yearOfEra = Math.floor(
    (inEra - Math.floor(inEra / 1460) + Math.floor(inEra / 36_524) - Math.floor(inEra / (ERA - 1))) / YEAR,
  )
  const inYear = inEra - (YEAR * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100))
  const shifted = Math.floor((5 * inYear + 2) / 153)
  const month = shifted < 10 ? shifted + 3 : shifted - 9
  const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0)
  return `${pad(year, 4)}-${pad(month)}-${pad(inYear - Math.floor((153 * shifted + 2) / 5) + 1)}`
}

/** Days since the first of January 1970; undefined where there is no such day. */
export function dayNumber(day: Day): number | undefined {
  const found = /^(\d{4})-(\d{2})-(\d{2})$/.exec(day)
  if (!found) return undefined
  const [year, month, date] = found.slice(1).map(Number) as [number, number, number]
  const number = daysTo(year, month, date)
  return dayOf(number) === day ? number : undefined
}

/** 1 is Monday, 7 Sunday. */
export const weekdayOf = (number: number): number => ((((number + 3) % 7) + 7) % 7) + 1

/** The minute of a day as one number that only goes on. */
export const instant = (day: number, minute: number): number => day * MINUTES + minute
export const dayAt = (at: number): Day => dayOf(Math.floor(at / MINUTES))
export const minuteAt = (at: number): number => ((at % MINUTES) + MINUTES) % MINUTES

/** `20:05`. */
export const clock = (minute: number): string =>
  `${pad(Math.floor(minute / 60))}:${pad(Math.round(minute % 60))}`
