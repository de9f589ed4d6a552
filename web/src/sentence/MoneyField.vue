<script setup lang="ts">
import { ref } from 'vue'
import { moneySaid, readMoney } from '@drumlin/core/money'
import NameField from './NameField.vue'

/** A sum of money in a sentence, read with point or comma; what can be read in two ways is asked about. */
const props = defineProps<{ value: number | undefined; label: string; currency: string; max?: number }>()
const emit = defineEmits<{ change: [value: number] }>()
const why = ref('')
function take(text: string): void {
  const read = readMoney(text, props.currency)
  why.value = read.ok ? '' : read.why
  if (!read.ok) return
  if (props.max !== undefined && read.value > props.max)
    why.value = `At most ${moneySaid(props.max, props.currency)}.`
  else emit('change', read.value)
}
</script>

<template>
  <span class="money"
    ><NameField
      :value="value === undefined ? '…' : moneySaid(value, currency)"
      :label="label"
      :max="24"
      :invalid="why !== ''"
      @change="take"
    /><span v-if="why" role="alert" class="wrong"> {{ why }}</span></span
  >
</template>

<style scoped>
.money :deep(input) {
  border-bottom-color: var(--hairline);
  font-family: var(--mono);
}
.wrong {
  color: var(--rowan);
}
</style>
