<script setup lang="ts">
import { computed, ref } from 'vue'
import { type Point, pointBetween, pointDistance } from '@drumlin/core/geometry'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { arrowStep } from '../sheet/arrows.js'

/** A rule laid between two places of the sheet; its ends take hold of corners and holes. */
const props = defineProps<{
  /** mm a pixel takes. */
  pixel: number
  toSheet: (x: number, y: number) => Point
  /** What an end takes hold of near a place. */
  hold: (at: Point) => Point
}>()
const ends = defineModel<readonly [Point, Point]>({ required: true })
const settings = useSettings()
const NAMES = ['1', '2'] as const
const put = (i: number, at: Point): void => {
  ends.value = i === 0 ? [at, ends.value[1]] : [ends.value[0], at]
}
const at = (i: number): Point => ends.value[i === 0 ? 0 : 1]
function keyed(event: KeyboardEvent, i: number): void {
  const way = arrowStep(event)
  if (!way) return
  event.preventDefault()
  event.stopPropagation()
  put(i, { x: at(i).x + way.x, y: at(i).y + way.y })
}
const grabbed = ref<number>()
function grab(event: PointerEvent, i: number): void {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  grabbed.value = i
}
function dragged(event: PointerEvent): void {
  if (grabbed.value === undefined) return
  const to = props.toSheet(event.clientX, event.clientY)
  put(grabbed.value, event.altKey ? to : props.hold(to))
}
const mm = (v: number): string => printLength(v, settings.unit)
const across = computed(() => Math.abs(ends.value[1].x - ends.value[0].x))
const down = computed(() => Math.abs(ends.value[1].y - ends.value[0].y))
const said = computed(
  () => `${mm(pointDistance(...ends.value))} · ${mm(across.value)} across, ${mm(down.value)} down`,
)
const middle = computed(() => pointBetween(...ends.value, 0.5))
</script>

<template>
  <g
    class="tape"
    @pointermove="dragged"
    @pointerup="grabbed = undefined"
    @pointercancel="grabbed = undefined"
  >
    <line :x1="ends[0].x" :y1="ends[0].y" :x2="ends[1].x" :y2="ends[1].y" />
    <g :transform="`translate(${middle.x} ${middle.y - 12 * pixel})`">
      <rect
        :x="-said.length * 4.3 * pixel"
        :y="-13 * pixel"
        :width="said.length * 8.6 * pixel"
        :height="19 * pixel"
        :rx="4 * pixel"
      />
      <text :font-size="13 * pixel" text-anchor="middle" data-tape role="status">{{ said }}</text>
    </g>
    <circle
      v-for="(name, i) in NAMES"
      :key="name"
      data-handle
      :cx="at(i).x"
      :cy="at(i).y"
      :r="12 * pixel"
      tabindex="0"
      role="slider"
      :aria-label="`End ${name} of the rule`"
      :aria-valuenow="at(i).x"
      :aria-valuetext="said"
      @keydown="keyed($event, i)"
      @pointerdown="grab($event, i)"
    />
  </g>
</template>

<style scoped>
line {
  stroke: var(--heather);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
circle {
  fill: var(--heather);
  fill-opacity: 0.15;
  stroke: var(--heather);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
  cursor: move;
}
rect {
  fill: var(--surface);
  stroke: var(--heather);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
text {
  fill: var(--heather);
  font-family: var(--mono);
  font-weight: 650;
}
</style>
