<script setup lang="ts">
import { computed } from 'vue'
import type { AddedPicture } from '@drumlin/core/overview'

/** A piece with something put on it, small: said by its name beside it. */
const props = defineProps<{ drawing: AddedPicture }>()
const box = computed(() => {
  const { left, top, right, bottom } = props.drawing.box
  return `${left} ${top} ${right - left} ${bottom - top}`
})
</script>

<template>
  <svg :viewBox="box" aria-hidden="true">
    <path :d="drawing.host.d" :fill="drawing.host.swatch" />
    <path v-for="(l, i) in drawing.laid" :key="i" :d="l.d" :fill="l.swatch" class="laid" />
    <path v-for="(d, i) in drawing.strokes" :key="`s${i}`" :d="d" class="mark" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 100%;
  overflow: hidden;
}
path {
  stroke: var(--line);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
.laid {
  stroke-width: 1.6px;
}
.mark {
  fill: none;
  stroke-width: 0.8px;
}
</style>
