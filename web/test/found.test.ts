import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { SEAM_SENTENCES, SEWING_SENTENCES, fieldsInPlay, kindIds } from '@drumlin/core/kinds'
import { WORK_SENTENCES } from '@drumlin/core/work'
import { type Hit, besides, foundIn, placeOf } from '../src/app/found.js'
import { freshOf } from '../../core/test/support/designs.js'

describe('where a setting is found', () => {
  test.each(kindIds().filter((id) => id !== 'by-hand'))(
    '%s: every setting in play is written on a screen, and what no sentence says the Brief offers',
    (id) => {
      const derived = derive(freshOf(id))
      const fields = fieldsInPlay(derived.kind, derived.design.params)
      const offered = besides(derived).map((f) => f.id)
      for (const f of fields) {
        const { name, query } = placeOf(derived, f)
        expect([f.label, query.field, name === 'what-if']).toEqual([f.label, f.id, false])
        const said =
          name === 'seams'
            ? [...SEWING_SENTENCES, ...SEAM_SENTENCES]
            : name === 'draft'
              ? derived.pieces.flatMap((p) => derived.kind.sentences[p.id] ?? [])
              : name === 'make'
                ? WORK_SENTENCES
                : derived.kind.brief
        const own = f.type === 'leather' || f.type === 'hardware' || offered.includes(f.id)
        // The Brief's own line of tools says iron, awl and thread.
        expect([f.label, own || said.join().includes(`{${f.id}}`)]).toEqual([f.label, true])
      }
    },
  )
  test('what no sentence says as the work stands is offered in the Brief; a bag’s lining is asked there', () => {
    const one = derive(freshOf('gusseted-case'))
    const offered = besides(one)
    expect(offered.map((f) => f.id)).toEqual(['feet', 'lap'])
    for (const field of offered) expect(placeOf(one, field).name).toBe('brief')
    const bag = derive(freshOf('tote'))
    const lining = fieldsInPlay(bag.kind, bag.design.params).find((f) => f.id === 'lining')!
    expect(placeOf(bag, lining).name).toBe('brief')
  })
})

describe('what is found', () => {
  const hit = (title: string, type = 'setting', words = ''): Hit => ({ key: title, title, type, words })
  const hits = [
    hit('width of the strap'),
    hit('strap, long part', 'piece'),
    hit('lining', 'setting', 'backs'),
    hit('Seams', 'screen', 'lining thread'),
  ]
  test('what begins with the word stands first, then what has it in its name, then in other words', () =>
    expect(foundIn(hits, 'strap').map((h) => h.title)).toEqual(['strap, long part', 'width of the strap']))
  test('every word has to be there, in whatever order and case', () => {
    expect(foundIn(hits, 'Strap WIDTH').map((h) => h.title)).toEqual(['width of the strap'])
    expect(foundIn(hits, 'lining').map((h) => h.title)).toEqual(['lining', 'Seams'])
    expect(foundIn(hits, 'lining piece')).toEqual([])
  })
  test('nothing sought, everything there', () => expect(foundIn(hits, ' ')).toHaveLength(4))
})
