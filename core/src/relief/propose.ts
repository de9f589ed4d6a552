import { nth } from '../lists/index.js'
import { type Path, pathMoved } from '../geometry/index.js'
import { type Edit, applyEdit } from '../design/index.js'
import { type Derived, derive } from '../derived/index.js'
import { type Units, printWeight } from '../measure/index.js'
import { type Candidate, type Sample, candidatesOf, samplesOf } from './candidates.js'

/** One skive that is proposed. */
export interface ProposedSkive {
  readonly key: string
  readonly name: string
  readonly panelId: string
  readonly from: number
  readonly to: number
  readonly minutes: number
  /** Where it lies in the laid-up work. */
  readonly areas: readonly Path[]
}

/** The way to a thickness wanted along seams. */
export interface SkiveProposal {
  readonly wanted: number
  /** Thickest place of these seams now, and with what is proposed, as it was reckoned. */
  readonly now: number
  readonly reached: number
  readonly reachable: boolean
  /** The least that skiving alone could do, each leather left as thick as it bears. */
  readonly min: number
  readonly skives: readonly ProposedSkive[]
  readonly edit: Edit | undefined
}

/** A knife keeps a twentieth of a millimetre at best. */
const KEPT = 0.05
const down = (mm: number): number => Math.floor(mm / KEPT + 1e-9) * KEPT
const roundTo = (mm: number): number => Math.round(mm * 100) / 100

/** Thickest place of the samples with candidates thinned to these. */
function thickest(samples: readonly Sample[], to: readonly number[]): number {
  let max = 0
  for (const { fixed, layers } of samples) {
    let sum = fixed
    for (const layer of layers) sum += layer.by.reduce((t, i) => Math.min(t, nth(to, i)), layer.now)
    if (sum > max) max = sum
  }
  return max
}

/**
 * The lightest skives that bring samples down to `wanted`: all by the same share of what they may lose, then those that
 * do not matter left out, then each as little as will still do.
 */
function lightest(samples: readonly Sample[], found: readonly Candidate[], wanted: number): number[] {
  const min = found.map((c) => Math.max(0, Math.min(c.now, c.bears)))
  const at = (share: number): number[] =>
    found.map((c, i) => Math.max(nth(min, i), down(c.now - share * (c.now - nth(min, i)))))
  const good = (to: readonly number[]): boolean => thickest(samples, to) <= wanted + 1e-9
  let to = at(1)
  for (let share = 0.05; share < 1; share += 0.05)
    if (good(at(share))) {
      to = at(share)
      break
    }
  if (!good(to)) return to
  // The costliest first: what can be spared is spared where it saves most.
  const order = found
    .map((c, i) => ({ i, cost: c.minutes(nth(to, i)) }))
    .sort((a, b) => b.cost - a.cost)
    .map((o) => o.i)
  for (const i of order) {
    const without = to.with(i, nth(found, i).now)
    if (good(without)) to = without
  }
  for (const i of order)
    for (let t = nth(to, i) + KEPT; t < nth(found, i).now + 1e-9; t += KEPT) {
      const more = to.with(i, Math.min(t, nth(found, i).now))
      if (!good(more)) break
      to = more
    }
  return to
}

/** Thickest place of some runs of a design. */
export const seamThickness = ({ runs }: Derived, ids: readonly string[]): number =>
  Math.max(0, ...runs.filter((r) => ids.includes(r.join.id)).map((r) => r.thickest))

/**
 * Skives that bring the seams of those ids down to `wanted` mm, or as near as the leathers bear; tried on the real
 * design before they are given. docs/formulas.md §16.
 */
export function proposeSkives(
  derived: Derived,
  ids: readonly string[],
  wanted: number,
  unit: Units = 'mm',
): SkiveProposal {
  const runs = derived.runs.filter((r) => ids.includes(r.join.id))
  const now = seamThickness(derived, ids)
  const sheets = derived.works.flatMap((w) =>
    w.sheets.filter((s) =>
      runs.some((r) => r.join.layup === w.layup.id && r.join.through.includes(s.sheet.id)),
    ),
  )
  const found = candidatesOf(derived, sheets)
  const samples = samplesOf(runs, derived.works, found)
  const min = thickest(
    samples,
    found.map((c) => Math.min(c.now, c.bears)),
  )
  const none: SkiveProposal = {
    wanted,
    now,
    reached: now,
    reachable: now <= wanted + 1e-9,
    min,
    skives: [],
    edit: undefined,
  }
  if (none.reachable || found.length === 0) return none
  const to = lightest(samples, found, wanted)
  const chosen = found.flatMap((c, i) => (nth(to, i) < c.now - 1e-9 ? [{ c, to: roundTo(nth(to, i)) }] : []))
  if (chosen.length === 0) return none
  const name = `skive for ${printWeight(wanted, unit)} along the seam`
  // Skives of one drawn panel stand in one list: each is put to those before it.
  const edit = chosen.reduce<{ edit: Edit; design: Derived['design'] }>(
    (done, { c, to: t }) => {
      const change = c.change(t, done.design)
      const next = { name, changes: [...done.edit.changes, change] }
      const tried = applyEdit(done.design, { name, changes: [change] })
      return tried.ok ? { edit: next, design: tried.design } : done
    },
    { edit: { name, changes: [] }, design: derived.design },
  )
  const reached = seamThickness(derive(edit.design), ids)
  return {
    ...none,
    reached,
    reachable: reached <= wanted + 1e-6,
    edit: edit.edit,
    skives: chosen.map(({ c, to: t }) => ({
      key: c.key,
      name: c.name,
      panelId: c.panelId,
      from: c.now,
      to: t,
      minutes: c.minutes(t),
      areas: areasOf(derived, c),
    })),
  }
}

const areasOf = ({ works }: Derived, { areas, panelId }: Candidate): Path[] =>
  (works[0]?.sheets ?? [])
    .filter((s) => s.part === 'whole' && s.sheet.type === 'panel' && s.sheet.panelId === panelId)
    .flatMap(({ sheet }) => areas.map((area) => pathMoved(area, sheet.move)))
