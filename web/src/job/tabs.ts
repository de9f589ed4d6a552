/** What one tab tells the others: a job was written or taken away, the shelves changed. */
export type Told =
  | { readonly what: 'job' | 'removed'; readonly id: string }
  | { readonly what: 'stores' }
  | { readonly what: 'shelf' }

/** Tells other tabs what was kept, and hears it from them. */
export const channel = (() => {
  const wire = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('drumlin')
  return {
    tell: (told: Told): void => wire?.postMessage(told),
    /** Hears until the page ends, or until what is given back is called. */
    listen: (heard: (told: Told) => void): (() => void) => {
      const on = ({ data }: MessageEvent<Told>): void => heard(data)
      wire?.addEventListener('message', on)
      return () => wire?.removeEventListener('message', on)
    },
  }
})()
