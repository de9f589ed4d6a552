<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import { computed, defineAsyncComponent } from 'vue'
import type { Figures } from '@drumlin/core/overview'
import ChartWaits from '../parts/ChartWaits.vue'
import { sayTime } from '../parts/time.js'

const ChartBox = defineAsyncComponent({
  loader: () => import('../parts/ChartBox.vue'),
  loadingComponent: ChartWaits,
})

/** Variants side by side: their hours by sort of work, and weight, leather and size against the work as it is. */
const props = defineProps<{ figures: readonly { readonly name: string; readonly of: Figures }[] }>()
const names = computed(() => props.figures.map((f) => f.name))
/** Sorts of work in the order of the first, with their minutes in each variant. */
const parts = computed(() => {
  const all = props.figures.flatMap((f) => f.of.time.parts)
  const keys = [...new Map(all.map((p) => [p.key, p.label]))]
  return keys.map(([key, label]) => ({
    label: label.replace(/, minutes$/, ''),
    minutes: props.figures.map((f) => f.of.time.parts.find((p) => p.key === key)?.value ?? 0),
  }))
})
const longest = computed(() => Math.max(...props.figures.map((f) => f.of.time.total.value)))
const SIZES = [
  { label: 'width', of: (f: Figures) => f.width },
  { label: 'height', of: (f: Figures) => f.height },
  { label: 'thick, full', of: (f: Figures) => f.full },
  { label: 'leather', of: (f: Figures) => f.area },
  { label: 'weight', of: (f: Figures) => f.weight.value },
  { label: 'time', of: (f: Figures) => f.time.total.value },
] as const
const shares = computed(() =>
  props.figures.map(({ name, of: f }) => ({
    name,
    values: SIZES.map(({ of }) => {
      const base = of(props.figures[0]?.of ?? f)
      return base > 0 ? Math.round((1000 * of(f)) / base) / 10 : 100
    }),
  })),
)
const TOKENS = ['moss', 'gorse-mark', 'loch', 'heather', 'fern', 'quiet', 'rowan'] as const
const grey = (ink: (token: string) => string) => ({
  axisLabel: { color: ink('ink') },
  axisLine: { lineStyle: { color: ink('quiet') } },
  splitLine: { lineStyle: { color: ink('hairline') } },
})
const tip = (ink: (token: string) => string) => ({
  backgroundColor: ink('surface'),
  borderColor: ink('hairline'),
  textStyle: { color: ink('ink') },
})
const time = computed(() => (ink: (token: string) => string): EChartsOption => ({
  grid: { left: 74, right: 20, top: 8, bottom: 66 },
  legend: { bottom: 0, itemWidth: 14, itemHeight: 10, textStyle: { color: ink('ink') } },
  tooltip: { trigger: 'item', ...tip(ink), valueFormatter: (v) => sayTime(Number(v)) },
  xAxis: {
    type: 'value',
    // Whole hours, about six of them.
    interval: 60 * Math.max(1, Math.ceil(longest.value / 360)),
    ...grey(ink),
    axisLabel: { color: ink('ink'), formatter: (v: number) => `${Math.round(v / 60)} h` },
  },
  yAxis: { type: 'category', inverse: true, data: names.value, ...grey(ink) },
  series: parts.value.map((p, i) => ({
    type: 'bar' as const,
    name: p.label,
    stack: 'time',
    data: p.minutes,
    barMaxWidth: 30,
    itemStyle: {
      color: ink(TOKENS[i % TOKENS.length] ?? 'ink'),
      borderColor: ink('surface'),
      borderWidth: 1,
    },
  })),
}))
const sizes = computed(() => (ink: (token: string) => string): EChartsOption => ({
  grid: { left: 48, right: 12, top: 26, bottom: 50 },
  legend: { bottom: 0, itemWidth: 14, itemHeight: 10, textStyle: { color: ink('ink') } },
  tooltip: { trigger: 'axis', ...tip(ink), valueFormatter: (v) => `${String(v)} %` },
  xAxis: { type: 'category', data: SIZES.map((s) => s.label), ...grey(ink) },
  yAxis: {
    type: 'value',
    name: '% of as it is',
    nameTextStyle: { color: ink('quiet'), align: 'left' },
    ...grey(ink),
  },
  series: shares.value.map((s, i) => ({
    type: 'bar' as const,
    name: s.name,
    data: s.values,
    barMaxWidth: 22,
    itemStyle: { color: ink(['moss', 'heather', 'loch'][i] ?? 'ink') },
  })),
}))
const timeSaid = computed(
  () =>
    `Time by sort of work. ${props.figures.map((f) => `${f.name}: ${sayTime(f.of.time.total.value)}, of it ${f.of.time.parts.map((p) => `${p.label} ${sayTime(p.value)}`).join(', ')}`).join('. ')}`,
)
const sizesSaid = computed(
  () =>
    `In per cent of the work as it is. ${shares.value.map((s) => `${s.name}: ${SIZES.map((one, i) => `${one.label} ${s.values[i]}`).join(', ')}`).join('. ')}`,
)
</script>

<template>
  <div class="charts">
    <ChartBox
      :option="time"
      :label="timeSaid"
      name="time of the variants"
      :height="90 + 44 * figures.length"
    />
    <ChartBox :option="sizes" :label="sizesSaid" name="sizes of the variants" :height="220" />
  </div>
</template>

<style scoped>
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 24px;
  margin-top: 18px;
}
</style>
