<script setup lang="ts">
import { BarChart, LineChart } from 'echarts/charts'
import {
  AriaComponent,
  GridComponent,
  LegendComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import type { EChartsOption } from 'echarts'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import { useSettings } from '../app/settings.js'

use([
  AriaComponent,
  BarChart,
  GridComponent,
  LegendComponent,
  LineChart,
  MarkLineComponent,
  SVGRenderer,
  TooltipComponent,
])

/** A chart in our look. Colours are asked of the tokens, so that Lamp has its own. */
const props = defineProps<{
  option: (ink: (token: string) => string) => EChartsOption
  label: string
  height: number
}>()
const settings = useSettings()
const shown = computed((): EChartsOption => {
  // Asked anew when the light changes.
  void settings.light
  const style = getComputedStyle(document.documentElement)
  const ink = (token: string): string => style.getPropertyValue(`--${token}`).trim()
  return {
    animation: false,
    textStyle: { fontFamily: ink('ui'), fontSize: 12, color: ink('ink') },
    ...props.option(ink),
  }
})
</script>

<template>
  <div role="img" :aria-label="label">
    <v-chart :option="shown" autoresize :style="{ height: `${height}px` }" aria-hidden="true" />
  </div>
</template>
