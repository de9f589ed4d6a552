import { nth } from '../lists/index.js'
import { median } from 'simple-statistics'
import type { Sort } from '../steps/index.js'
import { PACE_GROUPS, type PaceGroup, groupOf } from './groups.js'
import { type Spread, solved, t95 } from './statistics.js'

/** A step as it was planned and as it went; minutes. */
export interface Timed {
  readonly sort: Sort
  readonly planned: number
  /** Of what was planned, the laying out of tools. */
  readonly setUp: number
  readonly actual: number
}

/** A making as learning sees it. */
export interface Observed {
  /** The first time this design was made. */
  readonly first: boolean
  readonly steps: readonly Timed[]
}

/** The maker’s paces: for each sort of work what it takes against what was planned, the laying out, and what a first time takes. */
export interface Paces {
  readonly groups: ReadonlyMap<string, Spread>
  /** Minutes to lay tools out. */
  readonly setUp: Spread | undefined
  /** What a first making takes against a later one. */
  readonly first: Spread | undefined
}

/** Fewer makings teach nothing that holds. */
export const LEAST_MAKINGS = 3
/** Nothing at a bench takes less, minutes. */
const LEAST = 0.05
/** What took less than such a share of what was planned was ticked off, not timed. */
const TICKED = 1 / 6
const ROUNDS = 30

interface Seen {
  readonly making: number
  readonly group: number
  readonly work: number
  readonly actual: number
  readonly first: boolean
}

function seenOf(observed: readonly Observed[], groups: readonly PaceGroup[]): Seen[] {
  const index = new Map(groups.map((g, i) => [g.id, i]))
  return observed.flatMap(({ first, steps }, making) =>
    steps.flatMap((s) => {
      const work = s.planned - s.setUp
      const group = index.get(groupOf(s.sort).id)
      return group === undefined || !(s.actual >= Math.max(LEAST, TICKED * s.planned)) || work <= 0
        ? []
        : [{ making, group, work, actual: s.actual, first }]
    }),
  )
}

/** How readings scatter: plain ones about nothing, and a share of interrupted ones by so much more on average; as logarithms. */
interface Scatter {
  readonly scale: number
  readonly share: number
  readonly more: number
}
const START: Scatter = { scale: 0.3, share: 0.1, more: 0.8 }
/** No clock is truer, and no bench is interrupted at every other step. */
const HELD = { scale: [0.04, 1], share: [0.005, 0.45], more: [0.25, 3] } as const
const held = (value: number, [min, max]: readonly [number, number]): number =>
  Math.min(max, Math.max(min, value))

/** The upper tail of the normal distribution (Abramowitz and Stegun 26.2.17), true to a share of itself however far out. */
function tail(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x))
  const poly =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  const upper = (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * poly
  return x >= 0 ? upper : 1 - upper
}

/** How likely a reading is a plain one: interruptions only ever add, by an exponential law on top of the scatter. */
function plainness(residual: number, { scale, share, more }: Scatter): number {
  const plain = ((1 - share) * Math.exp(-((residual / scale) ** 2) / 2)) / (scale * Math.sqrt(2 * Math.PI))
  const lift = (scale * scale) / (2 * more * more) - residual / more
  const broken = (share / more) * Math.exp(Math.min(300, lift)) * tail(scale / more - residual / scale)
  return plain / (plain + broken + 1e-300)
}

/** The scatter that the readings themselves show. */
function scatterOf(residuals: readonly number[], before: Scatter): Scatter {
  const weights = residuals.map((r) => plainness(r, before))
  const plain = weights.reduce((a, b) => a + b, 0)
  const broken = residuals.length - plain
  const square = residuals.reduce((sum, r, i) => sum + nth(weights, i) * r * r, 0)
  const over = residuals.reduce((sum, r, i) => sum + (1 - nth(weights, i)) * Math.max(0, r), 0)
  return {
    scale: held(Math.sqrt(square / Math.max(1, plain)), HELD.scale),
    share: held(broken / residuals.length, HELD.share),
    more: held(broken > 0.5 ? over / broken : before.more, HELD.more),
  }
}

/** What is known beforehand, loosely: laying out takes about what was planned, a first time about a quarter more. As logarithms. */
const PRIOR = { setUp: 0.7, first: Math.log(1.2), firstOff: 0.35 } as const

interface Fit {
  readonly logs: readonly number[]
  readonly scatter: Scatter
}

/** Where the search begins: each sort by the middle of its own steps. */
function begun(seen: readonly Seen[], count: number, planned: number): Fit {
  const logs = [Math.log(planned), PRIOR.first]
  for (let g = 0; g < count; g += 1) {
    const own = seen.filter((s) => s.group === g)
    const shares = own.map((s) => Math.max(0.05, s.actual - planned) / s.work)
    logs.push(own.length > 0 ? Math.log(Math.max(0.05, median(shares))) : 0)
  }
  return { logs, scatter: START }
}

/**
 * minutes = first^(0 or 1) × (laying out + pace of its sort × planned work), fitted in logarithms by reweighted least
 * squares: parameters are the logarithm of the laying out, of the first time, and of each sort’s pace. What looks like
 * an interruption counts as little as it is likely to be one.
 */
