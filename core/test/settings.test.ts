import { describe, expect, test } from 'vitest'
import { SORTS } from '@drumlin/core/added'
import { type Field, kindIds, kindOf } from '@drumlin/core/kinds'
import { printLength } from '@drumlin/core/measure'
import { HABITS } from '../src/sewing/index.js'
import { WORK_WAYS } from '@drumlin/core/work'
import { type RawParams, choice, count, length, offering, settings, share } from '../src/settings/index.js'

const DECLARED = {
  wide: length('width', 10, 100, 40, { step: 1 }),
  strap: length('strap', 5, 60, 20, { goes: { with: 'wide', power: 0.5, min: 8 } }),
  rows: count('rows', 1, 3, 2, 'both alike'),
  give: share('give', 0.2, 'of one'),
  top: choice('top', 'plain', [
    ['plain', 'plain', 'quick'],
    ['rolled', 'rolled', 'firm'],
  ]),
}
const made = settings(DECLARED, { inPlay: { rows: (p) => p.top === 'rolled' }, usual: { wide: 50 } })

describe('a setting, declared once', () => {
  test('says what is usual, and what a kind has of its own', () =>
    expect(made.usual).toEqual({ wide: 50, strap: 20, rows: 2, give: 0.2, top: 'plain' }))
  test('is checked by its own range, by name', () => {
    const bad = made.schema.safeParse({ ...made.usual, wide: 9, rows: 1.5, top: 'round', more: 1 })
    expect(bad.error!.issues.map((i) => i.path.join('.')).toSorted()).toEqual(['', 'rows', 'top', 'wide'])
    expect(() => made.read({ ...made.usual, give: 2 })).toThrow()
  })
  test('stands in a sentence with its range, step, hint and ways', () => {
    const [wide, , rows, , top] = made.fields
    expect(wide).toEqual({
      type: 'length',
      id: 'wide',
      label: 'width',
      path: ['params', 'wide'],
      min: 10,
      max: 100,
      step: 1,
    })
    expect(rows).toMatchObject({ type: 'count', min: 1, max: 3, hint: 'both alike' })
    expect(top).toMatchObject({ choices: [{ value: 'plain', why: 'quick' }, { value: 'rolled' }] })
  })
  test('plays its part only where it does', () => {
    const rows = made.fields.find((f) => f.id === 'rows')!
    expect([rows.when?.(made.usual), rows.when?.({ ...made.usual, top: 'rolled' })]).toEqual([false, true])
  })
  test('goes with a size: √¼ of it for a quarter of the width, never larger than usual or too small', () => {
    const at = (wide: number) => made.proposed(made.read({ ...made.usual, wide }))
    expect([at(12.5), at(50), at(100)]).toEqual([{ strap: 10 }, { strap: 20 }, { strap: 20 }])
    expect(settings(DECLARED, { usual: { wide: 100 } }).proposed({ ...made.usual, wide: 10 })).toEqual({
      strap: 8,
    })
  })
  test('may offer only what suits; what else a design has is kept', () => {
    const some = settings({ top: offering(DECLARED.top, ['plain']) })
    expect(some.fields[0]).toMatchObject({ choices: [{ value: 'plain' }] })
    expect(some.read({ top: 'rolled' })).toEqual({ top: 'rolled' })
  })
})

/** A setting as the maker's handbook has it. */
function listed(field: Field, values: RawParams): string[] {
  const usual = field.type === 'leather' || field.type === 'hardware' ? undefined : values[field.id]
  const mm = (value: number) => printLength(value, 'mm')
  const head = `- **${field.label}** (\`${field.id}\`)`
  switch (field.type) {
    case 'choice': {
      const ways = field.choices.map((c) => `  - ${c.label}${c.value === usual ? ' (usual)' : ''}: ${c.why}`)
      return [`${head}:`, ...ways]
    }
    case 'length':
      return [
        `${head}: ${mm(field.min)} to ${mm(field.max)}${typeof usual === 'number' ? `, usually ${mm(usual)}` : ''}${field.hint ? `; ${field.hint}` : ''}`,
      ]
    case 'count':
    case 'share':
    case 'percent':
    case 'pace':
      return [
        `${head}: ${field.min} to ${field.max}${typeof usual === 'number' ? `, usually ${usual}` : ''}${field.hint ? `; ${field.hint}` : ''}`,
      ]
    default:
      return [head]
  }
}

test('docs/settings.md lists every setting there is', async () => {
  const kinds = kindIds().map(kindOf)
  const own = kinds.flatMap((kind) => [
    `## ${kind.name}`,
    '',
    `${kind.about.charAt(0).toUpperCase()}${kind.about.slice(1)}.`,
    '',
    ...kind.fields.flatMap((field) => listed(field, kind.defaults)),
    '',
  ])
  const parts = SORTS.flatMap((sort) => [
    `### ${sort.name.charAt(0).toUpperCase()}${sort.name.slice(1)}`,
    '',
    `${sort.about.charAt(0).toUpperCase()}${sort.about.slice(1)}.`,
    '',
    ...sort.settings.fields.flatMap((field) => listed(field, sort.settings.usual)),
    '',
  ])
  const ways = HABITS.fields.flatMap((field) => listed(field, HABITS.usual))
  const order = WORK_WAYS.fields.flatMap((field) => listed(field, WORK_WAYS.usual))
  const head = [
    '# Settings',
    '',
    'Every setting of every kind, made from their declarations by `vitest run settings -u`.',
    '',
  ]
  await expect(
    [
      ...head,
      ...own,
      '## What can be put on any piece',
      '',
      ...parts,
      '## The workshop’s own ways',
      '',
      ...ways,
      '',
      '## The order of work',
      '',
      ...order,
      '',
    ].join('\n'),
  ).toMatchFileSnapshot('../../docs/settings.md')
})
