import { expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { otherWays } from '@drumlin/core/relief'
import { freshOf } from './support/designs.js'
import { some } from './support/long.js'

test('no lining is put in to thin a seam', () => {
  const bag = derive(freshOf('briefcase', { lining: 'none' }))
  const labels = some(bag.runs, 4).flatMap((run) => otherWays(bag, [run.join.id], 1).map((w) => w.label))
  expect(labels.length).toBeGreaterThan(0)
  expect(labels.filter((l) => l.includes('lined'))).toEqual([])
})
