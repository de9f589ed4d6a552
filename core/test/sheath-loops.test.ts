import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { stepsOf } from '@drumlin/core/steps'
import { freshOf, sizeOf } from './support/designs.js'

const sheath = (params: Readonly<Record<string, unknown>>) =>
  derive(freshOf('sheath', { deep: 120, balance: 115, rise: 60, belt: 40, beltThick: 4, ...params }))
const said = (derived: ReturnType<typeof sheath>): string =>
  findingsOf(derived)
    .map((f) => sayFinding(f, 'mm').what)
    .join('\n')

describe('how a sheath hangs', () => {
  // 120 in and 60 up; leaning by 15° what is above the balance lies 60 / cos 15° = 62.1 along the tool.
  test.each([
    [{ loop: 'fold' }, 180],
    [{ loop: 'wrap' }, 180],
    [{ loop: 'wrap', cant: 15 }, 120 + 62.117],
    [{ loop: 'wrap', cant: -15 }, 120 + 62.117],
  ])('%o: %d from the tip', (params, hangs) => expect(sizeOf(sheath(params), 'hangs')).toBeCloseTo(hangs, 2))

  test('a loop sewn to the back hangs by its own middle, under the mouth: the tool tips over', () => {
    const derived = sheath({ loop: 'sewn' })
    expect(sizeOf(derived, 'hangs')).toBeCloseTo(120 - 8 - sizeOf(derived, 'loop.length') / 2, 6)
    expect(said(derived)).toContain('balances above where the sheath hangs')
  })
})

describe('the loop', () => {
  test('over the mouth: twice the rise, round the belt, and both ends', () => {
    const derived = sheath({ loop: 'wrap' })
    const { neutral, thickness } = derived.design.leathers.body!
    expect(sizeOf(derived, 'loop.length')).toBeCloseTo(
      2 * 60 + Math.PI * (4 / 2 + neutral * thickness) + 2 * 16,
      6,
    )
    expect(derived.works[0]!.sheets.map((s) => s.sheet.id)).toEqual(
      ['loop-under', 'back', 'welt-1', 'welt-2', 'tool', 'front', 'loop'].filter((id) =>
        derived.works[0]!.sheets.some((s) => s.sheet.id === id),
      ),
    )
  })
  test.each(['fold', 'wrap', 'sewn'])('%s: its ends are sewn along the pull before the sides are', (loop) => {
    const derived = sheath({ loop })
    const ends = derived.runs.filter((r) => r.join.id.startsWith('loop-'))
    expect(ends.length).toBe(loop === 'fold' ? 2 : 4)
    for (const run of ends) expect(run.thickest).toBeCloseTo(2 * derived.design.leathers.body!.thickness, 6)
    const { steps, circles } = stepsOf(derived)
    expect(circles).toEqual([])
    const at = (id: string) => steps.findIndex((s) => s.rows.some((r) => r.task === `sew:${id}`))
    for (const run of ends) expect(at(run.join.id)).toBeLessThan(at('edge'))
  })
  test('a cant turns the loop, not the sheath', () => {
    const [upright, canted] = [sheath({ loop: 'wrap' }), sheath({ loop: 'wrap', cant: 15 })]
    expect(canted.panels.map((p) => p.outline)).toEqual(upright.panels.map((p) => p.outline))
    const loop = canted.works[0]!.sheets.find((s) => s.sheet.id === 'loop')!
    expect((Math.atan2(loop.sheet.move.b, loop.sheet.move.a) * 180) / Math.PI).toBeCloseTo(15, 6)
  })
})
