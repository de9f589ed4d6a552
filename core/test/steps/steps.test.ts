import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Derived } from '@drumlin/core/derived'
import { sewingOrder } from '@drumlin/core/stitch'
import { against, lastCalls, ordered, stepsOf, factsOf, tasksOf } from '@drumlin/core/steps'
import { figuresOf } from '@drumlin/core/overview'
import { benchTime } from '../../src/make/index.js'
import { reckoner } from '@drumlin/core/working'
import { anyDesign, everyDesign, madeKinds, derivedOf } from '../support/all.js'
import { faultsOfAssembly } from '../support/assembly.js'
import { many } from '../support/long.js'

const all = everyDesign().map(({ name, design }) => ({ name, derived: derivedOf(design) }))
const tasksIn = (derived: Derived) => tasksOf(factsOf(derived, 'mm'))

describe.each(all)('$name', ({ derived }) => {
  const { tasks, before } = tasksIn(derived)
  const steps = stepsOf(derived)
  const inStep = new Map(steps.steps.flatMap((s, i) => s.rows.map((r) => [r.task, i] as const)))

  it('has an order, and it keeps to every reason', () => {
    expect(steps.circles).toEqual([])
    for (const { first, then, why } of before)
      expect(inStep.get(first)!, `${first} > ${then} (${why})`).toBeLessThan(inStep.get(then)!)
  })

  it('does every piece, run, edge, skive and piece of hardware in exactly one step', () => {
    const done = steps.steps.flatMap((s) => s.rows.map((r) => r.task))
    expect([...done].sort()).toEqual([...new Set(done)].sort())
    expect([...done].sort()).toEqual(tasks.map((t) => t.id).sort())
    const wanted = [
      ...derived.runs.map((r) => `sew:${r.join.id}`),
      ...derived.fittings.map((f) => `set:${f.fitting.id}`),
      ...derived.panels.filter((p) => p.role !== 'guide').map((p) => `cut:${p.id}`),
    ]
    for (const id of wanted) expect(done).toContain(id)
    for (const { panel, stock } of derived.edges.filter((w) => w.panel.role !== 'guide' && w.stock)) {
      for (const band of panel.bands.filter(
        (b) => b.planned && Math.min(b.start, b.end) < stock!.thickness - 0.011,
      ))
        expect(done.filter((id) => id === `skive:${band.key}` || id === `groove:${band.key}`)).toHaveLength(1)
      const finished = tasks
        .filter((t) => t.id.startsWith(`edge:${panel.id}:`))
        .flatMap((t) => t.touches.flatMap((x) => x.edges ?? []))
      expect(finished).toHaveLength(new Set(finished).size)
      for (const { id, fate } of panel.edges)
        if ('finish' in fate && fate.finish !== 'left' && !('inside' in fate && fate.inside))
          expect(finished, `${panel.id} ${id}`).toContain(id)
    }
  })

  it('takes as long for cutting, gluing and sewing as the time at the bench says', () => {
    const { master, edges, runs, design } = derived
    const { parts } = benchTime(
      { master, edges, runs, speed: design.habits, machine: design.machine },
      reckoner({}),
    )
    const [cut, skive, , glue, sew] = parts.map((p) => p.value)
    const { setUp } = design.work.ways
    const taken = (sorts: readonly string[]): number =>
      steps.steps.filter((s) => sorts.includes(s.sort)).reduce((sum, s) => sum + s.minutes.value - setUp, 0)
    expect(taken(['cut', 'straps'])).toBeCloseTo(cut!, 0)
    expect(taken(['skive'])).toBeCloseTo(skive!, 0)
    if (master.joins.every((j) => runs.some((r) => r.join.id === j.id && r.times === 1)))
      expect(taken(['glue'])).toBeCloseTo(glue!, 0)
    expect(Math.abs(taken(['sew', 'machine', 'holes', 'strike']) - sew!)).toBeLessThan(0.6)
  })

  it('takes as long altogether as the time at the bench says that is weighed and charged', () => {
    const { total, parts } = figuresOf(derived).time
    expect(total.value).toBeCloseTo(
      steps.steps.reduce((sum, s) => sum + s.minutes.value, 0),
      6,
    )
    expect(parts.find((p) => p.key === 'time.rest')!.value).toBeGreaterThan(0)
  })

  it('sews nothing that something already held covers, and thins, punches and turns no piece that is held', () => {
    expect(faultsOfAssembly(derived, steps.steps)).toEqual([])
  })

  it('takes any order within the reasons, as it was put, and names the reason against any other', () => {
    const ids = steps.steps.map((s) => s.id)
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), {
          minLength: ids.length,
          maxLength: ids.length,
        }),
        (ranks) => {
          const order = ordered(ids, steps.reasons, (id) => ranks[ids.indexOf(id)]!)
          expect(against(order, steps.reasons, [])).toEqual([])
          const put = { ...derived, design: { ...derived.design, work: { ...derived.design.work, order } } }
          const so = stepsOf(put).steps
          expect(so.map((s) => s.id)).toEqual(order)
          expect(faultsOfAssembly(derived, so)).toEqual([])
        },
      ),
      { numRuns: many(3, 12) },
    )
    for (const reason of steps.reasons.slice(0, 12)) {
      const order = ids.filter((id) => id !== reason.then)
      order.splice(order.indexOf(reason.first), 0, reason.then)
      const [against1] = [against(order, steps.reasons, []).map((r) => `${r.first} > ${r.then}`)]
      expect(against1).toContain(`${reason.first} > ${reason.then}`)
      expect(against(order, steps.reasons, against1)).toEqual([])
    }
  })

  it('asks once for each thing that is put out of reach, before the first step that does so', () => {
    const calls = steps.steps.flatMap((s) => lastCalls(s.id, steps).map((c) => ({ ...c, before: s.id })))
    expect(new Set(calls.map((c) => c.step)).size).toBe(calls.length)
    for (const c of calls) expect(inStep.get(c.step)!).toBeLessThan(inStep.get(c.before)!)
  })

  it('makes twelve with the tools laid out once', () => {
    const twelve = stepsOf(derived, 12)
    expect(twelve.steps.map((s) => s.id)).toEqual(steps.steps.map((s) => s.id))
    const { setUp } = derived.design.work.ways
    twelve.steps.forEach((s, i) => {
      const one = steps.steps[i]!.minutes.value - setUp
      const once = ['bar', 'pattern', 'mockUp'].includes(s.sort)
      expect(s.minutes.value).toBeCloseTo((once ? 1 : 12) * one + setUp, 6)
    })
  })
})

describe.each(madeKinds)('any %s', (kind) => {
  it('can be made in some order, but for seams that the Seams tell of, and is put together without a fault', () => {
    fc.assert(
      fc.property(anyDesign(kind), (design) => {
        let derived: Derived
        try {
          derived = derivedOf(design)
          void derived.pieces
        } catch {
          // What can't be drawn is told elsewhere.
          return
        }
        const { steps, circles } = stepsOf(derived)
        const stuck = sewingOrder(derived.runs, derived.works).stuck.length > 0
        if (!stuck)
          expect(circles.map((c) => c.pairs.map((p) => `${p.first} > ${p.then}: ${p.why}`))).toEqual([])
        if (circles.length === 0) expect(faultsOfAssembly(derived, steps)).toEqual([])
        for (const s of steps)
          expect(Number.isFinite(s.minutes.value) && s.minutes.value >= 0, s.id).toBe(true)
      }),
      { numRuns: many(4, 40) },
    )
  })
})
