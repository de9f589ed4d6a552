<script setup lang="ts">
import { mdiContentCopy } from '@mdi/js'
import { ref } from 'vue'
import { reasonOf } from '../app/reason.js'
import { tableForms, tableRows } from '../output/table.js'

/** A table of a screen onto the clipboard, for a table program or a text. */
const props = defineProps<{
  /** What the table is called on the screen: it is found by that. */
  name: string
}>()
const said = ref('')
async function copy(): Promise<void> {
  const named = `[aria-label=${CSS.escape(props.name)}]`
  const table = document.querySelector<HTMLTableElement>(`table${named}, ${named} table`)
  if (!table) return
  const rows = tableRows(table)
  const { plain, html } = tableForms(rows)
  try {
    await navigator.clipboard.write([
      new ClipboardItem({
        'text/plain': new Blob([plain], { type: 'text/plain' }),
        'text/html': new Blob([html], { type: 'text/html' }),
      }),
    ])
    said.value = `Copied, ${rows.length} rows.`
  } catch (error) {
    said.value = `It could not be copied: ${reasonOf(error)}.`
  }
}
</script>

<template>
  <v-btn variant="plain" :aria-label="`Copy: ${name}`" :title="`Copy: ${name}`" @click="copy">
    <v-icon :icon="mdiContentCopy" size="18" />
  </v-btn>
  <span v-if="said" role="status" class="quiet">{{ said }}</span>
</template>
