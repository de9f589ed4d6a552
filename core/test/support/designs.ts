import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { type Derived, derive } from '@drumlin/core/derived'
import { type Design, type Edit, applyEdit, freshDesign } from '@drumlin/core/design'
import { readDesign } from '@drumlin/core/exchange/json'
import { fieldsOf, kindOf, startingLeathers } from '@drumlin/core/kinds'
import { type EdgeWork, workEdges } from '../../src/edges/index.js'
import type { Panel } from '../../src/master/index.js'
import { STARTER_STORES } from '../../src/stores/index.js'
import { reckoner } from '../../src/working/index.js'

const file = (name: string): string =>
  fileURLToPath(new URL(`../../../demo/designs/${name}.drumlin.json`, import.meta.url))

export const demoText = (name = 'deckhands-fold'): string => readFileSync(file(name), 'utf8')

/** The demo bifold as it ships. */
export function demo(): Design {
  const read = readDesign(demoText())
  if (!read.ok) throw new Error(JSON.stringify(read.issue))
  return read.design
}

/** A design once an edit is done. Throws where it is refused. */
export function done(design: Design, edit: Edit): Design {
  const edited = applyEdit(design, edit)
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return edited.design
}

/** A design with values put at dotted paths. */
export const withValues = (design: Design, values: Readonly<Record<string, unknown>>): Design =>
  done(design, {
    name: 'test',
    changes: Object.entries(values).map(([path, value]) => ({ path: path.split('.'), value })),
  })

/** The demo bifold with changes, reckoned. Keys of overrides hold dots, so they are given apart. */
export const demoWith = (
  values: Readonly<Record<string, unknown>>,
  overrides: Readonly<Record<string, number>> = {},
): Derived => derive({ ...withValues(demo(), values), overrides })

/** A size of a derived design by its key. */
export function sizeOf(derived: Derived, key: string): number {
  const found = derived.master.sizes.find(({ size }) => size.key === key)
  if (!found) throw new Error(`no size ${key}`)
  return found.size.value
}

/** Panels with their edges worked out, cut from plain leathers of those thicknesses. */
export function worked(panels: readonly Panel[], thicknesses: Readonly<Record<string, number>>): EdgeWork[] {
  const leathers = Object.fromEntries(
    Object.entries(thicknesses).map(([role, thickness]) => [
      role,
      { ...STARTER_STORES.leathers[0]!, use: 'own' as const, thickness },
    ]),
  )
  return panels.map((panel) => workEdges(panel, leathers, reckoner({})))
}

/** A new design of a kind, cut from the starter stores. */
export const freshOf = (kind: string, params: Readonly<Record<string, unknown>> = {}): Design =>
  freshDesign({
    id: 'fresh',
    name: 'Fresh',
    kind,
    params,
    leathers: startingLeathers(kindOf(kind), STARTER_STORES.leathers),
    iron: STARTER_STORES.irons[1]!,
    awl: STARTER_STORES.awls[0]!,
    thread: STARTER_STORES.threads[0]!,
    machine: STARTER_STORES.machines[0]!,
  })

/** The design with every choice of its kind taken once, and every count at both its ends. */
export function variantsOf(design: Design): Design[] {
  const with1 = (path: readonly string[], value: unknown): Design[] => {
    const edited = applyEdit(design, { name: 'variant', changes: [{ path, value }] })
    return edited.ok ? [edited.design] : []
  }
  return fieldsOf(kindOf(design.kind)).flatMap((field) => {
    if (field.path[0] !== 'params') return []
    if (field.type === 'choice') return field.choices.flatMap((c) => with1(field.path, c.value))
    return field.type === 'count' || field.type === 'length'
      ? [field.min, field.max].flatMap((end) => with1(field.path, end))
      : []
  })
}
