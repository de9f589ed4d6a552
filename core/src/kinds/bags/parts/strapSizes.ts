import { BOOK_FOLD } from '../../../formulas/index.js'
import { given, type Given, type Reckoned } from '../../../working/index.js'
import { hardwareOf, leatherOf } from '../../kind.js'
import { type Bag } from '../bag.js'

/** Prongs, holes and loops of straps, mm. */
export const BENCH = {
  prong: 3.5,
  hole: 5,
  keeper: 14,
  keeperLap: 12,
  /** Room of a keeper round the straps, across and through. */
  keeperEase: 1,
  pad: 260,
  /** A pad stands out beside its strap by so much. */
  padBeside: 11,
  padFoam: 3,
  /** A strap panel is so high, on a low bag such a share of it, and never lower than that. */
  yokeHigh: 60,
  yokeShare: 0.15,
  yokeLeast: 28,
} as const

/** Whether a strap’s ends hang on hooks in the rings of the bag. */
export const hasHooks = (p: Bag['p']): boolean => p.strap === 'shoulder' && p.strapEnds === 'hooks'

/** Lengths of a strap in two parts with a buckle, from the measure from ring to ring as it is worn. */
// eslint-disable-next-line max-lines-per-function -- a list of sizes in the order they are reckoned in; each names those above it
export function strapSizes(bag: Bag) {
  const { p, size, outcome, materials } = bag
  const leather = leatherOf(materials, 'straps')
  const k = given('neutral-axis factor', leather.neutral, 'share')
  const t = given('leather', leather.thickness, 'thickness')
  const hooks = hasHooks(p)
  const ends = hardwareOf(materials, hooks ? 'hook' : 'ring')
  const [ring, buckle] = [
    given(hooks ? 'hook' : 'ring', ends.bar),
    given('buckle', hardwareOf(materials, 'buckle').bar),
  ]
  const backOf = (key: string, label: string, bar: Given): Reckoned =>
    size(key, label, `${BOOK_FOLD} + {lap} lap`, '§10', {
      gap: bar,
      k,
      thickness: t,
      lap: given('lap', p.lap),
    })
  const back = backOf('strap.back', hooks ? 'turned back round a hook' : 'turned back round a ring', ring)
  const backBuckle = backOf('strap.back.buckle', 'turned back round the buckle', buckle)
  const usual = size(
    'strap.usual',
    hooks ? 'long part from its hook to the usual hole' : 'long part from its ring to the usual hole',
    `{carried} as worn − {short} short part${hooks ? ' − 2 × {hook} of the hooks' : ''}`,
    '§10',
    {
      carried: given('ring to ring', p.carried),
      short: given('short part', p.strapShort),
      hook: given('hook', hooks ? ends.high : 0),
    },
  )
  const holes = given('holes', p.strapHoles, 'count')
  const spacing = given('apart', p.strapSpacing)
  const long = size(
    'strap.long',
    'long part, cut',
    '{back} + {usual} + ({holes} − 1) / 2 × {spacing} + {tip} to the tip',
    '§10',
    { back, usual, holes, spacing, tip: given('tip', p.strapTip) },
  )
  const short = size(
    'strap.short',
    'short part, cut: turned back at the ring and at the buckle',
    '{short} + {back} + {backBuckle}',
    '§10',
    { short: given('short part', p.strapShort), back, backBuckle },
  )
  const slot = size('strap.slot', 'slot for the buckle’s prong', `${BOOK_FOLD} + {prong} prong`, '§10', {
    gap: buckle,
    k,
    thickness: t,
    prong: given('prong', BENCH.prong),
  })
  const keeper = size(
    'strap.keeper',
    'a keeper, with its lap',
    '2 × ({wide} + {ease}) + 2 × (2 × {t} + {ease}) + 2 × π × {k} × {t} + {lap} lap',
    '§10',
    {
      wide: given('strap', p.strapWide),
      t,
      k,
      lap: given('lap', BENCH.keeperLap),
      ease: given('ease', BENCH.keeperEase),
    },
  )
  const reach = (key: string, label: string, way: 1 | -1): Reckoned =>
    outcome(`strap.${key}`, label, `{carried} ${way > 0 ? '+' : '−'} ({holes} − 1) / 2 × {spacing}`, '§10', {
      carried: given('ring to ring', p.carried),
      holes,
      spacing,
    })
  const total = outcome('strap.total', 'strap leather in all', '({long} + {short}) × {straps}', '§10', {
    long,
    short,
    straps: given('straps', p.strap === 'pair' ? 2 : 1, 'count'),
  })
  const overlap = outcome(
    'strap.overlap',
    'overlap at the usual hole',
    '({holes} − 1) / 2 × {spacing} + {tip}',
    '§10',
    { holes, spacing, tip: given('tip', p.strapTip) },
  )
  return {
    back,
    backBuckle,
    usual,
    long,
    short,
    slot,
    keeper,
    total,
    overlap,
    min: reach('least', 'shortest it can be worn', -1),
    max: reach('most', 'longest it can be worn', 1),
  }
}

/** All lengths of a strap. */
export type Sizes = ReturnType<typeof strapSizes>
