import { atKey } from '../lists/index.js'
import type { Design } from '../design/index.js'
import { PACE_GROUPS, SET_UP, figureAt } from './groups.js'
import { type Observed, type Paces, pacesOf } from './paces.js'
import type { Spread } from './statistics.js'

/** A setting as it stands and as the makings say it. */
export interface Change {
  readonly path: readonly string[]
  readonly now: number
  readonly then: number
}

/** What the makings say otherwise than what is reckoned with: taken or left, nothing changes by itself. */
export interface Proposal {
  readonly id: string
  /** “sewing by hand”. */
  readonly what: string
  readonly changes: readonly Change[]
  /** What it takes against what is reckoned with now, with its spread. */
  readonly factor: Spread
}

/** Paces of a making as it was planned: by group, the figure that says it. */
export type Figures = Readonly<Record<string, number>>

const keyOf = (path: readonly string[]): string => path.join('.')

/** The figures a design is planned with, by path. */
export const figuresOf = (design: Design): Figures =>
  Object.fromEntries(
    [SET_UP, ...PACE_GROUPS.flatMap((g) => [...g.times, ...g.paces])].flatMap((path) => {
      const value = figureAt(design, path)
      return value === undefined ? [] : [[keyOf(path), value] as const]
    }),
  )

/** How much longer a sort of work is planned with one set of figures than with another. */
function longer(groupId: string, now: Figures, then: Figures): number {
  const group = PACE_GROUPS.find((g) => g.id === groupId)
  const ratios = [
    ...(group?.times ?? []).map((p) => [now[keyOf(p)], then[keyOf(p)]] as const),
    ...(group?.paces ?? []).map((p) => [then[keyOf(p)], now[keyOf(p)]] as const),
  ].flatMap(([a, b]) => (a !== undefined && b !== undefined && a > 0 && b > 0 ? [a / b] : []))
  return ratios.length === 0 ? 1 : Math.exp(ratios.reduce((sum, r) => sum + Math.log(r), 0) / ratios.length)
}

/** A making as learning sees it, with the figures it was planned with. */
export interface Learnable extends Observed {
  readonly figures: Figures
}

/** Every making as if it had been planned with the figures of now, so that they can be compared. */
function asNow(makings: readonly Learnable[], now: Figures): Observed[] {
  const groupBySort = new Map(PACE_GROUPS.flatMap((g) => g.sorts.map((s) => [s, g.id] as const)))
  return makings.map(({ first, steps, figures }) => ({
    first,
    steps: steps.map((s) => {
      const work = (s.planned - s.setUp) * longer(atKey(groupBySort, s.sort), now, figures)
      return { ...s, planned: s.setUp + work }
    }),
  }))
}

/** A figure to two or three places, as one sets it. */
const tidy = (value: number): number => Number(value.toPrecision(value >= 100 ? 3 : 2))
/** A difference that is not worth a change, as a share. */
const SAME = 0.03

export interface Lessons {
  readonly paces: Paces
  readonly proposals: readonly Proposal[]
}

/** What the makings teach of paces, against a set of figures. Only what differs by more than its own spread is proposed. */
export function lessonsOf(makings: readonly Learnable[], now: Figures): Lessons {
  const setUp = now[keyOf(SET_UP)] ?? 2
  const paces = pacesOf(asNow(makings, now), setUp)
  const at = (path: readonly string[], times: number): Change[] => {
    const value = now[keyOf(path)]
    return value === undefined || value === 0 ? [] : [{ path, now: value, then: tidy(value * times) }]
  }
  const groups = PACE_GROUPS.flatMap((g): Proposal[] => {
    const factor = paces.groups.get(g.id)
    if (!factor || !worth(factor)) return []
    const changes = [
      ...g.times.flatMap((p) => at(p, factor.value)),
      ...g.paces.flatMap((p) => at(p, 1 / factor.value)),
    ]
    return changes.length > 0 ? [{ id: g.id, what: g.label, changes, factor }] : []
  })
  const laying = paces.setUp && {
    value: paces.setUp.value / setUp,
    low: paces.setUp.low / setUp,
    high: paces.setUp.high / setUp,
    makings: paces.setUp.makings,
  }
  return {
    paces,
    proposals: [
      ...groups,
      ...(laying && worth(laying)
        ? [{ id: 'setUp', what: 'laying out tools', changes: at(SET_UP, laying.value), factor: laying }]
        : []),
    ],
  }
}

/** One is not within what it may be off, and it is off by something. */
const worth = ({ low, high, value }: Spread): boolean =>
  (low > 1 || high < 1) && Math.abs(Math.log(value)) > SAME
