import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import fc from 'fast-check'
import { type Design, applyEdit } from '@drumlin/core/design'
import { readDesign } from '@drumlin/core/exchange/json'
import { fieldsOf, kindOf } from '@drumlin/core/kinds'
import { kindIds } from '../../src/kinds/index.js'
import { demoText, freshOf } from './designs.js'

const folder = fileURLToPath(new URL('../../../demo/designs/', import.meta.url))

export const demoNames: readonly string[] = readdirSync(folder)
  .filter((f) => f.endsWith('.drumlin.json'))
  .map((f) => f.replace('.drumlin.json', ''))
  .sort()

/** A demo design as it ships. */
export function demoDesign(name: string): Design {
  const read = readDesign(demoText(name))
  if (!read.ok) throw new Error(JSON.stringify(read.issue))
  return read.design
}

/** Kinds that make something by themselves. */
export const madeKinds: readonly string[] = kindIds().filter((id) => id !== 'by-hand')

/** Every demo and every kind as it first comes, by name. */
export const everyDesign = (): { name: string; design: Design }[] => [
  ...demoNames.map((name) => ({ name, design: demoDesign(name) })),
  ...madeKinds.map((id) => ({ name: `fresh ${id}`, design: freshOf(id) })),
]

/** A design of the kind with every setting anywhere in its range. */
export function anyDesign(id: string): fc.Arbitrary<Design> {
  const fresh = freshOf(id)
  const fields = fieldsOf(kindOf(id)).filter((f) => f.path[0] === 'params')
  const values = fields.map((field): fc.Arbitrary<unknown> => {
    if (field.type === 'choice') return fc.constantFrom(...field.choices.map((c) => c.value))
    if (field.type === 'count') return fc.integer({ min: field.min, max: field.max })
    if (field.type === 'length' || field.type === 'share')
      return fc
        .integer({ min: Math.round(field.min * 200), max: Math.round(field.max * 200) })
        .map((n) => n / 200)
    throw new Error(`no arbitrary for ${field.type}`)
  })
  return fc.tuple(...values).map((all) => {
    const changes = fields.map((field, i) => ({ path: field.path, value: all[i] }))
    const edited = applyEdit(fresh, { name: 'any', changes })
    if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
    return edited.design
  })
}
