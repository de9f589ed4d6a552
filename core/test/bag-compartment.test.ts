import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { boxWidth, pathBox } from '@drumlin/core/geometry'
import { kindIds, kindOf } from '@drumlin/core/kinds'
import { stepsOf } from '@drumlin/core/steps'
import { freshOf, sizeOf } from './support/designs.js'

const BAGS = ['tote', 'flap-bag', 'portfolio', 'briefcase', 'rucksack']

describe('an outer compartment', () => {
  // 2 × 140 + 200 − (4 − π) × 30 = 454.25; its seams begin 2 under either top edge.
  test.each(BAGS)(
    'of a %s: its gusset is as long as what it goes round, and both seams have as many holes',
    (kind) => {
      const derived = derive(
        freshOf(kind, { outer: 'straight', outerWide: 200, outerHigh: 140, outerDeep: 25, radius: 30 }),
      )
      expect(sizeOf(derived, 'outer.gusset.length')).toBeCloseTo(454.25, 1)
      const run = (id: string) => derived.runs.find((r) => r.join.id === id)!
      for (const id of ['outer-seam', 'outer-back-seam']) {
        expect(run(id).length).toBeCloseTo(450.25, 1)
        expect(run(id).other!.holes.length).toBe(run(id).holes.length)
      }
      const gusset = derived.panels.find((p) => p.id === 'outer-gusset')!
      const margin = derived.master.joins.find((j) => j.id === 'outer-seam')!.course
      const m = margin.type === 'edges' ? margin.margin.value : 0
      const box = pathBox(gusset.outline)
      expect([boxWidth(box), box.bottom - box.top]).toEqual([
        expect.closeTo(454.25, 1),
        expect.closeTo(25 + 2 * m, 6),
      ])
    },
  )

  test.each(['straight', 'tapered'])(
    '%s: it stands with every seam meeting, and adds to the depth outside',
    (outer) => {
      for (const kind of BAGS) {
        const [bare, derived] = [derive(freshOf(kind)), derive(freshOf(kind, { outer, outerDeep: 20 }))]
        expect(findingsOf(derived).filter((f) => f.code === 'edges-apart')).toEqual([])
        expect(derived.master.outside!.deep.value).toBeCloseTo(bare.master.outside!.deep.value + 20, 6)
      }
    },
  )

  test('a flap goes over it; what shuts it is set on its front', () => {
    const params = { closure: 'snap', flapLength: 160, outerHigh: 140 }
    const [bare, derived] = [
      derive(freshOf('flap-bag', params)),
      derive(freshOf('flap-bag', { ...params, outer: 'straight', outerDeep: 25 })),
    ]
    const gusset = derived.design.leathers.gusset!.thickness
    expect(sizeOf(derived, 'flap.over') - sizeOf(bare, 'flap.over')).toBeCloseTo(25 + gusset, 6)
    expect(derived.master.fittings!.find((f) => f.id === 'closure-front')!.sheet).toBe('outer-front')
  })

  test('is sewn on before the body is closed', () => {
    const { steps } = stepsOf(derive(freshOf('flap-bag', { outer: 'tapered' })))
    const first = (id: string) => steps.findIndex((s) => s.rows.some((r) => r.task === `sew:${id}`))
    expect(first('outer-back-seam')).toBeLessThan(first('front-seam'))
    expect(first('outer-seam')).toBeLessThan(first('front-seam'))
  })
})

describe('every part in reach', () => {
  test.each(kindIds())('whatever a %s can carry is asked in its Brief', (id) => {
    const kind = kindOf(id)
    const parts = kind.fields.filter(
      (f) =>
        f.type === 'choice' &&
        f.path[0] === 'params' &&
        f.choices.some((c) => c.value === 'none') &&
        // How a part is made stands with its piece.
        !['cutAway', 'seamSkive', 'grooves', 'flapGrooves', 'strapJoin'].includes(f.id),
    )
    for (const part of parts)
      expect(
        kind.brief.some((s) => s.includes(`{${part.id}}`)),
        part.id,
      ).toBe(true)
  })
})
