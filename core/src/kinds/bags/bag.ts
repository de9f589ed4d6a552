import { SEAMS_ROLL, evaluate } from '../../formulas/index.js'
import type { EdgeTreatment, MasterSize } from '../../master/index.js'
import type { Leather } from '../../stores/index.js'
import { type Reckon, type Reckoned, type Term, given } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type Basics, basicsOf, outcomeBy, sizeBy } from '../parts/basics.js'
import { type Adds, addsOf } from './adds.js'
import type { BagParams } from './params.js'
import { hemRow } from './mouth.js'

/** Judgement values of the bench, mm unless said. */
export const BENCH = {
  /** Angle of the allowances to the panel in a pressed turned seam, radians. */
  alpha: Math.PI / 4,
  /** A piece that laps another for a seam. */
  lap: 12,
  /** Room between a flap and the front it closes over. */
  flapRoom: 2,
  /** Bend of a flap over the back’s top edge, inner radius. */
  flapBend: 3,
  /** A groove takes so much of the leather; docs/formulas.md §5. */
  groove: 0.55,
  /** A gusset left long sticks out so far. */
  long: 15,
} as const

/** Sizes all bodies share. Between stitch lines where not said otherwise. */
export interface BagSizes extends Basics {
  readonly wide: Reckoned
  readonly high: Reckoned
  readonly deep: Reckoned
  readonly outWide: Reckoned
  readonly outHigh: Reckoned
  readonly outDeep: Reckoned
}

/** The finished sizes outside, of the panel they are told with. */
export const outsideSizes = ({ outWide, outHigh, outDeep }: BagSizes, panelId: string): MasterSize[] =>
  [outWide, outHigh, outDeep].map((size) => ({ panelId, size, of: 'outside' }))

/** A bag being worked out: what was decided, the leathers, and the sizes of its body. */
export interface Bag {
  readonly p: BagParams
  readonly materials: Materials
  readonly reckon: Reckon
  readonly size: ReturnType<typeof sizeBy>
  /** A size nothing else follows from. */
  readonly outcome: ReturnType<typeof outcomeBy>
  readonly body: Leather
  readonly gusset: Leather
  /** From the cut edge of a seamed piece to its stitch line. */
  readonly margin: Reckoned
  readonly seamed: EdgeTreatment
  /** The same of the seam that holds the back, where that is sewn its own way. */
  readonly back: { readonly margin: Reckoned; readonly seamed: EdgeTreatment }
  /** How far out in its allowance the second row of a turned seam lies, mm; undefined where there is one row. */
  readonly second: number | undefined
  /** A straight edge at the top, before anything is sewn to it. */
  readonly topFate: EdgeTreatment
  readonly plain: EdgeTreatment
  readonly s: BagSizes
  /** From end to end of a handle along the top, and the clear height under it, mm. */
  readonly hold: { readonly span: Term; readonly rise: Term }
  readonly adds: Adds
  /** How far the middle of body and gusset leather lies outside the stitch lines. */
  readonly seamOffset: { readonly flat: number; readonly back: number; readonly walls: number }
}

/** From the second row to the cut edge at least, mm. */
export const LEFT_OUT = 1.5
/** A second row that is asked for lies in the allowance, as long as leather is left outside it. */
const secondOf = (p: BagParams, margin: number): number | undefined =>
  p.seam === 'turned' && p.rows === 2 && margin >= p.rowApart + LEFT_OUT ? p.rowApart : undefined

/** A gusset in one strip, with a panel on either side of it. */
export const hasOneGusset = (p: BagParams): boolean => p.body === 'wrap' || p.body === 'tapered'
/** Front sewn inside out and turned, back sewn on with raw edges out. */
export const isBackRaw = (p: BagParams): boolean =>
  p.seam === 'turned' && p.backSeam === 'raw' && hasOneGusset(p)
export const isSetIn = (p: BagParams): boolean => p.body === 'set-in'
export const isBoxed = (p: BagParams): boolean => p.body === 'boxed' || p.body === 'boxed-folded'
/** Its top edges are of two layers. */
export const isDoubled = (p: BagParams): boolean => p.top === 'doubled' || p.top === 'banded'
export const isFan = (p: BagParams): boolean => p.body === 'folded' || p.body === 'bellows'
/** Board and what covers it takes room from the height. */
export const basePile = (p: BagParams): number =>
  p.base === 'board' ? p.board : p.base === 'cushioned' ? p.board + p.foam : 0

function proudOf(p: BagParams, body: Leather, gusset: Leather): Bag['seamOffset'] {
  const [tp, tg] = [body.thickness, gusset.thickness]
  const alike = (flat: number, walls: number) => ({ flat, back: flat, walls })
  if (isBoxed(p)) {
    const out = (0.5 - body.neutral) * tp
    return alike(out, out)
  }
  if (isFan(p)) return alike(tp / 2, 0)
  const roll = (t: number, k: number): number =>
    (evaluate(SEAMS_ROLL, { thickness: t, k, angle: BENCH.alpha }) - t) / 2
  const turned = alike(roll(tp, body.neutral), roll(tg, gusset.neutral))
  const raw = alike(((2 - Math.PI * gusset.neutral) * tg) / 2 + tp / 2, -tg / 2)
  if (isBackRaw(p)) return { flat: turned.flat, back: raw.flat, walls: (turned.walls + raw.walls) / 2 }
  return p.seam === 'turned' ? turned : raw
}

