import {
  type Awl,
  type Good,
  type Hardware,
  type Iron,
  type Leather,
  type Machine,
  type Shelf,
  type Stores,
  type Thing,
  type Thread,
  storesSchema,
  withGood,
  withoutGood,
} from '@drumlin/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { readStores, writeStores } from '../storage/examples.js'

interface Stocked {
  readonly leathers: readonly Leather[]
  readonly irons: readonly Iron[]
  readonly awls: readonly Awl[]
  readonly threads: readonly Thread[]
  readonly machines: readonly Machine[]
  readonly hardware: readonly Hardware[]
  readonly things: readonly Thing[]
}

/** The maker's own in front; of the examples what they don't have themselves. */
const both = <T extends { id: string }>(own: readonly T[], examples: readonly T[] = []): readonly T[] => [
  ...examples,
  ...own.filter((one) => !examples.some((other) => other.id === one.id)),
]
const NOTHING: Stocked = {
  leathers: [],
  irons: [],
  awls: [],
  threads: [],
  machines: [],
  hardware: [],
  things: [],
}

const together = (a: Stores, b: Stores | undefined): Stocked => ({
  leathers: [...(b?.leathers ?? []), ...a.leathers],
  irons: both(a.irons, b?.irons),
  awls: both(a.awls, b?.awls),
  threads: both(a.threads, b?.threads),
  machines: both(a.machines, b?.machines),
  hardware: both(a.hardware, b?.hardware),
  things: both(a.things, b?.things),
})

/** What lies on the shelves, for every menu that offers leather, irons or thread. */
export const useStores = defineStore('stores', () => {
  const own = shallowRef<Stores>()
  const examples = shallowRef<Stores>()
  const all = computed<Stocked>(() => (own.value ? together(own.value, examples.value) : NOTHING))
  const isExample = (id: string): boolean => examples.value?.leathers.some((l) => l.id === id) ?? false

  async function load(): Promise<void> {
    const stores = await readStores()
    own.value = stores.own
    examples.value = stores.examples
  }

  /** Takes a changed state of the maker's own shelves, or says what is wrong with it. */
  async function take(next: Stores): Promise<string | undefined> {
    const checked = storesSchema.safeParse(next)
    if (!checked.success) {
      const [issue] = checked.error.issues
      return `${String(issue!.path.at(-1))}: ${issue!.message.replace(/^(Invalid input|Invalid string|Too small|Too big): /, '')}`
    }
    own.value = checked.data
    await writeStores(checked.data)
    return undefined
  }
  const put = (shelf: Shelf, good: Good) => take(withGood(own.value!, shelf, good))
  const remove = (shelf: Shelf, id: string) => take(withoutGood(own.value!, shelf, id))
  return { own, examples, all, isExample, load, put, remove }
})
