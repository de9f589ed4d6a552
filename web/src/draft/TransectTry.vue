<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { type Edit, changeDrawn, setSkives } from '@drumlin/core/design'
import type { DrawnPanel } from '@drumlin/core/drawn'
import type { Transect } from '@drumlin/core/layup'
import { useJob } from '../job/job.js'
import MeasureField from '../sentence/MeasureField.vue'
import type { MeasureSort } from '../sentence/measures.js'
import ChoiceField from '../sentence/ChoiceField.vue'

const props = defineProps<{ transect: Transect; derived: Derived }>()
const job = useJob()

/** One number of what the section cuts that can be tried: a turn's width, or a skive. */
interface Trial {
  readonly id: string
  readonly label: string
  readonly value: number
  readonly sort: MeasureSort
  readonly max: number
  readonly step: number
  readonly edit: (value: number) => Edit
}

const change = (name: string, panel: DrawnPanel): Edit => changeDrawn(name, job.design!, panel)
function ofDrawing(panel: DrawnPanel, thickness: number): Trial[] {
  const turns = panel.edges.flatMap((edge): Trial[] => {
    const { fate } = edge
    if (fate.type !== 'turned' && fate.type !== 'rolled') return []
    const put = (width: number): DrawnPanel => ({
      ...panel,
      edges: panel.edges.map((e) => (e.id === edge.id ? { ...edge, fate: { ...fate, width } } : e)),
    })
    const label = `turn of the ${edge.name}, ${panel.name.toLowerCase()}`
    return [
      {
        id: `${panel.id} turn ${edge.id}`,
        label,
        value: fate.width,
        sort: 'length',
        max: 200,
        step: 0.5,
        edit: (v) => change(`set the ${label}`, put(v)),
      },
    ]
  })
  const skives = panel.skives.flatMap((skive): Trial[] => {
    const put = (more: object): DrawnPanel => ({
      ...panel,
      skives: panel.skives.map((s) => (s.id === skive.id ? { ...skive, ...more } : s)),
    })
    return [
      {
        id: `${panel.id} ${skive.id} start`,
        label: `thin side of the ${skive.name}`,
        value: skive.start,
        sort: 'thickness',
        max: thickness,
        step: 0.05,
        edit: (v) => change(`set the ${skive.name}`, put({ start: v })),
      },
      {
        id: `${panel.id} ${skive.id} width`,
        label: `width of the ${skive.name}`,
        value: skive.width,
        sort: 'length',
        max: 300,
        step: 0.5,
        edit: (v) => change(`set the ${skive.name}`, put({ width: v })),
      },
    ]
  })
  return [...turns, ...skives]
}

const cutPanels = computed(() => new Set(props.transect.layers.map((l) => l.panelId)))
const trials = computed((): Trial[] => {
  const pieces = props.derived.pieces.filter((p) => cutPanels.value.has(p.id))
  return pieces.flatMap((piece) => {
    const drawn = job.design?.drawn.find((d) => d.id === piece.id)
    if (drawn) return ofDrawing(drawn, piece.thickness ?? 8)
    return piece.panel.bands.map((band): Trial => ({
      id: band.key,
      label: band.name,
      value: Math.min(band.end, piece.thickness ?? band.end),
      sort: 'thickness',
      max: piece.thickness ?? 8,
      step: 0.05,
      edit: (v) => setSkives(`set the ${band.name}`, { [band.key]: v }),
    }))
  })
})
const chosenId = ref('')
const offered = computed(() => [
  { value: '', label: 'a skive or a turn …' },
  ...trials.value.map((t) => ({ value: t.id, label: t.label })),
])
const chosen = computed(() => trials.value.find((t) => t.id === chosenId.value))
const tried = ref<number>()
watch(chosenId, () => leave())
function attempt(value: number): void {
  tried.value = value
  job.preview = chosen.value!.edit(value)
}
function leave(): void {
  tried.value = undefined
  job.preview = undefined
}
// Taken or left in the bar above.
watch(
  () => job.preview,
  (now) => {
    if (now === undefined) tried.value = undefined
  },
)
</script>

<template>
  <span v-if="trials.length > 0" class="try" role="group" aria-label="Try a skive or a turn">
    <span
      >try
      <ChoiceField :value="chosenId" label="What to try" :options="offered" @change="(id) => (chosenId = id)"
    /></span>
    <template v-if="chosen">
      <MeasureField
        :value="tried ?? chosen.value"
        :label="`try: ${chosen.label}`"
        :sort="chosen.sort"
        :min="0"
        :max="chosen.max"
        :step="chosen.step"
        drag
        @change="attempt"
      />
    </template>
  </span>
</template>

<style scoped>
.try {
  display: inline-flex;
  align-items: baseline;
  gap: 8px;
}
</style>
