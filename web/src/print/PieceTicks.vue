<script setup lang="ts">
import type { Piece } from '@drumlin/core/reckon'
import FoldPart from '../parts/FoldPart.vue'

/** Which pieces are meant: those that are left out are kept, so that a piece that comes later is among the others. */
defineProps<{ pieces: readonly Piece[] }>()
const without = defineModel<readonly string[]>({ required: true })
const tick = (id: string, on: boolean | null): void =>
  void (without.value = on ? without.value.filter((one) => one !== id) : [...without.value, id])
</script>

<template>
  <FoldPart :title="`Pieces, ${pieces.filter((p) => !without.includes(p.id)).length} of ${pieces.length}`">
    <v-checkbox-btn
      v-for="p in pieces"
      :key="p.id"
      :model-value="!without.includes(p.id)"
      :label="p.name"
      @update:model-value="(on: boolean | null) => tick(p.id, on)"
    />
  </FoldPart>
</template>
