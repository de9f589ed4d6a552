<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed } from 'vue'
import { type HideFigures, STRIP_WIDE, figuresOf } from '@drumlin/core/hide'
import { printArea, printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import type { Laying } from './laying.js'

const figure = useFigures()
/** What is cut from each hide, what is wasted, what is left. */
const props = defineProps<{ laying: Laying }>()
const settings = useSettings()
const rows = computed(() => {
  const { hides, asked, wanted } = props.laying.group.value!
  return hides.map((hide) => ({ hide, figures: figuresOf(hide, asked.lying, wanted, asked.gap) }))
})
const area = (mm2: number): string => printArea(mm2, settings.unit)
const percent = (share: number): string => `${Math.round(100 * share)} %`
const long = (mm: number): string => printLength(mm, settings.unit, 0)
const strip = ({ strip: s }: HideFigures): string => (s ? long(s.right - s.left) : 'none')
const rectangle = ({ rectangle: r }: HideFigures): string =>
  r ? `${long(r.right - r.left)} × ${long(r.bottom - r.top)}` : 'none'
</script>

<template>
  <section v-for="{ hide, figures } in rows" :key="hide.id" :aria-label="`Figures of ${hide.name}`">
    <p>
      <strong>{{ hide.name }}</strong>, {{ area(figures.area) }}:
      <template v-if="figures.pieces > 0"
        >pieces {{ area(figures.pieces) }}, waste <strong>{{ percent(figures.waste) }}</strong> of what is
        used up, {{ area(figures.kept) }} to keep.
        <template v-if="figures.cost > 0">
          Its share of the price: {{ figure(figures.cost, 2) }} {{ hide.currency }}.</template
        ></template
      ><template v-else>nothing lies on it.</template>
      {{ hide.backbone === null ? 'Left' : 'Left along the backbone' }}: a strip {{ long(STRIP_WIDE) }} wide
      of {{ strip(figures) }}, a rectangle of {{ rectangle(figures) }}.
    </p>
  </section>
</template>

<style scoped>
p {
  margin: 6px 0;
}
</style>
