<script setup lang="ts">
import { ref, watch } from 'vue'

/** A part of a page that folds away under its title. */
const props = withDefaults(defineProps<{ title: string; open?: boolean; quiet?: boolean }>(), {
  open: false,
  quiet: false,
})
const shown = ref(props.open ? 0 : undefined)
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
