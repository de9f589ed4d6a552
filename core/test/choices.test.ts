import { describe, expect, test } from 'vitest'
import { fieldsOf, kindOf } from '@drumlin/core/kinds'
import { choicePictures } from '@drumlin/core/overview'
import { differing } from '@drumlin/core/snapshot'
import { madeKinds } from './support/all.js'
import { freshOf } from './support/designs.js'
import { some } from './support/long.js'

const choicesOf = (id: string) =>
  fieldsOf(kindOf(id)).flatMap((f) =>
    f.type === 'choice' && f.path[0] === 'params' && (f.when?.(freshOf(id).params) ?? true) ? [f] : [],
  )

describe('a picture of each choice', () => {
  test.each(madeKinds)('%s: every choice that can be made has one, and they are not all alike', (id) => {
    // Bags have nearly all their choices in common: in a hurry they are looked at with one of them.
    const shared = kindOf(id).fields.some((f) => f.id === 'closure') && id !== 'flap-bag'
    for (const field of some(choicesOf(id), shared ? 16 : 4)) {
      const drawn = Object.values(choicePictures(freshOf(id), field))
      // Nothing to see is said by no picture at all, never by pictures that are alike.
      if (drawn.length === 0) continue
      const shots = drawn.flatMap((d) => ('picture' in d ? [d.picture] : []))
      const shapes = drawn.flatMap((d) => ('shape' in d ? [d.shape.d] : []))
      expect([field.id, shots.length === drawn.length || shapes.length === drawn.length]).toEqual([
        field.id,
        true,
      ])
      if (shots.length > 0) expect([field.id, differing(shots) !== undefined]).toEqual([field.id, true])
      else expect([field.id, new Set(shapes).size > 1]).toEqual([field.id, true])
    }
  })
  test('how a flap bag is built looks different for every body', () => {
    const field = choicesOf('flap-bag').find((f) => f.id === 'body')!
    const drawn = choicePictures(freshOf('flap-bag'), field)
    expect(Object.keys(drawn)).toEqual(field.choices.map((c) => c.value))
  })
})
