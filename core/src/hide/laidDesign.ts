import type { Cutting, Design } from '../design/index.js'
import { type Derived } from '../derived/index.js'
import type { Hide } from '../stores/index.js'
import { demandsOf } from './demands.js'
import { groupsOf } from './groups.js'
import { type LaidOut, layOut } from './layOut.js'

/** What came of laying out one material. */
export interface LaidMaterial {
  readonly material: string
  readonly wanted: number
  readonly laid: LaidOut
}

/** A design with hides to be cut from, and others cut along with it, once each. */
export function withHides(first: Derived, others: readonly Derived[], hides: readonly Hide[]): Design {
  const { design } = first
  const taken = [design.id, ...design.cutting.also.map((a) => a.design)]
  /** The same design twice is cut twice: each has a name of its own. */
  const idOf = (id: string): string => {
    let [free, n] = [id, 2]
    for (; taken.includes(free); n += 1) free = `${id.slice(0, 58)}-${n}`
    taken.push(free)
    return free
  }
  const also: Cutting['also'] = others.map((d) => ({
    design: idOf(d.design.id),
    name: d.design.name,
    copies: d.design.cutting.copies,
    demands: [...demandsOf(d)],
  }))
  return {
    ...design,
    cutting: { ...design.cutting, also: [...design.cutting.also, ...also], hides: [...hides] },
  }
}

/** Lays out every material that there are hides of; the design with all of it laid, and what came of each. */
export function laidDesign(
  derived: Derived,
  effort: number,
): { readonly design: Design; readonly materials: readonly LaidMaterial[] } {
  const materials = groupsOf(derived)
    .filter((g) => g.hides.length > 0)
    .map((g) => ({ material: g.material, wanted: g.wanted.length, laid: layOut(g.asked, effort) }))
  const lying = Object.fromEntries(
    materials.flatMap(({ laid }) => laid.lying.map(({ id, hide, turn, x, y }) => [id, { hide, turn, x, y }])),
  )
  return {
    design: { ...derived.design, cutting: { ...derived.design.cutting, lying } },
    materials,
  }
}
