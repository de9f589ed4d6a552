<script setup lang="ts">
import { computed } from 'vue'
import { printWeight, printWeightBare } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { LEGEND_FIELD, LEGEND_ROW, legendColumns } from './legend.js'

/** The key to the colours of a map, drawn under it: from how much on each holds. `pixel` is one of the screen's, mm. */
const props = defineProps<{
  colours: readonly string[]
  interval: number
  under: { readonly left: number; readonly top: number; readonly width: number; readonly height: number }
  pixel: number
}>()
const settings = useSettings()
const columns = computed(() => legendColumns(props.under.width / props.pixel))
const fields = computed(() =>
  props.colours.map((colour, i) => ({
    colour,
    x: props.under.left + (i % columns.value) * LEGEND_FIELD * props.pixel,
    y: props.under.top + props.under.height + (10 + Math.floor(i / columns.value) * LEGEND_ROW) * props.pixel,
    // The last says the unit.
    text: (i === props.colours.length - 1 ? printWeight : printWeightBare)(i * props.interval, settings.unit),
  })),
)
</script>

<template>
  <g>
    <g v-for="f in fields" :key="f.colour + f.x + f.y">
      <rect
        :x="f.x"
        :y="f.y"
        :width="LEGEND_FIELD * pixel"
        :height="12 * pixel"
        :fill="f.colour"
        :stroke-width="0.5 * pixel"
      />
      <text :x="f.x" :y="f.y + 24 * pixel" :font-size="11 * pixel">{{ f.text }}</text>
    </g>
  </g>
</template>

<style scoped>
g {
  pointer-events: none;
}
rect {
  stroke: var(--ink);
}
text {
  fill: var(--ink);
  font-family: var(--mono);
}
</style>
