import { tupleOf } from '../../lists/index.js'
import { BOOK_FOLD } from '../../formulas/index.js'
import { CARD } from '../../stores/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type Basics, basicsOf, notesMaybe, outcomeBy, sizeBy } from '../parts/basics.js'
import type { StrapWalletParams } from './params.js'

/** Judgement values of the bench, mm. */
export const BENCH = {
  /** A wallet for no notes at all. */
  leastLong: 120,
  leastShort: 66,
  /** Leather round the slot of a tab, and how far apart its two slots stand. */
  tabRim: 5,
  tabSlots: 16,
  /** A slot is so much longer than the strap is wide, and so wide. */
  slotEase: 1.5,
  slotWide: 3,
  /** The inner pocket ends so far below the back. */
  innerLower: 5,
  /** A pocket laid on the back keeps so far from the fold at its foot, and from the side seams. */
  laidClear: 2,
  /** The end of a strap that is sewn to its tab. */
  sewnEnd: 20,
} as const

/** Every finished size of the strap-bound wallet, each with its working. */
export interface StrapWalletSizes extends Basics {
  readonly width: Reckoned
  readonly back: Reckoned
  readonly front: Reckoned
  readonly gap: Reckoned
  readonly footBend: Reckoned
  readonly flapBend: Reckoned
  readonly length: Reckoned
  readonly closedHeight: Reckoned
  readonly full: Reckoned
  readonly empty: Reckoned
  readonly strapFull: Reckoned
  readonly strapEmpty: Reckoned
  readonly strapLength: Reckoned
  /** Width of the pocket between notes and cards, where there is one. */
  readonly innerWide: Reckoned
  readonly tail: Reckoned
}

// eslint-disable-next-line max-lines-per-function -- a list of sizes in the order they are reckoned in; each names those above it
export function strapWalletSizes(
  p: StrapWalletParams,
  materials: Materials,
  reckon: Reckon,
): StrapWalletSizes {
  const [size, outcome] = [sizeBy(reckon), outcomeBy(reckon)]
  const basics = basicsOf(p.margin, materials, reckon)
  const { margin, hole } = basics
  const [body, inner, strap] = tupleOf(['outside', 'inside', 'strap'], (role) => leatherOf(materials, role))
  const note = notesMaybe(p)
  const ease = given('ease', p.noteEase)
  const between = given('note', note?.long ?? BENCH.leastLong)
  const laid = p.inner === 'laid'
  const clear = given('clear', BENCH.laidClear)
  const width =
    p.sized === 'own'
      ? size('width', 'width', '{wide}', '§2', { wide: given('width', p.ownWide) })
      : size(
          'width',
          'width',
          laid
            ? '{note} note + 2 × {ease} ease + 4 × ({margin} margin + {hole} half a hole) + 2 × {clear} between both seams'
            : '{note} note + 2 × {ease} ease + 2 × ({margin} margin + {hole} half a hole)',
          '§2',
          { note: between, ease, margin, hole, clear },
        )
  const innerWide = laid
    ? size(
        'inner.wide',
        'width of the pocket laid on',
        '{width} − 2 × ({margin} margin + {hole} half a hole + {clear} clear of the side seams)',
        '§2',
        { width, margin, hole, clear },
      )
    : size('inner.wide', 'width of the inner pocket', '{width}, into both side seams', '§2', { width })
  const back =
    p.sized === 'own'
      ? size('back.height', 'height of the back', '{high}', '§2', { high: given('height', p.ownHigh) })
      : size('back.height', 'height of the back', '{note} note + 2 × {ease} ease', '§2', {
          note: given('note', note?.short ?? BENCH.leastShort),
          ease,
        })
  const front = size(
    'front.height',
    'height of the front',
    '{back} − {lower}, so that a note can be gripped',
    '§2',
    { back, lower: given('lower', p.lower) },
  )
  const t = given('outside leather', body.thickness, 'thickness')
  const k = given('neutral-axis factor', body.neutral, 'share')
  const ti = given('inner pocket', p.inner === 'none' ? 0 : inner.thickness, 'thickness')
  const gap = size(
    'gap',
    'between front and back when full',
    '{notes} notes + {cards} cards × {card} + {ti} inner pocket',
    '§3',
    {
      notes: given('notes', note?.thickness ?? 0, 'thickness'),
      cards: given('cards', p.cards, 'count'),
      card: given('card', CARD.thickness, 'thickness'),
      ti,
    },
  )
  const footBend = size('foot.bend', 'used up by the fold at the foot', BOOK_FOLD, '§3', {
    gap,
    k,
    thickness: t,
  })
  const flapBend = size(
    'flap.bend',
    'used up by the fold of the flap',
    'π × (({gap} + {t} front) / 2 + {k} × {t})',
    '§3',
    { gap, k, t },
  )
  const flap = given('flap', p.flap)
  const length = outcome(
    'length',
    'length of the body',
    '{flap} flap + {flapBend} + {back} back + {footBend} + {front} front',
    '§3',
    { flap, flapBend, back, footBend, front },
  )
  const closedHeight = size(
    'closed.height',
    'height closed and full',
    '{back} back + ({gap} / 2 + {t}) at the foot + (({gap} + {t}) / 2 + {t}) at the flap',
    '§3',
    { back, gap, t },
  )
  const thick = (key: string, label: string, inside: Reckoned | ReturnType<typeof given>) =>
    size(key, label, '3 × {t} + {inside} between', '§3', { t, inside })
  const full = thick('closed.full', 'thickness closed and full', gap)
  const empty = thick('closed.empty', 'thickness closed and empty', ti)
  const ts = given('strap leather', strap.thickness, 'thickness')
  const ks = given('neutral-axis factor of the strap', strap.neutral, 'share')
  const round = (key: string, label: string, bundle: Reckoned) =>
    size(key, label, '2 × {height} + 2 × {bundle} + 2 × π × {ks} × {ts}', '§10', {
      height: closedHeight,
      bundle,
      ks,
      ts,
    })
  const strapFull = round('strap.full', 'strap once round, full', full)
  const strapEmpty = round('strap.empty', 'strap once round, empty', empty)
  const strapLength = size(
    'strap.length',
    'length of the strap',
    p.strapLong > 0
      ? '{strapFull} round it full + {overlap} overlap + {long} cut longer, trimmed on the closed work'
      : '{strapFull} round it full + {overlap} overlap',
    '§10',
    {
      strapFull,
      overlap: given('overlap', p.overlap),
      long: given('longer', p.strapLong),
    },
  )
  const tail = outcome(
    'strap.tail',
    'overlap when it is empty',
    p.strapLong > 0 ? '{strapLength} − {long} trimmed − {strapEmpty}' : '{strapLength} − {strapEmpty}',
    '§10',
    { strapLength, strapEmpty, long: given('longer', p.strapLong) },
  )
  return {
    ...basics,
    width,
    innerWide,
    back,
    front,
    gap,
    footBend,
    flapBend,
    length,
    closedHeight,
    full,
    empty,
    strapFull,
    strapEmpty,
    strapLength,
    tail,
  }
}
