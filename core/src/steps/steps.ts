import type { Derived } from '../derived/index.js'
import { atKey, firstOf, nth, required } from '../lists/index.js'
import type { Units } from '../measure/index.js'
import { type Reckoned, remembered } from '../working/index.js'
import { factsOf } from './facts.js'
import { circles, gathered, ordered } from './graph.js'
import { ONCE, amountsAdded, minutesOf, timesAmount } from './minutes.js'
import { REASONS } from './reasons.js'
import { type Sort, rankInSeam, rankOf, sortOf } from './sorts.js'
import type { Amount, Before, Supply, Task, Touch, Why } from './task.js'
import { tasksOf } from './tasks.js'

/** Steps of a rank are told by their seam first, then by what is done on it: shares of a rank. */
const WITHIN_RANK = { seam: 1e-4, sort: 1e-6 } as const

/** What a step is done to, and how many of it. */
export interface Row {
  readonly task: string
  readonly what: string
  readonly times: number
  readonly touches: readonly Touch[]
}

/** One thing to do at the bench, with the tools that are laid out for it. */
export interface Step {
  /** That of its first task. */
  readonly id: string
  readonly sort: Sort
  /** “Skive 6 feet of pockets”. */
  readonly says: string
  readonly rows: readonly Row[]
  readonly tools: readonly string[]
  readonly materials: readonly Supply[]
  readonly minutes: Reckoned
  /** How much of it there is to do, of all that are made together. */
  readonly amount: Amount
  /** Minutes that what it touches is left alone afterwards. */
  readonly wait: number
  readonly cautions: readonly string[]
  /** What is looked at before it is begun: holes counted, thread cut, the bobbin filled. */
  readonly looks: readonly string[]
  /** What is done before the tools are put away. */
  readonly then: string | undefined
  /** Begun, it is done to the end. */
  readonly whole: boolean
  /** What there is only one of, and is tied up until its wait is over. */
  readonly ties: Task['ties']
}

/** Why one step comes before another: every pair of things that asks for it. */
export interface Reason {
  readonly first: string
  readonly then: string
  readonly pairs: readonly Before[]
}

/** What comes after itself by what it asks for: no order has it. */
export interface Circle {
  readonly tasks: readonly Task[]
  readonly pairs: readonly Before[]
}

export interface Steps {
  /** In the order of the maker, else as is usual. */
  readonly steps: readonly Step[]
  readonly reasons: readonly Reason[]
  readonly circles: readonly Circle[]
}

const countOf = (rows: readonly Row[], copies: number): number =>
  copies * rows.reduce((sum, r) => sum + r.times, 0)

/** Several of which only the number is said; of others each thing is. */
const COUNTED: readonly Sort[] = [
  'rough',
  'straps',
  'cut',
  'mark',
  'skive',
  'edge',
  'finish',
  'coat',
  'coatLast',
  'fold',
  'set',
  'hang',
  'washers',
  'putIn',
  'punch',
  'split',
  'dye',
  'oil',
  'pattern',
  'glue',
  'strike',
  'holes',
  'sew',
  'machine',
  'turn',
  'groove',
  'back',
  'line',
  'form',
  'trim',
]

/** What is cut says what from. */
const FROM: readonly Sort[] = ['rough', 'straps', 'cut']

function sentence(tasks: readonly Task[], rows: readonly Row[], copies: number): string {
  const { sort } = firstOf(tasks)
  const { verb, many } = sortOf(sort)
  const only = rows[0]
  const count = countOf(rows, copies)
  if (sort === 'fit' || sort === 'note') return `${verb} ${firstOf(rows).what}`
  if (rows.length === 1 && only) {
    const several = COUNTED.includes(sort) && count > 1
    return `${verb} ${several ? `${count} × ` : 'the '}${lowered(only.what)}`.replace('the the ', 'the ')
  }
  const same = new Set(rows.map((r) => r.what))
  if (same.size === 1) return `${verb} ${count} × ${lowered(firstOf([...same]))}`
  const pair = rows.length === 2 && copies === 1 ? together(rows.map((r) => r.what)) : undefined
  const from = FROM.includes(sort) ? ` from ${firstOf(firstOf(tasks).materials).what}` : ''
  return pair ? `${verb} the ${lowered(pair)}` : `${verb} ${count} ${many}${from}`
}
/** “seam beside the fold, left” and “…, right” in one: “seam beside the fold, left and right”. */
function together(names: readonly string[]): string | undefined {
  const [one = [], other = []] = names.map((n) => n.split(', '))
  const last = one.length - 1
  const alike = one.slice(0, last).join() === other.slice(0, last).join() && other.length === one.length
  return last > 0 && alike ? `${names[0]} and ${other[last]}` : undefined
}
const lowered = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)

