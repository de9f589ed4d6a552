import { Matrix, solve } from 'ml-matrix'
import { type Change, type Design, type Edit, applyEdit } from '../design/index.js'
import { type Derived, derive } from '../derived/index.js'
import { boxHeight, boxWidth, pathBox } from '../geometry/index.js'
import { nth } from '../lists/index.js'
import { type LengthUnit, printPitch, roundTo } from '../measure/index.js'
import type { Iron } from '../stores/index.js'
import { type Setting, settable, settingAt, withSettings } from './settable.js'

/** What can be measured on a thing that is there: a size of the work, a side of a piece, the holes of a seam. */
export type Measurable =
  | { readonly type: 'size'; readonly id: string; readonly label: string; readonly now: number }
  | { readonly type: 'side'; readonly id: string; readonly label: string; readonly now: number }
  | { readonly type: 'holes'; readonly id: string; readonly label: string; readonly now: number }

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
  readonly changed: readonly { readonly label: string; readonly from: number; readonly to: number }[]
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
    const matrix = new Matrix(rows.map((i) => rows.map((k) => nth(nth(slopes, by[k]!), i))))
    const off = Matrix.columnVector(rows.map((i) => nth(wanted, i) - nth(lengths!, i)))
    const moves = solve(matrix, off, true)
    const next = values.slice()
    rows.forEach((i, k) => {
      const setting = nth(settings, by[i]!)
      next[by[i]!] = settingAt(setting, nth(values, by[i]!) + moves.get(k, 0))
    })
    const there = lengthsAt(design, settings, next, ids)
    if (!there) break
    values = next
    lengths = there
  }
  return { values, lengths, by }
}

function whyNot(setting: Setting | undefined, value: number): Why {
  if (!setting) return { type: 'follows' }
  if (value >= setting.max - 1e-9 || value <= setting.min + 1e-9)
    return { type: 'ends', setting: setting.label }
  return { type: 'together' }
}

/** Why a reading is not met, in a sentence. */
export function sayWhy(why: Why, unit: LengthUnit): string {
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

/**
 * The settings of a design with which it comes out as a thing that was measured: as few of them as there are readings.
 * No number is written over a computed one.
 */
export function reproduce(design: Design, taken: readonly Taken[], irons: readonly Iron[]): Reproduced {
  const derived = derive(design)
  const all = new Map(measurables(derived).map((m) => [m.id, m]))
  const known = taken.flatMap((t) => {
    const measurable = all.get(t.id)
    return measurable ? [{ ...t, measurable }] : []
  })
  const lengths = known.filter((t) => t.measurable.type !== 'holes')
  const settings = settable(derived)
  const found = solved(
    design,
    settings,
    lengths.map((t) => t.id),
    lengths.map((t) => t.value),
  )
  const moved = settings.flatMap((setting, j) => {
    const to = roundTo(found?.values[j] ?? setting.now, 2)
    return Math.abs(to - setting.now) < 1e-9 ? [] : [{ setting, to }]
  })
  const changes = moved.map(({ setting, to }): Change => setting.change(to))
  const [iron, counted] = countedHoles(design, changes, known, irons)
  const answers = lengths.map((t, i): Answered => {
    const got = found?.lengths[i] ?? t.measurable.now
    const j = found?.by[i]
    const met = Math.abs(got - t.value) <= READ
    const setting = j === undefined ? undefined : settings[j]
    return {
      measurable: t.measurable,
      wanted: t.value,
      got,
      why: met ? undefined : whyNot(setting, j === undefined ? 0 : nth(found!.values, j)),
    }
  })
  const edits = [...changes, ...(iron ? [{ path: ['iron'], value: iron }] : [])]
  return {
    changed: moved.map(({ setting, to }) => ({ label: setting.label, from: setting.now, to })),
    iron,
    edit: edits.length > 0 ? { name: 'settings as measured', changes: edits } : undefined,
    answers: [...answers, ...counted],
  }
}

/** What counts of holes ask of the iron, once the lengths are as measured. */
function countedHoles(
  design: Design,
  changes: readonly Change[],
  known: readonly (Taken & { readonly measurable: Measurable })[],
  irons: readonly Iron[],
): [Iron | undefined, Answered[]] {
  const asked = known.filter((t) => t.measurable.type === 'holes')
  if (asked.length === 0) return [undefined, []]
  const withIron = (iron: Iron): Derived | undefined => {
    const edited = applyEdit(design, {
      name: 'measured',
      changes: [...changes, { path: ['iron'], value: iron }],
    })
    return edited.ok ? derive(edited.design) : undefined
  }
  const counts = (of: Derived | undefined, id: string): number =>
    of?.runs.find((r) => `holes ${r.join.id}` === id)?.holes.length ?? 0
  const now = withIron(design.iron)
  const [first] = asked
  const run = now?.runs.find((r) => `holes ${r.join.id}` === first!.id)
  const pitch =
    run && first!.value > 1
      ? (run.ways.pitch * (run.holes.length - 1)) / (first!.value - 1)
      : design.iron.pitch
  const best = nearestIron(irons, pitch, design.iron)
  const then = best.pitch === design.iron.pitch ? now : withIron(best)
  return [
    best.pitch === design.iron.pitch ? undefined : best,
    asked.map(({ id, value, measurable }) => {
      const got = counts(then, id)
      return {
        measurable,
        wanted: value,
        got,
        why: got === value ? undefined : { type: 'iron', pitch, iron: best },
      }
    }),
  ]
}
