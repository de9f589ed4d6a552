import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive, hangingOf, packedRooms } from '@drumlin/core/derived'
import { applyEdit, setField } from '@drumlin/core/design'
import { STARTER_STORES } from '../src/stores/index.js'
import { freshOf } from './support/designs.js'

describe('a second compartment', () => {
  const thing = (id: string) => STARTER_STORES.things.find((t) => t.id === id)!
  const holding = (where: 'body' | 'outer', params: Readonly<Record<string, unknown>> = {}) => {
    const bag = freshOf('flap-bag', {
      outer: 'straight',
      wide: 330,
      high: 280,
      outerWide: 260,
      outerHigh: 170,
      outerDeep: 25,
      ...params,
    })
    const put = applyEdit(
      bag,
      setField('put in', ['contents'], [{ thing: thing('notebook-a5'), count: 1, where }]),
    )
    if (!put.ok) throw new Error(JSON.stringify(put))
    return derive(put.design)
  }
  test('takes what is put into it, and the body does not', () => {
    const [inside, front] = [holding('body'), holding('outer')]
    expect(packedRooms(inside).map((r) => r.packing.packed.length)).toEqual([1, 0])
    expect(packedRooms(front).map((r) => r.packing.packed.length)).toEqual([0, 1])
    expect(packedRooms(front)[1]!.packing.fits).toBe(true)
    // By pencil: 260 − 2 × gusset, 170 − gusset, 25.
    const t = front.design.leathers.gusset!.thickness
    const { second } = front.master.room!
    expect([second!.wide.value, second!.high.value, second!.deep.value]).toEqual([260 - 2 * t, 170 - t, 25])
  })
  test('what is in front tips the bag forward', () => {
    const tilt = (d: ReturnType<typeof derive>): number => hangingOf(d)[0]!.tilt
    expect(tilt(holding('outer', { handle: 'flat', handles: 1 }))).toBeGreaterThan(
      tilt(holding('body', { handle: 'flat', handles: 1 })) + 0.5,
    )
  })
  test('too small it is told by its name, and the way out makes it larger', () => {
    const small = holding('outer', { outerHigh: 90 })
    const found = findingsOf(small).filter((f) => f.code === 'contents-fit')
    expect(found.map((f) => sayFinding(f, 'mm').what).join()).toMatch(/to the outer compartment needs/)
    const made = found.reduce((design, f) => {
      const [fix] = fixesOf(f, small, 'mm')
      const after = applyEdit(design, fix!.edit)
      return after.ok ? after.design : design
    }, small.design)
    expect(findingsOf(derive(made)).filter((f) => f.code === 'contents-fit')).toEqual([])
  })
  test('taken away, what was in it is in the body', () => {
    const bag = holding('outer', { outer: 'none' })
    expect(packedRooms(bag).map((r) => r.packing.packed.length)).toEqual([1])
  })
})
