<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import { computed, defineAsyncComponent } from 'vue'
import { INCH, OUNCE, printLength, printWeight, systemOf } from '@drumlin/core/measure'
import type { SeamProfile } from '@drumlin/core/relief'
import type { Run } from '@drumlin/core/stitch'
import { useSettings } from '../app/settings.js'
import ChartWaits from '../parts/ChartWaits.vue'

const ChartBox = defineAsyncComponent({
  loader: () => import('../parts/ChartBox.vue'),
  loadingComponent: ChartWaits,
})

/** Thickness along a seam, with what it climbs, and how far the tool reaches. */
const props = withDefaults(
  defineProps<{ seam: SeamProfile; run: Run; wanted?: number; reach: number; tool?: string }>(),
  { wanted: undefined, tool: 'the iron' },
)
const settings = useSettings()
const thick = (mm: number): string => printWeight(mm, settings.unit)
const long = (mm: number): string => printLength(mm, settings.unit)
const label = computed(
  () =>
    `Thickness along the ${props.seam.name}: ${long(props.seam.length)} long, at most ${thick(props.seam.thickest)}, ${props.run.steps.length} steps; ${props.tool} reaches ${thick(props.reach)}`,
)
/** Whole figures of the unit shown: millimetres, or inches for the length and ounces for the thickness. */
const stepOf = (top: number, unit: number): number => {
  const rough = top / unit / 5
  const size = 10 ** Math.floor(Math.log10(rough))
  return ([1, 2, 5, 10].find((n) => n * size >= rough) ?? 10) * size * unit
}
const option = computed(() => (ink: (token: string) => string): EChartsOption => {
  const { seam, run, wanted, reach } = props
  const metric = systemOf(settings.unit) === 'mm'
  const thickMetric = systemOf(settings.unit, 'thickness') === 'mm'
  const top = Math.max(seam.thickest, wanted ?? 0, reach) * 1.15
  const axis = {
    axisLine: { show: true, lineStyle: { color: ink('quiet') } },
    axisLabel: { color: ink('quiet') },
    splitLine: { lineStyle: { color: ink('hairline') } },
  }
  // The words of the higher line stand above it, those of the lower one below, however near they are.
  const across = (value: number, other: number, text: string, colour: string, type: 'dashed' | 'dotted') => ({
    yAxis: value,
    lineStyle: { color: colour, type, width: 1.6 },
    label: {
      formatter: text,
      position: value < other ? ('insideEndBottom' as const) : ('insideEndTop' as const),
      color: ink('quiet'),
    },
  })
  const reachText = `reach of ${props.tool} ${thick(reach)}`
  const lines =
    wanted === undefined
      ? [across(reach, 0, reachText, ink('gorse-mark'), 'dashed')]
      : Math.abs(wanted - reach) < 0.005
        ? [across(reach, 0, `wanted: the ${reachText}`, ink('gorse-mark'), 'dashed')]
        : [
            across(reach, wanted, reachText, ink('gorse-mark'), 'dashed'),
            across(wanted, reach, `wanted ${thick(wanted)}`, ink('heather'), 'dotted'),
          ]
  return {
    grid: { left: 46, right: 16, top: 18, bottom: 40 },
    tooltip: {
      trigger: 'axis',
      backgroundColor: ink('surface'),
      borderColor: ink('hairline'),
      textStyle: { color: ink('ink') },
      formatter: (params) => {
        const [first] = Array.isArray(params) ? params : [params]
        const [d, t] = (first?.value ?? [0, 0]) as [number, number]
        return `${long(d)} along: ${thick(t)}`
      },
    },
    xAxis: {
      type: 'value',
      min: 0,
      max: seam.length,
      interval: stepOf(seam.length, metric ? 1 : INCH),
      name: `along the seam, ${metric ? 'mm' : 'in'}`,
      nameLocation: 'middle',
      nameGap: 24,
      nameTextStyle: { color: ink('quiet') },
      ...axis,
      axisLabel: {
        ...axis.axisLabel,
        formatter: (v: number) => String(Math.round((v / (metric ? 1 : INCH)) * 10) / 10),
      },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      min: 0,
      max: top,
      interval: stepOf(top, thickMetric ? 1 : OUNCE),
      name: thickMetric ? 'mm' : 'oz',
      nameTextStyle: { color: ink('quiet') },
      nameGap: 6,
      ...axis,
      axisLabel: {
        ...axis.axisLabel,
        showMaxLabel: false,
        formatter: (v: number) => String(Math.round((v / (thickMetric ? 1 : OUNCE)) * 10) / 10),
      },
    },
    series: [
      {
        type: 'line',
        data: seam.points.map(([d, t]) => [d, t]),
        symbol: 'none',
        lineStyle: { color: ink('ink'), width: 2 },
        areaStyle: { color: ink('moss'), opacity: 0.08 },
        markLine: {
          silent: true,
          symbol: 'none',
          data: [
            ...lines,
            ...run.steps.map((s) => ({
              xAxis: s.distance,
              lineStyle: { color: ink('quiet'), type: 'solid' as const, width: 0.8, opacity: 0.5 },
              label: {
                formatter: s.name,
                rotate: 90,
                position: 'insideStartBottom' as const,
                color: ink('quiet'),
                fontSize: 11,
              },
            })),
          ],
        },
      },
    ],
  }
})
</script>

<template>
  <ChartBox :option="option" :label="label" name="thickness along the seam" :height="190" />
</template>
