import { nth } from '../lists/index.js'
import { type Hours, type Sitting, sittings } from './hours.js'

/** A step as the schedule knows it: minutes of the maker's hands, and of the wait after it. */
export interface Work {
  readonly id: string
  readonly minutes: number
  readonly wait: number
  /** Not begun that can't be ended in the same sitting. */
  readonly whole: boolean
  /** Not before this instant, where the maker put it later. */
  readonly notBefore?: number
  /** What there is only one of, in all that is made, and is taken until the wait is over. */
  readonly ties?: string
  /** What is laid out for it: works that say the same here are done one after another where that costs nothing. */
  readonly layout?: string
}

/** Something to be made: its steps in order, which of them wait for which, and by when. */
export interface ToDo {
  readonly id: string
  readonly works: readonly Work[]
  readonly links: readonly { readonly first: string; readonly then: string }[]
  /** It should be done by this instant. */
  readonly due?: number
}

/** Part of a step at its time. */
export interface Placed extends Sitting {
  readonly todo: string
  readonly work: string
  /** Begun in an earlier sitting, or not done at the end of this one. */
  readonly goesOn: boolean
  readonly comesFrom: boolean
}

export interface Plan {
  readonly placed: readonly Placed[]
  /** When each is done; undefined where it does not come to an end. */
  readonly done: Readonly<Record<string, number | undefined>>
  /** Steps that no sitting is long enough for, and how long they are, minutes. */
  readonly tooLong: readonly { readonly todo: string; readonly work: string; readonly minutes: number }[]
}

/** How far ahead is looked, days. */
export const AHEAD = 400

interface Open {
  readonly todo: ToDo
  readonly work: Work
  readonly index: number
  left: number
  waits: number
  ready: number
  readonly then: Open[]
  /** Minutes from its beginning to the end of the last that waits for it, waits included. */
  tail: number
}

type Rule = (a: Open, b: Open) => number
const byDue: Rule = (a, b) => (a.todo.due ?? Infinity) - (b.todo.due ?? Infinity)
const orZero = (n: number): number => (Number.isNaN(n) ? 0 : n)
/** As the maker ordered them, the most urgent first. */
const inOrder: Rule = (a, b) => orZero(byDue(a, b)) || a.index - b.index
/** What most hangs on first, so that waits fall between sittings. */
const longestTail: Rule = (a, b) => orZero(byDue(a, b)) || b.tail - a.tail || a.index - b.index
/** Shuffled, the same for the same seed: what neither rule sees is tried. */
const shuffled = (seed: number): Rule => {
  const rank = ({ index }: Open): number => (((index + 1) * 2654435761 * (seed + 1)) % 4294967296) % 65_521
  return (a, b) => orZero(byDue(a, b)) || rank(a) - rank(b) || a.index - b.index
}
/** Of few steps many shuffles are tried, of many none: there a rule is as good. */
const shuffles = (works: number): number => (works <= 12 ? 80 : works <= 80 ? 6 : 0)

function opened(todos: readonly ToDo[], from: number): Open[] {
  let index = 0
  return todos.flatMap((todo) => {
    const known = new Map<string, Open>()
    for (const asked of todo.works) {
      // Whole minutes, as a clock tells them.
      const work = {
        ...asked,
        minutes: Math.max(1, Math.ceil(asked.minutes - 1e-9)),
        wait: Math.ceil(asked.wait),
      }
      known.set(work.id, {
        todo,
        work,
        index: index++,
        left: work.minutes,
        waits: 0,
        ready: Math.ceil(Math.max(from, work.notBefore ?? from)),
        then: [],
        tail: 0,
      })
    }
    for (const { first, then } of todo.links) {
      const [a, b] = [known.get(first), known.get(then)]
      if (!a || !b) continue
      a.then.push(b)
      b.waits += 1
    }
    const all = [...known.values()]
    // Steps stand in an order that keeps to the links: from the last to the first each tail is known when it is asked.
    for (const one of [...all].reverse())
      one.tail = one.work.minutes + one.work.wait + Math.max(0, ...one.then.map((t) => t.tail))
    return all
  })
}

