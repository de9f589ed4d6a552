import type { Asks, Cutting, Demand } from '../design/index.js'
import type { Derived } from '../derived/index.js'
import { firstOf } from '../lists/index.js'
import type { Hide } from '../stores/index.js'
import { type LayAsked } from './bench.js'
import { type Wanted, asWished, wantedOf } from './demand.js'
import { demandsOf } from './demands.js'
import type { Lying } from './lying.js'

/** All that is cut from one material: its pieces, and the hides chosen for it. */
export interface Group {
  /** The leather’s id, or what a sheet is of. */
  readonly of: string
  readonly material: string
  readonly leather: boolean
  readonly swatch: string
  readonly wanted: readonly Wanted[]
  readonly hides: readonly Hide[]
  readonly asked: LayAsked
}

/** What pieces of a design ask for, as the maker wants it. */
export const wishedDemands = (design: string, demands: readonly Demand[], asks: Cutting['asks']): Demand[] =>
  demands.map((d) => asWished(d, asks[`${design}/${d.key}`] as Asks | undefined))

/** All pieces that are cut: those of the design, as often as it is made, and those of others cut along with it. */
export function wantedPieces(derived: Derived): Wanted[] {
  const { id, cutting } = derived.design
  return [
    ...wantedOf(id, wishedDemands(id, demandsOf(derived), cutting.asks), cutting.copies),
    ...cutting.also.flatMap((a) =>
      wantedOf(a.design, wishedDemands(a.design, a.demands, cutting.asks), a.copies),
    ),
  ]
}

/** Where the maker’s pieces lie, of those that there are. */
export const lyingOf = ({ lying }: Cutting, wanted: readonly Wanted[], hides: readonly Hide[]): Lying[] =>
  wanted.flatMap(({ id }) => {
    const at = lying[id]
    return at && hides.some((h) => h.id === at.hide)
      ? [{ id, hide: at.hide, turn: at.turn, x: at.x, y: at.y }]
      : []
  })

/** What is to be cut, material by material, leather first and what there is most of in front. */
export function groupsOf(derived: Derived): Group[] {
  const { cutting } = derived.design
  const byMaterial = new Map<string, Wanted[]>()
  for (const w of wantedPieces(derived))
    byMaterial.set(w.demand.of, [...(byMaterial.get(w.demand.of) ?? []), w])
  return [...byMaterial]
    .map(([of, wanted]) => groupOf(cutting, of, wanted))
    .toSorted((a, b) => Number(b.leather) - Number(a.leather))
}

function groupOf(cutting: Cutting, of: string, wanted: readonly Wanted[]): Group {
  const { demand } = firstOf(wanted)
  const hides = cutting.hides.filter((h) => h.of === of)
  const lying = lyingOf(cutting, wanted, hides)
  return {
    of,
    material: demand.material,
    leather: demand.leather,
    swatch: demand.swatch,
    wanted,
    hides,
    asked: {
      hides,
      wanted,
      gap: cutting.gap,
      anyAngle: cutting.angles === 'any',
      lying,
      locked: lying.filter(({ id }) => cutting.lying[id]?.locked).map(({ id }) => id),
      aside: cutting.aside,
      seed: cutting.seed,
    },
  }
}
