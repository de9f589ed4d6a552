export { type Day, clock, dayAt, dayNumber, dayOf, instant, minuteAt, weekdayOf } from './days.js'
export {
  type Hours,
  type HoursRead,
  type Sitting,
  USUAL_HOURS,
  WEEKDAYS,
  hoursSchema,
  hoursWritten,
  readHours,
  sittings,
} from './hours.js'
export { AHEAD, type Placed, type Plan, type ToDo, type Work, plan } from './plan.js'
