<script setup lang="ts">
import type { StrokeGroup } from '@drumlin/core/drawing'

/** A piece's tint and lines, wherever it is shown. */
defineProps<{ tint: string; swatch: string; strokes: readonly StrokeGroup[] }>()
/** Outlines keep their weight on the screen at any distance; everything else is true to size. */
const fixed = (layer: string): boolean => layer === 'cut' || layer === 'finished'
</script>

<template>
  <path :d="tint" :fill="swatch" class="tint" />
  <path
    v-for="s in strokes"
    :key="s.key"
    :d="s.d"
    fill="none"
    class="stroke"
    :stroke-width="fixed(s.layer) ? s.weight * 4 : s.weight"
    :stroke-dasharray="s.dash"
    :stroke-linecap="s.round ? 'round' : 'butt'"
    :vector-effect="fixed(s.layer) ? 'non-scaling-stroke' : undefined"
  />
</template>

<style scoped>
.stroke {
  stroke: var(--line);
}
.tint {
  fill-opacity: 0.92;
}
[data-light='lamp'] .tint {
  fill-opacity: 0.2;
}
</style>
