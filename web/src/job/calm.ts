import { type ShallowRef, type WatchSource, shallowRef, watch } from 'vue'
import type { Design } from '@drumlin/core/design'

/** How long the hand rests before slower things are reckoned, ms. */
const CALM = 200

/** The design as it was when the hand last rested: what is too slow to follow every move follows this. Another job shows at once. */
export function useCalm(design: WatchSource<Design | undefined>): ShallowRef<Design | undefined> {
  const calm = shallowRef<Design>()
  let resting: ReturnType<typeof setTimeout> | undefined
  watch(
    design,
    (now, before) => {
      clearTimeout(resting)
      if (before?.id !== now?.id) calm.value = now
      else resting = setTimeout(() => (calm.value = now), CALM)
    },
    { flush: 'sync' },
  )
  return calm
}
