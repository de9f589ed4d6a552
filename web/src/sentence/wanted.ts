import { nextTick, watch } from 'vue'
import { useRoute } from 'vue-router'

/** The setting the address asks for, as Find leads to it. */
export function useWantedField(): () => string | undefined {
  const route = useRoute()
  return () => (typeof route.query.field === 'string' ? route.query.field : undefined)
}

/** Takes whoever was led to a setting into its field, once it stands on the screen. */
export function focusWanted(): void {
  const wanted = useWantedField()
  watch(
    wanted,
    async (id) => {
      if (id === undefined) return
      // Once for the part it stands in to open, once for what is in it.
      await nextTick()
      await nextTick()
      const field = document.querySelector<HTMLElement>(
        `[data-field="${CSS.escape(id)}"] :is(input, button, [role='button'])`,
      )
      field?.scrollIntoView({ block: 'center' })
      field?.focus()
    },
    { immediate: true, flush: 'post' },
  )
}
