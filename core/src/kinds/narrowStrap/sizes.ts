import { BOOK_FOLD } from '../../formulas/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type Basics, basicsOf, outcomeBy, sizeBy } from '../parts/basics.js'
import type { StrapParams } from './params.js'

/** Judgement values of the bench, mm. */
export const BENCH = {
  keeperWide: 6,
  keeperEase: 0.8,
  keeperLap: 6,
  /** A lining stops this far inside the finished edge. */
  liningIn: 0.5,
  /** The prong swings through so much of a turn. */
  swing: Math.PI,
} as const

/** Every finished size of the strap, each with its working. */
export interface StrapSizes extends Basics {
  readonly thick: Reckoned
  readonly around: Reckoned
  readonly usual: Reckoned
  readonly backEnd: Reckoned
  readonly backBuckle: Reckoned
  readonly long: Reckoned
  readonly longCut: Reckoned
  readonly shortCut: Reckoned
  readonly slot: Reckoned
  readonly keeper: Reckoned
  readonly min: Reckoned
  readonly max: Reckoned
}

// eslint-disable-next-line max-lines-per-function -- a list of sizes in the order they are reckoned in; each names those above it
export function strapSizes(p: StrapParams, materials: Materials, reckon: Reckon): StrapSizes {
  const [size, outcome] = [sizeBy(reckon), outcomeBy(reckon)]
  const [outer, lining] = [leatherOf(materials, 'outside'), leatherOf(materials, 'lining')]
  const t = given('outside leather', outer.thickness, 'thickness')
  const k = given('neutral-axis factor', outer.neutral, 'share')
  const thick = size(
    'thick',
    'thickness of the strap',
    '{t} + {turned} turned under + {lining} lining',
    '§10',
    {
      t,
      turned: given('turned', p.edges === 'turned' ? outer.atEdge : 0, 'thickness'),
      lining: given('lining', p.lining === 'lined' ? lining.thickness : 0, 'thickness'),
    },
  )
  const around = size(
    'around',
    'both pieces and what lies between, laid flat',
    '{girth} + {ease} ease + 2 × π × {k} × {thick}',
    '§10',
    { girth: given('girth', p.girth), ease: given('ease', p.ease), k, thick },
  )
  const usual = size(
    'usual',
    'from the bar to the usual hole',
    '{around} − {between} between the bars − {short} buckle piece',
    '§10',
    { around, between: given('between', p.between), short: given('short', p.short) },
  )
  const back = (key: string, label: string, bar: number) =>
    size(key, label, `${BOOK_FOLD} + {lap} lap`, '§10', {
      gap: given('bar', bar),
      k,
      thickness: t,
      lap: given('lap', p.lap),
    })
  const backEnd = back('back.end', 'turned back round the bar', p.barEnd)
  const backBuckle = back('back.buckle', 'turned back round the buckle', p.barBuckle)
  const holes = given('holes', p.holes, 'count')
  const spacing = given('spacing', p.spacing)
  const long = size(
    'long',
    'tongue piece from bar to tip',
    '{usual} + ({holes} − 1) / 2 × {spacing} + {tongue} to the tip',
    '§10',
    { usual, holes, spacing, tongue: given('tongue', p.tongue) },
  )
  const longCut = outcome('long.cut', 'tongue piece, turned back', '{long} + {back}', '§10', {
    long,
    back: backEnd,
  })
  const shortCut = size(
    'short.cut',
    'buckle piece, turned back at both ends',
    '{short} + {end} + {buckle}',
    '§10',
    { short: given('short', p.short), end: backEnd, buckle: backBuckle },
  )
  const slot = size('slot', 'slot for the prong', `${BOOK_FOLD} + {prong} prong`, '§10', {
    gap: given('bar', p.barBuckle),
    k,
    thickness: t,
    prong: given('prong', p.prong),
  })
  const keeper = size(
    'keeper',
    'length of a keeper',
    '2 × ({width} + {ease}) + 2 × (2 × {thick} + {ease}) + 2 × π × {k} × {t} + {lap} lap',
    '§10',
    {
      width: given('width', Math.max(p.narrowEnd, (p.wideEnd + p.narrowEnd) / 2)),
      ease: given('ease', BENCH.keeperEase),
      thick,
      k,
      t,
      lap: given('lap', BENCH.keeperLap),
    },
  )
  const reach = (key: string, label: string, way: 1 | -1) =>
    outcome(key, label, `{girth} ${way > 0 ? '+' : '−'} ({holes} − 1) / 2 × {spacing}`, '§10', {
      girth: given('girth', p.girth),
      holes,
      spacing,
    })
  return {
    ...basicsOf(p.margin, materials, reckon),
    thick,
    around,
    usual,
    backEnd,
    backBuckle,
    long,
    longCut,
    shortCut,
    slot,
    keeper,
    min: reach('least', 'smallest it goes round', -1),
    max: reach('most', 'largest it goes round', 1),
  }
}
