import type { Making, MakingRecord, NextTime } from '../makings/index.js'
import { type Figures, figuresOf } from '../learning/index.js'
import type { Sort } from '../steps/index.js'
import type { Take } from '../price/index.js'

/** A step in the ledger: as planned and as it went, minutes. */
export interface EntryStep {
  readonly id: string
  readonly sort: Sort
  readonly planned: number
  readonly setUp: number
  readonly actual: number
  readonly done: boolean
  /** When it was done, by the machine’s clock. */
  readonly at: number | undefined
  readonly takes: readonly Take[]
}

/** A making without its design: all that the ledger, the stock and learning reckon with, small enough that hundreds are read at once. */
export interface Entry {
  readonly id: string
  readonly example: boolean
  readonly job: string
  readonly name: string
  readonly kind: string
  readonly leathers: readonly string[]
  readonly count: number
  readonly forWhom: string
  readonly client: string | undefined
  readonly begun: string
  readonly due: string | undefined
  readonly finished: string | undefined
  readonly steps: readonly EntryStep[]
  readonly figures: Figures
  readonly record: Pick<
    MakingRecord,
    | 'hides'
    | 'threads'
    | 'sizes'
    | 'bar'
    | 'trials'
    | 'mistakes'
    | 'currency'
    | 'asked'
    | 'deposit'
    | 'paid'
    | 'paidOn'
    | 'materials'
    | 'has'
    | 'wearAsked'
  >
  readonly worn: number
  readonly next: readonly NextTime[]
  /** What was noted as not so, at its steps. */
  readonly notSo: readonly string[]
  readonly photos: readonly string[]
  /** Hides its pieces are laid out on, while it is not finished. */
  readonly laidOn: readonly { readonly hide: string; readonly name: string }[]
}

/** The leathers of a design by name, each once. */
const leathersOf = ({ design }: Making): string[] => [
  ...new Set(Object.values(design.leathers).map((l) => l.name)),
]

/** What of a making the ledger reckons with. */
export function entryOf(making: Making): Entry {
  const { design, record, steps } = making
  const lying = new Set(Object.values(design.cutting.lying).map((l) => l.hide))
  return {
    id: making.id,
    example: making.example,
    job: making.job,
    name: design.name,
    kind: design.kind,
    leathers: leathersOf(making),
    count: making.count,
    forWhom: making.forWhom,
    client: record.client,
    begun: making.begun,
    due: making.due,
    finished: record.finished,
    steps: record.plan.map(({ id, sort, minutes, setUp, takes }) => {
      const took = steps[id]
      return {
        id,
        sort,
        planned: minutes,
        setUp,
        actual: took?.minutes ?? 0,
        done: took?.done ?? false,
        at: took?.at,
        takes,
      }
    }),
    figures: figuresOf(design),
    record: {
      hides: record.hides,
      threads: record.threads,
      sizes: record.sizes,
      trials: record.trials,
      mistakes: record.mistakes,
      has: record.has,
      wearAsked: record.wearAsked,
      ...defined({
        bar: record.bar,
        currency: record.currency,
        asked: record.asked,
        deposit: record.deposit,
        paid: record.paid,
        paidOn: record.paidOn,
        materials: record.materials,
      }),
    },
    worn: record.wear.length,
    next: record.next,
    notSo: Object.values(steps).flatMap((s) => s.notes.filter((n) => n.sort === 'not so').map((n) => n.text)),
    photos: [...record.photos, ...Object.values(steps).flatMap((s) => s.photos)],
    laidOn:
      record.finished === undefined
        ? design.cutting.hides.filter((h) => lying.has(h.id)).map((h) => ({ hide: h.id, name: h.name }))
        : [],
  }
}

/** Only what is said. */
function defined<T extends object>(values: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(values).filter(([, v]) => v !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>
  }
}

/** The earliest making of each design: what was drawn and made for the first time. */
export function firsts(entries: readonly Entry[]): ReadonlySet<string> {
  const by = new Map<string, Entry>()
  for (const e of entries) {
    const before = by.get(e.job)
    if (!before || e.begun < before.begun || (e.begun === before.begun && e.id < before.id)) by.set(e.job, e)
  }
  return new Set([...by.values()].map((e) => e.id))
}

/** Hides that two makings, not yet cut, are both laid out on. */
export function clashes(
  entries: readonly Entry[],
): { readonly hide: string; readonly name: string; readonly makings: readonly Entry[] }[] {
  const by = new Map<string, { name: string; makings: Entry[] }>()
  for (const e of entries.filter(isUncut))
    for (const { hide, name } of e.laidOn)
      by.set(hide, { name, makings: [...(by.get(hide)?.makings ?? []), e] })
  return [...by]
    .filter(([, { makings }]) => new Set(makings.map((m) => m.id)).size > 1)
    .map(([hide, { name, makings }]) => ({ hide, name, makings }))
}
const CUTS: readonly Sort[] = ['rough', 'straps', 'cut']
const isUncut = ({ steps, finished }: Entry): boolean =>
  finished === undefined && steps.some((s) => CUTS.includes(s.sort) && !s.done)

/** A making is asked after so many days how it wears, once. */
export const WEAR_DAYS = 180
