<script setup lang="ts">
import { ref } from 'vue'
import { useSettings } from '../app/settings.js'
import NameField from './NameField.vue'
import { type MeasureSort, printMeasure, readWithin } from './measures.js'

/** Several readings of one thing in a row, parted by semicolons or blanks: all of them are read, or none and it is said why. */
const props = defineProps<{
  values: readonly number[]
  label: string
  sort: MeasureSort
  min: number
  max: number
  most: number
}>()
const emit = defineEmits<{ change: [values: number[]] }>()
const settings = useSettings()
const why = ref('')
const said = (): string =>
  props.values.length > 0
    ? props.values.map((v) => printMeasure(v, props.sort, settings.unit)).join('; ')
    : 'not yet'
function take(text: string): void {
  // A blank before a unit belongs to its number.
  const parts = text
    .split(/;|\s+(?=[\d.,])/)
    .map((p) => p.trim())
    .filter(Boolean)
  const read = parts.map((p) => readWithin(p, props.sort, settings.unit, props.label, props.min, props.max))
  const wrong = read.find((r) => !r.ok)
  why.value =
    wrong && !wrong.ok
      ? wrong.why
      : read.length > props.most
        ? `At most ${props.most} readings are kept.`
        : ''
  if (!why.value)
    emit(
      'change',
      read.flatMap((r) => (r.ok ? [r.value] : [])),
    )
}
</script>

<template>
  <span
    ><NameField :value="said()" :label="label" :max="240" :invalid="why !== ''" @change="take" /><span
      v-if="why"
      role="alert"
      class="wrong"
    >
      {{ why }}</span
    ></span
  >
</template>

<style scoped>
.wrong {
  color: var(--rowan);
}
</style>
