import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf } from '@drumlin/core/check'
import { derive, makeRoom, packingOf, smallestFor } from '@drumlin/core/derived'
import { applyEdit, setField } from '@drumlin/core/design'
import { kindIds, kindOf } from '@drumlin/core/kinds'
import { STARTER_STORES } from '@drumlin/core/stores'
import { freshOf } from './support/designs.js'
import { some } from './support/long.js'

const LOADS = [
  ['spectacles'],
  ['pad-a4', 'chart'],
  ['pad-legal', 'notebook-a5'],
  ['computer-13', 'folder-a4', 'bottle'],
] as const

/** Every bag in every way of building its body. */
const bags = kindIds().flatMap((id) => {
  const kind = kindOf(id)
  const fresh = freshOf(id)
  if (!derive(fresh).master.room) return []
  const body = kind.fields.find((f) => f.id === 'body')
  const ways = body?.type === 'choice' ? body.choices.map((c) => c.value) : ['as it comes']
  return ways.flatMap((way) =>
    LOADS.map((load) => ({ name: `${id}, ${way}, ${load.join(' and ')}`, kind: id, way, load })),
  )
})

describe('the smallest that takes them', () => {
  test('is asked of bags', () => expect(bags.length).toBeGreaterThan(20))
  test.each(some(bags, 4))('$name', ({ kind, way, load }) => {
    const empty = freshOf(kind, way === 'as it comes' ? {} : { body: way })
    const contents = load.map((id) => ({ thing: STARTER_STORES.things.find((t) => t.id === id)!, count: 1 }))
    const packed = applyEdit(empty, setField('put in', ['contents'], contents))
    if (!packed.ok) throw new Error(packed.why)
    const bag = derive(packed.design)
    // What a finding about room offers leaves that finding out.
    for (const found of findingsOf(bag).filter((f) => f.key.startsWith('contents-fit:')))
      for (const fix of fixesOf(found, bag)) {
        const mended = applyEdit(packed.design, fix.edit)
        if (!mended.ok) continue
        expect(
          findingsOf(derive(mended.design)).map((f) => f.key),
          fix.label,
        ).not.toContain(found.key)
      }
    const to = smallestFor(bag)
    if (!to) return
    const made = applyEdit(packed.design, makeRoom(bag, to))
    if (!made.ok) throw new Error(`${made.where}: ${made.why}`)
    const after = derive(made.design)
    expect(packingOf(after)!.fits).toBe(true)
    for (const side of ['wide', 'high', 'deep'] as const)
      expect(after.master.room![side].value).toBeCloseTo(to[side], 6)
  })
})
