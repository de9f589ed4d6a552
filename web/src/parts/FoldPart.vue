<script setup lang="ts">
import { ref, watch } from 'vue'
import { useWantedField } from '../sentence/wanted.js'

/** A part of a page that folds away under its title. */
const props = withDefaults(
  defineProps<{
    title: string
    open?: boolean
    quiet?: boolean
    /** What is said in it: it opens for whoever is led to a setting of these. */
    sentences?: readonly string[]
  }>(),
  { open: false, quiet: false, sentences: () => [] },
)
const wanted = useWantedField()
const shown = ref(props.open ? 0 : undefined)
watch(
  wanted,
  (id) => {
    if (id !== undefined && props.sentences.some((s) => s.includes(`{${id}}`))) shown.value = 0
  },
  { immediate: true },
)
watch(
  () => props.open,
  (open) => (shown.value = open ? 0 : undefined),
)
</script>

<template>
  <v-expansion-panels v-model="shown" class="fold">
    <v-expansion-panel>
      <v-expansion-panel-title :class="{ quiet }">{{ title }}</v-expansion-panel-title>
      <v-expansion-panel-text><slot /></v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>
