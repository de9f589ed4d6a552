<script setup lang="ts">
import { computed } from 'vue'
import { type Point, pointBetween, pointDistance } from '@drumlin/core/geometry'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import SheetHandle from '../sheet/SheetHandle.vue'

/** A rule laid between two places of the sheet; its ends take hold of corners and holes. */
defineProps<{
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
const mm = (v: number): string => printLength(v, settings.unit)
const across = computed(() => Math.abs(ends.value[1].x - ends.value[0].x))
const down = computed(() => Math.abs(ends.value[1].y - ends.value[0].y))
const said = computed(
  () => `${mm(pointDistance(...ends.value))} · ${mm(across.value)} across, ${mm(down.value)} down`,
)
const middle = computed(() => pointBetween(...ends.value, 0.5))
</script>

<template>
  <g class="tape">
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
    <SheetHandle
      v-for="(name, i) in NAMES"
      :key="name"
      :at="at(i)"
      :label="`End ${name} of the rule`"
      :says="said"
      :pixel="pixel"
      :to-sheet="toSheet"
      @step="(by) => put(i, { x: at(i).x + by.x, y: at(i).y + by.y })"
      @drag="(to, freely) => put(i, freely ? to : hold(to))"
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
.tape {
  color: var(--heather);
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
