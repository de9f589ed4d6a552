import { CURRENCIES } from '../../stores/index.js'
import type { Field, Sentence } from '../fields.js'
import type { Role } from '../kind.js'

export const ROLES: readonly Role[] = [
  {
    id: 'outside',
    label: 'Outside',
    why: 'the body of the wallet; 1.2 to 1.6 mm holds its shape',
    usual: 1.4,
  },
  {
    id: 'inside',
    label: 'Inside',
    why: 'carries the pockets and divides off the notes; lighter than the outside',
    usual: 0.9,
  },
  {
    id: 'pockets',
    label: 'Pockets',
    why: 'the lightest of the three; every pocket adds its thickness to the pile',
    usual: 0.9,
  },
]

const at = (id: string): readonly string[] => ['params', id]

export const FIELDS: readonly Field[] = [
  {
    type: 'leather',
    id: 'leather-outside',
    label: 'leather of the outside',
    path: ['leathers', 'outside'],
    role: 'outside',
  },
  {
    type: 'leather',
    id: 'leather-inside',
    label: 'leather of the inside',
    path: ['leathers', 'inside'],
    role: 'inside',
  },
  {
    type: 'leather',
    id: 'leather-pockets',
    label: 'leather of the pockets',
    path: ['leathers', 'pockets'],
    role: 'pockets',
  },
  { type: 'count', id: 'pockets', label: 'card pockets a side', path: at('pockets'), least: 0, most: 6 },
  {
    type: 'count',
    id: 'cardsPerPocket',
    label: 'cards in each pocket',
    path: at('cardsPerPocket'),
    least: 1,
    most: 4,
  },
  {
    type: 'choice',
    id: 'currency',
    label: 'notes to carry',
    path: at('currency'),
    choices: [
      { value: 'none', label: 'no notes', why: 'the height follows the cards alone' },
      ...CURRENCIES.map((c) => ({ value: c.id, label: `${c.name} notes`, why: c.source })),
    ],
  },
  { type: 'count', id: 'notes', label: 'number of notes', path: at('notes'), least: 0, most: 60 },
  {
    type: 'choice',
    id: 'school',
    label: 'school of the pockets',
    path: at('school'),
    choices: [
      {
        value: 'butted',
        label: 'T, butted step to step',
        why: 'thinnest; a gap can open and no stitch may fall on it',
      },
      {
        value: 'lapped',
        label: 'T, lapped',
        why: 'the lower half of each arm skived to half, the next pocket laps over it; no gap',
      },
    ],
  },
  {
    type: 'length',
    id: 'reveal',
    label: 'reveal',
    path: at('reveal'),
    least: 6,
    most: 30,
    step: 0.5,
    mayMove: 2,
    hint: 'how much of a pocket shows above the next',
  },
  {
    type: 'length',
    id: 'shown',
    label: 'card showing',
    path: at('shown'),
    least: 2,
    most: 25,
    step: 0.5,
    hint: 'how much of a card stands out of its pocket',
  },
  {
    type: 'choice',
    id: 'topPocket',
    label: 'uppermost pocket',
    path: at('topPocket'),
    choices: [
      {
        value: 'clear',
        label: 'shortened where that clears the pile',
        why: 'one layer fewer where the pile is thickest; its card stands a little higher',
      },
      { value: 'full', label: 'at full depth', why: 'all cards stand equally deep' },
    ],
  },
  {
    type: 'length',
    id: 'margin',
    label: 'margin',
    path: at('margin'),
    least: 1.5,
    most: 10,
    step: 0.1,
    mayMove: 0.6,
    hint: 'from the finished edge to the stitch line',
  },
  { type: 'length', id: 'corner', label: 'corner radius', path: at('corner'), least: 0, most: 25, step: 0.5 },
  {
    type: 'length',
    id: 'lip',
    label: 'outside stands above the inside by',
    path: at('lip'),
    least: 0,
    most: 25,
    step: 0.5,
  },
  {
    type: 'share',
    id: 'foldShare',
    label: 'share of the fold given to the outside',
    path: at('foldShare'),
    least: 0,
    most: 1,
    step: 0.05,
    hint: '0 lies flat open · 1 lies flat closed · 0.5 to 0.7 suits most wallets',
  },
  {
    type: 'length',
    id: 'trim',
    label: 'cut extra and trimmed after sewing',
    path: at('trim'),
    least: 0,
    most: 5,
    step: 0.5,
  },
  {
    type: 'choice',
    id: 'finish',
    label: 'finish of the edges',
    path: at('finish'),
    choices: [
      {
        value: 'burnished',
        label: 'burnished',
        why: 'bevelled, rubbed and waxed; for vegetable tanned leather',
      },
      {
        value: 'painted',
        label: 'painted',
        why: 'thin coats sanded between; for chrome tanned or mixed leather',
      },
    ],
  },
]

export const BRIEF: readonly Sentence[] = [
  'It carries {pockets} card pockets a side, {cardsPerPocket} to a pocket, each card showing {shown}.',
  'Behind them go {notes} notes: {currency}.',
  'Folded, the outside takes {foldShare} of the difference the fold makes.',
]

export const SENTENCES: Readonly<Record<string, readonly Sentence[]>> = {
  outside: [
    'Cut 1 from {leather-outside}, corners rounded {corner}.',
    'It stands {lip} above the inside, and takes {foldShare} of what the fold needs.',
    'Sewn {margin} in with the {iron}; edges {finish}, cut {trim} over size where they are sewn.',
  ],
  inside: [
    'Cut 1 from {leather-inside}. Carries {pockets} card pockets a side, {school}, reveal {reveal}.',
    'Foot and sides sewn to the outside, {margin} in, with the {iron}.',
    'Made for {cardsPerPocket} to a pocket and {notes} notes: {currency}.',
  ],
  pocket: [
    'Cut from {leather-pockets}, {school}, reveal {reveal}.',
    'Each holds {cardsPerPocket}, showing {shown}. Foot sewn across, skived to a third at its end.',
    'Sewn {margin} in; top edges {finish}.',
  ],
  'pocket-top': [
    'Cut 2 from {leather-pockets}. The uppermost pocket is {topPocket}.',
    'Each holds {cardsPerPocket}, showing {shown}; reveal {reveal}, {school}.',
  ],
  'foot-pocket': [
    'Cut 2 from {leather-pockets}, one turned over. Corner rounded {corner}.',
    'Each holds {cardsPerPocket}, showing {shown}. Sides and foot sewn {margin} in.',
    'The pocket above is {topPocket}; edges {finish}.',
  ],
  guide: ['Cut 1 from card. It sets the first pocket and every reveal of {reveal} after it.'],
}
