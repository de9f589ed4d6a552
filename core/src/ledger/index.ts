export { begunRecord, plannedSteps } from './begun.js'
export { type Client, clientSchema, withoutClient } from './clients.js'
export { type Entry, type EntryStep, WEAR_DAYS, clashes, entryOf, firsts } from './entry.js'
export {
  type Group,
  type Hours,
  type Lens,
  type Remembered,
  dayOfEntry,
  earned,
  earnedBy,
  grouped,
  hoursBy,
  hoursBySort,
  hoursSaid,
  mistakesBy,
  remembered,
  seenThrough,
  wasteOf,
} from './looking.js'
export { type Quote, nextNumber, quoteSchema } from './quotes.js'
export { usedBy, wantedBy } from './reserved.js'
