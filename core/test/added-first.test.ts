import { expect, test } from 'vitest'
import { type Added, type AddedSort, liesWhole, offeredFor } from '@drumlin/core/added'
import { derive } from '@drumlin/core/derived'
import { type Design, putOn } from '@drumlin/core/design'
import { kindIds } from '@drumlin/core/kinds'
import type { Panel } from '@drumlin/core/master'
import { STARTER_STORES } from '../src/stores/index.js'
import { reckoner } from '../src/working/index.js'
import { done, freshOf } from './support/designs.js'

/** A part as it comes when it is put on a panel. */
function putNow(bare: Design, sort: AddedSort, panel: Panel): { design: Design; part: Added } {
  const design = done(bare, putOn(bare, sort, panel, STARTER_STORES))
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
