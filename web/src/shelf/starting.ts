import { startingDesign } from '@drumlin/core/check'
import type { Design } from '@drumlin/core/design'
import { type Figures, withFigures } from '@drumlin/core/learning'
import { type Kind, kindOf, startingHardware, startingLeathers } from '@drumlin/core/kinds'
import type { useStores } from '../job/stores.js'
import { freeId } from './ids.js'

/** What a new job of a kind is begun with, from the maker's own shelves. */
export function startingParts(
  kind: Kind,
  stores: ReturnType<typeof useStores>,
): Pick<Design, 'kind' | 'leathers' | 'iron' | 'awl' | 'thread' | 'machine' | 'hardware'> {
  const shelf = stores.own!
  return {
    kind: kind.id,
    leathers: startingLeathers(kind, shelf.leathers),
    iron: shelf.irons[1] ?? shelf.irons[0]!,
    awl: shelf.awls[0]!,
    thread: shelf.threads[0]!,
    machine: shelf.machines[0]!,
    hardware: startingHardware(kind, stores.all.hardware),
  }
}

/** A new job of a kind under a name that is free, and whether its Brief has anything to ask. */
export function begun(
  id: string,
  taken: readonly string[],
  stores: ReturnType<typeof useStores>,
  /** The workshop’s own figures, learnt from its makings. */
  own: Figures,
): { readonly design: Design; readonly asks: boolean } {
  const kind = kindOf(id)
  const design = startingDesign(
    { id: freeId(id, taken), name: `New ${kind.name.toLowerCase()}`, ...startingParts(kind, stores) },
    stores.own!,
  )
  return { design: withFigures(design, own), asks: kind.brief.length > 0 }
}
