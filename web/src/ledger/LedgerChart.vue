<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import { defineAsyncComponent } from 'vue'
import ChartWaits from '../parts/ChartWaits.vue'
import FoldPart from '../parts/FoldPart.vue'

const ChartBox = defineAsyncComponent({
  loader: () => import('../parts/ChartBox.vue'),
  loadingComponent: ChartWaits,
})

/** A plain chart under its sentence, readable as a table as well. */
const props = defineProps<{
  title: string
  /** What it comes to, in a sentence. */
  says: string
  option: (ink: (token: string) => string) => EChartsOption
  height: number
  columns: readonly string[]
  rows: readonly (readonly (string | number)[])[]
}>()
const label = (): string => `${props.title}. ${props.says}`
</script>

<template>
  <section class="chart" :aria-label="title">
    <h2>{{ title }}</h2>
    <p v-if="says" class="says">{{ says }}</p>
    <ChartBox :option="option" :label="label()" :name="title" :height="height" />
    <FoldPart title="As a table" quiet>
      <v-table density="compact" :aria-label="`${title}, as a table`">
        <thead>
          <tr>
            <th v-for="c in columns" :key="c" scope="col">{{ c }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in rows" :key="i">
            <td v-for="(value, k) in row" :key="k">{{ value }}</td>
          </tr>
        </tbody>
      </v-table>
    </FoldPart>
  </section>
</template>

<style scoped>
.chart {
  min-width: 0;
}
h2 {
  font-size: 16px;
}
.says {
  margin-bottom: 4px;
}
</style>
