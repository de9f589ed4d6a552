import { describe, expect, test } from 'vitest'
import { mastered } from '@drumlin/core/derived'
import { applyEdit, setField } from '@drumlin/core/design'
import { SEAM_SENTENCES, SEWING_SENTENCES, fieldsOf, kindOf, startingLeathers } from '@drumlin/core/kinds'
import { STARTER_STORES } from '@drumlin/core/stores'
import { kindIds } from '../src/kinds/index.js'
import { WORK_SENTENCES } from '@drumlin/core/work'
import { freshOf, variantsOf } from './support/designs.js'

const at = (target: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((inner, key) => (inner as Record<string, unknown> | undefined)?.[key], target)

describe.each(kindIds().map((id) => [id, kindOf(id)] as const))('%s', (_, kind) => {
  const fields = fieldsOf(kind)
  const fresh = freshOf(kind.id)
  const named = (sentence: string): string[] => [...sentence.matchAll(/\{([\w-]+)\}/g)].map((m) => m[1]!)

  test('its defaults hold to its own schema', () =>
    expect(kind.params.safeParse(kind.defaults).success).toBe(true))
  test('every setting named in a sentence is one there is', () => {
    const sentences = [
      ...kind.brief,
      ...Object.values(kind.sentences).flat(),
      ...SEWING_SENTENCES,
      ...SEAM_SENTENCES,
      ...WORK_SENTENCES,
    ]
    for (const id of sentences.flatMap(named)) expect(fields.map((f) => f.id)).toContain(id)
  })
  test('every setting has a name of its own: a sentence never means another one', () => {
    const ids = fieldsOf(kind).map((f) => f.id)
    expect(ids.filter((id, i) => ids.indexOf(id) !== i)).toEqual([])
  })
  test('every setting stands in some sentence, so that it can be reached', () => {
    const reached = new Set(
      [
        ...kind.brief,
        ...Object.values(kind.sentences).flat(),
        ...SEWING_SENTENCES,
        ...SEAM_SENTENCES,
        ...WORK_SENTENCES,
      ].flatMap(named),
    )
    // The Brief asks for the leather of every role by itself.
    const asked = fields.filter((f) => f.type !== 'leather' || kind.id !== 'by-hand').map((f) => f.id)
    expect(asked.filter((id) => !reached.has(id))).toEqual([])
  })
  test('every piece it can make, whatever is chosen, has its sentences', () => {
    for (const design of variantsOf(fresh))
      for (const { id, panel } of mastered(design).master.panels.map((panel) => ({ id: panel.id, panel })))
        if (panel.role !== 'guide') expect(kind.sentences[id]?.length, id).toBeGreaterThan(0)
  })
  test('every setting points at something a design has', () => {
    for (const field of fields) expect(at(fresh, field.path), field.id).toBeDefined()
  })
  test('the ends of every range are taken, what lies beyond is refused', () => {
    for (const field of fields) {
      if (field.type !== 'length' && field.type !== 'count' && field.type !== 'share') continue
      for (const end of [field.min, field.max])
        expect(applyEdit(fresh, setField('end', field.path, end)).ok, `${field.id} ${end}`).toBe(true)
      for (const beyond of [field.min - 1, field.max + 1])
        expect(applyEdit(fresh, setField('beyond', field.path, beyond)).ok, `${field.id} ${beyond}`).toBe(
          false,
        )
    }
  })
  test('every choice is taken, and says why one would', () => {
    for (const field of fields) {
      if (field.type !== 'choice') continue
      for (const { value, why } of field.choices) {
        expect(applyEdit(fresh, setField('choice', field.path, value)).ok, `${field.id} ${value}`).toBe(true)
        expect(why.length).toBeGreaterThan(10)
      }
    }
  })
  test('a new design takes from the shelf what comes nearest to the usual weight', () => {
    const taken = startingLeathers(kind, STARTER_STORES.leathers)
    for (const role of kind.roles)
      for (const other of STARTER_STORES.leathers)
        expect(Math.abs(taken[role.id]!.thickness - role.usual)).toBeLessThanOrEqual(
          Math.abs(other.thickness - role.usual),
        )
    expect(() => startingLeathers(kind, [])).toThrow(/at least one leather/)
  })
  test('a leather is asked for every role, and no other', () =>
    expect(fields.flatMap((f) => (f.type === 'leather' ? [f.role] : []))).toEqual(
      kind.roles.map((r) => r.id),
    ))
})