/** One pass over the sittings by a rule of what comes first. */
function pass(todos: readonly ToDo[], hours: Hours, from: number, rule: Rule): Plan {
  const all = opened(todos, from)
  const longest = Math.max(0, ...hours.week.map((w) => w.to - w.from))
  const tooLong = all.filter((o) => o.work.whole && o.work.minutes > longest)
  const placed: Placed[] = []
  const done: Record<string, number | undefined> = {}
  const left = new Set(all)
  const open = new Set(all.filter((o) => o.waits === 0))
  /** When each thing there is only one of is free again. */
  const free = new Map<string, number>()
  const readyOf = ({ ready, work }: Open): number =>
    work.ties === undefined ? ready : Math.max(ready, free.get(work.ties) ?? 0)
  const finish = (one: Open, at: number): void => {
    left.delete(one)
    open.delete(one)
    if (one.work.ties !== undefined) free.set(one.work.ties, at + one.work.wait)
    done[one.todo.id] = Math.max(done[one.todo.id] ?? 0, at)
    for (const next of one.then) {
      next.waits -= 1
      next.ready = Math.max(next.ready, at + one.work.wait)
      if (next.waits === 0) open.add(next)
    }
  }
  for (const sitting of sittings(hours, from, AHEAD)) {
    if (open.size === 0) break
    let now = sitting.from
    let laidOut: string | undefined
    while (now < sitting.to) {
      const one = next(open, { now, end: sitting.to, least: hours.least, laidOut, readyOf }, rule)
      if (!one) {
        const soon = Math.min(...[...open].map(readyOf).filter((r) => r > now && r < sitting.to))
        if (!Number.isFinite(soon)) break
        now = soon
        continue
      }
      const until = Math.min(sitting.to, now + one.left)
      const comesFrom = one.left < one.work.minutes
      one.left -= until - now
      const goesOn = one.left > 0
      placed.push({ todo: one.todo.id, work: one.work.id, from: now, to: until, goesOn, comesFrom })
      now = until
      laidOut = one.work.layout
      if (!goesOn) finish(one, now)
    }
  }
  for (const one of left) done[one.todo.id] = undefined
  return {
    placed,
    done,
    tooLong: tooLong.map((o) => ({ todo: o.todo.id, work: o.work.id, minutes: o.work.minutes })),
  }
}

interface Moment {
  readonly now: number
  readonly end: number
  readonly least: number
  readonly laidOut: string | undefined
  readonly readyOf: (one: Open) => number
}
/** What asks for the tools that lie there goes before what asks for others, unless that is more urgent. */
const sooner = (a: Open, b: Open, laidOut: string | undefined, rule: Rule): boolean => {
  const stays = ({ work }: Open): boolean => work.layout !== undefined && work.layout === laidOut
  const due = orZero(byDue(a, b))
  if (due !== 0 || a.todo === b.todo || stays(a) === stays(b)) return rule(a, b) < 0
  return stays(a)
}

/** What is taken up at an instant: of what can be begun and fits, the first by the rule; what was parted goes on first. */
function next(
  open: ReadonlySet<Open>,
  { now, end, least, laidOut, readyOf }: Moment,
  rule: Rule,
): Open | undefined {
  let best: Open | undefined
  for (const one of open) {
    if (readyOf(one) > now) continue
    const room = end - now
    if (one.work.whole ? one.left > room : room < Math.min(least, one.left)) continue
    const begun = one.left < one.work.minutes
    if (begun) return one
    if (!best || sooner(one, best, laidOut, rule)) best = one
  }
  return best
}

/** Minutes too late, then when all is done, then how long it all lay about. */
function worth(plan: Plan, todos: readonly ToDo[]): readonly number[] {
  const ends = todos.map((t) => plan.done[t.id] ?? Infinity)
  return [
    ends.filter((e) => e === Infinity).length,
    todos.reduce(
      (sum, t, i) => sum + (t.due === undefined ? 0 : Math.max(0, Math.min(1e9, nth(ends, i)) - t.due)),
      0,
    ),
    Math.max(0, ...ends.map((e) => Math.min(e, 1e9))),
  ]
}

/**
 * When each step is done: never two at once, none before what it waits for, nothing begun that must not be parted and
 * would not end. The maker's own order is kept unless another rule brings everything in sooner. Looks `AHEAD` days.
 */
export function plan(todos: readonly ToDo[], hours: Hours, since: number): Plan {
  const from = Math.ceil(since)
  let best = pass(todos, hours, from, inOrder)
  const works = todos.reduce((sum, t) => sum + t.works.length, 0)
  const tried = [longestTail, ...Array.from({ length: shuffles(works) }, (_, i) => shuffled(i))]
  for (const rule of tried) {
    const other = pass(todos, hours, from, rule)
    const [a, b] = [worth(other, todos), worth(best, todos)]
    const at = a.findIndex((v, i) => Math.abs(v - nth(b, i)) > 1e-6)
    if (at >= 0 && nth(a, at) < nth(b, at)) best = other
  }
  return best
}
