import { decimal } from '@drumlin/core/measure'

/** Minutes as one says them: `25 min`, `1 h 30`. */
export function minutesSaid(minutes: number): string {
  const whole = Math.round(minutes)
  if (whole < 60) return `${whole} min`
  const rest = whole % 60
  return rest === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, '0')}`
}

/** A day as it is said: `Mon 22 March`. */
export const daySaid = (day: string): string =>
  new Intl.DateTimeFormat(undefined, {
    weekday: 'short',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(new Date(`${day}T00:00:00Z`))

export const countSaid = (n: number, one: string, many: string): string =>
  `${decimal(n, 0)} ${n === 1 ? one : many}`
