<script setup lang="ts">
import { computed, ref } from 'vue'
import { type Move, type Point, moveBack, pointMoved } from '@drumlin/core/geometry'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import SheetHandle from '../sheet/SheetHandle.vue'
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
/** Where the line was last held, while it is moved as a whole. */
const held = ref<Point>()
function grab(event: PointerEvent): void {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held.value = props.toSheet(event.clientX, event.clientY)
}
function dragged(event: PointerEvent): void {
  if (!held.value) return
  const now = props.toSheet(event.clientX, event.clientY)
  shiftBy(now.x - held.value.x, now.y - held.value.y)
  held.value = now
}
const where = (end: 'from' | 'to'): string =>
  `${printLength(cut.value[end].x, settings.unit)} across, ${printLength(cut.value[end].y, settings.unit)} down`
</script>

<template>
  <g class="transect">
    <line
      data-handle
      class="reach"
      :x1="ends.from.x"
      :y1="ends.from.y"
      :x2="ends.to.x"
      :y2="ends.to.y"
      @pointerdown="grab"
      @pointermove="dragged"
      @pointerup="held = undefined"
      @pointercancel="held = undefined"
    />
    <line :x1="ends.from.x" :y1="ends.from.y" :x2="ends.to.x" :y2="ends.to.y" />
    <template v-for="(name, end) in ENDS" :key="end">
      <SheetHandle
        :at="ends[end]"
        :label="`Transect end ${name}`"
        :says="where(end)"
        :pixel="pixel"
        :to-sheet="toSheet"
        :mark="12"
        @step="(by) => moveEnd(end, { x: cut[end].x + by.x, y: cut[end].y + by.y })"
        @drag="(to) => moveEnd(end, pointMoved(to, moveBack(move)))"
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
.transect {
  color: var(--loch);
}
text {
  fill: var(--loch);
  font-family: var(--mono);
  font-weight: 650;
}
</style>