function sizesOf(
  p: BagParams,
  adds: Adds,
  { size, outcome }: Pick<Bag, 'size' | 'outcome'>,
  base: number,
): Omit<BagSizes, keyof Basics> {
  const inner = (key: string, label: string, room: number, add: Reckoned, more = 0): Reckoned =>
    size(
      `bag.${key}`,
      `${label} between the stitch lines`,
      `{room} room inside + {add}${more > 0 ? ' + {base} base' : ''}`,
      '§20',
      { room: given('room', room), add, base: given('base', more, 'thickness') },
    )
  const outer = (key: string, label: string, of: Reckoned, add: Reckoned): Reckoned =>
    outcome(`bag.out.${key}`, `${label} outside`, `{size} between the stitch lines + {add}`, '§20', {
      size: of,
      add,
    })
  const wide = inner('wide', 'width', p.wide, adds.wideIn)
  const high = inner('high', 'height', p.high, adds.highIn, base)
  const deep = inner('deep', 'depth', p.deep, adds.deepIn)
  return {
    wide,
    high,
    deep,
    outWide: outer('wide', 'width', wide, adds.wideOut),
    outHigh: outer('high', 'height', high, adds.highOut),
    outDeep: outer('deep', 'depth', deep, adds.deepOut),
  }
}

/** Beside the hand and over its knuckles so much is free, mm (J); docs/formulas.md §10. */
const HAND = { beside: 10, over: 20 } as const

/** What a handle spans: as it was written, or from the hand that carries it. */
const holdOf = (p: BagParams, size: Bag['size']): Bag['hold'] =>
  p.handleBy === 'rise'
    ? { span: given('span', p.handleSpan), rise: given('rise', p.handleRise) }
    : {
        span: size(
          'handle.span',
          'from end to end of the handle',
          '{hand} across the palm + 2 × {beside}',
          '§10',
          { hand: given('hand', p.handBroad), beside: given('beside it', HAND.beside) },
        ),
        rise: size(
          'handle.rise',
          'clear height under the handle',
          '{hand} thick + {over} over the knuckles',
          '§10',
          { hand: given('hand', p.handThick), over: given('over it', HAND.over) },
        ),
      }

const seamsOf = (p: BagParams): Parameters<typeof addsOf>[1] =>
  isBoxed(p)
    ? 'boxed'
    : isFan(p)
      ? 'fan'
      : isBackRaw(p)
        ? 'mixed'
        : p.seam === 'turned'
          ? 'turned'
          : isSetIn(p)
            ? 'set-in'
            : 'round'

/** The bag with its sizes, before any of its parts are drawn. */
export function bagOf(p: BagParams, materials: Materials, reckon: Reckon): Bag {
  const [body, gusset] = [leatherOf(materials, 'body'), leatherOf(materials, 'gusset')]
  const lining = p.lining === 'lined' ? leatherOf(materials, 'lining').thickness : 0
  const turned = p.seam === 'turned'
  const basics = basicsOf(turned ? p.allowance : p.margin, materials, reckon)
  const [size, outcome] = [sizeBy(reckon), outcomeBy(reckon)]
  const rawSeam: EdgeTreatment = { type: 'sewn', margin: p.margin, trim: p.trim, finish: p.finish }
  const seamed: EdgeTreatment = turned
    ? { type: 'sewn', margin: basics.margin.value, trim: 0, finish: 'left', inside: true }
    : { ...rawSeam, margin: basics.margin.value }
  const back = isBackRaw(p)
    ? {
        margin: reckon(
          {
            key: 'margin.back',
            label: 'margin of the back seam',
            formula: '{margin} from the finished edge to the stitch line',
            source: '§7',
          },
          { margin: given('margin', p.margin) },
        ),
        seamed: rawSeam,
      }
    : { margin: basics.margin, seamed }
  const adds = addsOf(
    { p, size, body, gusset, margin: back.margin.value, lining, alpha: BENCH.alpha },
    seamsOf(p),
  )
  return {
    p,
    materials,
    reckon,
    size,
    outcome,
    body,
    gusset,
    margin: basics.margin,
    second: secondOf(p, basics.margin.value),
    seamed,
    back,
    topFate:
      p.top === 'rolled'
        ? {
            type: 'rolled',
            width: p.topBand,
            school: p.hemSkive,
            atEdge: body.atEdge,
            feather: 8,
            core: 'round',
            lines: 1,
            margin: hemRow(p.topBand),
          }
        : { type: 'raw', finish: p.finish, trim: 0 },
    plain: { type: 'raw', finish: p.finish, trim: 0 },
    s: { ...basics, ...sizesOf(p, adds, { size, outcome }, basePile(p)) },
    hold: holdOf(p, size),
    adds,
    seamOffset: proudOf(p, body, gusset),
  }
}
