import { thicknessSaid } from '../../measure/index.js'
import { point } from '../../geometry/index.js'
import type { Concern, Fit } from '../../master/index.js'
import { type Reckon, given } from '../../working/index.js'
import { type Role, defineKind } from '../kind.js'
import { counted, notesMaybe, sizeBy } from '../parts/basics.js'
import { strapWalletJoins } from './joins.js'
import { strapWalletLayups } from './lay.js'
import { strapWalletPanels } from './panels.js'
import { STRAP_WALLET, type StrapWalletParams } from './params.js'
import { type StrapWalletSizes, strapWalletSizes } from './sizes.js'
import { betweenSeams, needed, present } from '../parts/fits.js'

/** The flap lies over the lower front by this at least, and by this where it is made longer, mm. */
const FLAP_OVER = { min: 20, longer: 25 } as const
/** Where what is wrong with the strap is shown, mm from its end. */
const ALONG = 20

const ROLES: readonly Role<StrapWalletParams>[] = [
  {
    id: 'outside',
    label: 'Body',
    why: `one piece folded up; ${thicknessSaid(1.4)} to ${thicknessSaid(2)} stands by itself`,
    usual: 1.6,
  },
  { id: 'inside', label: 'Inner pocket', why: 'lies between the notes and the cards; thin', usual: 0.9 },
  { id: 'strap', label: 'Strap', why: 'pulled every day: firm, with little stretch', usual: 2 },
]

function fits(p: StrapWalletParams, s: StrapWalletSizes, reckon: Reckon): Fit[] {
  const note = notesMaybe(p)
  const size = sizeBy(reckon)
  const flap: Fit = {
    id: 'flap-over',
    rank: 'look',
    why: 'the flap does not reach over the front, and notes shake out',
    what: 'the flap over the front',
    panelId: 'body',
    keys: [],
    remedy: { field: 'flap', value: Math.ceil(p.lower + FLAP_OVER.longer) },
    at: point(s.width.value / 2, p.flap),
    needs: size('fit.flap', 'needs', '{lower} lower front + {over} over it', '§2', {
      lower: given('lower', p.lower),
      over: given('over', FLAP_OVER.min),
    }),
    has: present(reckon, 'fit.flapHas', 'flap', given('flap', p.flap), '§2'),
  }
  if (!note) return [flap]
  return [
    {
      id: 'note-long',
      rank: 'stop',
      why: 'the note has to be folded to go in',
      what: 'a note between the side seams',
      panelId: 'body',
      keys: ['width'],
      at: point(s.width.value / 2, s.length.value / 2),
      needs: needed(reckon, 'fit.noteLong', 'note', note.long, '§2'),
      has: betweenSeams(reckon, 'fit.noteWidth', s.innerWide, s, '§2'),
    },
    flap,
  ]
}

/** What is tied round a wallet has to hold it full and empty. */
function concerns(p: StrapWalletParams, s: StrapWalletSizes): Concern[] {
  if (s.tail.value < p.overlap * 2) return []
  return [
    {
      id: 'strap-hangs',
      rank: 'tip',
      panelId: 'strap',
      at: point(p.strap / 2, ALONG),
      what: 'Empty, more than twice the wanted overlap of the strap hangs over',
      why: 'The strap is reckoned for the full wallet. Carry less, or let it go once more through the tab.',
    },
  ]
}

/** A long wallet of one piece folded up into a pocket, held shut by a strap through slotted tabs. */
export const strapWallet = defineKind({
  id: 'strap-wallet',
  name: 'Strap-bound long wallet',
  about: 'one piece folded up, notes at full length, a strap round it',
  settings: STRAP_WALLET,
  roles: ROLES,
  brief: [
    'It carries {notes} notes: {currency}, and {cards} cards; sized by {sized}[, {noteEase} of room round them][, {ownWide} wide][ and {ownHigh} high].',
    'Between notes and cards {inner}. The front ends {lower} lower than the back.',
    'A flap of {flap} goes over it, and a strap of {strap} round it, overlapping {overlap} when it is full; it {strapFix}.',
  ],
  sentences: {
    body: [
      'Cut 1 from {leather-outside}, corners rounded {corner}; flap {flap}, front {lower} lower than the back.',
      'Sides sewn {margin} in with the {iron}; edges {finish}, cut {trim} over size where they are sewn.',
    ],
    inner: ['Cut 1 from {leather-inside}: between notes and cards {inner}. Sides sewn {margin} in.'],
    tab: [
      'From {leather-outside}, slots for a strap of {strap}; on the flap it is {tabPlace}[, {tabFrom} from the edge]. Sewn all round {margin} in.',
    ],
    'back-tab': [
      'Cut 1 from {leather-outside}: the strap of {strap} {strapFix}. Sewn all round {margin} in.',
    ],
    strap: [
      'Cut 1 from {leather-strap}, {strap} wide, overlapping {overlap} when full, {strapLong} cut longer and trimmed on the closed work; it {strapFix}; edges {finish}.',
    ],
  },
  master: (p, materials, reckon) => {
    const s = strapWalletSizes(p, materials, reckon)
    return {
      panels: strapWalletPanels(p, s, materials),
      layups: strapWalletLayups(p, s),
      joins: strapWalletJoins(p, s),
      matches: [],
      fits: fits(p, s, reckon),
      concerns: concerns(p, s),
      carries: [...counted(p.currency === 'none' ? 0 : p.notes, 'note'), ...counted(p.cards, 'card')],
      sizes: [
        ...[s.length, s.width, s.footBend, s.flapBend, s.closedHeight, s.full].map((size) => ({
          panelId: 'body',
          size,
        })),
        ...(p.inner !== 'none' ? [{ panelId: 'inner', size: s.innerWide }] : []),
        ...[s.strapLength, s.strapFull, s.strapEmpty, s.tail].map((size) => ({ panelId: 'strap', size })),
      ],
    }
  },
})
