<script setup lang="ts">
import { CustomChart } from 'echarts/charts'
import { use } from 'echarts/core'
import type { CustomSeriesRenderItemAPI, CustomSeriesRenderItemParams, EChartsOption } from 'echarts'
import { computed } from 'vue'
import type { Evening } from '@drumlin/core/makings'
import { clock, minuteAt } from '@drumlin/core/schedule'
import ChartBox from '../parts/ChartBox.vue'
import { daySaid } from './words.js'

use([CustomChart])

/** Evenings under one another, what is done when; what waits after its step is hatched. */
const props = defineProps<{ evenings: readonly Evening[] }>()
const height = computed(() => 46 + 22 * props.evenings.length)
const bounds = computed(() => {
  const starts = props.evenings.map((e) => minuteAt(e.from))
  const ends = props.evenings.map((e) => minuteAt(e.from) + (e.to - e.from))
  return { min: Math.floor(Math.min(...starts) / 30) * 30, max: Math.ceil(Math.max(...ends) / 30) * 30 }
})
interface Bar {
  readonly row: number
  readonly from: number
  readonly to: number
  readonly says: string
  readonly waits: boolean
}
const bars = computed((): Bar[] =>
  props.evenings.flatMap((e, row) => {
    const at = (instant: number): number => minuteAt(e.from) + (instant - e.from)
    return e.items.flatMap((i) => [
      { row, from: at(i.from), to: at(i.to), says: i.step.says, waits: false },
      ...(i.step.wait > 0 && !i.goesOn
        ? [
            {
              row,
              from: at(i.to),
              to: Math.min(bounds.value.max, at(i.to) + i.step.wait),
              says: `${i.step.says}, left to itself`,
              waits: true,
            },
          ]
        : []),
    ])
  }),
)
const option = (ink: (token: string) => string): EChartsOption => ({
  grid: { left: 108, right: 16, top: 6, bottom: 26 },
  tooltip: {
    formatter: (p) => {
      const bar = bars.value[(p as { dataIndex: number }).dataIndex]
      return bar ? `${clock(bar.from)}–${clock(bar.to)} ${bar.says}` : ''
    },
  },
  xAxis: {
    type: 'value',
    min: bounds.value.min,
    max: bounds.value.max,
    interval: bounds.value.max - bounds.value.min > 360 ? 120 : 30,
    axisLabel: { formatter: (v: number) => clock(v), color: ink('quiet') },
    splitLine: { lineStyle: { color: ink('hairline') } },
  },
  yAxis: {
    type: 'category',
    inverse: true,
    data: props.evenings.map((e) => daySaid(e.day)),
    axisLabel: { color: ink('ink') },
    axisTick: { show: false },
  },
  series: [
    {
      type: 'custom',
      data: bars.value.map((b) => [b.row, b.from, b.to]),
      encode: { x: [1, 2], y: 0 },
      renderItem: (params: CustomSeriesRenderItemParams, api: CustomSeriesRenderItemAPI) => {
        const bar = bars.value[params.dataIndex]!
        const [x1, y] = api.coord([bar.from, bar.row]) as [number, number]
        const [x2] = api.coord([bar.to, bar.row]) as [number, number]
        const rect = {
          x: x1,
          y: y - (bar.waits ? 3 : 7),
          width: Math.max(1, x2 - x1 - 1),
          height: bar.waits ? 6 : 14,
        }
        if (!bar.waits)
          return { type: 'rect' as const, shape: rect, style: { fill: ink('moss'), stroke: ink('surface') } }
        const lines = Array.from({ length: Math.floor(rect.width / 5) }, (_, i) => ({
          type: 'line' as const,
          shape: { x1: rect.x + i * 5, y1: rect.y + 6, x2: rect.x + i * 5 + 4, y2: rect.y },
          style: { stroke: ink('heather'), lineWidth: 1 },
        }))
        return { type: 'group' as const, children: lines }
      },
    },
  ],
})
</script>

<template>
  <ChartBox
    :option="option"
    :height="height"
    name="evenings at the bench"
    :label="`Evenings at the bench, ${evenings.length} of them; each is listed below`"
  />
</template>
