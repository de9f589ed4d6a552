import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { setField } from '@drumlin/core/design'
import { boxWidth, pathBox } from '@drumlin/core/geometry'
import { stepsOf } from '@drumlin/core/steps'
import { leatherAt, splitFrom } from '../src/stores/index.js'
import { done, freshOf } from './support/designs.js'

const tote = freshOf('tote')
const body = tote.leathers.body!
const at = (thickness: number) =>
  derive(done(tote, setField('body', ['leathers', 'body'], leatherAt(body, thickness))))

describe('a leather written thinner than it comes', () => {
  test('is split from the middle of its weight; a thin spot of it is not', () => {
    const { low, high } = body.weight
    expect(splitFrom(leatherAt(body, low - 0.4))).toBeCloseTo((low + high) / 2, 9)
    expect(splitFrom(leatherAt(body, low - 0.1))).toBeUndefined()
    expect(splitFrom(leatherAt(body, high + 1))).toBeUndefined()
    expect(splitFrom({ ...body, use: 'low' })).toBeUndefined()
  })
  test('its pieces are cut rough, 5 mm bigger all round, and stand so on the pattern', () => {
    const derived = at(body.weight.low - 0.4)
    const front = derived.pieces.find((p) => p.id === 'front')!
    const block = front.marks.find((m) => m.type === 'block')
    expect(block).toMatchObject({ by: 5 })
    const path = block?.type === 'block' ? block.path : front.cut
    expect(boxWidth(pathBox(path))).toBeCloseTo(boxWidth(pathBox(front.cut)) + 10, 3)
    expect(front.thickness).toBeCloseTo(body.weight.low - 0.4, 9)
    expect(at(body.thickness).pieces.some((p) => p.marks.some((m) => m.type === 'block'))).toBe(false)
  })
  test('they are cut rough, split, cut true and only then marked', () => {
    const { steps, circles } = stepsOf(at(body.weight.low - 0.4))
    expect(circles).toEqual([])
    const first = (id: string) => steps.findIndex((s) => s.rows.some((r) => r.task === id))
    const order = ['rough:front', 'split:front', 'cut:front', 'mark:front'].map(first)
    expect(order.every((n) => n >= 0)).toBe(true)
    expect(order).toEqual(order.toSorted((a, b) => a - b))
  })
})
