import { type Finding, type FindingCode, findingsOf } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { type Design, applyEdit, setField } from '@drumlin/core/design'
import { STARTER_STORES } from '@drumlin/core/stores'
import type { Panel } from '../../src/master/index.js'
import { freshOf } from './designs.js'

/** A bag of a kind with settings of its own; leathers 1.8 body, 1.4 gusset, neutral-axis factor 0.5. */
export function bagOf(kind: string, params: Readonly<Record<string, unknown>> = {}): Derived {
  return derive(bagDesign(kind, params))
}

export function bagDesign(kind: string, params: Readonly<Record<string, unknown>> = {}): Design {
  let design = freshOf(kind)
  for (const [key, value] of Object.entries(params)) {
    const edited = applyEdit(design, setField('test', ['params', key], value))
    if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
    design = edited.design
  }
  return design
}

/** Nothing but a body: no flap, straps, pockets or hardware. */
export const BARE = {
  flap: 'none',
  closure: 'none',
  pocket: 'none',
  divider: 'none',
  organiser: 'none',
  slip: 'none',
  base: 'none',
  feet: 'none',
  handle: 'none',
  strap: 'none',
  top: 'single',
  lining: 'none',
  cornerEase: 0,
  trim: 0,
  rows: 1,
} as const

/** The value of a size by its key; throws where the bag has none. */
export function sizeOf(derived: Derived, key: string): number {
  const found = derived.master.sizes.find((s) => s.size.key === key)
  if (!found) throw new Error(`no size “${key}”`)
  return found.size.value
}

export function panelOf(derived: Derived, id: string): Panel {
  const found = derived.panels.find((p) => p.id === id)
  if (!found) throw new Error(`no panel “${id}”; there are ${derived.panels.map((p) => p.id).join(', ')}`)
  return found
}

/** Width and height of a panel’s finished outline. */
export function spanOf(derived: Derived, id: string): { wide: number; high: number } {
  const points = panelOf(derived, id).outline.segments.map((s) => s.from)
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
  return { wide: Math.max(...xs) - Math.min(...xs), high: Math.max(...ys) - Math.min(...ys) }
}

/** Both edges of a seam that lies apart, as long as they are sewn. */
export function edgesOf(derived: Derived, run: string): { here: number; there: number } {
  const found = derived.runs.find((r) => r.join.id === run)
  if (!found?.other) throw new Error(`no seam “${run}” of edges that lie apart`)
  return { here: found.length, there: found.other.length }
}

export const codesOf = (derived: Derived): string[] => [...new Set(findingsOf(derived).map((f) => f.code))]

export const findingOf = <Code extends FindingCode>(
  derived: Derived,
  code: Code,
): Finding<Code> | undefined => findingsOf(derived).find((f): f is Finding<Code> & Finding => f.code === code)

/** Another leather for a role. */
export function withLeather(design: Design, role: string, values: Readonly<Record<string, unknown>>): Design {
  const leather = { ...design.leathers[role]!, use: 'own', ...values }
  const edited = applyEdit(design, setField('test', ['leathers', role], leather))
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return edited.design
}

export const hardwareOf = (id: string) => STARTER_STORES.hardware.find((h) => h.id === id)!
export const thingOf = (id: string) => STARTER_STORES.things.find((t) => t.id === id)!
