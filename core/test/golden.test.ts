import { describe, expect, test } from 'vitest'
import { applyEdit } from '@drumlin/core/design'
import { fieldsOf, kindOf } from '@drumlin/core/kinds'
import { everyDesign, madeKinds } from './support/all.js'
import { freshOf, withValues } from './support/designs.js'
import { couponsGolden, goldenOf, pocketBookGolden } from './support/golden.js'

/** Each body a kind can have, besides the one it comes with. */
const bodies = madeKinds.flatMap((id) =>
  fieldsOf(kindOf(id)).flatMap((field) =>
    field.path.join('.') === 'params.body' && field.type === 'choice'
      ? field.choices
          .filter((c) => c.value !== freshOf(id).params.body)
          .map((c) => ({
            name: `${id} as ${c.value}`,
            design: withValues(freshOf(id), { 'params.body': c.value }),
          }))
      : [],
  ),
)

/** A bag with the last of every choice but its body, and the most of every count: what few bags have all together. */
const withLast = (id: string) =>
  fieldsOf(kindOf(id)).reduce((design, field) => {
    const [section, key] = field.path
    if (section !== 'params' || key === 'body') return design
    const value =
      field.type === 'choice' ? field.choices.at(-1)?.value : field.type === 'count' ? field.max : undefined
    const edited =
      value === undefined
        ? undefined
        : applyEdit(design, { name: 'last', changes: [{ path: field.path, value }] })
    return edited?.ok ? edited.design : design
  }, freshOf(id))

describe('what follows from every demo, kind and body stays what it was read to be', () => {
  // A change is reviewed in the diff of these files and its reason told in the commit: `vitest run golden -u`.
  test.each([...everyDesign(), ...bodies])('$name', async ({ name, design }) => {
    await expect(goldenOf(design)).toMatchFileSnapshot(`golden/${name.replaceAll(' ', '-')}.txt`)
  })
  test.each(['tote', 'flap-bag', 'rucksack', 'gusseted-case', 'bifold'])(
    '%s with the last of every choice',
    async (id) => {
      await expect(goldenOf(withLast(id))).toMatchFileSnapshot(`golden/${id}-last-choices.txt`)
    },
  )
  test('a flap bag sewn by machine', async () => {
    const design = withValues(freshOf('flap-bag'), { 'sewing.holes': 'machine' })
    await expect(goldenOf(design)).toMatchFileSnapshot('golden/flap-bag-by-machine.txt')
  })
  test('the pocket book', async () => {
    await expect(pocketBookGolden()).toMatchFileSnapshot('golden/pocket-book.txt')
  })
  test.each(['mm', 'in'] as const)('the test pieces in %s', async (unit) => {
    await expect(couponsGolden(unit)).toMatchFileSnapshot(`golden/test-pieces-${unit}.txt`)
  })
})
