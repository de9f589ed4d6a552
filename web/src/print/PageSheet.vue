<script setup lang="ts">
import { computed } from 'vue'
import type { PagePreview } from '@drumlin/core/exchange/pdf'
import SnapshotPicture from '../parts/SnapshotPicture.vue'
import InkedDrawing from '../sheet/InkedDrawing.vue'

/** A page as it will come out of the printer. */
const props = defineProps<{ page: PagePreview; lines: boolean }>()
/** All lines, or only those that are cut. */
const strokes = computed(() =>
  props.page.strokes.filter((s) => props.lines || s.layer === 'cut' || s.layer === 'notches'),
)
</script>

<template>
  <svg
    class="page"
    :viewBox="`0 0 ${page.width} ${page.height}`"
    role="img"
    :aria-label="`Page ${page.number}: ${page.names}`"
  >
    <foreignObject
      v-if="page.picture"
      :x="page.picture.x"
      :y="page.picture.y"
      :width="page.picture.width"
      :height="(page.picture.width * page.picture.shot.height) / page.picture.shot.width"
    >
      <SnapshotPicture :picture="page.picture.shot" />
    </foreignObject>
    <InkedDrawing :strokes="strokes" :texts="page.texts" />
  </svg>
</template>

<style scoped>
.page {
  display: block;
  background: #fff;
  box-shadow: 0 0 0 1px var(--hairline);
  font-family: inherit;
}
</style>
