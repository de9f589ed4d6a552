import type { Role } from '../kind.js'
import { type ParamsOf, type Sentence, choice, count, length } from '../../settings/index.js'

/** What a maker decides about a pile of card pockets, in any kind; how many there are each kind asks by itself. Lengths in mm. */
export const POCKETS = {
  cardsPerPocket: count('cards in each pocket', 1, 4, 1),
  school: choice('school of the pockets', 'lapped', [
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
  /** The pocket in front is seen whole: it may be of another leather. */
  front: choice('front pocket', 'same', [
    ['same', 'of the same leather as the others', 'one leather to buy and to skive'],
    ['own', 'of a leather of its own', 'the one that is seen: finer, or another colour'],
  ]),
  /** How a pocket's foot is held to what carries it. */
  feet: choice('feet of the pockets', 'both', [
    ['both', 'glued and sewn across', 'nothing moves while it is sewn; the usual way'],
    ['sewn', 'sewn across, the arms alone glued', 'stays supple; the arms hold it while it is sewn'],
    ['glued', 'glued only', 'no stitches show inside; the glue alone carries the card'],
  ]),
  reveal: length('reveal', 6, 30, 12, { mayMove: 2, hint: 'how much of a pocket shows above the next' }),
  /** How far a lapped arm reaches under the next pocket. */
  lap: length('lap of the arms', 2, 30, 12, {
    hint: 'how far a lapped arm reaches under the next pocket; never farther than the reveal',
  }),
  /** How much of a card stands out of its own pocket. */
  shown: length('card showing', 2, 25, 8, { hint: 'how much of a card stands out of its pocket' }),
  topPocket: choice('uppermost pocket', 'clear', [
    [
      'clear',
      'shortened where that clears the pile',
      'one layer fewer where the pile is thickest; its card stands a little higher',
    ],
    ['full', 'at full depth', 'all cards stand equally deep'],
  ]),
  tops: choice('tops of the pockets', 'raw', [
    ['raw', 'raw and finished', 'thinnest; the edge is burnished or painted before assembly'],
    ['turned', 'turned over a tape and sewn', 'does not stretch out of shape; thicker at the seams'],
    [
      'stiffened',
      'turned over a reinforcement of their own leather and sewn',
      'firm: it begins at the turn and is feathered at its lower end',
    ],
  ]),
  topSkive: choice('how the turned tops are skived', 'feather', [
    ['feather', 'feathered over their last millimetres', 'the fold keeps its strength'],
    ['fold', 'thinned in the fold only', 'bends sharply; the border keeps its thickness'],
    ['even', 'thinned over the whole turn', 'it lies as flat as the rest'],
  ]),
  grip: choice('to get a card out', 'none', [
    ['none', 'by what shows of it', 'nothing is cut away'],
    ['notch', 'by a thumb notch in the top', 'the card is pushed up from the notch'],
    ['slot', 'by a thumb slot lower down', 'the top edge stays whole; the card is pushed from the slot'],
  ]),
  /** Behind each slit. */
  pouch: choice('behind each slit', 'fabric', [
    ['fabric', 'a pocket of thin cloth', 'stops the card where it should stand'],
    ['none', 'nothing', 'cards fall down behind the face'],
  ]),
}
/** A pile of so many. */
export type PocketParams = ParamsOf<typeof POCKETS> & { readonly pockets: number }

/** Whether the tops are turned over something. */
export const hasTurnedTops = ({ tops }: Pick<PocketParams, 'tops'>): boolean => tops !== 'raw'

/** What is said of the pockets' own pieces, by panel. */
export const POCKET_SENTENCES: Readonly<Record<string, readonly Sentence[]>> = {
  pocket: [
    'Cut from {leather-pockets}, {school}, reveal {reveal}, lap {lap}.',
    'Each holds {cardsPerPocket}, showing {shown}, got out {grip}. Feet {feet}, skived to a third at the end.',
    'Tops {tops}[, {topSkive}]. Sewn {margin} in; edges {finish}.',
  ],
  'pocket-top': [
    'Cut from {leather-pockets}. The uppermost pocket is {topPocket}.',
    'Each holds {cardsPerPocket}, showing {shown}; reveal {reveal}, {school}.',
    'Feet {feet}; tops {tops}[, {topSkive}].',
  ],
  'foot-pocket': [
    'It is {front}[: {leather-front-pocket}]. Corners rounded {corner}, top {tops}[, {topSkive}].',
    'Each holds {cardsPerPocket}, showing {shown}, got out {grip}. Sides and foot sewn {margin} in.',
    'The pocket above is {topPocket}; edges {finish}.',
  ],
  'slit-panel': [
    'Cut from {leather-pockets}, {pockets} in {school}, {reveal} apart; behind each {pouch}.',
    'Each holds {cardsPerPocket}, showing {shown}. Sides and foot sewn {margin} in; edges {finish}.',
  ],
  pouch: ['Cloth, folded once and glued behind a slit: {pouch}. Holds {cardsPerPocket}, showing {shown}.'],
  stay: ['Inside the tops, {tops}[, {topSkive}]: they do not stretch.'],
  guide: ['Cut 1 from card. It sets the first pocket and every reveal of {reveal} after it.'],
}

/** Whether there is a pocket in front of the others; a panel of slits has none. */
export const hasFront = (p: Pick<PocketParams, 'school' | 'pockets'>): boolean =>
  p.school !== 'slits' && p.pockets > 0
export const hasOwnFront = (p: PocketParams): boolean => p.front === 'own' && hasFront(p)

/** When a setting of a pile plays a part. */
export const PILE_IN_PLAY = {
  front: hasFront,
  topSkive: (p: PocketParams): boolean => hasTurnedTops(p) && hasFront(p),
}

/** The leather of the pocket in front, where it has one of its own. */
export const FRONT_POCKET: Role<PocketParams> = {
  id: 'front-pocket',
  label: 'Front pocket',
  why: 'the pocket that is seen whole; lies at the edge with all the others',
  usual: 0.9,
  when: hasOwnFront,
}
