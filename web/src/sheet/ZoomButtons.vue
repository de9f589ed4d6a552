<script setup lang="ts">
import { mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js'

/** Nearer and farther, wherever a sheet is shown. */
const emit = defineEmits<{ zoom: [factor: number] }>()
</script>

<template>
  <v-btn aria-label="Nearer" title="Nearer" @click="emit('zoom', 1.25)"
    ><v-icon :icon="mdiMagnifyPlusOutline" size="18"
  /></v-btn>
  <v-btn aria-label="Farther" title="Farther" @click="emit('zoom', 0.8)"
    ><v-icon :icon="mdiMagnifyMinusOutline" size="18"
  /></v-btn>
</template>
