import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { sortOf } from '@drumlin/core/added'
import { designSchema, putOn, setField } from '@drumlin/core/design'
import { boxHeight, boxWidth, pathBox, pathEnd, pointDistance } from '@drumlin/core/geometry'
import type { Panel } from '@drumlin/core/master'
import { stepsOf } from '@drumlin/core/steps'
import { gapsOf } from '@drumlin/core/space'
import { STARTER_STORES } from '../src/stores/index.js'
import { upToDate } from '../src/design/versions.js'
import { done, freshOf, sizeOf } from './support/designs.js'

const panel = (derived: Derived, id: string): Panel => derived.panels.find((p) => p.id === id)!
const said = (derived: Derived) => findingsOf(derived).map((f) => sayFinding(f, 'mm').what)
const of = (kind: string, params: Readonly<Record<string, unknown>>) => derive(freshOf(kind, params))

describe('a handle by the hand that carries it', () => {
  const derived = of('briefcase', { handle: 'doubled', handleBy: 'hand', handBroad: 90, handThick: 30 })
  test('spans the palm and 10 on either side, clears the hand by 20', () => {
    expect([sizeOf(derived, 'handle.span'), sizeOf(derived, 'handle.rise')]).toEqual([110, 50])
    // An arc over a chord of 110, 50 high: its radius (110² / 4 + 50²) / (2 × 50) = 55.25.
    const [r, t] = [55.25, 2 * derived.design.leathers.straps!.thickness]
    const angle = 2 * Math.atan2(55, r - 50)
    const k = derived.design.leathers.straps!.neutral
    expect(sizeOf(derived, 'handle.arc')).toBeCloseTo(angle * (r + k * t), 6)
  })
  test('by its own sizes it is what those say', () => {
    const own = of('briefcase', { handle: 'doubled', handleBy: 'rise', handleSpan: 110, handleRise: 50 })
    expect(sizeOf(own, 'handle.arc')).toBeCloseTo(sizeOf(derived, 'handle.arc'), 9)
    expect(own.master.sizes.some((s) => s.size.key === 'handle.span')).toBe(false)
  })
})

test('a handle between rings lies double: once round outside, once back inside, its ends meeting in the middle', () => {
  const derived = of('briefcase', { handle: 'ring', handleBy: 'hand', handBroad: 90, handThick: 30 })
  const { thickness: t, neutral: k } = derived.design.leathers.straps!
  const angle = 2 * Math.atan2(55, 55.25 - 50)
  // Inside layer and outside layer, each by the radius it bends at: k t, and t + k t, out from the clear height.
  const layers = [k * t, t + k * t].reduce((sum, out) => sum + angle * (55.25 + out), 0)
  expect(sizeOf(derived, 'handle.length') - 2 * sizeOf(derived, 'handle.back')).toBeCloseTo(layers, 6)
})

