<script setup lang="ts">
import { ref } from 'vue'
import type { Point } from '@drumlin/core/geometry'
import { arrowStep } from './arrows.js'

/** A place on the sheet that can be taken hold of: dragged, or moved by the arrows. Large enough for a finger. */
const props = defineProps<{
  at: Point
  label: string
  /** What is read aloud of where it stands. */
  says: string
  /** mm a pixel takes. */
  pixel: number
  toSheet: (x: number, y: number) => Point
  /** A mark of so many pixels across stands in its middle; none where it is only a ring. */
  mark?: number
}>()
const emit = defineEmits<{
  /** By so much, mm. */
  step: [by: Point]
  /** To a place of the sheet; freely where Alt is held. */
  drag: [to: Point, freely: boolean]
  /** Taken hold of, or let go. */
  hold: [on: boolean]
}>()
const held = ref(false)
function grab(event: PointerEvent): void {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held.value = true
  emit('hold', true)
}
function release(): void {
  if (held.value) emit('hold', false)
  held.value = false
}
function dragged(event: PointerEvent): void {
  if (held.value) emit('drag', props.toSheet(event.clientX, event.clientY), event.altKey)
}
function keyed(event: KeyboardEvent): void {
  const by = arrowStep(event)
  if (!by) return
  event.preventDefault()
  event.stopPropagation()
  emit('step', by)
}
</script>

<template>
  <circle v-if="mark" class="mark" :cx="at.x" :cy="at.y" :r="(mark / 2) * pixel" />
  <circle
    data-handle
    class="reach"
    :class="{ ring: !mark }"
    :cx="at.x"
    :cy="at.y"
    :r="12 * pixel"
    tabindex="0"
    role="slider"
    :aria-label="label"
    :aria-valuetext="says"
    :aria-valuenow="at.x"
    @keydown="keyed"
    @pointerdown="grab"
    @pointermove="dragged"
    @pointerup="release"
    @pointercancel="release"
  />
</template>

<style scoped>
.mark {
  fill: currentcolor;
  pointer-events: none;
}
.reach {
  fill: currentcolor;
  fill-opacity: 0;
  cursor: move;
}
.reach:focus-visible {
  outline: 2px solid currentcolor;
  outline-offset: 2px;
}
.reach.ring {
  fill-opacity: 0.15;
  stroke: currentcolor;
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}
</style>
