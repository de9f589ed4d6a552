<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { mdiChevronDown } from '@mdi/js'
import { computed, ref } from 'vue'
import { measureSentence, parseWeight, printWeight } from '@drumlin/core/measure'
import {
  type Column,
  type Good,
  type Leather,
  type Thread,
  parseThreadSize,
  soldWeights,
} from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import MeasureField from '../sentence/MeasureField.vue'
import NameField from '../sentence/NameField.vue'
import ChoiceField from '../sentence/ChoiceField.vue'

const figure = useFigures()
const props = defineProps<{ good: Good; column: Column }>()
const emit = defineEmits<{ change: [value: unknown] }>()
const settings = useSettings()
const error = ref('')
const value = computed(() => (props.good as unknown as Record<string, unknown>)[props.column.key])
const label = computed(() => `${props.column.label} of ${props.good.name}`)
const measured = computed(() => {
  const { type, min, max, step } = props.column
  return type === 'fine' || type === 'pitch' || type === 'thickness' || type === 'count' || type === 'share'
    ? { sort: type, min: min!, max: max!, step: step! }
    : undefined
})
const range = computed(() => {
  const { low, high } = value.value as { low: number; high: number }
  return low === high
    ? printWeight(low, settings.unit)
    : `${printWeight(low, settings.unit).replace(/ \w+$/, '')}–${printWeight(high, settings.unit)}`
})

/** Weights as its tannage is usually sold, to be taken as they are. */
const sold = computed(() =>
  props.column.type === 'range'
    ? soldWeights((props.good as Leather).tannage).map(({ low, high, ticket }) => ({
        ticket,
        title: `${figure(low, 1)}–${figure(high, 1)} mm`,
        range: { low: Number(low.toFixed(1)), high: Number(high.toFixed(1)) },
      }))
    : [],
)
/** What stands in a field that is written rather than stepped. */
const shown = computed(() => {
  if (props.column.type === 'range') return range.value
  if (props.column.type === 'thread') return `Tex ${value.value as number}`
  if (props.column.type === 'lengths') return (value.value as number[]).join(', ') || '–'
  return props.column.type === 'counts' ? (value.value as number[]).join(', ') : (value.value as string)
})

/** Numbers of prongs, apart by commas or spaces; nothing where it is the one iron only. */
function countsOf(text: string): number[] | undefined {
  const parts = text.split(/[\s,;]+/).filter(Boolean)
  return parts.every((p) => /^\d{1,2}$/.test(p)) ? parts.map(Number) : undefined
}

/** Lengths in mm, apart by commas or spaces; a dash for none. */
function lengthsOf(text: string): number[] | undefined {
  const parts = text.split(/[\s,;]+/).filter((p) => p !== '' && p !== '–' && p !== '-')
  return parts.every((p) => /^\d{1,2}([.]\d+)?$/.test(p))
    ? parts.map(Number).toSorted((a, b) => a - b)
    : undefined
}

function written(text: string): void {
  error.value = ''
  if (props.column.type === 'lengths') {
    const lengths = lengthsOf(text)
    if (lengths) emit('change', lengths)
    else error.value = `“${text}” was not understood. Write lengths in mm such as 6, 8, 10.`
    return
  }
  if (props.column.type === 'counts') {
    const counts = countsOf(text)
    if (counts) emit('change', counts)
    else error.value = `“${text}” was not understood. Write numbers of prongs such as 4, 2.`
    return
  }
  if (props.column.type !== 'range' && props.column.type !== 'thread') return emit('change', text)
  const read: ReturnType<typeof parseWeight> | ReturnType<typeof parseThreadSize> =
    props.column.type === 'range' ? parseWeight(text) : parseThreadSize(text, props.good as Thread)
  if (read.ok) emit('change', read.value)
  else error.value = measureSentence(read.error)
}
</script>

<template>
  <MeasureField
    v-if="measured"
    v-bind="measured"
    :value="value as number"
    :label="label"
    @change="(to) => emit('change', to)"
  />
  <ChoiceField
    v-else-if="column.type === 'choice'"
    :value="value as string"
    :label="label"
    :options="(column.choices ?? []).map((c) => ({ value: c, label: c }))"
    @change="(to) => emit('change', to)"
  />
  <v-checkbox-btn
    v-else-if="column.type === 'yesno'"
    :model-value="value as boolean"
    :aria-label="label"
    @update:model-value="(to) => emit('change', to === true)"
  />
  <v-menu v-else-if="column.type === 'colour'" :close-on-content-click="false">
    <template #activator="{ props: opener }">
      <v-btn
        v-bind="opener"
        variant="plain"
        class="swatch"
        :style="{ background: value as string }"
        :aria-label="label"
      />
    </template>
    <v-color-picker
      :model-value="value as string"
      mode="hex"
      :modes="['hex']"
      @update:model-value="(to: string) => emit('change', to.slice(0, 7).toLowerCase())"
    />
  </v-menu>
  <template v-else>
    <NameField
      class="text"
      :value="shown"
      :label="label"
      :max="80"
      :invalid="error !== ''"
      @change="written"
    />
    <v-menu v-if="sold.length > 0">
      <template #activator="{ props: opener }">
        <v-btn v-bind="opener" variant="plain" :aria-label="`Usual weights for ${good.name}`">
          <v-icon :icon="mdiChevronDown" size="18" />
        </v-btn>
      </template>
      <v-list :aria-label="`Usual weights for ${good.name}`">
        <v-list-item
          v-for="w in sold"
          :key="w.ticket"
          :title="w.title"
          :subtitle="w.ticket"
          @click="emit('change', w.range)"
        />
      </v-list>
    </v-menu>
    <span v-if="error" role="alert" class="error">{{ error }}</span>
  </template>
</template>

<style scoped>
.text {
  font: 600 15px var(--ui);
  color: var(--ink);
  background: none;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  field-sizing: content;
  min-width: 60px;
}
.text:hover {
  border-bottom-color: var(--moss);
}
.swatch {
  width: 34px;
  height: 24px;
  padding: 0;
  border: 1px solid var(--hairline);
  border-radius: 6px;
}
.error {
  display: block;
  color: var(--rowan);
  font-size: 14px;
}
</style>
