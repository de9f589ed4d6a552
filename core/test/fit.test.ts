import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { type Design, applyEdit } from '@drumlin/core/design'
import { fitToIron, freedomsOf, holesChanged } from '@drumlin/core/fit'
import { pointDistance } from '../src/geometry/index.js'
import { lengthsOf } from '../src/fit/wishes.js'
import { flattened, missedBy } from '../src/fit/model.js'
import { trueMisses } from '../src/fit/index.js'
import { demo, demoWith, withValues } from './support/designs.js'
import { drawingOf, panelOf, withFate } from './support/drawing.js'

const allowing = (design: Design, by: Record<string, number>) =>
  freedomsOf(derive(design)).flatMap((freedom) =>
    Object.hasOwn(by, freedom.id) ? [{ freedom, by: by[freedom.id]! }] : [],
  )

/** Counts again with nothing of what fitted: straight from the holes as they lie. */
function counted(derived: Derived, play: number, clearance: number): string[] {
  const wrong: string[] = []
  for (const run of derived.runs) {
    const gaps = run.holes.slice(1).map((h, i) => pointDistance(h.at, run.holes[i]!.at))
    for (const gap of gaps)
      if (Math.abs(gap / derived.design.iron.pitch - 1) > play + 1e-6) wrong.push(`${run.join.id} gap ${gap}`)
    for (const step of run.steps.filter((s) => s.open))
      for (const h of run.holes)
        if (Math.abs(h.distance - step.distance) < clearance - 1e-6) wrong.push(`${run.join.id} step`)
    const twin = derived.runs.find((r) => r.join.id === run.join.twin)
    if (twin && twin.holes.length !== run.holes.length) wrong.push(`${run.join.id} twin`)
  }
  return wrong
}

