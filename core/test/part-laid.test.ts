import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { SORTS, handlesOf, placeSaid, sortOf, whereFrom } from '@drumlin/core/added'
import { derive } from '@drumlin/core/derived'
import { type Design, layPart, putOn, setField } from '@drumlin/core/design'
import { type Point, pointDistance } from '@drumlin/core/geometry'
import { STARTER_STORES } from '../src/stores/index.js'
import { anyDesign, madeKinds } from './support/all.js'
import { done, freshOf } from './support/designs.js'
import { many } from './support/long.js'

const FREELY = { which: 0, step: 0.1, middle: 0 } as const
const panelOf = (design: Design, id: string) => derive(design).panels.find((p) => p.id === id)!

/** A tote with a patch so far in from the top of its front, in its middle. */
function patched(values: Readonly<Record<string, unknown>> = {}): Design {
  const tote = freshOf('tote')
  const on = done(tote, putOn(tote, sortOf('patch'), panelOf(tote, 'front'), STARTER_STORES, { edge: 'top' }))
  return Object.entries(values).reduce(
    (so, [path, value]) => done(so, setField('test', ['added', 'added-1', ...path.split('.')], value)),
    on,
  )
}
const laid = (design: Design, to: Point, how: Parameters<typeof layPart>[4] = FREELY) =>
  done(design, layPart(design, 'added-1', panelOf(design, 'front'), to, how)).added['added-1']!
const handle = (design: Design, which = 0) => handlesOf(design.added, panelOf(design, 'front'))[which]!

describe('a part taken hold of', () => {
  test('30 mm further down is so much farther in from the top, and as much aside as it is dragged aside', () => {
    const design = patched({ inward: 40 })
    const { at } = handle(design)
    expect(laid(design, { x: at.x, y: at.y + 30 })).toMatchObject({ inward: 70, aside: 0 })
    expect(laid(design, { x: at.x + 12.34, y: at.y })).toMatchObject({ inward: 40, aside: 12.3 })
    expect(laid(design, { x: at.x - 12.34, y: at.y })).toMatchObject({ inward: 40, aside: -12.3 })
  })
  test('lies at whole steps, and in the middle of its edge near that', () => {
    const design = patched({ inward: 40 })
    const { at } = handle(design)
    const steps = { which: 0, step: 0.5, middle: 3 } as const
    expect(laid(design, { x: at.x + 2.9, y: at.y + 0.3 }, steps)).toMatchObject({ inward: 40.5, aside: 0 })
    expect(laid(design, { x: at.x + 3.3, y: at.y + 0.2 }, steps)).toMatchObject({ inward: 40, aside: 3.5 })
  })
  test('the other of two mirrored ones is dragged as it is seen', () => {
    const design = patched({ inward: 40, aside: 50, both: 'mirrored' })
    const [one, other] = [handle(design), handle(design, 1)]
    expect(one.at.x - other.at.x).toBeCloseTo(100, 6)
    const to = { x: other.at.x - 10, y: other.at.y }
    expect(laid(design, to, { ...FREELY, which: 1 })).toMatchObject({ aside: 60 })
  })
  test('stays within what can be asked for', () =>
    expect(laid(patched(), { x: 9000, y: -9000 })).toMatchObject({ inward: -100, aside: 2000 }))
  test('what goes along an edge is not dragged; what stands on one only along it', () => {
    const tote = freshOf('tote')
    const front = panelOf(tote, 'front')
    const on = (sort: string) => done(tote, putOn(tote, sortOf(sort), front, STARTER_STORES, { edge: 'top' }))
    expect(handlesOf(on('skive').added, front)).toEqual([])
    const design = on(SORTS.find((s) => s.takes === 'rim')!.id)
    const { changes } = layPart(design, 'added-1', front, { x: 40, y: 80 }, FREELY)
    expect(changes.map((c) => c.path.at(-1))).toEqual(['aside'])
  })
  test('says where it lies', () => {
    const design = patched()
    const front = panelOf(design, 'front')
    const say = (inward: number, aside: number, unit: 'mm' | 'in') =>
      placeSaid(design.added['added-1']!, front, { inward, aside }, unit)
    expect(say(30, 0, 'mm')).toBe('30.0 mm from the top edge, in its middle')
    expect(say(25.4, -12.7, 'in')).toBe('1 in from the top edge, 1/2 in to the left of its middle')
  })
  test('aside is said as the piece is drawn: along its foot it goes to the left, along its sides up or down', () => {
    const design = patched()
    const front = panelOf(design, 'front')
    const say = (edge: string, aside: number) =>
      placeSaid({ ...design.added['added-1']!, edge }, front, { inward: 0, aside }, 'mm').replace(/^.*, /, '')
    expect(['top', 'foot', 'left', 'right'].map((edge) => say(edge, 10))).toEqual([
      '10.0 mm to the right of its middle',
      '10.0 mm to the left of its middle',
      '10.0 mm above its middle',
      '10.0 mm below its middle',
    ])
    for (const edge of ['top', 'foot', 'left', 'right']) {
      const at = (aside: number) =>
        handlesOf({ a: { ...design.added['added-1']!, edge, inward: 20, aside } }, front)[0]!.at
      const by = { x: at(10).x - at(0).x, y: at(10).y - at(0).y }
      const words = say(edge, 10)
      expect(words.includes('right') ? by.x > 9 : words.includes('left') ? by.x < -9 : true).toBe(true)
      expect(words.includes('above') ? by.y < -9 : words.includes('below') ? by.y > 9 : true).toBe(true)
    }
  })
})

describe('whatever lies on whatever piece', () => {
  test.each(madeKinds)('of a %s: laid where it is, it stays there', (kind) =>
    fc.assert(
      fc.property(anyDesign(kind, 3), (design) => {
        for (const panel of derive(design).panels)
          for (const { id, which, at } of handlesOf(design.added, panel)) {
            if (which === 1) continue
            const part = design.added[id]!
            const again = { ...part, ...whereFrom(panel, part.edge, at) }
            const [there] = handlesOf({ [id]: again }, panel)
            expect(pointDistance(there!.at, at)).toBeLessThan(1e-6)
          }
      }),
      { numRuns: many(5, 100) },
    ),
  )
})
