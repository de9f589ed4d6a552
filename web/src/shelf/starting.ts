import type { Design } from '@drumlin/core/design'
import { type Kind, startingHardware, startingLeathers } from '@drumlin/core/kinds'
import type { useStores } from '../job/stores.js'

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
