import { describe, expect, test } from 'vitest'
import { SORTS, addedFields } from '@drumlin/core/added'
import { derive } from '@drumlin/core/derived'
import { putOn } from '@drumlin/core/design'
import { partPictures } from '@drumlin/core/overview'
import { STARTER_STORES } from '../src/stores/index.js'
import { done, freshOf } from './support/designs.js'
import { some } from './support/long.js'

const tote = freshOf('tote')
const front = derive(tote).panels.find((p) => p.id === 'front')!

/** Choices that can’t be seen on the piece as it lies: what is done to its edges, what is gone through, which face a head is on, glue. */
const NO_SHAPES = new Set(['finish', 'reach', 'head', 'half', 'held'])

describe('choices of what is put on a piece are drawn', () => {
  test.each(some(SORTS, 3).map((s) => [s.id, s] as const))(
    '%s: every one that is made otherwise',
    (_, sort) => {
      const design = done(tote, putOn(tote, sort, front, STARTER_STORES))
      const part = design.added['added-1']!
      for (const field of addedFields('added-1', part, front)) {
        if (field.type !== 'choice') continue
        const drawn = partPictures(design, 'added-1', field)
        const boxes = Object.values(drawn).map((p) => p.box)
        // All at one scale, and one picture of each.
        expect(new Set(boxes.map((b) => JSON.stringify(b))).size).toBeLessThanOrEqual(1)
        if (Object.keys(drawn).length > 0)
          expect(Object.keys(drawn).toSorted()).toEqual(field.choices.map((c) => c.value).toSorted())
        if (field.path[2] === 'params' && !NO_SHAPES.has(field.id) && field.when?.(part.params) !== false)
          expect(Object.keys(drawn), `${sort.id} ${field.id}`).not.toEqual([])
      }
    },
  )
})