describe('a filler between the layers of a handle', () => {
  const [filled, flat] = [4, 0].map((handleFill) =>
    of('tote', { handle: 'doubled', handleFill, handleWide: 25, margin: 4 }),
  )
  test('lies between its rows, as long as what is free of it', () => {
    // 25 − 2 × (4 + 2)
    expect(sizeOf(filled!, 'handle.filler.wide')).toBe(13)
    // Where the layers begin to go over it they need 4 at either end.
    expect(sizeOf(filled!, 'handle.filler.long')).toBeCloseTo(sizeOf(filled!, 'handle.arc') - 8, 9)
    expect(panel(filled!, 'handle-filler').stock?.thickness).toBe(4)
    const rows = filled!.runs.filter((r) => r.join.id.startsWith('handle-front-edge'))
    for (const r of rows) expect(r.join.through.some((s) => s.includes('filler'))).toBe(false)
  })
  test('makes the arc longer: its middle lies further out', () => {
    expect(sizeOf(filled!, 'handle.arc')).toBeGreaterThan(sizeOf(flat!, 'handle.arc'))
    expect(flat!.panels.some((p) => p.id === 'handle-filler')).toBe(false)
  })
  test('asks for an upper layer that is wider over it, as wide as the other where its ends are sewn on', () => {
    // √(2² + 4²) − 2 = 2.47 at either edge.
    const over = Math.sqrt(20) - 2
    expect(sizeOf(filled!, 'handle.over')).toBeCloseTo(over, 9)
    const [upper, under] = ['handle', 'handle-under'].map((id) => pathBox(panel(filled!, id).outline))
    expect(boxHeight(upper!)).toBeCloseTo(25 + 2 * over, 9)
    expect(boxHeight(under!)).toBe(25)
    expect(boxWidth(upper!)).toBe(boxWidth(under!))
    const row = filled!.runs.find((r) => r.join.id === 'handle-front-edge-1')!
    expect(row.other!.holes.length).toBe(row.holes.length)
    // Holes of either layer as far from its own edge.
    const ys = ['handle', 'handle-under'].map((id) =>
      Math.min(...filled!.pieces.find((p) => p.id === id)!.holes.map((h) => h.at.y)),
    )
    expect(ys[0]).toBeCloseTo(4, 6)
    expect(ys[1]).toBeCloseTo(4, 6)
    expect(said(filled!).join()).not.toContain('filler')
    // One of 1.5 loses half a millimetre: both are cut alike.
    const thin = of('tote', { handle: 'doubled', handleFill: 1.5, handleWide: 25, margin: 4 })
    expect(thin.panels.some((p) => p.id === 'handle-under')).toBe(false)
  })
  test('riveted, has the holes of its rivets in both of its layers', () => {
    const riveted = of('tote', {
      handle: 'doubled',
      handleFill: 4,
      handleWide: 25,
      margin: 4,
      handleFix: 'riveted',
    })
    const punched = (id: string) =>
      riveted.pieces.find((p) => p.id === id)!.marks.filter((m) => m.type === 'set')
    expect(punched('handle').length).toBeGreaterThan(0)
    expect(punched('handle-under').length).toBe(punched('handle').length)
  })
  test('between rings, where one strip is both layers, is told instead', () => {
    const ring = of('tote', { handle: 'ring', handleFill: 4, handleWide: 25, margin: 4 })
    expect(said(ring).join()).toContain('the upper half of the handle needs 2.5 mm more at each edge')
  })
  test('is glued in before the rows are sewn', () => {
    const { steps } = stepsOf(filled!)
    const at = (what: string) => steps.findIndex((s) => s.rows.some((r) => r.task.startsWith(what)))
    expect(at('lay:handle-filler')).toBeGreaterThan(-1)
    expect(at('lay:handle-filler')).toBeLessThan(at('sew:handle-front-edge-1'))
  })
})

describe('what lies double under its own rows', () => {
  const stacks = (derived: Derived, id: string) =>
    derived.runs.filter((r) => r.join.id.startsWith(id)).map((r) => r.thickest)
  test('a strip between rings: its ends are sewn to its middle, a stitch across the place where they meet', () => {
    const derived = of('tote', { handle: 'ring' })
    const t = derived.design.leathers.straps!.thickness
    for (const stack of stacks(derived, 'handle-front-edge')) expect(stack).toBeCloseTo(2 * t, 9)
    const row = derived.runs.find((r) => r.join.id === 'handle-front-edge-1')!
    expect(row.holes.length % 2).toBe(0)
    // Rows on the middle half and on both ends, alike at both edges.
    const holes = derived.pieces.find((p) => p.id === 'handle')!.holes
    expect(holes.length).toBe(4 * row.holes.length)
  })
  test('the cover round a cord: its edges are sewn to each other in one row', () => {
    const derived = of('tote', { handle: 'rolled' })
    const rows = derived.runs.filter((r) => r.join.id.startsWith('handle-front-edge'))
    expect(rows.length).toBe(1)
    expect(rows[0]!.thickest).toBeCloseTo(2 * derived.design.leathers.straps!.thickness, 9)
  })
  test('the turned end of a strap', () => {
    const derived = of('flap-bag', { strap: 'shoulder', strapEnds: 'hooks' })
    const t = derived.design.leathers.straps!.thickness
    for (const stack of stacks(derived, 'strap-long-start')) expect(stack).toBeCloseTo(2 * t, 9)
    // Folded about the middle of its bend the holes of the end come to lie on those of the strap.
    const long = derived.pieces.find((p) => p.id === 'strap-long')!
    const fold = (sizeOf(derived, 'strap.back') + Number(derived.design.params.lap)) / 2
    const ys = long.holes.map((h) => h.at.y)
    for (const y of ys) expect(Math.min(...ys.map((o) => Math.abs(2 * fold - y - o)))).toBeLessThan(0.01)
  })
})

