import { HABITS, HABIT_SENTENCES, RUN_FIELDS } from '../sewing/index.js'
import { WORK_WAYS } from '../work/index.js'
import type { Field } from '../settings/index.js'

/** Settings every kind shares, because the stages after it use them. */
export const COMMON_FIELDS: readonly Field[] = [
  { type: 'iron', id: 'iron', label: 'pricking iron', path: ['iron'] },
  { type: 'awl', id: 'awl', label: 'awl', path: ['awl'] },
  { type: 'thread', id: 'thread', label: 'thread', path: ['thread'] },
  ...HABITS.fields,
  { type: 'machine', id: 'machine', label: 'sewing machine', path: ['machine'] },
  ...RUN_FIELDS,
  ...WORK_WAYS.fields,
]

/** What is said of the sewing of any design. */
export const SEWING_SENTENCES: readonly string[] = [
  'Sewn by hand with {thread}, {tail} left at each needle and {waste} added; no thread longer than {comfortable}.',
  'Holes with the {iron} or the {awl}, {cornerSchool}, none nearer than {stepClearance} to a step.',
]

/** What is said of the holes and of how long the work takes, where the runs are planned. */
export const SEAM_SENTENCES: readonly string[] = [
  'Holes {holeSchool}, {stepping}; a pitch may differ by {play}, and a stepped side is evened out over its last {evenOver} stitches.',
  'By hand {stitchSeconds}, {cornerSeconds} s more for a corner, {blowSeconds} s a blow of the iron and {runMinutes} minutes to begin a run; by machine with the {machine}.',
  ...HABIT_SENTENCES,
]
