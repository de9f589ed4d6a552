<script setup lang="ts">
import { ref } from 'vue'
import { useSettings } from '../app/settings.js'
import NameField from './NameField.vue'
import { type MeasureSort, printMeasure, readWithin } from './measures.js'

/** A measure that somebody takes: nothing stands there until it was taken, and what can't be one is said. */
const props = defineProps<{
  value: number | undefined
  label: string
  sort: MeasureSort
  min: number
  max: number
  /** Grams: a scale may write into it. */
  grams?: boolean
}>()
const emit = defineEmits<{ change: [value: number] }>()
const settings = useSettings()
const why = ref('')
function take(text: string): void {
  const read = readWithin(text, props.sort, settings.unit, props.label, props.min, props.max)
  why.value = read.ok ? '' : read.why
  if (read.ok) emit('change', read.value)
}
</script>

<template>
  <span class="taken"
    ><NameField
      :value="value === undefined ? 'not yet' : printMeasure(value, sort, settings.unit)"
      :label="label"
      :max="40"
      :invalid="why !== ''"
      :waits="grams ? 'weight' : sort === 'count' || sort === 'share' ? undefined : 'length'"
      @change="take"
    /><span v-if="why" role="alert" class="wrong"> {{ why }}</span></span
  >
</template>

<style scoped>
.taken :deep(input) {
  border-bottom-color: var(--hairline);
}
.wrong {
  color: var(--rowan);
}
</style>
