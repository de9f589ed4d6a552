import type { Field } from './settings/index.js'

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
  {
    type: 'percent',
    id: 'play',
    label: 'how far a pitch may differ from the iron’s',
    path: ['habits', 'play'],
    least: 0,
    most: 0.2,
    step: 0.005,
  },
  {
    type: 'count',
    id: 'evenOver',
    label: 'stitches a stepped side is evened out over',
    path: ['habits', 'evenOver'],
    least: 1,
    most: 30,
  },
  {
    type: 'share',
    id: 'blowSeconds',
    label: 'seconds for a blow of the iron, set and struck',
    path: ['habits', 'blowSeconds'],
    least: 0.5,
    most: 300,
    step: 1,
  },
  {
    type: 'pace',
    id: 'stitchSeconds',
    label: 'pace of sewing by hand',
    path: ['habits', 'stitchSeconds'],
    least: 2,
    most: 180,
    step: 1,
  },
  {
    type: 'share',
    id: 'cornerSeconds',
    label: 'seconds more for a corner',
    path: ['habits', 'cornerSeconds'],
    least: 0,
    most: 300,
    step: 5,
  },
  {
    type: 'share',
    id: 'runMinutes',
    label: 'minutes to begin a run',
    path: ['habits', 'runMinutes'],
    least: 0,
    most: 30,
    step: 0.5,
  },
  { type: 'machine', id: 'machine', label: 'sewing machine', path: ['machine'] },
  {
    type: 'choice',
    id: 'holeSchool',
    label: 'how holes are made',
    path: ['sewing', 'holes'],
    choices: [
      {
        value: 'through',
        label: 'through all layers at once',
        why: 'fast, and they always meet; the back looks different',
      },
      {
        value: 'apart',
        label: 'each side apart and mirrored',
        why: 'both faces perfect; the counts have to agree exactly',
      },
      { value: 'machine', label: 'by the machine', why: 'its needle makes them; only the line is drawn' },
    ],
  },
  {
    type: 'choice',
    id: 'stepping',
    label: 'how a side comes to whole stitches',
    path: ['sewing', 'stepping'],
    choices: [
      { value: 'evened', label: 'evened out over each side', why: 'no stitch differs enough to show' },
      {
        value: 'stepped',
        label: 'stepped with the iron, the last stitches evened out',
        why: 'the iron’s own pitch wherever it is looked at',
      },
    ],
  },
]

/** What is said of the sewing of any design. */
export const SEWING_SENTENCES: readonly string[] = [
  'Sewn by hand with {thread}, {tail} left at each needle, no thread longer than {comfortable}.',
  'Holes with the {iron} or the {awl}, {cornerSchool}, none nearer than {stepClearance} to a step.',
]

/** What is said of the holes and the speed, where the runs are planned. */
export const SEAM_SENTENCES: readonly string[] = [
  'Holes {holeSchool}, {stepping}; a pitch may differ by {play}, and a stepped side is evened out over its last {evenOver} stitches.',
  'By hand {stitchSeconds}, {cornerSeconds} s more for a corner, {blowSeconds} s a blow of the iron and {runMinutes} minutes to begin a run; by machine with the {machine}.',
]
