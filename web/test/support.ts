import { type Design, STARTER_STORES, freshDesign, kindOf, startingLeathers } from '@drumlin/core'

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
