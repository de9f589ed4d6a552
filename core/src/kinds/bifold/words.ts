import { thicknessSaid } from '../../measure/index.js'
import type { Sentence } from '../../settings/index.js'
import type { BifoldParams } from './params.js'
import type { Role } from '../kind.js'
import { FRONT_POCKET, POCKET_SENTENCES } from '../pockets/index.js'

export const ROLES: readonly Role<BifoldParams>[] = [
  {
    id: 'outside',
    label: 'Outside',
    why: `the body of the wallet; ${thicknessSaid(1.2)} to ${thicknessSaid(1.6)} holds its shape`,
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
  FRONT_POCKET,
  {
    id: 'divider',
    label: 'Divider',
    why: 'parts the notes in two; as thin as will stand up',
    usual: 0.8,
    when: (params) => params.divider !== 'none',
  },
  {
    id: 'lining',
    label: 'Lining',
    why: 'behind the outside or the divider; the thinnest there is',
    usual: 0.6,
    when: (params) => params.lining === 'lined' || params.divider === 'lined',
  },
]

export const BRIEF: readonly Sentence[] = [
  'It carries {pockets} card pockets a side, {cardsPerPocket} to a pocket, each card showing {shown}, got out {grip}.',
  'The pockets: {school}, feet {feet}, tops {tops}[; the front pocket is {front}]; behind each slit, where there are slits, {pouch}.',
  'Behind the cards {hidden}; the right half {coins}.',
  'Behind them go {notes} notes: {currency}; the note compartment {divider}.',
  'The outside is {lining}. Folded, it takes {foldShare} of the difference the fold makes.',
]

export const SENTENCES: Readonly<Record<string, readonly Sentence[]>> = {
  ...POCKET_SENTENCES,
  outside: [
    'Cut 1 from {leather-outside}, corners rounded {corner}; its flesh side {lining}.',
    'It stands {lip} above the inside, and takes {foldShare} of what the fold needs.',
    'Sewn {margin} in with the {iron}; edges {finish}, cut {trim} over size where they are sewn.',
  ],
  inside: [
    'Cut 1 from {leather-inside}. Carries {pockets} card pockets a side, {school}, reveal {reveal}.',
    'Foot and sides sewn to the outside, {margin} in, with the {iron}. At the fold its foot is {cutAway}.',
    'Made for {cardsPerPocket} to a pocket and {notes} notes: {currency}.',
    'Behind the cards {hidden}; right half {coins}.',
  ],
  lining: [
    'Cut 1 from {leather-lining}; glued behind the outside and sewn with it, {margin} in.',
    'Takes {foldShare} of what the fold needs at its place. The outside is {lining}.',
  ],
  divider: [
    'Cut 1 from {leather-divider}: the note compartment {divider}.',
    'Sides and foot sewn {margin} in with everything else; edges {finish}.',
  ],
  'divider-lining': ['Cut 1 from {leather-lining}; glued to the divider. The note compartment {divider}.'],
  backing: ['Cut from {leather-pockets}: behind the cards {hidden}. Sides and foot sewn {margin} in.'],
  'coin-pocket': [
    'Cut 1 from {leather-pockets}, turned over: the right half {coins}. Sewn {margin} in; edges {finish}.',
  ],
  'coin-flap': [
    'Cut 1 from {leather-pockets}. Sewn across its top, {margin} in, and snapped over the pocket with a {hardware-snap}; {coins}.',
  ],
}
