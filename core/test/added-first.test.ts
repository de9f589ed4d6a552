import { describe, expect, test } from 'vitest'
import { type Added, type AddedSort, liesWhole, offeredFor, sortOf } from '@drumlin/core/added'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { type Design, putOn } from '@drumlin/core/design'
import { kindIds } from '@drumlin/core/kinds'
import type { Panel } from '@drumlin/core/master'
import { takenOn } from '@drumlin/core/overview'
import type { Point } from '../src/geometry/index.js'
import { STARTER_STORES, leatherAt } from '../src/stores/index.js'
import { reckoner } from '../src/working/index.js'
import { done, freshOf } from './support/designs.js'

/** A part as it comes when it is put on a panel. */
function putNow(
  bare: Design,
  sort: AddedSort,
  panel: Panel,
  taken: readonly Point[] = [],
): { design: Design; part: Added } {
  const design = done(bare, putOn(bare, sort, panel, STARTER_STORES, { taken }))
  return { design, part: design.added['added-1']! }
}

test('put first on whatever piece of whatever kind it lies on it whole, as large as it usually is or smaller', () => {
  const amiss: string[] = []
  let [asked, smaller] = [0, 0]
  for (const kind of kindIds()) {
    const bare = freshOf(kind)
    for (const panel of derive(bare).panels)
      for (const sort of offeredFor(panel)) {
        const { design, part } = putNow(bare, sort, panel)
        const { size = [] } = sort.usual ?? {}
        const { fields, usual } = sort.settings
        const isLess = (by: number): boolean =>
          fields.every((f) => !size.includes(f.id) || Number(part.params[f.id]) <= by * Number(usual[f.id]))
        asked += 1
        if (size.length > 0 && isLess(0.99)) smaller += 1
        if (liesWhole(panel, ['added-1', part], design, reckoner({}))) continue
        // What is told then can’t be helped by its size: it came as small as it can be.
        const least = fields.every(
          (f) =>
            !size.includes(f.id) ||
            f.type !== 'length' ||
            Number(part.params[f.id]) <= Math.max(f.min, 0.2 * Number(usual[f.id]) + 0.5),
        )
        if (!least) amiss.push(`${sort.id} on the ${panel.id} of a ${kind}`)
      }
  }
  expect(amiss).toEqual([])
  expect(asked).toBeGreaterThan(1500)
  expect(smaller).toBeGreaterThan(100)
})

describe('as the leather and the hardware ask', () => {
  const tote = freshOf('tote')
  const cut = (thickness: number): Design => ({
    ...tote,
    leathers: Object.fromEntries(
      Object.entries(tote.leathers).map(([role, l]) => [role, leatherAt(l, thickness)]),
    ),
  })
  const on = (design: Design, sort: string) => {
    const now = derive(design)
    const panel = now.panels.find((p) => p.id === 'back')!
    return putNow(design, sortOf(sort), panel, takenOn(now, panel.id))
  }
  test.each([
    // 1.5 × 0.9 is less than the slots want, and both less than the usual 3 mm; 1.5 × 3.5 = 5.25.
    [0.9, 3],
    [3.5, 5.5],
  ])('in %s mm its seam lies %s mm in, and nothing is said of it', (thickness, margin) => {
    for (const sort of ['pocket', 'patch', 'overlay']) {
      const { design, part } = on(cut(thickness), sort)
      expect([sort, part.params.margin]).toEqual([sort, margin])
      const found = findingsOf(derive(design)).filter((f) => f.key.startsWith('margin-too-small:added-1'))
      expect([sort, found.map((f) => f.key)]).toEqual([sort, []])
    }
  })
  test.each(['rivet', 'burr', 'snap', 'magnet', 'lock'])('a %s has leather all round it', (sort) => {
    const { design } = on(tote, sort)
    const close = findingsOf(derive(design)).filter((f) => f.key.startsWith('hardware-close:added-1'))
    expect(close.map((f) => sayFinding(f, 'mm').what)).toEqual([])
  })
})
