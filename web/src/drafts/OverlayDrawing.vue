<script setup lang="ts">
import { computed } from 'vue'
import type { PieceChange } from '@drumlin/core/compare'
import type { Derived } from '@drumlin/core/derived'
import { pathData, pieceOutline } from '@drumlin/core/drawing'
import { pathMoved, pointMoved } from '@drumlin/core/geometry'
import { arrangeInRows } from '@drumlin/core/reckon'

const props = defineProps<{ before: Derived; now: Derived; changes: readonly PieceChange[] }>()
const pieces = computed(() => [
  ...props.now.pieces,
  ...props.before.pieces.filter((p) => !props.now.pieces.some((n) => n.id === p.id)),
])
const arrangement = computed(() => arrangeInRows(pieces.value, pieceOutline, 470, 16))
const drawn = computed(() =>
  arrangement.value.placed.map(({ item, move }) => {
    const [was, is] = [props.before, props.now].map((d) => d.pieces.find((p) => p.id === item.id))
    const change = props.changes.find((c) => c.panelId === item.id)
    const at = change?.change === 'both' && change.distance > 0 ? pointMoved(change.before, move) : undefined
    return {
      id: item.id,
      was: was && pathData(pathMoved(was.cut, move)),
      is: is && pathData(pathMoved(is.cut, move)),
      at,
    }
  }),
)
const pixel = computed(() => (arrangement.value.width + 24) / 760)
</script>

<template>
  <svg
    :viewBox="`-12 -12 ${arrangement.width + 24} ${arrangement.height + 24}`"
    role="img"
    aria-label="Both drafts laid over each other: the earlier dashed, the later solid"
  >
    <g v-for="d in drawn" :key="d.id">
      <path v-if="d.is" :d="d.is" class="now" />
      <path v-if="d.was" :d="d.was" class="was" />
      <circle v-if="d.at" :cx="d.at.x" :cy="d.at.y" :r="9 * pixel" class="ring" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 400px;
}
path,
circle {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.now {
  stroke: var(--line);
  stroke-width: 1.5px;
}
.was {
  stroke: var(--heather);
  stroke-width: 1.5px;
  stroke-dasharray: 6 4;
}
.ring {
  stroke: var(--gorse-mark);
  stroke-width: 2.5px;
}
</style>
