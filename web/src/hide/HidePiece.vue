<script setup lang="ts">
import { computed, ref } from 'vue'
import { pathData } from '@drumlin/core/drawing'
import { type Point, polygon } from '@drumlin/core/geometry'
import { type Lying, type Wanted, laidThere } from '@drumlin/core/hide'
import { arrowStep } from '../sheet/arrows.js'

/** A piece where it lies on a hide: dragged, nudged, turned, locked, put aside. */
const props = defineProps<{
  wanted: Wanted
  lying: Lying
  name: string
  locked: boolean
  chosen: boolean
  /** What is wrong with where it lies, in words; empty where nothing is. */
  wrong: string
  pixel: number
  toSheet: (x: number, y: number) => Point
}>()
const emit = defineEmits<{
  choose: []
  /** While it is dragged, by so much from where it lies. */
  drag: [by: Point]
  drop: []
  nudge: [by: Point]
  turn: []
  lock: []
  aside: []
}>()
const outline = computed(() => laidThere(props.wanted.demand.outline, props.wanted.over, props.lying))
const middle = computed(() => {
  const xs = outline.value.map((p) => p.x)
  const ys = outline.value.map((p) => p.y)
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  return { x: (left + right) / 2, y: (top + bottom) / 2, wide: right - left, high: bottom - top }
})
const upright = computed(() => middle.value.high > 1.6 * middle.value.wide)
/** As large as it fits, up to 12 pixels; none where it would be too small to read. */
const size = computed(() => {
  const { wide, high } = middle.value
  const [long, across] = upright.value ? [high, wide] : [wide, high]
  const fits = Math.min(12 * props.pixel, long / (0.56 * props.name.length), across * 0.8)
  return fits < 7 * props.pixel ? 0 : fits
})
const held = ref<Point>()
function grab(event: PointerEvent): void {
  emit('choose')
  if (props.locked) return
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held.value = props.toSheet(event.clientX, event.clientY)
}
function dragged(event: PointerEvent): void {
  if (!held.value) return
  const now = props.toSheet(event.clientX, event.clientY)
  emit('drag', { x: now.x - held.value.x, y: now.y - held.value.y })
}
function drop(): void {
  if (!held.value) return
  held.value = undefined
  emit('drop')
}
function keyed(event: KeyboardEvent): void {
  const by = arrowStep(event)
  const acts: Record<string, () => void> = {
    r: () => emit('turn'),
    l: () => emit('lock'),
    Delete: () => emit('aside'),
    Enter: () => emit('choose'),
    ' ': () => emit('choose'),
  }
  const act = by ? () => emit('nudge', by) : acts[event.key]
  if (!act || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  event.stopPropagation()
  act()
}
</script>

<template>
  <g
    class="piece"
    :class="{ chosen, locked, wrong: wrong !== '' }"
    data-handle
    role="button"
    tabindex="0"
    :aria-label="`${name}${locked ? ', locked' : ''}${wrong ? `: ${wrong}` : ''}`"
    :aria-pressed="chosen"
    :data-piece="wanted.id"
    @pointerdown="grab"
    @pointermove="dragged"
    @pointerup="drop"
    @pointercancel="drop"
    @keydown="keyed"
    @focus="emit('choose')"
  >
    <path :d="pathData(polygon(outline))" :style="{ '--swatch': wanted.demand.swatch }" />
    <text
      v-if="size > 0"
      :x="middle.x"
      :y="middle.y + size * 0.34"
      :font-size="size"
      text-anchor="middle"
      :transform="upright ? `rotate(-90 ${middle.x} ${middle.y})` : undefined"
    >
      {{ name }}
    </text>
    <circle v-if="locked" :cx="middle.x" :cy="middle.y - size" :r="3.4 * pixel" class="pin" />
  </g>
</template>

<style scoped>
.piece {
  cursor: move;
  outline: none;
}
.piece.locked {
  cursor: default;
}
path {
  fill: color-mix(in srgb, var(--swatch) 55%, var(--paper));
  stroke: var(--line);
  stroke-width: 1.3px;
  vector-effect: non-scaling-stroke;
}
.chosen path,
.piece:focus-visible path {
  fill: var(--heather-wash);
  stroke: var(--heather);
  stroke-width: 2.4px;
}
.wrong path {
  stroke: var(--rowan);
  stroke-width: 2.4px;
  stroke-dasharray: 7 4;
}
text {
  fill: var(--ink);
  font-family: var(--ui);
  pointer-events: none;
}
.pin {
  fill: var(--ink);
  pointer-events: none;
}
</style>
