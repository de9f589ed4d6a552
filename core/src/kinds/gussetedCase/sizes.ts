import { arcSizes } from '../parts/arc.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type Basics, basicsOf, outcomeBy, sizeBy } from '../parts/basics.js'
import { type Strip, stripsOf } from '../parts/folding.js'
import { type Stack, hasOwnFront, stackSizes } from '../pockets/index.js'
import { type FlatFoot, flatFoot } from './flatFoot.js'
import { type CaseParams, isFlat } from './params.js'

/** Judgement values of the bench, mm. */
export const BENCH = {
  /** A support for the bridge: width, span, rise, and the tabs it is sewn by. */
  bridgeWide: 16,
  bridgeSpan: 22,
  bridgeTab: 12,
  /** A bridge lower than this holds nothing off. */
  bridgeRise: 6,
  /** From the end of the flap to the snap, and from the snap to the foot. */
  snapIn: 12,
  snapUp: 6,
  /** A flap that comes down over the front less far lets things out; one cut back ends so far above the foot. */
  flapOver: 25,
  flapClear: 15,
} as const

/** Every finished size of the case, each with its working. */
export interface CaseSizes extends Basics {
  readonly width: Reckoned
  readonly height: Reckoned
  readonly gussetTop: Reckoned
  readonly gussetHalf: Reckoned
  readonly gussetHigh: Reckoned
  readonly flapBend: Reckoned
  readonly bodyLength: Reckoned
  /** A flat foot, where front and back are one piece. */
  readonly foot: FlatFoot | undefined
  readonly flat: Reckoned
  readonly full: Reckoned
  readonly rise: Reckoned
  readonly bridge: Reckoned
  readonly stack: Stack | undefined
  /** Flap and back, with the bend between them; with a flat foot that and the front too. */
  readonly strips: readonly Strip[]
}

// eslint-disable-next-line max-lines-per-function -- a list of sizes in the order they are reckoned in; each names those above it
export function caseSizes(p: CaseParams, materials: Materials, reckon: Reckon): CaseSizes {
  const [size, outcome] = [sizeBy(reckon), outcomeBy(reckon)]
  const basics = basicsOf(p.margin, materials, reckon)
  const { margin, hole } = basics
  const [body, gusset] = [leatherOf(materials, 'body'), leatherOf(materials, 'gusset')]
  const t = given('body leather', body.thickness, 'thickness')
  const tg = given('gusset leather', gusset.thickness, 'thickness')
  const k = given('neutral-axis factor', body.neutral, 'share')
  const ease = given('ease', p.ease)
  const width = size(
    'width',
    'width of front and back',
    '{wide} + 2 × ({ease} ease + {margin} margin + {hole} half a hole)',
    '§8',
    { wide: given('wide', p.wide), ease, margin, hole },
  )
  const flat = isFlat(p)
  const height = size(
    'height',
    'height of front and back',
    flat ? '{high} + {ease} ease' : '{high} + {ease} ease + {margin} margin + {hole} at the foot',
    '§8',
    { high: given('high', p.high), ease, margin, hole },
  )
  const gussetTop = size(
    'gusset.top',
    'gusset between the stitches, at the top',
    '{deep} + {ease} ease',
    '§8',
    { deep: given('deep', p.deep), ease },
  )
  const foot = flat ? flatFoot(p, { reckon, body }, { height, gussetTop }) : undefined
  const gussetHigh = outcome(
    'gusset.high',
    'gusset along its middle',
    `√({height}² − (${foot ? '({gussetTop} − {foot})' : '{gussetTop}'} / 2)², at least 1): so that its sides are as long as the front’s`,
    '§8',
    { height, gussetTop, foot: foot?.deep ?? given('foot', 0) },
  )
  const gussetHalf = size(
    'gusset.half',
    'half of the gusset at its top',
    foot
      ? '{gussetTop} / 2 + {margin} margin × {height} / {gussetHigh} along its slant'
      : '{gussetTop} / 2 + {margin} margin',
    '§8',
    { gussetTop, margin, height, gussetHigh },
  )
  const flapBend = size('flap.bend', 'over the top, full', '{deep} + {t} front + π × {k} × {t}', '§3', {
    deep: given('deep', p.deep),
    t,
    k,
  })
  const bodyLength = outcome(
    'body.length',
    foot ? 'length of front, foot, back and flap' : 'length of back and flap',
    foot
      ? '{flap} flap + {flapBend} over the top + 2 × ({height} + {corner} round a corner) + {foot} foot'
      : '{flap} flap + {flapBend} over the top + {height} back',
    '§3',
    {
      flap: given('flap', p.flap),
      flapBend,
      height,
      corner: foot?.corner ?? given('corner', 0),
      foot: foot?.deep ?? given('foot', 0),
    },
  )
  const folded = outcome('closed.flat', 'thickness folded flat', '3 × {t} + 2 × {tg} gusset', '§8', { t, tg })
  const full = outcome('closed.full', 'thickness with the thing in it', '{deep} + 3 × {t}', '§8', {
    deep: given('deep', p.deep),
    t,
  })
  const rise = size(
    'bridge.rise',
    'rise of the bridge support',
    'the larger of {deep} / 3 and {min} at least',
    '§10',
    { deep: given('deep', p.deep), min: given('least', BENCH.bridgeRise) },
  )
  const bridge = size(
    'bridge',
    'length of the bridge support',
    '{angle} in radians × ({radius} + {k} × {tg}) + 2 × {tab} tabs',
    '§10',
    {
      ...arcSizes(size, 'bridge', given('span', BENCH.bridgeSpan), rise),
      k: given('neutral-axis factor', gusset.neutral, 'share'),
      tg,
      tab: given('tab', BENCH.bridgeTab),
    },
  )
  const start = {
    ...basics,
    p,
    reckon,
    leather: leatherOf(materials, 'pockets'),
    frontLeather: leatherOf(materials, hasOwnFront(p) ? 'front-pocket' : 'pockets'),
    skives: materials.skives,
  }
  const stack: Stack | undefined =
    p.pockets > 0
      ? {
          start,
          sizes: stackSizes(start),
          // The pile ends above the seam at the foot of the case.
          height: height.value - 2 * margin.value - hole.value,
          topRadius: 0,
          piles: 1,
          mirrored: false,
          rounded: { left: false, right: false },
          trimmed: { left: false, right: false },
        }
      : undefined
  const strips = foot
    ? stripsOf(
        ['flap', 'back', 'foot', 'front'],
        [p.flap, height.value, foot.deep.value, height.value],
        [flapBend.value, foot.corner.value, foot.corner.value],
      )
    : stripsOf(['flap', 'back'], [p.flap, height.value], [flapBend.value])
  return {
    ...basics,
    width,
    height,
    gussetTop,
    gussetHalf,
    gussetHigh,
    flapBend,
    bodyLength,
    foot,
    flat: folded,
    full,
    rise,
    bridge,
    stack,
    strips,
  }
}