describe('a shoulder strap on swivel hooks', () => {
  const [hooked, fixed] = ['hooks', 'fixed'].map((strapEnds) =>
    of('flap-bag', { strap: 'shoulder', strapEnds }),
  )
  test('is shorter by both hooks, its ends turned round their bars', () => {
    const hook = hooked!.design.hardware.hook!
    const { thickness, neutral } = hooked!.design.leathers.straps!
    const lap = Number(hooked!.design.params.lap)
    expect(sizeOf(hooked!, 'strap.usual')).toBeCloseTo(sizeOf(fixed!, 'strap.usual') - 2 * hook.high, 9)
    expect(sizeOf(hooked!, 'strap.back')).toBeCloseTo(Math.PI * (hook.bar / 2 + neutral * thickness) + lap, 9)
  })
  test('takes two hooks, each in before its end is sewn', () => {
    const hooks = hooked!.fittings.filter((f) => f.fitting.role === 'hook')
    expect(hooks.map((f) => f.fitting.before)).toEqual(['strap-long-start-1', 'strap-short-start-1'])
    expect(fixed!.fittings.some((f) => f.fitting.role === 'hook')).toBe(false)
  })
  test('a hook too narrow for the strap is told', () => {
    const narrow = done(
      freshOf('flap-bag', { strap: 'shoulder', strapEnds: 'hooks', strapWide: 40 }),
      setField('x', ['hardware', 'hook', 'across'], 25),
    )
    expect(said(derive(narrow)).join()).toContain('the leather that goes through the swivel hook')
  })
})

describe('a pad that slides on a shoulder strap', () => {
  const padded = of('flap-bag', { strap: 'shoulder', strapPad: 'pad', strapWide: 35 })
  const slots = panel(padded, 'pad').marks!.filter((m) => m.type === 'slot')
  test('has a slot at either end as long as the strap asks, and no glue between them', () => {
    expect(slots.map((m) => m.length)).toEqual([39, 39])
    const high = boxHeight(pathBox(panel(padded, 'pad').outline))
    expect(pointDistance(slots[0]!.at, slots[1]!.at)).toBeCloseTo(high - 44, 9)
    const window = panel(padded, 'pad').marks!.find((m) => m.type === 'window')!
    expect(window).toMatchObject({ length: high - 44, width: 39 })
    expect(boxWidth(pathBox(panel(padded, 'pad').outline))).toBe(35 + 22)
  })
  test('is sewn all round through its two layers, the strap drawn through afterwards', () => {
    const round = padded.runs.find((r) => r.join.id === 'pad-round')!
    expect(round.join.through).toEqual(['pad', 'pad-under'])
    expect(said(padded).join()).not.toContain('can’t be reached')
  })
})

