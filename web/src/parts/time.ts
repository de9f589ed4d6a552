/** Minutes as a maker says them: `2 h 05`. */
export function sayTime(minutes: number): string {
  const whole = Math.round(minutes)
  return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

/** The same where it is often less than an hour: `25 min`. */
export const minutesSaid = (minutes: number): string =>
  Math.round(minutes) < 60 ? `${Math.round(minutes)} min` : sayTime(minutes)
