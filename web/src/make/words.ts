import { decimal } from '@drumlin/core/measure'

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
