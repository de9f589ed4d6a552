import type { Derived } from '../derived/index.js'
import { regionArea } from '../geometry/index.js'
import { demandsOf, figuresOf, groupsOf, hideArea } from '../hide/index.js'
import type { Hide } from '../stores/index.js'
import { DM2 } from './takes.js'
import { required } from '../lists/index.js'

/** What one material of a design covers, dm², and what is known of the hides it comes from. */
export interface Cut {
  readonly what: string
  readonly leather: boolean
  /** Of one thing made. */
  readonly area: number
  /** Where it is laid out on hides of one currency: what its pieces bear of their price, and the waste as a share. */
  readonly laid: { readonly cost: number; readonly waste: number } | undefined
  /** A dm² of the hides chosen for it, else of those on the shelf; in their currency. */
  readonly price: { readonly dm2: number; readonly currency: string } | undefined
}

/** What a dm² of some hides costs, all of them together; undefined where none has a price, or they differ in currency. */
function priceOf(hides: readonly Hide[]): Cut['price'] {
  const priced = hides.filter((h) => h.price > 0)
  const [first] = priced
  if (!first || priced.some((h) => h.currency !== first.currency)) return undefined
  const area = priced.reduce((sum, h) => sum + hideArea(h), 0)
  return { dm2: (priced.reduce((sum, h) => sum + h.price, 0) * DM2) / area, currency: first.currency }
}

/** Every leather and sheet of a design with its area, waste and price as far as they are known. */
export function cutsOf(derived: Derived, shelf: readonly Hide[]): Cut[] {
  const { id, cutting } = derived.design
  const groups = groupsOf(derived)
  const materials = new Map<string, { what: string; leather: boolean; area: number }>()
  for (const d of demandsOf(derived)) {
    const before = materials.get(d.of)
    const area = (d.count * regionArea([d.outline])) / DM2
    materials.set(d.of, {
      what: d.material,
      leather: d.leather,
      area: (before?.area ?? 0) + area,
    })
  }
  return [...materials].map(([of, material]) => {
    const group = groups.find((g) => g.of === of)
    const chosen = cutting.hides.filter((h) => h.of === of)
    const price = priceOf(chosen) ?? priceOf(shelf.filter((h) => h.of === of))
    const own = group?.wanted.filter((w) => w.id.startsWith(`${id}/`)) ?? []
    const allLie =
      own.length > 0 && own.every((w) => required(group, 'group').asked.lying.some((l) => l.id === w.id))
    return {
      ...material,
      price,
      laid: allLie && price ? laidOf(required(group, 'group'), id, cutting.copies) : undefined,
    }
  })
}

/** What the pieces of one thing bear of the hides they lie on. */
function laidOf(group: ReturnType<typeof groupsOf>[number], design: string, copies: number): Cut['laid'] {
  let [cost, used, pieces] = [0, 0, 0]
  for (const hide of group.hides) {
    const of = figuresOf(hide, group.asked.lying, group.wanted, group.asked.gap)
    if (of.pieces === 0) continue
    cost += Object.entries(of.shares).reduce(
      (sum, [id, share]) => sum + (id.startsWith(`${design}/`) ? share : 0),
      0,
    )
    pieces += of.pieces
    used += of.pieces / (1 - of.waste)
  }
  return used === 0 ? undefined : { cost: cost / copies, waste: 1 - pieces / used }
}
