import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { applyEdit, setField } from '@drumlin/core/design'
import { fieldsInPlay, fieldsOf, kindIds, kindOf, sentenceParts } from '@drumlin/core/kinds'
import { bagDesign, bagOf } from './support/bags.js'
import { freshOf } from './support/designs.js'
import { some } from './support/long.js'

const said = (sentence: string, kind: string, params: Readonly<Record<string, unknown>> = {}): string => {
  const bag = bagOf(kind, params)
  return sentenceParts(sentence, fieldsOf(bag.kind), bag.design.params)
    .map((part) => ('field' in part ? `<${part.field.id}>` : part.words))
    .join('')
}

describe('sentences with settings in them', () => {
  test('a phrase is left out where its setting plays no part', () => {
    const sentence = 'Top edges {top}[, {topBand} wide].'
    expect(said(sentence, 'tote', { top: 'doubled' })).toBe('Top edges <top>, <topBand> wide.')
    expect(said(sentence, 'tote', { top: 'single' })).toBe('Top edges <top>.')
  })
  test('one with two settings needs both', () => {
    const sentence = '[{handleWide} wide round {handleCord}]'
    expect(said(sentence, 'tote', { handle: 'rolled' })).toBe('<handleWide> wide round <handleCord>')
    expect(said(sentence, 'tote', { handle: 'flat' })).toBe('')
  })
  test('what is no setting stays as it is written', () =>
    expect(said('Nothing {such} here', 'tote')).toBe('Nothing {such} here'))
  test('every sentence of every kind names settings that are there, and closes its brackets', () => {
    for (const id of kindIds()) {
      const kind = kindOf(id)
      const known = new Set(fieldsOf(kind).map((f) => f.id))
      for (const sentence of [...kind.brief, ...Object.values(kind.sentences).flat()]) {
        for (const [, name] of sentence.matchAll(/\{([\w-]+)\}/g)) {
          // Bags share their sentences; a kind of them may lack the one or the other setting, never misname it.
          expect(known.has(name!), `${id}: ${name}`).toBe(true)
        }
        expect(sentence.replace(/\[[^[\]]*\]/g, '')).not.toMatch(/[[\]]/)
      }
    }
  })
})

describe('settings that play no part', () => {
  const KINDS = ['tote', 'flap-bag', 'portfolio', 'briefcase', 'rucksack']
  test.each(KINDS)('of a %s change nothing that is cut, sewn or set', (id) => {
    const design = freshOf(id)
    const picture = (d: typeof design) => {
      const { pieces, runs, fittings, master } = derive(d)
      return JSON.stringify({
        outlines: pieces.map((p) => [p.id, p.cut.segments]),
        holes: runs.map((r) => [r.join.id, r.holes.map((h) => h.at)]),
        set: fittings.map((f) => [f.fitting.id, f.fitting.at]),
        room: [master.room?.wide.value, master.room?.high.value, master.room?.deep.value],
      })
    }
    const as = picture(design)
    const idle = fieldsOf(kindOf(id)).filter((f) => !fieldsInPlay(kindOf(id), design.params).includes(f))
    expect(idle.length).toBeGreaterThan(3)
    for (const field of some(idle, 3)) {
      if (field.path[0] !== 'params') continue
      const other =
        field.type === 'length' || field.type === 'count'
          ? field.min + (field.type === 'count' ? 1 : (field.max - field.min) / 4)
          : field.type === 'choice'
            ? field.choices.find((c) => c.value !== design.params[field.id])?.value
            : undefined
      if (other === undefined) continue
      const edited = applyEdit(design, setField('try', field.path, other))
      expect(edited.ok, field.id).toBe(true)
      if (edited.ok) expect(picture(edited.design) === as, `${field.id} = ${other}`).toBe(true)
    }
  })
  test('come into play with what they belong to', () => {
    const ids = (params: Readonly<Record<string, unknown>>) => {
      const design = bagDesign('tote', params)
      return fieldsInPlay(kindOf('tote'), design.params).map((f) => f.id)
    }
    expect(ids({ handle: 'rolled' })).toContain('handleCord')
    expect(ids({ handle: 'flat' })).not.toContain('handleCord')
    expect(ids({ body: 'tapered' })).toContain('topDeep')
    expect(ids({ body: 'wrap' })).not.toContain('topDeep')
  })
})
