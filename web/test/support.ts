import { type Design, freshDesign } from '@drumlin/core/design'
import { kindOf, startingLeathers } from '@drumlin/core/kinds'
import { STARTER_STORES } from '@drumlin/core/stores'

/** A new bifold from the starter stock. */
export const newBifold = (id = 'one'): Design =>
  freshDesign({
    id,
    name: 'One',
    kind: 'bifold',
    leathers: startingLeathers(kindOf('bifold'), STARTER_STORES.leathers),
    iron: STARTER_STORES.irons[1]!,
    awl: STARTER_STORES.awls[0]!,
    thread: STARTER_STORES.threads[0]!,
    machine: STARTER_STORES.machines[0]!,
  })