describe('ends of a gusset below the top edges', () => {
  const [low, level] = [25, 0].map((gussetLow) =>
    of('flap-bag', { body: 'wrap', gussetLow, radius: 30, divider: 'one', strap: 'shoulder' }),
  )
  test('the strip is that much shorter at either end, its seams begin there', () => {
    const long = (d: Derived) => boxWidth(pathBox(panel(d, 'gusset').outline))
    expect(long(level!) - long(low!)).toBeCloseTo(50, 6)
    const first = (d: Derived) =>
      Math.min(...d.runs.find((r) => r.join.id === 'front-seam')!.holes.map((h) => h.at.y))
    expect(first(low!) - first(level!)).toBeCloseTo(25, 1)
  })
  test('it is marked on front, back and gusset where its ends come', () => {
    const letters = (id: string) =>
      low!.pieces.find((p) => p.id === id)!.marks.filter((m) => JSON.stringify(m).includes('"notch"')).length
    const before = level!.pieces
      .find((p) => p.id === 'front')!
      .marks.filter((m) => JSON.stringify(m).includes('"notch"')).length
    expect(letters('front')).toBe(before + 2)
  })
  test('the same holes on both sides, all seams meet in the round', () => {
    for (const id of ['front-seam', 'back-seam']) {
      const run = low!.runs.find((r) => r.join.id === id)!
      expect(run.other!.holes.length).toBe(run.holes.length)
    }
    // A pocket with fullness stands off on purpose; turned ends of a strap are not shown turned.
    for (const gap of gapsOf(low!.master, low!.runs, low!.works[0]!, 1))
      if (!/^pocket|^strap/.test(gap.run)) expect(gap.max, gap.name).toBeLessThan(1.8)
  })
  test('the divider stays where it was, its tabs sewn from the gusset’s ends down', () => {
    const [was, now] = [level!, low!].map((d) => d.runs.find((r) => r.join.id === 'divider-right')!)
    expect(now!.holes.length).toBeLessThan(was!.holes.length)
    expect(Math.max(...now!.holes.map((h) => h.at.y))).toBeCloseTo(
      Math.max(...was!.holes.map((h) => h.at.y)),
      0,
    )
  })
  test('never into the corners', () => {
    const deep = of('flap-bag', { body: 'wrap', gussetLow: 80, high: 90, radius: 40 })
    const cut = boxWidth(pathBox(panel(deep, 'gusset').outline))
    expect(cut).toBeGreaterThan(sizeOf(deep, 'gusset.length') - 2 * 80)
  })
})

describe('what a boxed corner and a hem ask', () => {
  test('a hole at the end of each snip, off the stitch lines by its own half', () => {
    const boxed = of('tote', { body: 'boxed', cornerHole: 4 })
    const marks = panel(boxed, 'front').marks!
    const holes = marks.filter((m) => m.type === 'hole')
    expect(holes.map((m) => m.punch)).toEqual([4, 4])
    const cuts = marks.find((m) => m.type === 'cuts')!
    holes.forEach((m, i) => expect(pointDistance(m.at, pathEnd(cuts.paths[i]!))).toBe(0))
    expect(panel(of('tote', { body: 'boxed' }), 'front').marks!.some((m) => m.type === 'hole')).toBe(false)
  })
  test('a hem thinned over its whole width', () => {
    const hem = (hemSkive: string) =>
      panel(of('rucksack', { top: 'rolled', hemSkive }), 'front') ??
      panel(of('rucksack', { top: 'rolled', hemSkive }), 'body')
    const school = (p: Panel) => p.edges.flatMap((e) => (e.fate.type === 'rolled' ? [e.fate.school] : []))
    expect(new Set(school(hem('even')))).toEqual(new Set(['even']))
    expect(new Set(school(hem('feather')))).toEqual(new Set(['feather']))
  })
})

test('a design of version 11 is what it was: no pad on a shoulder strap that had none, a cover of no lock', () => {
  const now = ['lock', 'tab'].reduce(
    (so, sort) => done(so, putOn(so, sortOf(sort), panel(derive(so), 'front'), STARTER_STORES)),
    freshOf('flap-bag', { strap: 'shoulder', strapPad: 'none' }),
  )
  const without = (of: object, ...ids: readonly string[]) =>
    Object.fromEntries(Object.entries(of).filter(([id]) => !ids.includes(id)))
  const before = (id: string, ...ids: readonly string[]) => ({
    ...now.added[id]!,
    params: without(now.added[id]!.params, ...ids),
  })
  const eleven = {
    ...now,
    version: 11,
    params: {
      ...without(now.params, 'gussetLow', 'cornerHole', 'hemSkive', 'handleBy', 'handBroad', 'handThick'),
      strapPad: 'pad',
    },
    hardware: without(now.hardware, 'hook', 'added-2-hook', 'added-2-buckle'),
    leathers: without(now.leathers, 'added-1-cover'),
    added: {
      'added-1': before('added-1', 'cover', 'past', 'margin'),
      'added-2': before('added-2', 'holds', 'tongue'),
    },
  }
  expect(designSchema.parse(upToDate(eleven, 11))).toEqual(now)
})
