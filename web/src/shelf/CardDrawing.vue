<script setup lang="ts">
import type { Card } from '@drumlin/core/overview'
import PieceStrokes from '../sheet/PieceStrokes.vue'

defineProps<{ card: Card }>()
</script>

<template>
  <svg :viewBox="`-6 -6 ${card.width + 12} ${card.height + 12}`" aria-hidden="true">
    <g v-for="(p, i) in card.pieces" :key="i" :transform="`matrix(${p.move.join(' ')})`">
      <PieceStrokes :tint="p.tint" :swatch="p.swatch" :strokes="p.strokes" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
