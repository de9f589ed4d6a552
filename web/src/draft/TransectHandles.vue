<script setup lang="ts">
import { computed, ref } from 'vue'
import { type Move, type Point, moveBack, pointMoved } from '@drumlin/core/geometry'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { arrowStep } from '../sheet/arrows.js'
import type { Cut } from './cut.js'

const props = defineProps<{
  /** From the laid-up work to the sheet. */
  move: Move
  /** mm a pixel takes. */
  pixel: number
  toSheet: (x: number, y: number) => Point
}>()
const cut = defineModel<Cut>({ required: true })
const settings = useSettings()
type End = 'from' | 'to' | 'both'
const ENDS = { from: 'A', to: 'A′' } as const
const ends = computed(() => ({
  from: pointMoved(cut.value.from, props.move),
  to: pointMoved(cut.value.to, props.move),
}))

function moveEnd(end: 'from' | 'to', at: Point): void {
  cut.value = { ...cut.value, [end]: { x: Math.round(at.x * 10) / 10, y: Math.round(at.y * 10) / 10 } }
}
function shiftBy(dx: number, dy: number): void {
  const { from, to } = cut.value
  cut.value = { from: { x: from.x + dx, y: from.y + dy }, to: { x: to.x + dx, y: to.y + dy } }
}
function keyed(event: KeyboardEvent, end: 'from' | 'to'): void {
  const way = arrowStep(event)
  if (!way) return
  event.preventDefault()
  event.stopPropagation()
  moveEnd(end, { x: cut.value[end].x + way.x, y: cut.value[end].y + way.y })
}
const grabbed = ref<{ end: End; last: Point }>()
function grab(event: PointerEvent, end: End): void {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  grabbed.value = { end, last: props.toSheet(event.clientX, event.clientY) }
}
function dragged(event: PointerEvent): void {
  const held = grabbed.value
  if (!held) return
  const now = props.toSheet(event.clientX, event.clientY)
  if (held.end !== 'both') return moveEnd(held.end, pointMoved(now, moveBack(props.move)))
  shiftBy(now.x - held.last.x, now.y - held.last.y)
  grabbed.value = { end: 'both', last: now }
}
const release = (): void => {
  grabbed.value = undefined
}
const where = (end: 'from' | 'to'): string =>
  `${printLength(cut.value[end].x, settings.unit)} across, ${printLength(cut.value[end].y, settings.unit)} down`
</script>

<template>
  <g class="transect" @pointermove="dragged" @pointerup="release" @pointercancel="release">
    <line
      data-handle
      class="reach"
      :x1="ends.from.x"
      :y1="ends.from.y"
      :x2="ends.to.x"
      :y2="ends.to.y"
      @pointerdown="grab($event, 'both')"
    />
    <line :x1="ends.from.x" :y1="ends.from.y" :x2="ends.to.x" :y2="ends.to.y" />
    <template v-for="(name, end) in ENDS" :key="end">
      <circle
        data-handle
        :cx="ends[end].x"
        :cy="ends[end].y"
        :r="6 * pixel"
        tabindex="0"
        role="slider"
        :aria-label="`Transect end ${name}`"
        :aria-valuetext="where(end)"
        :aria-valuenow="cut[end].x"
        @keydown="keyed($event, end)"
        @pointerdown="grab($event, end)"
      />
      <text :x="ends[end].x + 9 * pixel" :y="ends[end].y + 4 * pixel" :font-size="13 * pixel">{{
        name
      }}</text>
    </template>
  </g>
</template>

<style scoped>
line {
  stroke: var(--loch);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.reach {
  stroke: transparent;
  stroke-width: 14px;
  cursor: move;
  pointer-events: stroke;
}
circle {
  fill: var(--loch);
  cursor: move;
}
text {
  fill: var(--loch);
  font-family: var(--mono);
  font-weight: 650;
}
</style>
