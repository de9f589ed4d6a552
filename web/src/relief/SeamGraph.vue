<script setup lang="ts">
import { computed } from 'vue'
import { printLength, printWeight, printWeightBare } from '@drumlin/core/measure'
import type { SeamProfile } from '@drumlin/core/relief'
import type { Run } from '@drumlin/core/stitch'
import { useSettings } from '../app/settings.js'

const props = withDefaults(
  defineProps<{ seam: SeamProfile; run: Run; wanted?: number; reach: number; tool?: string }>(),
  { wanted: undefined, tool: 'the iron' },
)
const settings = useSettings()
const [WIDTH, HEIGHT, FOOT] = [760, 120, 22]
/** The scale begins at nothing and ends a little above whatever has to be seen. */
const top = computed(() => Math.max(props.seam.thickest, props.wanted ?? 0, props.reach) * 1.2)
const x = (d: number): number => (d / Math.max(1e-9, props.seam.length)) * WIDTH
const y = (t: number): number => HEIGHT - (t / top.value) * (HEIGHT - 8)
const line = computed(() =>
  props.seam.points
    .map(([d, t], i) => `${i === 0 ? 'M' : 'L'}${x(d).toFixed(1)} ${y(t).toFixed(1)}`)
    .join(''),
)
/** Steps far enough apart that their names can be read. */
const steps = computed(() =>
  props.run.steps.reduce<{ name: string; at: number; label: boolean }[]>((all, s) => {
    const at = x(s.distance)
    const last = all.findLast((o) => o.label)
    all.push({ name: s.name, at, label: !last || at - last.at > s.name.length * 6.5 + 12 })
    return all
  }, []),
)
/** Where the seam is thickest, in the middle of that stretch. */
const peak = computed(() => {
  const most = props.seam.points.filter(([, t]) => t > props.seam.thickest - 0.01)
  const [first] = most
  const end = props.seam.points.find(([d, t]) => d > (first?.[0] ?? 0) && t <= props.seam.thickest - 0.01)
  return ((first?.[0] ?? 0) + (end?.[0] ?? props.seam.length)) / 2
})
/** The figure stands over the line, or under it where the reach or what is wanted runs close above. */
const figureAt = computed(() => {
  const at = y(props.seam.thickest)
  const close = [props.reach, props.wanted].some((t) => t !== undefined && Math.abs(at - 9 - y(t)) < 10)
  return close ? at + 15 : at - 5
})
const label = computed(
  () =>
    `Thickness along the ${props.seam.name}: ${printLength(props.seam.length, settings.unit)} long, at most ${printWeight(props.seam.thickest, settings.unit)}, ${props.run.steps.length} steps`,
)
</script>

<template>
  <svg :viewBox="`-4 0 ${WIDTH + 64} ${HEIGHT + FOOT}`" role="img" :aria-label="label">
    <line x1="0" :x2="WIDTH" :y1="HEIGHT" :y2="HEIGHT" class="ground" />
    <g v-for="(s, i) in steps" :key="i">
      <line :x1="s.at" :x2="s.at" :y1="HEIGHT" :y2="HEIGHT + 5" class="ground" />
      <text
        v-if="s.label"
        :x="s.at"
        :y="HEIGHT + 17"
        :text-anchor="s.at < 40 ? 'start' : s.at > WIDTH - 40 ? 'end' : 'middle'"
      >
        {{ s.name }}
      </text>
    </g>
    <line x1="0" :x2="WIDTH" :y1="y(reach)" :y2="y(reach)" class="reach" />
    <text :x="WIDTH" :y="y(reach) - 4" text-anchor="end" class="quietly">
      reach of {{ tool }} {{ printWeight(reach, settings.unit) }}
    </text>
    <template v-if="wanted !== undefined">
      <line x1="0" :x2="WIDTH" :y1="y(wanted)" :y2="y(wanted)" class="wanted" />
      <text :x="WIDTH + 5" :y="y(wanted) + 4" class="figure want">
        {{ printWeight(wanted, settings.unit) }}
      </text>
    </template>
    <path :d="line" class="height" />
    <text :x="x(peak)" :y="figureAt" class="figure" text-anchor="middle">
      {{ printWeightBare(seam.thickest, settings.unit) }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 824px;
}
.ground {
  stroke: var(--quiet);
}
.wanted {
  stroke: var(--heather);
  stroke-width: 1.6;
  stroke-dasharray: 2 4;
}
.reach {
  stroke: var(--gorse-mark);
  stroke-width: 1.4;
  stroke-dasharray: 8 4;
}
.quietly {
  fill: var(--quiet);
}
.height {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font-size: 12px;
  fill: var(--ink);
}
.want {
  fill: var(--heather);
}
</style>
