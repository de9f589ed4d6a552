<script setup lang="ts">
import { computed } from 'vue'
import type { Point } from '@drumlin/core/geometry'
import { printLength } from '@drumlin/core/measure'
import type { Piece, Placed } from '@drumlin/core/reckon'
import { useSettings } from '../app/settings.js'
import SheetHandle from '../sheet/SheetHandle.vue'
import { placedBox } from './laid.js'

/** Takes hold of the chosen piece at its upper left corner, to lay it elsewhere on the sheet. */
const props = defineProps<{
  placed: Placed<Piece>
  pixel: number
  toSheet: (x: number, y: number) => Point
}>()
const emit = defineEmits<{ move: [by: Point] }>()
const settings = useSettings()
const at = computed(() => {
  const { left, top } = placedBox(props.placed)
  return { x: left - 13 * props.pixel, y: top - 13 * props.pixel }
})
/** Four arrows, as far as 6 pixels from the middle. */
const arrows = computed(() => {
  const [a, b] = [6 * props.pixel, 2.4 * props.pixel]
  const { x, y } = at.value
  const tip = (dx: number, dy: number): string =>
    `M${x} ${y}L${x + dx * a} ${y + dy * a}` +
    `M${x + dx * (a - b) - dy * b} ${y + dy * (a - b) - dx * b}L${x + dx * a} ${y + dy * a}` +
    `L${x + dx * (a - b) + dy * b} ${y + dy * (a - b) + dx * b}`
  return [tip(1, 0), tip(-1, 0), tip(0, 1), tip(0, -1)].join('')
})
const mm = (v: number): string => printLength(v, settings.unit)
</script>

<template>
  <g class="move">
    <path :d="arrows" />
    <SheetHandle
      :at="at"
      :label="`Lay the ${placed.item.name} elsewhere on the sheet`"
      :says="`${mm(placed.move.e)} across, ${mm(placed.move.f)} down`"
      :pixel="pixel"
      :to-sheet="toSheet"
      @step="(by) => emit('move', by)"
      @drag="(to) => emit('move', { x: to.x - at.x, y: to.y - at.y })"
    />
  </g>
</template>

<style scoped>
.move {
  color: var(--heather);
}
path {
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
</style>
