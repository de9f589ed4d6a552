<script setup lang="ts">
import type { Card } from '@drumlin/core/overview'
import SnapshotPicture from '../parts/SnapshotPicture.vue'
import PieceStrokes from '../sheet/PieceStrokes.vue'

defineProps<{ card: Card }>()
</script>

<template>
  <div class="pair">
    <SnapshotPicture v-if="card.picture" :picture="card.picture" class="whole" />
    <svg
      :class="{ small: card.picture }"
      :viewBox="`-6 -6 ${card.width + 12} ${card.height + 12}`"
      aria-hidden="true"
    >
      <g v-for="(p, i) in card.pieces" :key="i" :transform="`matrix(${p.move.join(' ')})`">
        <PieceStrokes :tint="p.tint" :swatch="p.swatch" :strokes="p.strokes" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.pair {
  position: relative;
  width: 100%;
  height: 100%;
}
svg {
  display: block;
  width: 100%;
  height: 100%;
}
/* The pieces lie small beside the whole. */
svg.small {
  position: absolute;
  right: 0;
  bottom: 0;
  width: 30%;
  height: 42%;
}
.whole {
  width: auto;
  max-width: 74%;
  margin: 0;
}
</style>
