<script setup lang="ts">
import { computed } from 'vue'
import { type Units, systemOf, type System } from '@drumlin/core/measure'

const props = defineProps<{
  way: 'across' | 'down'
  start: number
  scale: number
  length: number
  unit: Units
}>()

/** Distance between figures in mm: the smallest of these that leaves room for them. */
const STEPS: Readonly<Record<System, readonly number[]>> = {
  mm: [1, 5, 10, 20, 50, 100, 200, 500, 1000],
  in: [0.25, 0.5, 1, 2, 4, 8, 16, 40].map((inches) => inches * 25.4),
}
const step = computed(() => STEPS[systemOf(props.unit)].find((s) => s * props.scale >= 64) ?? 1000)
const ticks = computed(() => {
  const small = step.value / 5
  const first = Math.ceil(props.start / small)
  const count = Math.floor(props.length / props.scale / small)
  return Array.from({ length: count + 1 }, (_, i) => {
    const index = first + i
    const mm = index * small
    const main = index % 5 === 0
    const figure = systemOf(props.unit) === 'mm' ? Math.round(mm) : Math.round((mm / 25.4) * 100) / 100
    return {
      at: (mm - props.start) * props.scale,
      main,
      figure: main ? String(figure).replace('-', '−') : '',
    }
  })
})
</script>

<template>
  <svg class="ruler" :class="way" aria-hidden="true">
    <g v-for="(t, i) in ticks" :key="i">
      <template v-if="way === 'across'">
        <line :x1="t.at" :x2="t.at" y1="0" :y2="t.main ? 10 : 5" />
        <text v-if="t.main" :x="t.at + 3" y="15">{{ t.figure }}</text>
      </template>
      <template v-else>
        <line :y1="t.at" :y2="t.at" x1="0" :x2="t.main ? 10 : 5" />
        <text v-if="t.main" :x="2" :y="t.at - 3">{{ t.figure }}</text>
      </template>
    </g>
  </svg>
</template>

<style scoped>
.ruler {
  display: block;
  width: 100%;
  height: 100%;
  background: var(--surface);
}
line {
  stroke: var(--quiet);
}
text {
  fill: var(--quiet);
  font: 11px var(--mono);
}
</style>
