import { onScopeDispose, shallowRef } from 'vue'

/** A field that a measuring device can write into, as whoever stands at it would. */
export interface Waits {
  readonly label: string
  readonly what: 'length' | 'weight'
  /** Whether it took it: a field refuses what is out of its range, and says so itself. */
  readonly write: (text: string) => boolean
}

/** The field that waits for a reading: the one that was last entered and not left for another. */
export const waiting = shallowRef<Waits>()

/** A field enters and leaves the wait; one that goes from the screen waits no more. */
export function useWaiting(own: Waits | undefined) {
  const enter = (): void => void (own && (waiting.value = own))
  const leave = (): void => void (waiting.value === own && (waiting.value = undefined))
  onScopeDispose(leave)
  return {
    enter,
    /** Left for something else on the page; a window that goes behind another leaves its field where it was. */
    leave: (event: FocusEvent): void => void (document.activeElement !== event.target && leave()),
  }
}
