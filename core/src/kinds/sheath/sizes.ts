import { BOOK_FOLD } from '../../formulas/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type Basics, basicsOf, outcomeBy, sizeBy } from '../parts/basics.js'
import { type SheathParams, hasOwnLoop } from './params.js'

/** A loop sewn to the back begins so far under the mouth, mm. */
export const LOOP_UNDER = 8
const LOOPS: Readonly<Record<SheathParams['loop'], string>> = {
  fold: 'loop above the mouth, folded down behind',
  wrap: 'loop over the mouth with both ends',
  sewn: 'loop with its ends',
  none: 'loop with its ends',
}
/** End of a loop that is sewn down, mm. */
export const LOOP_END = 16
/** Leather inside the stitches that keeps the tool off the thread, mm. */
export const LAND = 3
/** A layer that runs out is skived to nothing over so much, mm (J). */
export const RUNS_OUT = 15
/** Share of a layer that hammering and stitching press out of a pile of welts (J). */
const PRESSED = 0.15

/** Every finished size of the sheath, each with its working. */
export interface SheathSizes extends Basics {
  readonly layers: Reckoned
  readonly weltThick: Reckoned
  readonly mouth: Reckoned
  /** Layers of the welt that run out, and how far from the mouth they reach. */
  readonly short: Reckoned
  readonly runsTo: Reckoned
  readonly tip: Reckoned
  readonly length: Reckoned
  readonly loop: Reckoned
  readonly hangs: Reckoned
}

// eslint-disable-next-line max-lines-per-function -- a list of sizes in the order they are reckoned in; each names those above it
export function sheathSizes(p: SheathParams, materials: Materials, reckon: Reckon): SheathSizes {
  const size = sizeBy(reckon)
  const [body, welt] = [leatherOf(materials, 'body'), leatherOf(materials, 'welt')]
  const t = given('welt leather', welt.thickness, 'thickness')
  const tool = given('tool', p.thick)
  const layers = reckon(
    {
      key: 'welt.layers',
      label: 'layers of welt',
      formula: '{tool} thick / {t} − {squeeze} pressed together, rounded up to whole layers, at least 1',
      source: '§20',
      quantity: 'count',
    },
    { tool, t, squeeze: given('pressed', PRESSED, 'share') },
  )
  const atTip = given('tool at its tip', Math.min(p.tipThick, p.thick))
  const short = reckon(
    {
      key: 'welt.short',
      label: 'layers that run out',
      formula:
        p.welts === 'out'
          ? 'the larger of 0 and {layers} − ({tip} / {t} − {squeeze} pressed together, rounded up, at least 1)'
          : '0: all go round to the tip',
      source: '§20',
      quantity: 'count',
    },
    { layers, tip: atTip, t, squeeze: given('pressed', PRESSED, 'share') },
  )
  const runsTo = size(
    'welt.runsTo',
    'they reach down from the mouth',
    short.value > 0
      ? 'the larger of {least} and {deep} × ({tool} − ({layers} − {short}) × {t}) / ({tool} − {tip})'
      : '0: none run out',
    '§20',
    {
      least: given('least', 2 * RUNS_OUT),
      deep: given('goes in', p.deep),
      tool,
      layers,
      short,
      t,
      tip: atTip,
    },
  )
  const weltThick = size('welt.thick', 'welt in all', '{layers} × {t}', '§20', { layers, t })
  const round = { play: given('room round it', p.play), welt: given('welt', p.welt) }
  const across = (key: string, label: string, wide: number): Reckoned =>
    size(key, label, '{wide} tool + 2 × {play} room round it + 2 × {welt} welt', '§20', {
      wide: given('tool', wide),
      ...round,
    })
  const mouth =
    p.guard > p.wide
      ? size(
          'sheath.mouth',
          'width at the mouth',
          'the larger of {wide} tool + 2 × {play} + 2 × {welt} welt and {guard} guard + 2 × {play} + 2 × ({margin} margin + {inside} of leather inside it)',
          '§20',
          {
            wide: given('tool', p.wide),
            ...round,
            guard: given('guard', p.guard),
            margin: given('margin', p.margin),
            inside: given('inside', LAND),
          },
        )
      : across('sheath.mouth', 'width at the mouth', p.wide)
  const length = size(
    'sheath.length',
    'from mouth to tip',
    '{deep} goes in + {play} room round it + {welt} welt',
    '§20',
    { deep: given('goes in', p.deep), play: given('room round it', p.play), welt: given('welt', p.welt) },
  )
  const loop = size<string>(
    'loop.length',
    LOOPS[p.loop],
    p.loop === 'fold'
      ? `2 × {rise} + ${BOOK_FOLD} + {end} sewn down`
      : p.loop === 'wrap'
        ? `2 × {rise} + ${BOOK_FOLD} + 2 × {end} sewn down`
        : '{wide} belt + 2 × {gap} + π × {k} × {thickness} + 2 × {end} ends',
    '§10',
    {
      rise: given('rise', p.rise),
      wide: given('belt', p.belt + 4),
      gap: given('belt, thick', p.beltThick),
      k: given('neutral-axis factor', body.neutral, 'share'),
      thickness: given('leather', body.thickness, 'thickness'),
      end: given('end', LOOP_END),
    },
  )
  const cant = given('cant', (Math.abs(p.cant) * Math.PI) / 180, 'angle')
  const canted = hasOwnLoop(p) && p.cant !== 0
  const hangs = outcomeBy(reckon)<string>(
    'hangs',
    'from the tip of the tool to where it hangs',
    p.loop === 'sewn'
      ? '{deep} goes in − {under} under the mouth − {loop} / 2 to the middle of the loop'
      : canted
        ? '{deep} goes in + {rise} / cosine of {cant} up to above the balance'
        : '{deep} goes in + {rise} up to the loop',
    '§20',
    {
      deep: given('goes in', p.deep),
      rise: given('rise', p.loop === 'none' ? 0 : p.rise),
      under: given('under the mouth', LOOP_UNDER),
      loop,
      cant,
    },
  )
  return {
    ...basicsOf(p.margin, materials, reckon),
    layers,
    weltThick,
    mouth,
    short,
    runsTo,
    tip: across('sheath.tip', 'width at the tip', p.tipWide),
    length,
    loop,
    hangs,
  }
}
