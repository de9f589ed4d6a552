import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { type Failure, failureOf } from './reason.js'

/** Something that was asked and could not be done. It stays until it is done, or seen. */
export interface Trouble extends Failure {
  readonly what: string
  /** Does it again. */
  readonly again?: () => unknown
  /** Gives the maker what is at stake as a file, with what the button says. */
  readonly keep?: { readonly label: string; readonly save: () => void }
  /** Done when the maker has seen it. */
  readonly forget?: () => Promise<void>
}

/** What went wrong with what is kept, for the bar that says so on every screen. */
export const useTrouble = defineStore('trouble', () => {
  const all = shallowRef<readonly Trouble[]>([])
  const drop = (one: Pick<Trouble, 'what'>): void => {
    all.value = all.value.filter((t) => t.what !== one.what)
  }
  const tell = (one: Trouble): void => {
    drop(one)
    all.value = [...all.value, one]
  }

  /**
   * Does something that may fail. True where it was done; where not, it is said with `what` (“The draft was not kept”), and can be
   * done again from there.
   */
  async function attempt(
    what: string,
    act: () => Promise<unknown>,
    keep?: Trouble['keep'],
  ): Promise<boolean> {
    try {
      await act()
      drop({ what })
      return true
    } catch (error) {
      tell({
        what,
        ...failureOf(error),
        again: () => attempt(what, act, keep),
        ...(keep ? { keep } : {}),
      })
      return false
    }
  }
  return { all, tell, drop, attempt }
})
