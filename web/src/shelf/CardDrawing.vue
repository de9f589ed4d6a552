<script setup lang="ts">
import type { Card } from '@drumlin/core'

defineProps<{ card: Card }>()
/** Outlines keep their weight at any size of the card. */
const fixed = (layer: string): boolean => layer === 'cut'
</script>

<template>
  <svg :viewBox="`-6 -6 ${card.width + 12} ${card.height + 12}`" aria-hidden="true">
    <g v-for="(p, i) in card.pieces" :key="i" :transform="`matrix(${p.move.join(' ')})`">
      <path :d="p.tint" :fill="p.swatch" class="tint" />
      <path
        v-for="s in p.strokes"
        :key="s.key"
        :d="s.d"
        fill="none"
        class="stroke"
        :stroke-width="fixed(s.layer) ? s.weight * 4 : s.weight"
        :stroke-dasharray="s.dash"
        :stroke-linecap="s.round ? 'round' : 'butt'"
        :vector-effect="fixed(s.layer) ? 'non-scaling-stroke' : undefined"
      />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
}
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
