import type { Asks, Demand } from '../design/index.js'

/** A demand as the maker wants it. */
export const asWished = (demand: Demand, asks: Asks = {}): Demand => ({ ...demand, ...defined(asks) })

/** Only what is said. */
const defined = (asks: Asks) =>
  Object.fromEntries(Object.entries(asks).filter(([, value]) => value !== undefined))

/** A piece that is to be cut: which of a demand’s, of which design. */
export interface Wanted {
  /** `design/panel#2`: the second of that panel of that design. */
  readonly id: string
  readonly demand: Demand
  /** Cut turned over. */
  readonly over: boolean
  /** The other one of a mirrored pair. */
  readonly mate: string | undefined
}

/** The pieces of several copies of a design, each with an id that stays while the copy does. */
export function wantedOf(design: string, demands: readonly Demand[], copies: number): Wanted[] {
  const id = (demand: Demand, copy: number, k: number): string =>
    `${design}/${demand.key}#${copy * demand.count + k + 1}`
  return demands.flatMap((demand) =>
    Array.from({ length: copies }, (_, copy) =>
      Array.from({ length: demand.count }, (__, k) => {
        // The first of a panel are cut turned over, each beside one that is not.
        const over = k < demand.flipped
        const partner = over ? k + demand.flipped : k - demand.flipped
        const paired = partner >= 0 && partner < demand.count && partner < demand.flipped !== over
        return {
          id: id(demand, copy, k),
          demand,
          over,
          mate: paired ? id(demand, copy, partner) : undefined,
        }
      }),
    ).flat(),
  )
}

/** What a piece is called among all that are cut: numbered where there are several of it. */
export const pieceName = ({ id, demand }: Wanted, all: readonly Wanted[]): string => {
  const several = all.some((w) => w.id !== id && w.demand.name === demand.name)
  return several ? `${demand.name} ${id.replace(/^.*#/, '')}` : demand.name
}
