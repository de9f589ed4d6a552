export { HABITS, HABIT_SENTENCES, type Habits } from './habits.js'
export {
  type Decor,
  type Ease,
  type HoleSchool,
  PLAIN_SEWING,
  RUN_FIELDS,
  type RunWish,
  type Sewing,
  type Stepping,
  sewingSchema,
} from './schema.js'
