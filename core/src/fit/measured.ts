import { Matrix, solve } from 'ml-matrix'
import { type Change, type Design, type Edit, applyEdit } from '../design/index.js'
import { type Derived, derive } from '../derived/index.js'
import { boxHeight, boxWidth, pathBox } from '../geometry/index.js'
import { nth, required } from '../lists/index.js'
import { type Units, printPitch } from '../measure/index.js'
import type { Iron } from '../stores/index.js'
import { type Setting, settable, settingAt, withSettings } from './settable.js'

/** What can be measured on a thing that is there: a size of the work, a side of a piece, mm; or the holes of a seam, counted. */
export interface Measurable {
  readonly type: 'size' | 'side' | 'holes'
  readonly id: string
  readonly label: string
  readonly now: number
}

/** What was read off the thing: mm, or holes. */
export interface Taken {
  readonly id: string
  readonly value: number
}

/** What becomes of one reading. Lengths mm. */
export interface Answered {
  readonly measurable: Measurable
  readonly wanted: number
  readonly got: number
  /** Why it can’t be had; undefined where it can. */
  readonly why: Why | undefined
}

/** Why a reading is not met. */
export type Why =
  | { readonly type: 'follows' }
  | { readonly type: 'ends'; readonly setting: string }
  | { readonly type: 'together' }
  /** So many holes would be so far apart, mm; and the nearest iron there is. */
  | { readonly type: 'iron'; readonly pitch: number; readonly iron: Iron }

/** Settings that reproduce a thing, and what of it they don’t. */
export interface Reproduced {
  readonly changed: readonly {
    readonly label: string
    readonly sort: 'length' | 'thickness'
    readonly from: number
    readonly to: number
  }[]
  /** Another iron, where the count of a seam asks for one. */
  readonly iron: Iron | undefined
  readonly edit: Edit | undefined
  readonly answers: readonly Answered[]
}

/** As exact as a rule is read, mm. */
const READ = 0.1
/** A setting is moved by so much to see what it does, mm; an effect smaller than this share of it is none. */
const [NUDGE, NONE] = [0.5, 1e-3] as const
/** Rounds of solving anew where lengths don’t follow in proportion. */
const ROUNDS = 5

/** Lengths of a work that a maker could have measured on a thing like it. */
function measurableLengths({ master }: Derived): Measurable[] {
  const named = new Set<string>()
  const sizes = master.sizes.flatMap(({ size }): Measurable[] => {
    if ((size.quantity !== 'length' && size.quantity !== 'thickness') || named.has(size.key)) return []
    named.add(size.key)
    return [{ type: 'size', id: `size ${size.key}`, label: size.label, now: size.value }]
  })
  const sides = master.panels
    .filter((p) => p.role !== 'guide')
    .flatMap((p): Measurable[] => {
      const box = pathBox(p.outline)
      const name = p.name.toLowerCase()
      return [
        { type: 'side', id: `wide ${p.id}`, label: `${name}, width`, now: boxWidth(box) },
        { type: 'side', id: `high ${p.id}`, label: `${name}, height`, now: boxHeight(box) },
      ]
    })
  return [...sizes, ...sides]
}

/** Everything of a work that could have been measured on a thing like it: lengths, and holes that were punched by hand. */
export const measurables = (derived: Derived): Measurable[] => [
  ...measurableLengths(derived),
  ...derived.runs
    .filter((r) => r.ways.holes !== 'machine')
    .map((r): Measurable => ({
      type: 'holes',
      id: `holes ${r.join.id}`,
      label: `holes of the ${r.join.name}`,
      now: r.holes.length,
    })),
]

/** What the measured lengths are with settings at other values; undefined where the design won’t have them. */
const lengthsAt = (
  design: Design,
  settings: readonly Setting[],
  values: readonly number[],
  ids: readonly string[],
): number[] | undefined => {
  const derived = withSettings(design, settings, values)
  if (!derived) return undefined
  const all = new Map(measurableLengths(derived).map((m) => [m.id, m.now]))
  const found = ids.map((id) => all.get(id))
  return found.every((v) => v !== undefined && Number.isFinite(v)) ? (found as number[]) : undefined
}

