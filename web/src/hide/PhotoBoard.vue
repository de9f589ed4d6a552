<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { Point } from '@drumlin/core/geometry'
import { useClicks } from '../sheet/clicks.js'
import ZoomButtons from '../sheet/ZoomButtons.vue'
import SheetHandle from '../sheet/SheetHandle.vue'
import { useSheetView } from '../sheet/view.js'
import type { Photograph, Places } from './photograph.js'

/** The photograph with what was clicked on it so far. What is clicked now can be taken hold of; the rest only shows, so that a
 * backbone can begin right at a corner of the border. */
const props = defineProps<{
  photograph: Photograph
  places: Places
  /** What is being clicked. */
  now: keyof Places | 'flaws'
  flaws: readonly { readonly at: Point }[]
}>()
const emit = defineEmits<{ place: [at: Point]; move: [of: keyof Places, i: number, to: Point] }>()
const svg = useTemplateRef<SVGSVGElement>('svg')
const view = useSheetView(
  computed(() => svg.value ?? undefined),
  () => ({ left: 0, top: 0, right: props.photograph.width, bottom: props.photograph.height }),
)
const pixel = computed(() => 1 / view.scale.value)
const { pressed, clicked } = useClicks(view.toSheet, (at) => emit('place', at))
const shown = computed(() =>
  (['scale', 'border', 'backbone'] as const).flatMap((of) =>
    props.places[of].map((at, i) => ({ of, at, i })),
  ),
)
const line = (points: readonly Point[]): string => points.map((p) => `${p.x},${p.y}`).join(' ')
</script>

<template>
  <p><ZoomButtons @zoom="(by) => view.zoom(by)" /></p>
  <svg
    ref="svg"
    :viewBox="view.viewBox.value"
    tabindex="0"
    role="group"
    aria-label="The photograph"
    @keydown="view.pressed"
    @pointerdown="pressed"
    @click="clicked"
  >
    <image :href="photograph.url" :width="photograph.width" :height="photograph.height" />
    <polygon v-if="places.scale.length > 1" :points="line(places.scale)" class="scale" />
    <polygon v-if="places.border.length > 1" :points="line(places.border)" class="border" />
    <polyline v-if="places.backbone.length > 1" :points="line(places.backbone)" class="backbone" />
    <circle v-for="(f, i) in flaws" :key="`f${i}`" :cx="f.at.x" :cy="f.at.y" :r="7 * pixel" class="flaw" />
    <g v-for="p in shown" :key="`${p.of}${p.i}`" :class="`handle ${p.of}`">
      <circle v-if="p.of !== now" :cx="p.at.x" :cy="p.at.y" :r="4 * pixel" class="mark" />
      <SheetHandle
        v-else
        :at="p.at"
        :label="`${p.of} ${p.i + 1}`"
        :says="`${Math.round(p.at.x)}, ${Math.round(p.at.y)}`"
        :pixel="pixel"
        :mark="8"
        :to-sheet="view.toSheet"
        @step="(d) => emit('move', p.of, p.i, { x: p.at.x + d.x, y: p.at.y + d.y })"
        @drag="(to) => emit('move', p.of, p.i, to)"
      />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 420px;
  background: var(--ground);
  cursor: crosshair;
  touch-action: none;
}
polygon,
polyline {
  fill: none;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.scale {
  stroke: var(--loch);
}
.border {
  stroke: var(--heather);
}
.backbone {
  stroke: var(--moss);
}
.mark {
  fill: currentcolor;
  pointer-events: none;
}
.flaw {
  fill: none;
  stroke: var(--rowan);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.handle.scale {
  color: var(--loch);
}
.handle.border {
  color: var(--heather);
}
.handle.backbone {
  color: var(--moss);
}
</style>