function fitted(seen: readonly Seen[], from: Fit, planned: number, rounds: number): Fit {
  const logs = [...from.logs]
  let { scatter } = from
  for (let round = 0; round < rounds; round += 1) {
    const { normal, right, residuals } = normals(seen, logs, scatter, planned)
    const step = solved(normal, right)
    logs.forEach((_, i) => (logs[i]! += held(nth(step, i), [-0.5, 0.5])))
    scatter = scatterOf(residuals, scatter)
    if (round > 6 && Math.max(...step.map(Math.abs)) < 1e-5) break
  }
  return { logs, scatter }
}

/** How a step’s logarithm grows with each parameter, and what it is off by. */
function lineOf(s: Seen, logs: readonly number[]) {
  const [setUp, pace] = [Math.exp(nth(logs, 0)), Math.exp(nth(logs, s.group + 2))]
  const minutes = setUp + pace * s.work
  return {
    residual: Math.log(s.actual) - Math.log(minutes) - (s.first ? nth(logs, 1) : 0),
    bySetUp: setUp / minutes,
    byFirst: s.first ? 1 : 0,
    byPace: (pace * s.work) / minutes,
  }
}

function normals(seen: readonly Seen[], logs: readonly number[], scatter: Scatter, planned: number) {
  const n = logs.length
  const normal = Array.from({ length: n }, () => new Array<number>(n).fill(0))
  const right = new Array<number>(n).fill(0)
  const residuals: number[] = []
  const put = (i: number, j: number, value: number): void => {
    nth(normal, i)[j]! += value
    if (i !== j) nth(normal, j)[i]! += value
  }
  for (const s of seen) {
    const { residual, bySetUp, byFirst, byPace } = lineOf(s, logs)
    residuals.push(residual)
    const w = plainness(residual, scatter)
    if (w === 0) continue
    const g = s.group + 2
    put(0, 0, w * bySetUp ** 2)
    put(0, g, w * bySetUp * byPace)
    put(g, g, w * byPace ** 2)
    right[0]! += w * bySetUp * residual
    right[g]! += w * byPace * residual
    if (byFirst === 1) {
      put(1, 1, w)
      put(0, 1, w * bySetUp)
      put(1, g, w * byPace)
      right[1]! += w * residual
    }
  }
  const about = (i: number, at: number, off: number): void => {
    const weight = (scatter.scale / off) ** 2
    nth(normal, i)[i]! += weight
    right[i]! += weight * (at - nth(logs, i))
  }
  about(0, Math.log(planned), PRIOR.setUp)
  about(1, PRIOR.first, PRIOR.firstOff)
  for (let i = 2; i < n; i += 1) nth(normal, i)[i]! += 1e-9
  return { normal, right, residuals }
}

/** Makings left out together where there are many, so that this many are left out one by one at most. */
/** No pace is known better than this, as a logarithm: the law of interruptions is only a law. */
const KNOWN = 0.02
const BLOCKS = 40
const AGAIN = 8

/**
 * How far parameters may be off: by leaving out one making after the other, as steps of one share the day, the leather and
 * the mood (the jackknife).
 */
function errorsOf(seen: readonly Seen[], fit: Fit, planned: number, makings: number): number[] {
  const blocks = Math.min(BLOCKS, makings)
  const without = Array.from({ length: blocks }, (_, b) => {
    const left = seen.filter((s) => s.making % blocks !== b)
    return left.length === 0 ? fit.logs : fitted(left, fit, planned, AGAIN).logs
  })
  return fit.logs.map((log, i) => {
    const off = without.map((logs) => nth(logs, i) - log)
    return Math.hypot(KNOWN, Math.sqrt(((blocks - 1) / blocks) * off.reduce((sum, d) => sum + d * d, 0)))
  })
}

const spread = (log: number, error: number, makings: number): Spread => {
  const off = t95(makings - 1) * error
  return { value: Math.exp(log), low: Math.exp(log - off), high: Math.exp(log + off), makings }
}

/**
 * What the makings say of the maker’s paces. `planned` is the laying out as it was reckoned with, minutes. Steps without a
 * time are left out; interruptions count nothing; docs/formulas.md §24.
 */
export function pacesOf(observed: readonly Observed[], planned: number): Paces {
  const all = seenOf(observed, PACE_GROUPS)
  const used = PACE_GROUPS.filter((_, g) => all.some((s) => s.group === g))
  const seen = seenOf(observed, used)
  const none: Paces = { groups: new Map(), setUp: undefined, first: undefined }
  if (seen.length === 0) return none
  const base = Math.max(0.2, planned)
  const fit = fitted(seen, begun(seen, used.length, base), base, ROUNDS)
  const errors = errorsOf(seen, fit, base, observed.length)
  const makingsOf = (of: (s: Seen) => boolean): number => new Set(seen.filter(of).map((s) => s.making)).size
  const told = (i: number, makings: number): Spread | undefined =>
    makings >= LEAST_MAKINGS && Number.isFinite(nth(errors, i))
      ? spread(nth(fit.logs, i), nth(errors, i), makings)
      : undefined
  const firsts = makingsOf((s) => s.first)
  const later = makingsOf((s) => !s.first)
  const groups = used.flatMap((g, i) => {
    const found = told(
      i + 2,
      makingsOf((s) => s.group === i),
    )
    return found ? [[g.id, found] as const] : []
  })
  return {
    groups: new Map(groups),
    setUp: told(
      0,
      makingsOf(() => true),
    ),
    first: Math.min(firsts, later) >= LEAST_MAKINGS ? told(1, Math.min(firsts, later)) : undefined,
  }
}