/** How much each reading answers to each setting, mm for one. */
function slopesOf(
  design: Design,
  settings: readonly Setting[],
  values: readonly number[],
  ids: readonly string[],
  base: readonly number[],
  among: (setting: number) => boolean,
): number[][] {
  return settings.map((setting, j) => {
    if (!among(j)) return ids.map(() => 0)
    const by = nth(values, j) + NUDGE <= setting.max ? NUDGE : -NUDGE
    const moved = lengthsAt(design, settings, values.with(j, nth(values, j) + by), ids)
    return ids.map((_, i) => (moved ? (nth(moved, i) - nth(base, i)) / by : 0))
  })
}

/** For each reading a setting of its own: one that moves it most nearly as much as itself, and others least. */
function chosen(
  settings: readonly Setting[],
  slopes: readonly (readonly number[])[],
  many: number,
): (number | undefined)[] {
  const last = (j: number): number => (nth(settings, j).sort === 'leather' ? 1 : 0)
  const taken = new Set<number>()
  const worth = (j: number, i: number): number => {
    const own = Math.abs(nth(nth(slopes, j), i))
    if (own < NONE) return -Infinity
    const others = nth(slopes, j).reduce((sum, s, k) => sum + (k === i ? 0 : Math.abs(s)), 0)
    return -Math.abs(Math.log(own)) - others
  }
  const readings = Array.from({ length: many }, (_, i) => ({
    i,
    ways: slopes.map((_s, j) => j).filter((j) => worth(j, i) > -Infinity),
  })).toSorted((a, b) => a.ways.length - b.ways.length)
  const by: (number | undefined)[] = Array.from({ length: many })
  for (const { i, ways } of readings) {
    const [best] = ways
      .filter((j) => !taken.has(j))
      .toSorted((a, b) => last(a) - last(b) || worth(b, i) - worth(a, i))
    if (best === undefined) continue
    taken.add(best)
    by[i] = best
  }
  return by
}

interface Solved {
  readonly values: readonly number[]
  readonly lengths: readonly number[]
  /** For each reading the setting that was moved for it. */
  readonly by: readonly (number | undefined)[]
}

/** Settings moved until the readings come out, or as near as they go. */
function solved(
  design: Design,
  settings: readonly Setting[],
  ids: readonly string[],
  wanted: readonly number[],
): Solved | undefined {
  let values = settings.map((s) => s.now)
  let lengths = lengthsAt(design, settings, values, ids)
  if (!lengths) return undefined
  let by: (number | undefined)[] = ids.map(() => undefined)
  for (let round = 0; round < ROUNDS; round += 1) {
    if (lengths.every((l, i) => Math.abs(l - nth(wanted, i)) <= READ / 4)) break
    const slopes = slopesOf(design, settings, values, ids, lengths, (j) => round === 0 || by.includes(j))
    if (round === 0) by = chosen(settings, slopes, ids.length)
    const rows = ids.map((_, i) => i).filter((i) => by[i] !== undefined)
    if (rows.length === 0) break
    const matrix = new Matrix(
      rows.map((i) => rows.map((k) => nth(nth(slopes, required(by[k], 'setting that moves it')), i))),
    )
    const off = Matrix.columnVector(rows.map((i) => nth(wanted, i) - nth(required(lengths, 'lengths'), i)))
    const moves = solve(matrix, off, true)
    const next = values.slice()
    rows.forEach((i, k) => {
      const setting = nth(settings, required(by[i], 'setting that moves it'))
      next[required(by[i], 'setting that moves it')] = settingAt(
        setting,
        nth(values, required(by[i], 'setting that moves it')) + moves.get(k, 0),
      )
    })
    const there = lengthsAt(design, settings, next, ids)
    if (!there) break
    values = next
    lengths = there
  }
  return { values, lengths, by }
}

/** Why a length is not met: by the setting that was moved for it. */
function whyNot(setting: Setting | undefined, value: number): Why {
  if (!setting) return { type: 'follows' }
  if (value >= setting.max - 1e-9 || value <= setting.min + 1e-9)
    return { type: 'ends', setting: setting.label }
  return { type: 'together' }
}

