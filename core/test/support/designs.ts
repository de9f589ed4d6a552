import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { type Derived, type Design, type Edit, applyEdit, derive, readDesign } from '@drumlin/core'
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

/** A design with values put at dotted paths. */
export function withValues(design: Design, values: Readonly<Record<string, unknown>>): Design {
  const edit: Edit = {
    name: 'test',
    changes: Object.entries(values).map(([path, value]) => ({ path: path.split('.'), value })),
  }
  const edited = applyEdit(design, edit)
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return edited.design
}

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
