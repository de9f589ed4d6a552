<script setup lang="ts">
import { computed } from 'vue'
import type { AddedPicture, ChoicePicture } from '@drumlin/core/overview'
import AddedDrawing from '../added/AddedDrawing.vue'
import SnapshotPicture from '../parts/SnapshotPicture.vue'

/** What a choice would look like, small: said by its name beside it. */
const props = defineProps<{ drawing: ChoicePicture | AddedPicture }>()
const shape = computed(() => ('shape' in props.drawing ? props.drawing.shape : undefined))
const box = computed(() => {
  if (!shape.value) return ''
  const { left, top, right, bottom } = shape.value.box
  const room = Math.max(right - left, bottom - top) * 0.06
  return `${left - room} ${top - room} ${right - left + 2 * room} ${bottom - top + 2 * room}`
})
</script>

<template>
  <SnapshotPicture v-if="'picture' in drawing" :picture="drawing.picture" />
  <AddedDrawing v-else-if="'host' in drawing" :drawing="drawing" />
  <svg v-else-if="shape" :viewBox="box" aria-hidden="true">
    <path :d="shape.d" :fill="shape.swatch" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 100%;
}
path {
  stroke: var(--line);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}
</style>
