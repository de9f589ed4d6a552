import { z } from 'zod'
import type { Field, Sentence } from '../fields.js'
import { choiceField, countField, lengthField } from '../parts/fields.js'
import { count, mm } from '../parts/schema.js'

/** What a maker decides about a pile of card pockets, in any kind. Lengths in mm. */
export const POCKET_SHAPE = {
  /** Pockets in one pile. */
  pockets: count(0, 6),
  cardsPerPocket: count(1, 4),
  school: z.enum(['butted', 'lapped', 'overlap', 'slits']),
  /** How a pocket's foot is held to what carries it. */
  feet: z.enum(['sewn', 'glued', 'both']),
  reveal: mm(6, 30),
  /** How far a lapped arm reaches under the next pocket. */
  lap: mm(2, 30),
  /** How much of a card stands out of its own pocket. */
  shown: mm(2, 25),
  topPocket: z.enum(['full', 'clear']),
  tops: z.enum(['raw', 'turned']),
  grip: z.enum(['none', 'notch', 'slot']),
  /** Behind each slit. */
  pouch: z.enum(['fabric', 'none']),
}

export interface PocketParams {
  readonly pockets: number
  readonly cardsPerPocket: number
  readonly school: 'butted' | 'lapped' | 'overlap' | 'slits'
  readonly feet: 'sewn' | 'glued' | 'both'
  readonly reveal: number
  readonly lap: number
  readonly shown: number
  readonly topPocket: 'full' | 'clear'
  readonly tops: 'raw' | 'turned'
  readonly grip: 'none' | 'notch' | 'slot'
  readonly pouch: 'fabric' | 'none'
}

export const POCKET_DEFAULTS: PocketParams = {
  pockets: 3,
  cardsPerPocket: 1,
  school: 'lapped',
  feet: 'both',
  reveal: 12,
  lap: 12,
  shown: 8,
  topPocket: 'clear',
  tops: 'raw',
  grip: 'none',
  pouch: 'fabric',
}

/** The settings of a pile of pockets; `label` says of which, `most` how many there may be. */
export const pocketFields = (label: string, least: number, most: number): readonly Field[] => [
  countField('pockets', label, least, most),
  countField('cardsPerPocket', 'cards in each pocket', 1, 4),
  choiceField('school', 'school of the pockets', [
    ['butted', 'T, butted step to step', 'thinnest; a gap can open and no stitch may fall on it'],
    [
      'lapped',
      'T, lapped',
      'the lower part of each arm skived to half, the next pocket laps over it; no gap',
    ],
    [
      'overlap',
      'full width, overlapping',
      'every pocket reaches both seams; a stitch may fall anywhere, but the edge grows with each pocket',
    ],
    ['slits', 'slits in one panel', 'a single face; each slit needs a pocket of cloth behind it'],
  ]),
  choiceField('feet', 'feet of the pockets', [
    ['both', 'glued and sewn across', 'nothing moves while it is sewn; the usual way'],
    ['sewn', 'sewn across, not glued', 'stays supple; has to be held while it is sewn'],
    ['glued', 'glued only', 'no stitches show inside; the glue alone carries the card'],
  ]),
  lengthField('reveal', 'reveal', 6, 30, {
    mayMove: 2,
    hint: 'how much of a pocket shows above the next',
  }),
  lengthField('lap', 'lap of the arms', 2, 30, {
    hint: 'how far a lapped arm reaches under the next pocket; never farther than the reveal',
  }),
  lengthField('shown', 'card showing', 2, 25, { hint: 'how much of a card stands out of its pocket' }),
  choiceField('topPocket', 'uppermost pocket', [
    [
      'clear',
      'shortened where that clears the pile',
      'one layer fewer where the pile is thickest; its card stands a little higher',
    ],
    ['full', 'at full depth', 'all cards stand equally deep'],
  ]),
  choiceField('tops', 'tops of the pockets', [
    ['raw', 'raw and finished', 'thinnest; the edge is burnished or painted before assembly'],
    ['turned', 'turned over a tape and sewn', 'does not stretch out of shape; thicker at the seams'],
  ]),
  choiceField('grip', 'to get a card out', [
    ['none', 'by what shows of it', 'nothing is cut away'],
    ['notch', 'by a thumb notch in the top', 'the card is pushed up from the notch'],
    ['slot', 'by a thumb slot lower down', 'the top edge stays whole; the card is pushed from the slot'],
  ]),
  choiceField('pouch', 'behind each slit', [
    ['fabric', 'a pocket of thin cloth', 'stops the card where it should stand'],
    ['none', 'nothing', 'cards fall down behind the face'],
  ]),
]

/** What is said of the pockets' own pieces, by panel. */
export const POCKET_SENTENCES: Readonly<Record<string, readonly Sentence[]>> = {
  pocket: [
    'Cut from {leather-pockets}, {school}, reveal {reveal}, lap {lap}.',
    'Each holds {cardsPerPocket}, showing {shown}, got out {grip}. Feet {feet}, skived to a third at the end.',
    'Tops {tops}. Sewn {margin} in; edges {finish}.',
  ],
  'pocket-top': [
    'Cut from {leather-pockets}. The uppermost pocket is {topPocket}.',
    'Each holds {cardsPerPocket}, showing {shown}; reveal {reveal}, {school}.',
    'Feet {feet}; tops {tops}.',
  ],
  'foot-pocket': [
    'Cut from {leather-pockets}. Corners rounded {corner}, top {tops}.',
    'Each holds {cardsPerPocket}, showing {shown}, got out {grip}. Sides and foot sewn {margin} in.',
    'The pocket above is {topPocket}; edges {finish}.',
  ],
  'slit-panel': [
    'Cut from {leather-pockets}, {pockets} in {school}, {reveal} apart; behind each {pouch}.',
    'Each holds {cardsPerPocket}, showing {shown}. Sides and foot sewn {margin} in; edges {finish}.',
  ],
  pouch: ['Cloth, folded once and glued behind a slit: {pouch}. Holds {cardsPerPocket}, showing {shown}.'],
  stay: ['Tape inside the turned tops ({tops}), so that they do not stretch.'],
  guide: ['Cut 1 from card. It sets the first pocket and every reveal of {reveal} after it.'],
}
