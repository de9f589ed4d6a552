import type { Field } from './fields.js'

/** Settings every kind shares, because the stages after it use them. */
export const COMMON_FIELDS: readonly Field[] = [
  { type: 'iron', id: 'iron', label: 'pricking iron', path: ['iron'] },
  { type: 'awl', id: 'awl', label: 'awl', path: ['awl'] },
  { type: 'thread', id: 'thread', label: 'thread', path: ['thread'] },
  {
    type: 'choice',
    id: 'cornerSchool',
    label: 'holes at a sharp corner',
    path: ['habits', 'cornerSchool'],
    choices: [
      { value: 'hole', label: 'with a hole on the corner', why: 'the stitch turns exactly at the corner' },
      {
        value: 'straddled',
        label: 'with the corner straddled evenly',
        why: 'no hole weakens the corner itself',
      },
    ],
  },
  {
    type: 'length',
    id: 'tail',
    label: 'thread left at each needle',
    path: ['habits', 'tail'],
    least: 20,
    most: 500,
    step: 10,
  },
  {
    type: 'length',
    id: 'comfortable',
    label: 'longest comfortable thread',
    path: ['habits', 'comfortable'],
    least: 200,
    most: 10000,
    step: 50,
  },
  {
    type: 'length',
    id: 'stepClearance',
    label: 'clearance of a hole from a step',
    path: ['habits', 'stepClearance'],
    least: 0,
    most: 5,
    step: 0.1,
  },
]

/** What is said of the sewing of any design. */
export const SEWING_SENTENCES: readonly string[] = [
  'Sewn by hand with {thread}, {tail} left at each needle, no thread longer than {comfortable}.',
  'Holes with the {iron} or the {awl}, {cornerSchool}, none nearer than {stepClearance} to a step.',
]
