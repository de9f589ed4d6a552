import { type Derived, derive } from '../derived/index.js'
import { figuresOf as cutOf, groupsOf } from '../hide/index.js'
import type { Making, MakingRecord, PlannedStep } from '../makings/index.js'
import { EMPTY_RECORD } from '../makings/index.js'
import { figuresOf } from '../overview/index.js'
import { type Trade, takesOf } from '../price/index.js'
import type { Steps } from '../steps/index.js'

/** The steps as they are planned, with what each takes from the shelf. */
export const plannedSteps = (steps: Steps, derived: Derived, count: number, trade: Trade): PlannedStep[] =>
  steps.steps.map((s) => ({
    id: s.id,
    sort: s.sort,
    says: s.says.slice(0, 400),
    minutes: s.minutes.value,
    setUp: Math.min(s.minutes.value, derived.design.work.ways.setUp),
    takes: takesOf(s, derived, count, trade).map((t) => ({ ...t, what: t.what.slice(0, 200) })),
  }))

const threadOf = ({ runs }: Derived): number => runs.reduce((sum, r) => sum + r.times * r.thread.value, 0)

/** Thread of a design, and how much of it the factor of the leather most is sewn through scales. */
function threadsOf(derived: Derived, count: number): MakingRecord['threads'] {
  const { design } = derived
  const reckoned = threadOf(derived)
  if (reckoned === 0) return []
  const [role, leather] = mostSewn(derived)
  if (!leather || role === undefined) return []
  const factor = leather.threadFactor
  const more = derive({
    ...design,
    leathers: Object.fromEntries(
      Object.entries(design.leathers).map(([r, l]) => [
        r,
        l.name === leather.name ? { ...l, threadFactor: Math.min(1.5, factor + 0.1) } : l,
      ]),
    ),
  })
  const slope = (threadOf(more) - reckoned) / Math.max(1e-9, Math.min(1.5, factor + 0.1) - factor)
  return [
    {
      name: design.thread.name,
      leather: leather.name,
      reckoned: count * reckoned,
      row: count * slope * factor,
      factor,
    },
  ]
}

/** The leather that most thread goes through: the one whose pieces are sewn along most holes. */
function mostSewn({ design, works, runs }: Derived) {
  const by = new Map<string, number>()
  for (const run of runs)
    for (const { sheet, work } of works[0]?.sheets ?? [])
      if (work && sheet.type === 'panel' && run.join.through.includes(sheet.id))
        by.set(work.panel.role, (by.get(work.panel.role) ?? 0) + run.holes.length)
  const [role] = [...by].toSorted((a, b) => b[1] - a[1])[0] ?? []
  return [role, role === undefined ? undefined : design.leathers[role]] as const
}

/** Final sizes as they are reckoned: what is measured on the finished work is written beside them; mm and grams. */
function sizesOf(derived: Derived): MakingRecord['sizes'] {
  const { width, height, empty, weight } = figuresOf(derived)
  const straps = (derived.master.strapRuns ?? []).map((run) => {
    const panel = derived.panels.find((p) => p.id === run.panelId)
    const leather = panel && derived.design.leathers[panel.role]?.name
    return {
      what: `${run.name}, length`,
      quantity: 'length' as const,
      reckoned: run.length.value,
      ...(leather === undefined ? {} : { strap: { leather, way: 'along' as const } }),
    }
  })
  const all = [
    { what: 'width, closed', quantity: 'length' as const, reckoned: width },
    { what: 'height, closed', quantity: 'length' as const, reckoned: height },
    { what: 'thickness, empty', quantity: 'thickness' as const, reckoned: empty },
    { what: 'weight', quantity: 'grams' as const, reckoned: weight.value },
    ...straps,
  ]
  return all.filter((s) => s.reckoned > 0).map((s) => ({ ...s, what: s.what.slice(0, 120) }))
}

/** What is used up of each hide the work is laid out on; nothing where it is not laid out. */
export const hidesUsed = (derived: Derived): MakingRecord['hides'] =>
  groupsOf(derived).flatMap(({ hides, asked, wanted }) =>
    hides.flatMap((hide) => {
      const of = cutOf(hide, asked.lying, wanted, asked.gap)
      if (of.pieces === 0) return []
      const { id, name, of: leather, part, price, currency } = hide
      return [
        {
          hide: id,
          name,
          of: leather,
          part,
          used: of.pieces / (1 - of.waste),
          pieces: of.pieces,
          price,
          currency,
        },
      ]
    }),
  )

/** The record of a making as it is begun: what is planned, so that what it took can be written beside it. */
export function begunRecord(making: Making, derived: Derived, steps: Steps, trade: Trade): MakingRecord {
  const { design } = derived
  return {
    ...EMPTY_RECORD,
    ...making.record,
    plan: plannedSteps(steps, derived, making.count, trade),
    threads: threadsOf(derived, making.count),
    sizes: sizesOf(derived),
    hides: hidesUsed(derived),
    currency: trade.currency,
    leathers: Object.entries(design.leathers)
      .filter(([role]) => derived.panels.some((p) => p.role === role))
      .map(([role, l]) => ({
        role,
        batch: design.cutting.hides.find((h) => h.of === l.id)?.batch ?? '',
        measured: l.measured,
      })),
    edge: derived.panels.some((p) => p.edges.some((e) => 'finish' in e.fate && e.fate.finish === 'painted'))
      ? `${design.work.ways.coats} coats of paint`
      : '',
  }
}
