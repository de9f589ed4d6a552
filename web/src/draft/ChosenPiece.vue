<script setup lang="ts">
import { computed } from 'vue'
import { pathData } from '@drumlin/core/drawing'
import { type Move, boxWidth, pathBox, pathMoved } from '@drumlin/core/geometry'
import { otherUnit, printLength } from '@drumlin/core/measure'
import type { Piece } from '@drumlin/core/reckon'
import { useSettings } from '../app/settings.js'

const props = defineProps<{ piece: Piece; move: Move; pixel: number }>()
const edge = defineModel<string | undefined>('edge', { required: true })
const settings = useSettings()
const outline = computed(() => pathMoved(props.piece.cut, props.move))
const box = computed(() => pathBox(outline.value))
const size = computed(() => {
  const width = boxWidth(box.value)
  return `${printLength(width, settings.unit)} · ${printLength(width, otherUnit(settings.unit))}`
})
const edges = computed(() => {
  const { segments } = pathMoved(props.piece.finished, props.move)
  return props.piece.panel.edges.map((e) => ({
    id: e.id,
    d: pathData({ segments: segments.slice(e.first, e.last + 1), closed: false }),
  }))
})
/** The measure stands in a gap of its own line; over a narrow piece it begins beside what that is moved by. */
const measure = computed(() => {
  const { left, right, top } = box.value
  const [gap, y] = [size.value.length * 4.2 * props.pixel, top - 13 * props.pixel]
  const middle = Math.max((left + right) / 2, left + gap)
  const tick = (x: number): string => `M${x} ${y - 5 * props.pixel}v${10 * props.pixel}`
  return {
    middle,
    y: y + 4.5 * props.pixel,
    d: `M${left} ${y}H${middle - gap}M${middle + gap} ${y}H${right}${tick(left)}${tick(right)}`,
  }
})
</script>

<template>
  <path :d="pathData(outline)" class="chosen" />
  <path
    v-for="e in edges"
    :key="e.id"
    :d="e.d"
    class="edge"
    :class="{ on: edge === e.id }"
    :data-edge="e.id"
    @click="edge = edge === e.id ? undefined : e.id"
  />
  <g aria-hidden="true">
    <path :d="measure.d" class="measure" />
    <text :x="measure.middle" :y="measure.y" text-anchor="middle" :font-size="13 * pixel">{{ size }}</text>
  </g>
</template>

<style scoped>
path {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.chosen {
  stroke: var(--heather);
  stroke-width: 3px;
  pointer-events: none;
}
.edge {
  stroke: transparent;
  stroke-width: 12px;
  pointer-events: stroke;
  cursor: pointer;
}
.edge.on {
  stroke: color-mix(in srgb, var(--heather) 55%, transparent);
}
.measure {
  stroke: var(--heather);
}
/* What it stands over gives way to it. */
text {
  paint-order: stroke;
  stroke: var(--surface);
  stroke-width: 0.35em;
  fill: var(--heather);
  font-family: var(--mono);
  font-weight: 650;
}
</style>
