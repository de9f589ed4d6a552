<script setup lang="ts">
import { mdiHelpCircleOutline } from '@mdi/js'
import { meaningOf } from './meanings.js'
import { wordAnchor } from './anchors.js'

/** What a word of ours means: in a tooltip, and in the glossary behind it. */
const props = defineProps<{ word: string }>()
const meaning = meaningOf(props.word)
</script>

<template>
  <v-btn
    v-if="meaning"
    variant="plain"
    class="word"
    :aria-label="`What “${word}” means`"
    :to="{ name: 'help', params: { page: 'words' }, hash: `#${wordAnchor(word)}` }"
  >
    <v-icon :icon="mdiHelpCircleOutline" size="16" />
    <v-tooltip activator="parent" location="top" max-width="320" :text="meaning" />
  </v-btn>
</template>

<style scoped>
.v-btn.word {
  display: inline-grid;
  place-items: center;
  min-width: 24px;
  min-height: 24px;
  color: var(--quiet);
  vertical-align: middle;
}
</style>
