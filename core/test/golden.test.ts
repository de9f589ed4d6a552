import { describe, expect, test } from 'vitest'
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

describe('what follows from every demo, kind and body stays what it was read to be', () => {
  // A change is reviewed in the diff of these files and its reason told in the commit: `vitest run golden -u`.
  test.each([...everyDesign(), ...bodies])('$name', async ({ name, design }) => {
    await expect(goldenOf(design)).toMatchFileSnapshot(`golden/${name.replaceAll(' ', '-')}.txt`)
  })
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
