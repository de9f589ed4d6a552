<script setup lang="ts">
import { ref, watch } from 'vue'
import { sayFinding } from '@drumlin/core/check'
import { useOpenFindings } from '../job/about.js'
import { useSettings } from './settings.js'

/** Reads out what an edit brought up or settled, to whoever does not see the trail. */
const settings = useSettings()
const open = useOpenFindings()
const said = ref('')
watch(open, (now, before) => {
  const known = new Set(before.map((f) => f.key))
  const fresh = now.filter((f) => !known.has(f.key))
  const gone = before.filter((f) => !now.some((n) => n.key === f.key)).length
  if (fresh.length > 0) {
    const more = fresh.length > 1 ? ` And ${fresh.length - 1} more.` : ''
    said.value = `New finding: ${sayFinding(fresh[0]!, settings.unit).what}${more}`
  } else if (gone > 0)
    said.value =
      now.length === 0 ? 'Nothing needs a look any more.' : `${gone} settled, ${now.length} left to look at.`
})
</script>

<template>
  <p class="visually-hidden" aria-live="polite" data-said>{{ said }}</p>
</template>