/** What is used up, each thing once. */
export function suppliesAdded(supplies: readonly Supply[]): Supply[] {
  const all = new Map<string, Supply>()
  for (const one of supplies) {
    const before = all.get(one.what)
    all.set(one.what, { ...one, amount: one.unit === 'some' ? 1 : (before?.amount ?? 0) + one.amount })
  }
  return [...all.values()]
}

function stepOf(tasks: readonly Task[], copies: number, { design }: Derived): Step {
  const first = firstOf(tasks)
  const { sort, id } = first
  const { cautions = [], whole = false, then } = sortOf(sort)
  const one = amountsAdded(tasks.map((t) => t.amount))
  const rows = tasks.map(({ id: task, what, times, touches }) => ({ task, what, times, touches }))
  return {
    id,
    sort,
    says: sentence(tasks, rows, copies),
    rows,
    tools: [...new Set(tasks.flatMap((t) => t.tools))],
    materials: suppliesAdded(
      tasks.flatMap((t) => t.materials.map((m) => ({ ...m, amount: copies * m.amount }))),
    ),
    minutes: minutesOf(sort, one, copies, id, design),
    amount: timesAmount(one, ONCE.includes(sort) ? 1 : copies),
    wait: Math.max(...tasks.map((t) => t.wait)),
    cautions,
    looks: [...new Set(tasks.flatMap((t) => t.looks))],
    then,
    whole,
    ties: tasks.find((t) => t.ties)?.ties,
  }
}

/** Straps made last come as late as their reasons let them. */
const LATE = 100
function usualRank({ design, master }: Derived): (task: Task, index: number) => number {
  const straps = new Set((master.strapRuns ?? []).map((r) => r.panelId))
  const last = design.work.ways.straps === 'last'
  const runs = new Map(master.joins.map((j, i) => [j.id, i]))
  return (task, index) =>
    rankOf(task.sort) +
    (runs.get(task.id.replace(/^(holes|glue|sew):/, '')) ?? index) * WITHIN_RANK.seam +
    rankInSeam(task.sort) * WITHIN_RANK.sort +
    (last &&
    rankOf(task.sort) > rankOf('count') &&
    task.touches.length > 0 &&
    task.touches.every((t) => straps.has(t.panelId))
      ? LATE
      : 0)
}

/** Pairs of tasks gathered by the steps they belong to. */
function reasonsOf(before: readonly Before[], home: ReadonlyMap<string, string>): Reason[] {
  const found = new Map<string, { first: string; then: string; pairs: Before[] }>()
  for (const pair of before) {
    const [first, then] = [atKey(home, pair.first), atKey(home, pair.then)]
    if (first === then) continue
    const key = `${first} > ${then}`
    const reason = found.get(key) ?? { first, then, pairs: [] }
    reason.pairs.push(pair)
    found.set(key, reason)
  }
  return [...found.values()]
}

/** What can’t be done in any order; asked without working out all else, and once for a design. */
export const noOrder = remembered((derived: Derived): readonly Circle[] => {
  const { tasks, before } = tasksOf(factsOf(derived, 'mm'))
  return circlesOf(tasks, before)
})

function circlesOf(tasks: readonly Task[], before: readonly Before[]): Circle[] {
  const round = circles(
    tasks.map((t) => t.id),
    before,
  )
  return round.map((among) => ({
    tasks: tasks.filter((t) => among.includes(t.id)),
    pairs: before.filter((b) => among.includes(b.first) && among.includes(b.then)),
  }))
}

