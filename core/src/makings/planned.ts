import { firstOf, lastOf, required } from '../lists/index.js'
import {
  type Plan,
  type Placed,
  type ToDo,
  clock,
  dayAt,
  dayNumber,
  instant,
  minuteAt,
} from '../schedule/index.js'
import { type Step, type Steps, type Supply, suppliesAdded } from '../steps/index.js'
import { isDone, stepOf } from './progress.js'
import type { Making } from './schema.js'

/** A making with its steps, worked out for as many as are made. */
export interface Planned {
  readonly making: Making
  readonly steps: Steps
}

/** What of a making is still to be done, as the schedule knows it; waits that already run count what is left of them. */
export function toDo({ making, steps }: Planned, now: { readonly at: number; readonly ms: number }): ToDo {
  const open = steps.steps.filter((s) => !isDone(making, s.id))
  const left = (s: Step): number =>
    Math.max(1, s.minutes.value - Math.min(stepOf(making, s.id).minutes, s.minutes.value - 1))
  const held = steps.reasons.filter((r) => !making.design.work.overruled.includes(`${r.first} > ${r.then}`))
  const due = making.due === undefined ? undefined : dayNumber(making.due)
  return {
    id: making.id,
    works: open.map((s) => {
      const ready = [
        ...held
          .filter((r) => r.then === s.id)
          .flatMap((r) => making.timers.filter((t) => t.step === r.first))
          .map((t) => now.at + Math.max(0, (t.until - now.ms) / 60_000)),
        ...(making.notBefore[s.id] === undefined
          ? []
          : [instant(required(dayNumber(required(making.notBefore[s.id], s.id)), 'such day'), 0)]),
      ]
      return {
        id: s.id,
        minutes: left(s),
        wait: s.wait,
        whole: s.whole,
        layout: s.sort,
        ...(s.ties ? { ties: s.ties } : {}),
        ...(ready.length > 0 ? { notBefore: Math.max(...ready) } : {}),
      }
    }),
    links: held.map(({ first, then }) => ({ first, then })),
    // By the end of that day.
    ...(due === undefined ? {} : { due: instant(due + 1, 0) }),
  }
}

/** What is done of one making in one sitting. */
export interface EveningItem extends Placed {
  readonly step: Step
  readonly making: Making
}

/** One evening at the bench: what, when, with what laid out, and what has to be in the house. */
export interface Evening {
  readonly day: string
  readonly from: number
  readonly to: number
  readonly items: readonly EveningItem[]
  readonly tools: readonly string[]
  readonly supplies: readonly Supply[]
  /** What is left to dry at its end, and how long. */
  readonly waits: readonly { readonly says: string; readonly minutes: number }[]
}

/** A plan as evenings: what is placed on one day without the bench being left. */
export function evenings({ placed }: Plan, all: readonly Planned[]): Evening[] {
  const steps = new Map(all.flatMap((m) => m.steps.steps.map((s) => [`${m.making.id} ${s.id}`, s] as const)))
  const makings = new Map(all.map((m) => [m.making.id, m.making]))
  const groups = new Map<string, EveningItem[]>()
  for (const one of placed) {
    const step = steps.get(`${one.todo} ${one.work}`)
    const making = makings.get(one.todo)
    if (!step || !making) continue
    const day = dayAt(one.from)
    groups.set(day, [...(groups.get(day) ?? []), { ...one, step, making }])
  }
  return [...groups].map(([day, items]) => {
    const last = lastOf(items)
    return {
      day,
      from: firstOf(items).from,
      to: last.to,
      items,
      tools: [...new Set(items.flatMap((i) => i.step.tools))],
      supplies: suppliesAdded(items.filter((i) => !i.comesFrom).flatMap((i) => i.step.materials)),
      waits: items
        .filter((i) => !i.goesOn && i.step.wait > 0 && i.to + i.step.wait > last.to)
        .map((i) => ({ says: i.step.says, minutes: i.step.wait })),
    }
  })
}

export const timesOf = ({ from, to }: Pick<Placed, 'from' | 'to'>): string =>
  `${clock(minuteAt(from))}–${clock(minuteAt(to) === 0 ? 1440 : minuteAt(to))}`

/** Steps that a later draft of the design has, has no more, or does otherwise. */
export function changedSince(
  frozen: Steps,
  now: Steps,
): { readonly more: Step[]; readonly gone: Step[]; readonly other: Step[] } {
  const before = new Map(frozen.steps.map((s) => [s.id, s]))
  const after = new Set(now.steps.map((s) => s.id))
  return {
    more: now.steps.filter((s) => !before.has(s.id)),
    gone: frozen.steps.filter((s) => !after.has(s.id)),
    other: now.steps.filter((s) => {
      const old = before.get(s.id)
      return old !== undefined && (old.says !== s.says || Math.abs(old.minutes.value - s.minutes.value) > 0.5)
    }),
  }
}

/** A step put off until a day, or taken up again when it comes. */
export function putTo(making: Making, step: string, day: string | undefined): Making {
  const { [step]: _, ...notBefore } = making.notBefore
  return { ...making, notBefore: day === undefined ? notBefore : { ...notBefore, [step]: day } }
}

/** Why a step can’t come as early as that day; undefined where only the maker had put it off. */
export function whyNotSooner(
  item: EveningItem,
  day: string,
  all: readonly Evening[],
  planned: readonly Planned[],
): string | undefined {
  const own = item.making.notBefore[item.work]
  const steps = planned.find((p) => p.making.id === item.making.id)?.steps
  const firsts = new Set((steps?.reasons ?? []).filter((r) => r.then === item.work).map((r) => r.first))
  const last = all
    .flatMap((e) => e.items.map((i) => ({ ...i, day: e.day })))
    .filter((i) => i.making.id === item.making.id && firsts.has(i.work) && i.day >= day)
    .at(-1)
  if (last) return `it comes after “${last.step.says}”`
  return own === undefined ? 'other steps come before it in your order, and fill that evening' : undefined
}
