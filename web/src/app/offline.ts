import { shallowRef } from 'vue'
import { registerSW } from 'virtual:pwa-register'

/** How this page stands without its server: not kept, kept wholly in this browser, or kept and a newer one waits. */
export type Offline =
  { readonly is: 'not kept' | 'kept' } | { readonly is: 'newer waits'; readonly take: () => Promise<void> }

/** What is known of it, for everybody who says so. */
export const offline = shallowRef<Offline>({ is: 'not kept' })

/**
 * Keeps everything Drumlin is made of in this browser, so that it opens and works without its server. A newer one is fetched
 * beside the one that runs, and waits until the maker takes it: then all its pages load it.
 */
export function keepForOffline(): void {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return
  const take = registerSW({
    onOfflineReady: () => (offline.value = { is: 'kept' }),
    onNeedRefresh: () => (offline.value = { is: 'newer waits', take: () => take(true) }),
    onRegisteredSW: (_url, registration) => {
      if (registration?.active && offline.value.is === 'not kept') offline.value = { is: 'kept' }
    },
    // Where the browser gives none, Drumlin works with its server as before.
    onRegisterError: () => undefined,
  })
}