/** Why a reading is not met, in a sentence. */
export function sayWhy(why: Why, unit: Units): string {
  if (why.type === 'follows') return 'No setting moves it by itself: it follows from others.'
  if (why.type === 'ends') return `The setting “${why.setting}” goes no further.`
  if (why.type === 'together') return 'It can’t be had together with the others.'
  return `So many would be ${printPitch(why.pitch, unit)} apart; the nearest iron, ${why.iron.name}, steps ${printPitch(why.iron.pitch, unit)}.`
}

/** The iron that comes nearest to a pitch; the design’s own where none is nearer. */
const nearestIron = (irons: readonly Iron[], pitch: number, own: Iron): Iron =>
  irons.reduce(
    (best, iron) => (Math.abs(iron.pitch - pitch) < Math.abs(best.pitch - pitch) ? iron : best),
    own,
  )

type Known = Taken & { readonly measurable: Measurable }

/** The settings of a design with which its lengths come out as measured. */
function forLengths(design: Design, lengths: readonly Known[]) {
  const settings = settable(derive(design))
  const found = solved(
    design,
    settings,
    lengths.map((t) => t.id),
    lengths.map((t) => t.value),
  )
  const moved = settings.flatMap((setting, j) => {
    const to = found?.values[j] ?? setting.now
    return Math.abs(to - setting.now) < 1e-9 ? [] : [{ setting, to }]
  })
  const why = (i: number): Why => {
    const j = found?.by[i]
    return j === undefined
      ? whyNot(undefined, 0)
      : whyNot(settings[j], nth(required(found, 'found').values, j))
  }
  return { moved, changes: moved.map(({ setting, to }): Change => setting.change(to)), why }
}

/** The design with changes that it has been tried with. */
function changed(design: Design, changes: readonly Change[]): Design {
  const edited = applyEdit(design, { name: 'measured', changes })
  return edited.ok ? edited.design : design
}

/** The iron with which the first seam that was counted has as many holes, or most nearly. */
function ironFor(design: Design, counted: readonly Known[], irons: readonly Iron[]) {
  const [first] = counted
  const run = first && derive(design).runs.find((r) => `holes ${r.join.id}` === first.id)
  if (!first || !run || first.value < 2) return { pitch: design.iron.pitch, iron: design.iron }
  const pitch = (run.ways.pitch * (run.holes.length - 1)) / (first.value - 1)
  return { pitch, iron: nearestIron(irons, pitch, design.iron) }
}

/**
 * The settings of a design with which it comes out as a thing that was measured: as few of them as there are readings.
 * No number is written over a computed one. What is told of each reading is read off the design so changed.
 */
export function reproduce(design: Design, taken: readonly Taken[], irons: readonly Iron[]): Reproduced {
  const all = new Map(measurables(derive(design)).map((m) => [m.id, m]))
  const known = taken.flatMap((t): Known[] => {
    const measurable = all.get(t.id)
    return measurable ? [{ ...t, measurable }] : []
  })
  const lengths = known.filter((t) => t.measurable.type !== 'holes')
  const counted = known.filter((t) => t.measurable.type === 'holes')
  const { pitch, iron } = ironFor(changed(design, forLengths(design, lengths).changes), counted, irons)
  const other = iron.pitch === design.iron.pitch ? [] : [{ path: ['iron'], value: iron }]
  // Another iron asks for other margins: the lengths are sought again with it.
  const { moved, changes, why } = forLengths(changed(design, other), lengths)
  const edits = [...other, ...changes]
  const now = new Map(measurables(derive(changed(design, edits))).map((m) => [m.id, m.now]))
  const answer = ({ id, value, measurable }: Known, near: number, whenNot: Why): Answered => {
    const got = now.get(id) ?? measurable.now
    return { measurable, wanted: value, got, why: Math.abs(got - value) <= near ? undefined : whenNot }
  }
  return {
    changed: moved.map(({ setting, to }) => ({
      label: setting.label,
      sort: setting.sort === 'leather' ? 'thickness' : 'length',
      from: setting.now,
      to,
    })),
    iron: other.length > 0 ? iron : undefined,
    edit: edits.length > 0 ? { name: 'settings as measured', changes: edits } : undefined,
    answers: [
      ...lengths.map((t, i) => answer(t, READ, why(i))),
      ...counted.map((t) => answer(t, 0, { type: 'iron', pitch, iron })),
    ],
  }
}
