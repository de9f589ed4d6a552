<script setup lang="ts">
import { ref } from 'vue'
import { dayNumber } from '@drumlin/core/schedule'
import NameField from './NameField.vue'

/** A day in a sentence, `2027-04-03`. */
defineProps<{ value: string; label: string }>()
const emit = defineEmits<{ change: [day: string] }>()
const why = ref('')
function take(text: string): void {
  why.value =
    dayNumber(text) === undefined ? `“${text}” is no day; written year, month, day, as 2027-04-03.` : ''
  if (!why.value) emit('change', text)
}
</script>

<template>
  <span
    ><NameField :value="value" :label="label" :max="10" :invalid="why !== ''" @change="take" /><span
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
