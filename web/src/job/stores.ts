import {
  type Awl,
  type Good,
  type Hardware,
  type Hide,
  type Iron,
  type Leather,
  type Machine,
  type Shelf,
  type Stores,
  type Thing,
  type Thread,
  storesSchema,
  withGood,
  withHide,
  withoutGood,
  withoutHide,
} from '@drumlin/core/stores'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { failureOf } from '../app/reason.js'
import { useTrouble } from '../app/trouble.js'
import { saveRaw } from '../output/save.js'
import { dropSetAside, readStores, storesProblem, writeStores } from '../storage/stores.js'
import { channel } from './tabs.js'

interface Stocked {
  readonly leathers: readonly Leather[]
  readonly irons: readonly Iron[]
  readonly awls: readonly Awl[]
  readonly threads: readonly Thread[]
  readonly machines: readonly Machine[]
  readonly hardware: readonly Hardware[]
  readonly things: readonly Thing[]
  readonly hides: readonly Hide[]
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
  hides: [],
}

const together = (a: Stores, b: Stores | undefined): Stocked => ({
  leathers: [...(b?.leathers ?? []), ...a.leathers],
  irons: both(a.irons, b?.irons),
  awls: both(a.awls, b?.awls),
  threads: both(a.threads, b?.threads),
  machines: both(a.machines, b?.machines),
  hardware: both(a.hardware, b?.hardware),
  things: both(a.things, b?.things),
  hides: both(a.hides, b?.hides),
})

/** What lies on the shelves, for every menu that offers leather, irons or thread. */
export const useStores = defineStore('stores', () => {
  const own = shallowRef<Stores>()
  const examples = shallowRef<Stores>()
  const all = computed<Stocked>(() => (own.value ? together(own.value, examples.value) : NOTHING))
  const isExample = (id: string): boolean => examples.value?.leathers.some((l) => l.id === id) ?? false

  const trouble = useTrouble()
  const notice = ref<string>()

  async function load(): Promise<void> {
    const stores = await readStores()
    own.value = stores.own
    examples.value = stores.examples
    const { setAside } = stores
    if (setAside)
      trouble.tell({
        what: 'Your shelves could not be read, so the starter stock stands in their place',
        why: setAside.why,
        help: 'What was there is set aside as it was: keep the raw file, then forget it.',
        keep: { label: 'Keep the raw file', save: () => saveRaw(setAside.raw, 'shelves') },
        forget: dropSetAside,
      })
  }

  /**
   * Takes a changed state of the maker's own shelves, or says what is wrong with it. Another tab's changes stay beside it. One that
   * could not be kept is not shown as if it were.
   */
  async function take(next: Stores): Promise<string | undefined> {
    const seen = own.value!
    const checked = storesSchema.safeParse(next)
    if (!checked.success) return storesProblem(checked.error)
    notice.value = undefined
    try {
      const kept = await writeStores(seen, checked.data)
      if (!kept.ok) {
        await load()
        return kept.why
      }
      own.value = kept.stores
      if (kept.over) notice.value = 'Another tab changed the same; it stands as you wrote it here.'
      channel.tell({ what: 'stores' })
      return undefined
    } catch (error) {
      const { why, help } = failureOf(error)
      return `not kept: ${why}. ${help}`
    }
  }
  const put = (shelf: Shelf, good: Good) => take(withGood(own.value!, shelf, good))
  const remove = (shelf: Shelf, id: string) => take(withoutGood(own.value!, shelf, id))
  /** Hides on the shelf, put there or taken from it, all in one. */
  const putHides = (hides: readonly Hide[], gone: readonly string[] = []) =>
    take(hides.reduce(withHide, gone.reduce(withoutHide, own.value!)))
  channel.listen((told) => {
    if (told.what === 'stores') void trouble.attempt('The shelves could not be read again', load)
  })
  return { own, examples, all, notice, isExample, load, put, remove, putHides }
})
