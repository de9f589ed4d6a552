<script setup lang="ts">
import { computed } from 'vue'
import { pathData } from '@drumlin/core/drawing'
import { pathBox } from '@drumlin/core/geometry'
import { type Sketch, sketchWord } from '@drumlin/core/pocketbook'
import { useSettings } from '../app/settings.js'

const props = defineProps<{ sketch: Sketch; label: string }>()
const settings = useSettings()
const box = computed(() => {
  const boxes = props.sketch.strokes.map((s) => pathBox(s.path))
  const [left, top] = [Math.min(...boxes.map((b) => b.left)), Math.min(...boxes.map((b) => b.top))]
  const [right, bottom] = [Math.max(...boxes.map((b) => b.right)), Math.max(...boxes.map((b) => b.bottom))]
  const [width, height] = [Math.max(1, right - left), Math.max(1, bottom - top)]
  const room = 0.06 * Math.max(width, height)
  return { left: left - room, top: top - room, width: width + 2 * room, height: height + 2 * room }
})
/** Words keep their size on the screen, whatever the scale of the drawing: the frame is about 460 × 200 px. */
const type = computed(() => 13 * Math.max(box.value.width / 460, box.value.height / 200))
</script>

<template>
  <svg :viewBox="`${box.left} ${box.top} ${box.width} ${box.height}`" role="img" :aria-label="label">
    <path v-for="(s, i) in sketch.strokes" :key="i" :d="pathData(s.path)" :class="s.style" />
    <text
      v-for="(w, i) in sketch.words"
      :key="i"
      :x="w.at.x"
      :y="w.at.y"
      :font-size="type"
      text-anchor="middle"
      dominant-baseline="middle"
    >
      {{ sketchWord(w, settings.unit) }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 200px;
}
path {
  vector-effect: non-scaling-stroke;
  fill: none;
  stroke: var(--line);
  stroke-width: 1.5px;
}
.leather {
  fill: color-mix(in srgb, var(--moss) 18%, var(--surface));
}
.mark {
  stroke: var(--loch);
  stroke-dasharray: 5 4;
}
.hole {
  stroke-width: 2.5px;
}
text {
  fill: var(--ink);
  font-family: var(--mono);
}
</style>
