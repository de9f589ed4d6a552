import { type Ref, onMounted, ref } from 'vue'
import { useTrouble } from '../app/trouble.js'
import { readSetting, writeSetting } from '../storage/settings.js'

/** How this maker has something put out, whatever the job: as it usually is, or as it was asked last. */
export function useKeptWays<T extends object>(
  key: string,
  usual: T,
  /** Whether it can be put out so: what can’t any more isn’t taken up again. */
  fine: (ways: T) => boolean,
  /** What is lost where it can’t be kept. */
  what: string,
): { readonly how: Ref<T>; readonly set: (more: Partial<T>) => void } {
  const how = ref(usual) as Ref<T>
  onMounted(async () => {
    const kept = await readSetting<Partial<T>>(key).catch(() => undefined)
    const mine = { ...usual, ...(typeof kept === 'object' ? kept : {}) }
    if (fine(mine)) how.value = mine
  })
  const set = (more: Partial<T>): void => {
    how.value = { ...how.value, ...more }
    void useTrouble().attempt(`${what} holds only until this page is closed`, () =>
      writeSetting(key, { ...how.value }),
    )
  }
  return { how, set }
}
