import type { Awl, Iron, Leather, Stores, Thread } from '@drumlin/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { readStores } from '../storage/examples.js'

interface Stocked {
  readonly leathers: readonly Leather[]
  readonly irons: readonly Iron[]
  readonly awls: readonly Awl[]
  readonly threads: readonly Thread[]
}

const together = (a: Stores, b: Stores | undefined): Stocked => ({
  leathers: [...(b?.leathers ?? []), ...a.leathers],
  irons: [...(b?.irons ?? []), ...a.irons.filter((i) => !b?.irons.some((o) => o.id === i.id))],
  awls: [...(b?.awls ?? []), ...a.awls.filter((i) => !b?.awls.some((o) => o.id === i.id))],
  threads: [...(b?.threads ?? []), ...a.threads.filter((i) => !b?.threads.some((o) => o.id === i.id))],
})

/** What lies on the shelves, for every menu that offers leather, irons or thread. */
export const useStores = defineStore('stores', () => {
  const own = shallowRef<Stores>()
  const examples = shallowRef<Stores>()
  const all = computed<Stocked>(() =>
    own.value ? together(own.value, examples.value) : { leathers: [], irons: [], awls: [], threads: [] },
  )
  const isExample = (id: string): boolean => examples.value?.leathers.some((l) => l.id === id) ?? false

  async function load(): Promise<void> {
    const stores = await readStores()
    own.value = stores.own
    examples.value = stores.examples
  }
  return { own, all, isExample, load }
})
