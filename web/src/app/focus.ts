import { useEventListener } from '@vueuse/core'
import { type Ref, watch } from 'vue'

/** Whether something can't hold the focus any more: taken out, switched off or hidden. */
const lost = (element: HTMLElement): boolean =>
  !element.isConnected || element.matches(':disabled') || element.getClientRects().length === 0

/** Where what had the focus goes away, the work takes it, so that keys and screen readers stand somewhere. */
export function keepFocus(id: string): void {
  useEventListener(document, 'focusout', ({ target }) => {
    // A dialog that closes gives the focus back to what opened it, which takes a moment.
    setTimeout(() => {
      const nowhere = document.activeElement === document.body || document.activeElement === null
      if (nowhere && target instanceof HTMLElement && lost(target))
        document.getElementById(id)?.focus({ preventScroll: true })
    }, 60)
  })
}

/** A dialog that is opened by a key or from elsewhere gives the focus back to what had it. */
export function returnFocus(open: Ref<boolean>): void {
  let before: HTMLElement | undefined
  watch(
    open,
    (now) => {
      if (now) {
        before = document.activeElement instanceof HTMLElement ? document.activeElement : undefined
        return
      }
      setTimeout(() => {
        const { activeElement } = document
        const elsewhere =
          activeElement && activeElement !== document.body && !activeElement.closest('.v-overlay')
        if (!elsewhere && before && !lost(before)) before.focus({ preventScroll: true })
      }, 30)
    },
    { immediate: true },
  )
}
