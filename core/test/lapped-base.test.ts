import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive, layersAlong } from '@drumlin/core/derived'
import { applyEdit } from '@drumlin/core/design'
import { gapsOf } from '@drumlin/core/space'
import { stepsOf } from '@drumlin/core/steps'
import { boxHeight, boxWidth, pathArea, pathBox } from '../src/geometry/index.js'
import { freshOf, sizeOf } from './support/designs.js'

const tote = (params: Readonly<Record<string, unknown>> = {}): Derived =>
  derive(
    freshOf('tote', { body: 'boxed', base: 'lapped', baseLap: 40, seam: 'turned', allowance: 8, ...params }),
  )
const piece = (derived: Derived, id: string) => derived.pieces.find((p) => p.id === id)!
const boxOf = (derived: Derived, id: string) => pathBox(derived.panels.find((p) => p.id === id)!.outline)
const stops = (derived: Derived) =>
  findingsOf(derived)
    .filter((f) => f.rank === 'stop')
    .map((f) => sayFinding(f, 'mm').what)

describe('a base panel that front and back end in', () => {
  const derived = tote()
  const { thickness: body } = derived.design.leathers.body!
  const { thickness: base } = derived.design.leathers.gusset!
  const [deep, wide] = [2 * sizeOf(derived, 'boxed.square'), sizeOf(derived, 'bag.wide')]
  test('is as long as the foot, both laps and once both leathers, by pencil', () => {
    expect(boxHeight(boxOf(derived, 'base-panel'))).toBeCloseTo(deep + body + base + 2 * 40, 6)
    expect(boxWidth(boxOf(derived, 'base-panel'))).toBeCloseTo(wide + 2 * 8, 6)
  })
  test('front and back have no foot: their leather is less by it', () => {
    const whole = tote({ base: 'none' })
    // Foot between the sides' folds, with its allowances: a strip each, but for what goes on under the lap.
    const less = pathArea(piece(whole, 'front').cut) - pathArea(piece(derived, 'front').cut)
    expect(Math.abs(less)).toBeGreaterThan((wide * deep) / 2 - 1)
  })
  test('is sewn on with two rows on either side, through both, before anything is closed', () => {
    const rows = derived.runs.filter((r) => r.join.id.startsWith('base-'))
    expect(rows.map((r) => r.join.id)).toEqual(['base-front-1', 'base-front-2', 'base-back-1', 'base-back-2'])
    for (const row of rows) {
      expect(layersAlong(derived, row).every((l) => l.layers.length === 2)).toBe(true)
      expect(row.other!.holes.length).toBe(row.holes.length)
    }
    const { steps } = stepsOf(derived)
    const at = (what: string) => steps.findIndex((s) => s.rows.some((r) => r.task.startsWith(what)))
    expect(at('sew:base-front-1')).toBeGreaterThan(-1)
    expect(at('sew:base-back-2')).toBeLessThan(at('sew:side-right'))
  })
  test('the T seams join its ends to the sides, as many holes on both, and nothing gapes', () => {
    const seams = derived.runs.filter((r) => r.join.id.startsWith('t-'))
    expect(seams.length).toBe(4)
    for (const t of seams) {
      expect(t.other!.sheet).toBe('base-panel')
      expect(t.other!.length).toBeCloseTo(t.length, 6)
    }
    expect(derived.runs.some((r) => r.join.id === 'foot-seam')).toBe(false)
    for (const gap of gapsOf(derived.master, derived.runs, derived.works[0]!, 1))
      if (/^base|^t-|^side/.test(gap.run)) expect(gap.max, gap.run).toBeLessThan(0.6)
  })
  test.each([
    { seam: 'raw', margin: 4 },
    { lining: 'lined' },
    { rows: 2, allowance: 10 },
    { baseLap: 120, high: 400 },
    { feet: 'feet', pocket: 'flat' },
    { flap: 'one' },
  ])('comes out in every other way of making: %o', (params) => {
    expect(stops(tote(params))).toEqual([])
  })
  test('a lap too short for two rows gets one in its middle, which is told', () => {
    const short = tote({ baseLap: 12 })
    expect(short.runs.filter((r) => r.join.id.startsWith('base-')).length).toBe(2)
    const found = findingsOf(short).find((f) => f.key === 'concern:base-one-row')!
    const [fix] = fixesOf(found, short)
    const edited = applyEdit(short.design, fix!.edit)
    if (!edited.ok) throw new Error(edited.why)
    expect(derive(edited.design).runs.filter((r) => r.join.id.startsWith('base-')).length).toBe(4)
    expect(stops(short)).toEqual([])
  })
  test('any other body is told what it needs, and a way there', () => {
    const wrapped = tote({ body: 'wrap' })
    const found = findingsOf(wrapped).find((f) => f.key === 'concern:base-needs-two-panels')!
    expect(sayFinding(found, 'mm').what).toContain('two panels with boxed corners')
    expect(
      fixesOf(found, wrapped)
        .map((f) => f.label)
        .join(),
    ).toContain('wo panels with boxed corners')
    expect(wrapped.panels.some((p) => p.id === 'base-panel')).toBe(false)
  })
})
