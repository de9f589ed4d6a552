import { describe, expect, test } from 'vitest'
import { compareDecisions, comparePieces } from '@drumlin/core/compare'
import { derive } from '@drumlin/core/derived'
import { applyEdit, takeDesign } from '@drumlin/core/design'
import { leatherAt } from '@drumlin/core/stores'
import { usualOf } from '../src/stores/index.js'
import { demo, demoWith, withValues } from './support/designs.js'

describe('two drafts laid over each other', () => {
  test('a draft over itself moves nowhere', () => {
    for (const piece of comparePieces(demoWith({}), demoWith({})))
      expect(piece).toMatchObject({ change: 'both', distance: 0 })
    expect(compareDecisions(demo(), demo(), 'mm')).toEqual([])
  })
  test('0.4 mm thicker: the outside’s far edge moves by 0.377 mm, and nothing else moves', () => {
    const pieces = comparePieces(demoWith({}), demoWith({ 'leathers.outside.thickness': 1.8 }))
    const outside = pieces.find((p) => p.panelId === 'outside')!
    expect(outside.change === 'both' && outside.distance).toBeCloseTo(0.6 * Math.PI * 0.2, 6)
    expect(outside.change === 'both' && outside.before.x).toBeGreaterThan(200)
    for (const other of pieces.filter((p) => p.panelId !== 'outside'))
      expect(other).toMatchObject({ distance: 0 })
  })
  test('a piece that only one of them has is named as such', () => {
    const [none, five] = [demoWith({ 'params.pockets': 0 }), demoWith({ 'params.pockets': 5 })]
    expect(
      comparePieces(none, five)
        .filter((p) => p.change === 'only now')
        .map((p) => p.panelId),
    ).toEqual(['pocket-top', 'pocket', 'foot-pocket', 'guide'])
    expect(comparePieces(five, none).filter((p) => p.change === 'only before')).toHaveLength(4)
  })
})

describe('the decisions that changed', () => {
  test('are named and said as the maker set them', () => {
    const now = withValues(demo(), {
      'params.reveal': 13,
      'params.school': 'butted',
      'params.pockets': 4,
      'leathers.inside.thickness': 1.1,
    })
    expect(compareDecisions(demo(), now, 'mm')).toEqual([
      { label: 'card pockets a side', before: '3', now: '4' },
      { label: 'reveal', before: '12.0 mm', now: '13.0 mm' },
      { label: 'school of the pockets', before: 'T, lapped', now: 'T, butted step to step' },
      { label: 'leather of the inside, thickness', before: '0.9 mm', now: '1.1 mm' },
    ])
    expect(compareDecisions(demo(), now, 'in').find((d) => d.label === 'reveal')!.now).toBe('33/64 in')
  })
  test('own numbers, skives and names are among them', () => {
    const now = {
      ...demo(),
      name: 'Stern fold',
      overrides: { 'inside.width': 190 },
      skives: { 'pocket.arms': 0.45 },
    }
    expect(compareDecisions(demo(), now, 'mm')).toEqual([
      { label: 'name', before: 'Deckhand’s fold', now: 'Stern fold' },
      { label: 'own number for inside.width', before: 'not set', now: '190.0 mm' },
      { label: 'skive of pocket.arms', before: 'not set', now: '0.45 mm' },
    ])
  })
})

test('going back to a draft is one edit, and can itself be undone', () => {
  const now = {
    ...withValues(demo(), { 'params.reveal': 13, name: 'Stern fold' }),
    overrides: { 'inside.width': 190 },
  }
  const back = applyEdit(now, takeDesign('go back to first draft', now, demo()))
  if (!back.ok) throw new Error(back.why)
  expect(back.design).toEqual(demo())
  const again = applyEdit(back.design, back.inverse)
  expect(again.ok && again.design).toEqual(now)
  expect(derive(back.design).runs.length).toBe(8)
})

test('a leather split thinner is one decision, not three: what it bears follows', () => {
  const before = demo()
  const outside = before.leathers.outside!
  const usual = { ...outside, ...usualOf(outside) }
  const was = { ...before, leathers: { ...before.leathers, outside: usual } }
  const now = { ...was, leathers: { ...was.leathers, outside: leatherAt(usual, 3.2) } }
  expect(now.leathers.outside!.bears).not.toBe(usual.bears)
  expect(compareDecisions(was, now, 'mm').map((d) => d.label)).toEqual(
    expect.arrayContaining([expect.stringContaining('thickness')]),
  )
  expect(compareDecisions(was, now, 'mm').filter((d) => /bears|give|neutral|turn$/.test(d.label))).toEqual([])
})
