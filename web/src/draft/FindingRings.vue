<script setup lang="ts">
import type { ringsOf } from './over.js'

/** Places that findings are about. */
defineProps<{ rings: ReturnType<typeof ringsOf>; pixel: number }>()
</script>

<template>
  <circle
    v-for="ring in rings"
    :key="ring.key"
    :cx="ring.at.x"
    :cy="ring.at.y"
    :r="11 * pixel"
    class="ring"
    :class="ring.rank"
    :data-ring="ring.rank"
  />
</template>

<style scoped>
.ring {
  fill: none;
  stroke: var(--gorse-mark);
  stroke-width: 2.5px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.ring.stop {
  stroke: var(--rowan);
}
</style>