describe('fitting to the iron', () => {
  test('what fits already is left alone', () => {
    const fitted = fitToIron(demo(), { allowed: allowing(demo(), { reveal: 1 }), play: 0.04, clearance: 1 })
    expect(fitted).toMatchObject({ moved: [], edit: undefined, left: [], tried: 1 })
  })
  // A reveal that is no whole number of pitches puts holes beside steps.
  test.each([11.3, 12.7, 13.4])(
    'a reveal of %s is brought clear of the steps; every hole counted again',
    (reveal) => {
      const design = withValues(demo(), { 'params.reveal': reveal })
      expect(counted(derive(design), 0.04, 1)).not.toEqual([])
      const heard: number[] = []
      const asked = { allowed: allowing(design, { reveal: 1.5, margin: 0.3 }), play: 0.04, clearance: 1 }
      const fitted = fitToIron(design, asked, (tried) => heard.push(tried))
      expect(fitted.left).toEqual([])
      const edited = applyEdit(design, fitted.edit!)
      if (!edited.ok) throw new Error(edited.why)
      expect(counted(derive(edited.design), 0.04, 1)).toEqual([])
      for (const { freedom, to } of fitted.moved)
        expect(Math.abs(to - freedom.now)).toBeLessThanOrEqual(1.5 + 1e-9)
      expect(heard.at(-1)).toBe(fitted.tried)
    },
  )
  test('before and after: only runs whose holes can be told apart, with how near a step they come', () => {
    const before = demoWith({ 'params.reveal': 12.7 })
    const changed = holesChanged(before, demoWith({}))
    const outer = changed.find((c) => c.run.join.id === 'outer-left')!
    const min = (d: Derived): number => {
      const run = d.runs.find((r) => r.join.id === 'outer-left')!
      const gaps = run.steps
        .filter((s) => s.open)
        .flatMap((s) => run.holes.map((h) => Math.abs(h.distance - s.distance)))
      return Math.min(...gaps)
    }
    expect(outer.before.step).toBeCloseTo(min(before), 9)
    expect(outer.after!.step).toBeCloseTo(min(demoWith({})), 9)
    expect(holesChanged(before, before)).toEqual([])
  })
  test('the change is no larger than it has to be: half of it does not do', () => {
    const design = withValues(demo(), { 'params.reveal': 12.7 })
    const fitted = fitToIron(design, { allowed: allowing(design, { reveal: 1.5 }), play: 0.04, clearance: 1 })
    const { freedom, to } = fitted.moved[0]!
    const half = withValues(design, { 'params.reveal': freedom.now + (to - freedom.now) / 2 })
    expect(counted(derive(half), 0.04, 1)).not.toEqual([])
  })
  test('where nothing does it says which wish stands in the way, what play would do, and what comes nearest', () => {
    const fitted = fitToIron(demo(), {
      allowed: allowing(demo(), { margin: 0.2 }),
      play: 0.0005,
      clearance: 1,
    })
    expect(fitted.left.every((m) => m.wish === 'pitch')).toBe(true)
    expect(fitted.left.length).toBeGreaterThan(0)
    expect(fitted.clash.find((c) => c.wish === 'pitch')).toEqual({ wish: 'pitch', helps: true })
    expect(fitted.clash.find((c) => c.wish === 'counts')!.helps).toBe(false)
    expect(fitted.playNeeded).toBeGreaterThan(0.0005)
    const enough = fitToIron(demo(), {
      allowed: allowing(demo(), { margin: 0.2 }),
      play: fitted.playNeeded!,
      clearance: 1,
    })
    expect(enough.left).toEqual([])
  })
  test('nothing may move: nothing is moved, and it says what is missed', () => {
    const design = withValues(demo(), { 'params.reveal': 11.3 })
    const fitted = fitToIron(design, { allowed: [], play: 0.04, clearance: 1 })
    expect(fitted.edit).toBeUndefined()
    expect(fitted.left.map((m) => m.wish)).toContain('steps')
  })
  test('what is reckoned from lengths alone is what the holes themselves say', () => {
    for (const reveal of [11.3, 12, 12.7, 13.4])
      for (const cornerSchool of ['hole', 'straddled'] as const) {
        const derived = demoWith({
          'params.reveal': reveal,
          'params.corner': 0,
          'habits.cornerSchool': cornerSchool,
        })
        const limits = { play: 0.01, clearance: 1.2 }
        const runs = lengthsOf(derived)
        const out = { pitch: 0, steps: 0, counts: 0, off: 0 }
        missedBy(runs, flattened(runs), limits, out)
        const truly = trueMisses(derived, limits)
        const sum = (wish: string) => truly.filter((m) => m.wish === wish).reduce((n, m) => n + m.by, 0)
        expect(out.pitch).toBeCloseTo(sum('pitch'), 6)
        expect(out.steps).toBeCloseTo(sum('steps'), 6)
      }
  })
  test('edges tied by the drawing come to as many holes when an end of one may move', () => {
    const sewn = { type: 'sewn' as const, margin: 3, finish: 'left' as const }
    const panel = (id: string, width: number, edge: string) =>
      withFate(panelOf('rectangle', { width, height: 60 }, { id, name: id }), sewn, edge)
    const [first, second] = [
      { panel: 'first', edge: 'top' },
      { panel: 'second', edge: 'foot' },
    ]
    const ties = [{ id: 'tie', type: 'equal', when: 'warn', first, second }]
    const design = withValues(drawingOf([panel('first', 90, 'top'), panel('second', 96, 'foot')]), { ties })
    const runs = (d: Design) => derive(d).runs.map((r) => r.holes.length)
    expect(new Set(runs(design)).size).toBe(2)
    const end = freedomsOf(derive(design)).find((f) => f.sort === 'end' && f.id.includes('second'))!
    const fitted = fitToIron(design, { allowed: [{ freedom: end, by: 6 }], play: 0.04, clearance: 1 })
    expect(fitted.left).toEqual([])
    const edited = applyEdit(design, fitted.edit!)
    if (!edited.ok) throw new Error(edited.why)
    expect(new Set(runs(edited.design)).size).toBe(1)
  })
})
