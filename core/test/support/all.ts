import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import fc from 'fast-check'
import { type AddedSort, SORTS } from '@drumlin/core/added'
import { type Derived, derive, mastered } from '@drumlin/core/derived'
import { type Design, nextAddedId, putOn } from '@drumlin/core/design'
import { readDesign } from '@drumlin/core/exchange/json'
import { type Field, fieldsOf, kindOf } from '@drumlin/core/kinds'
import type { Panel } from '@drumlin/core/master'
import { kindIds } from '../../src/kinds/index.js'
import { STARTER_STORES } from '../../src/stores/index.js'
import { demoText, done, freshOf } from './designs.js'

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

let every: readonly { readonly name: string; readonly design: Design }[] | undefined

/** Every demo and every kind as it first comes, by name: the same ones at every call. */
export const everyDesign = (): readonly { readonly name: string; readonly design: Design }[] =>
  (every ??= [
    ...demoNames.map((name) => ({ name, design: demoDesign(name) })),
    ...madeKinds.map((id) => ({ name: `fresh ${id}`, design: freshOf(id) })),
  ])

const knownDerived = new WeakMap<Design, Derived>()

/** What comes of a design, reckoned once for all tests of a worker: of every demo it is asked for by thirty files. */
export function derivedOf(design: Design): Derived {
  const known = knownDerived.get(design)
  if (known) return known
  const made = derive(design)
  knownDerived.set(design, made)
  return made
}

/** A value anywhere in the range of a setting. */
function anyValue(field: Field): fc.Arbitrary<unknown> {
  if (field.type === 'choice') return fc.constantFrom(...field.choices.map((c) => c.value))
  if (field.type === 'count') return fc.integer({ min: field.min, max: field.max })
  if (field.type === 'length' || field.type === 'share')
    return fc
      .integer({ min: Math.round(field.min * 200), max: Math.round(field.max * 200) })
      .map((n) => n / 200)
  throw new Error(`no arbitrary for ${field.type}`)
}

/** Something put on a piece: which, on which of them and along which edge, as shares of how many there are. */
interface AnyPart {
  readonly sort: AddedSort
  readonly params: readonly unknown[]
  readonly panel: number
  readonly edge: number
  readonly inward: number
  readonly aside: number
  readonly both: 'once' | 'mirrored'
  readonly side: 'grain' | 'flesh'
}

const share = fc.double({ min: 0, max: 0.999, noNaN: true })

/** What a maker may put on a piece, anywhere on it. */
const anyPart: fc.Arbitrary<AnyPart> = fc.constantFrom(...SORTS).chain((sort) =>
  fc.record({
    sort: fc.constant(sort),
    params: fc.tuple(...sort.settings.fields.map(anyValue)),
    panel: share,
    edge: share,
    inward: fc.integer({ min: 0, max: 60 }),
    aside: fc.integer({ min: -60, max: 60 }),
    both: fc.constantFrom('once', 'mirrored'),
    side: fc.constantFrom('grain', 'flesh'),
  }),
)

const at = <T>(list: readonly T[], part: number): T => list[Math.floor(part * list.length)]!

const lies = (design: Design, id: string): boolean =>
  !(mastered(design).master.concerns ?? []).some((c) => c.id.startsWith(id))

/** What can't be made carries nothing either. */
function panelsOf(design: Design): readonly Panel[] {
  try {
    return mastered(design).panels
  } catch {
    return []
  }
}

/** The design with these put on its pieces, one after the other. */
export function withParts(design: Design, parts: readonly AnyPart[]): Design {
  return parts.reduce((before, part) => {
    const hosts = panelsOf(before).filter((p) => p.role !== 'guide' && p.edges.length > 0)
    if (hosts.length === 0) return before
    const host = at(hosts, part.panel)
    const id = nextAddedId(before)
    const { sort } = part
    const params = Object.fromEntries(sort.settings.fields.map((f, i) => [f.id, part.params[i]]))
    const { inward, aside, both, side } = part
    const placed = sort.takes === 'edge' ? { side } : { inward, aside, both, side }
    const put = putOn(before, sort, host, STARTER_STORES, { edge: at(host.edges, part.edge).id })
    const after = done(done(before, put), {
      name: 'any',
      changes: Object.entries({ ...placed, params }).map(([key, value]) => ({
        path: ['added', id, key],
        value,
      })),
    })
    // What does not lie on its piece whole is told, and made by nobody.
    return lies(after, id) ? after : before
  }, design)
}

/** A design of the kind with every setting anywhere in its range, and anything put on any of its pieces. */
export function anyDesign(id: string, most = 2): fc.Arbitrary<Design> {
  const fresh = freshOf(id)
  const fields = fieldsOf(kindOf(id)).filter((f) => f.path[0] === 'params')
  return fc
    .tuple(fc.tuple(...fields.map(anyValue)), fc.array(anyPart, { maxLength: most }))
    .map(([all, parts]) => {
      const changes = fields.map((field, i) => ({ path: field.path, value: all[i] }))
      return withParts(done(fresh, { name: 'any', changes }), parts)
    })
}
