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
import { computed, useTemplateRef } from 'vue'
import VChart from 'vue-echarts'
import { useSettings } from '../app/settings.js'
import TakeDrawing from './TakeDrawing.vue'

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
  /** What it is called where it is taken out. */
  name: string
  height: number
}>()
const box = useTemplateRef<HTMLElement>('box')
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
  <div class="chart">
    <div ref="box" role="img" :aria-label="label">
      <v-chart :option="shown" autoresize :style="{ height: `${height}px` }" aria-hidden="true" />
    </div>
    <p class="take"><TakeDrawing :drawing="() => box?.querySelector('svg') ?? undefined" :name="name" /></p>
  </div>
</template>

<style scoped>
.chart {
  position: relative;
}
.take {
  position: absolute;
  top: 0;
  right: 0;
  margin: 0;
}
</style>
