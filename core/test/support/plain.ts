import { type Derived, derive } from '@drumlin/core/derived'
import { type Box, pathBox } from '../../src/geometry/index.js'
import { STARTER_STORES } from '../../src/stores/index.js'
import { freshOf } from './designs.js'

/** A fresh design cut from one leather, 1 mm unless said, so that a pencil can follow. */
export function plain(kind: string, params: Readonly<Record<string, unknown>> = {}, thickness = 1): Derived {
  const fresh = freshOf(kind, params)
  const leather = { ...STARTER_STORES.leathers[0]!, use: 'own' as const, thickness }
  return derive({
    ...fresh,
    leathers: Object.fromEntries(Object.keys(fresh.leathers).map((role) => [role, leather])),
  })
}

export function pieceOf(derived: Derived, id: string) {
  const found = derived.pieces.find((p) => p.id === id)
  if (!found) throw new Error(`no piece ${id}`)
  return found
}

export const finishedBox = (derived: Derived, id: string): Box => pathBox(pieceOf(derived, id).finished)

/** Half of what a slot of the starter iron takes across the seam, mm. */
export const HALF_HOLE = 1.7 * Math.sin(Math.PI / 4) * 0.5