/** Every step of a design for so many things made together, in order, with all reasons for it. */
export function stepsOf(derived: Derived, copies = 1, unit: Units = 'mm'): Steps {
  if (derived.panels.length === 0) return { steps: [], reasons: [], circles: [] }
  const { tasks, before } = tasksOf(factsOf(derived, unit))
  const ids = tasks.map((t) => t.id)
  const byId = new Map(tasks.map((t) => [t.id, t]))
  const round = circlesOf(tasks, before)
  const usual = usualRank(derived)
  const ranks = new Map(tasks.map((t, i) => [t.id, usual(t, i)]))
  const open = before.filter((b) => !round.some((c) => c.pairs.includes(b)))
  const order = ordered(ids, open, (id) => atKey(ranks, id))
  const home = gathered(order, open, (id) => atKey(byId, id).group)
  const members = new Map<string, Task[]>()
  for (const id of order)
    members.set(atKey(home, id), [...(members.get(atKey(home, id)) ?? []), atKey(byId, id)])
  const steps = [...members.values()].map((of) => stepOf(of, copies, derived))
  const reasons = reasonsOf(open, home)
  return {
    steps: inOrder(steps, reasons, derived.design.work, (id) => atKey(ranks, id)),
    reasons,
    circles: round,
  }
}

const keyOf = ({ first, then }: Pick<Reason, 'first' | 'then'>): string => `${first} > ${then}`

/** Steps as the maker put them, as far as the reasons that were not overruled let them; new ones where they usually stand. */
function inOrder(
  steps: readonly Step[],
  reasons: readonly Reason[],
  work: Derived['design']['work'],
  usual: (id: string) => number,
): Step[] {
  const ids = steps.map((s) => s.id)
  const held = reasons.filter((r) => !work.overruled.includes(keyOf(r)))
  const plain = ordered(ids, held, usual)
  const own = work.order.filter((id) => ids.includes(id))
  const rank = new Map<string, number>()
  own.forEach((id, i) => rank.set(id, i))
  // What the maker has not placed follows what it usually follows.
  plain.forEach((id, i) => {
    if (!rank.has(id)) rank.set(id, i === 0 ? -1 : atKey(rank, nth(plain, i - 1)) + 1e-3)
  })
  const byId = new Map(steps.map((s) => [s.id, s]))
  return ordered(ids, held, own.length > 0 ? (id) => atKey(rank, id) : usual).map((id) => atKey(byId, id))
}

/** Reasons that stand against an order of steps, those overruled left out. */
export const against = (
  order: readonly string[],
  reasons: readonly Reason[],
  overruled: readonly string[],
): Reason[] => {
  const at = new Map(order.map((id, i) => [id, i]))
  return reasons.filter(
    (r) => !overruled.includes(keyOf(r)) && (at.get(r.first) ?? -1) > (at.get(r.then) ?? Infinity),
  )
}

/** A thing that can’t be reached once a step is done, with why. */
export interface LastCall {
  /** The step it belongs to. */
  readonly step: string
  readonly what: string
  readonly why: Why
}

const reachOf = (r: Reason): Why | undefined => r.pairs.find((p) => REASONS[p.why].reach)?.why

/**
 * What can’t be reached, or not be done well, any more once a step is done: asked for before it begins. Each thing is
 * asked for once, before the first step in the order that puts it out of reach.
 */
export function lastCalls(step: string, { steps, reasons }: Pick<Steps, 'steps' | 'reasons'>): LastCall[] {
  const place = new Map(steps.map((s, i) => [s.id, i]))
  const closes = new Map<string, Reason>()
  for (const r of reasons) {
    if (!reachOf(r)) continue
    const before = closes.get(r.first)
    if (!before || atKey(place, r.then) < atKey(place, before.then)) closes.set(r.first, r)
  }
  return steps.flatMap((s) => {
    const r = closes.get(s.id)
    return r?.then === step ? [{ step: s.id, what: s.says, why: required(reachOf(r), 'reach of a row') }] : []
  })
}
