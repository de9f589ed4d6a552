import type { Design } from '../design/index.js'
import { type Reckoned, type Term, given, reckoner } from '../working/index.js'
import { NOTHING } from './prepare.js'
import type { Sort } from './sorts.js'
import type { Amount } from './task.js'

/** What a sort of work takes by the piece, minutes, and by the length, mm a minute. */
interface Pace {
  readonly each?: number
  readonly pace?: number
}

function paceOf(sort: Sort, { habits, work: { ways } }: Design): Pace {
  const cutting = { each: habits.pieceMinutes, pace: habits.cutPace }
  const paces: Partial<Record<Sort, Pace>> = {
    bar: { each: ways.barMinutes },
    pattern: { each: ways.patternMinutes },
    mockUp: { each: ways.mockUpMinutes },
    rough: cutting,
    straps: cutting,
    cut: cutting,
    trim: cutting,
    split: { each: ways.splitMinutes },
    mark: { each: ways.markMinutes },
    count: { each: ways.barMinutes },
    dye: { each: ways.dyeMinutes },
    oil: { each: ways.dyeMinutes },
    dyeWork: { each: ways.dyeMinutes },
    oilWork: { each: ways.dyeMinutes },
    stamp: { each: ways.stampMinutes },
    skive: { each: habits.skiveMinutes, pace: habits.skivePace },
    groove: { each: habits.skiveMinutes, pace: habits.skivePace },
    washers: { each: ways.punchSeconds / 60 },
    punch: { each: ways.punchSeconds / 60 },
    edge: { pace: habits.edgePace },
    coat: { pace: habits.edgePace },
    coatLast: { pace: habits.edgePace },
    finish: { pace: habits.edgePace },
    back: { each: ways.layMinutes },
    line: { each: ways.layMinutes },
    turn: { each: habits.pleatMinutes, pace: habits.turnPace },
    form: { each: ways.formMinutes },
    fold: { each: ways.foldMinutes },
    set: { each: ways.setMinutes },
    hang: { each: ways.setMinutes },
    glue: { each: habits.glueMinutes, pace: habits.gluePace },
    turnOut: { each: ways.turnOutMinutes },
    putIn: { each: ways.layMinutes },
    fit: { each: ways.lastMinutes / 2 },
    note: { each: ways.lastMinutes / 2 },
  }
  return paces[sort] ?? {}
}

/** What there is to do in words, and what is meant by them. */
function termsOf(
  sort: Sort,
  amount: Amount,
  design: Design,
): { words: string; inputs: Readonly<Record<string, Term>> }[] {
  const { each = 0, pace = 1 } = paceOf(sort, design)
  const { habits, machine } = design
  const n = (label: string, value: number): Term => given(label, value, 'count')
  const all = [
    [
      amount.count,
      '{count} × {each} minutes',
      { count: n('how many', amount.count), each: given('each', each, 'share') },
    ],
    [
      amount.length,
      '{length} mm / {pace} a minute',
      { length: n('length', Math.round(amount.length)), pace: n('pace', pace) },
    ],
    [
      amount.blows,
      '{blows} blows × {blow} s / 60',
      { blows: n('blows', amount.blows), blow: given('blow', habits.blowSeconds, 'share') },
    ],
    [
      amount.stitches,
      '{stitches} stitches × {stitch} s / 60',
      { stitches: n('stitches', amount.stitches), stitch: given('stitch', habits.stitchSeconds, 'share') },
    ],
    [
      amount.corners,
      '{corners} corners × {corner} s / 60',
      { corners: n('corners', amount.corners), corner: given('corner', habits.cornerSeconds, 'share') },
    ],
    [
      amount.machined,
      '{machined} stitches / {speed} a minute',
      { machined: n('stitches', amount.machined), speed: n('speed', machine.speed) },
    ],
    [
      amount.begins,
      '{begins} × {begin} to begin',
      { begins: n('runs', amount.begins), begin: given('to begin', habits.runMinutes, 'share') },
    ],
  ] as const
  return all.flatMap(([value, words, inputs]) => (value > 0 ? [{ words, inputs }] : []))
}

/** An amount of each thing there is an amount of. */
const amountOf = (of: (what: keyof Amount) => number): Amount => ({
  ...NOTHING,
  ...Object.fromEntries((Object.keys(NOTHING) as (keyof Amount)[]).map((what) => [what, of(what)])),
})

export const amountsAdded = (amounts: readonly Amount[]): Amount =>
  amountOf((what) => amounts.reduce((sum, amount) => sum + amount[what], 0))

export const timesAmount = (amount: Amount, times: number): Amount => amountOf((what) => times * amount[what])

/** Patterns and the bar are made once, however many are made after them. */
export const ONCE: readonly Sort[] = ['bar', 'pattern', 'mockUp']

/** Minutes of a step for so many things made together: the laying out of its tools counts once. */
export function minutesOf(
  sort: Sort,
  amount: Amount,
  copies: number,
  label: string,
  design: Design,
): Reckoned {
  const terms = termsOf(sort, amount, design)
  const many = ONCE.includes(sort) ? 1 : copies
  const words = terms.map((t) => t.words).join(' + ')
  const work = terms.length === 0 ? '' : many > 1 ? `{copies} × (${words}) + ` : `${words} + `
  return reckoner(design.overrides)<string>(
    {
      key: `step.${label}`,
      label: 'minutes',
      formula: `${work}{setUp} laying out`,
      source: '§22',
      quantity: 'count',
      measured: true,
    },
    {
      ...Object.assign({}, ...terms.map((t) => t.inputs)),
      ...(many > 1 ? { copies: given('made together', many, 'count') } : {}),
      setUp: given('laying out', design.work.ways.setUp, 'share'),
    },
  )
}
