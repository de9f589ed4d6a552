import { useEventListener } from '@vueuse/core'

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
