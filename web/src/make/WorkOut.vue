<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { PAPERS } from '@drumlin/core/exchange/paper'
import { reasonOf } from '../app/reason.js'
import { useSettings } from '../app/settings.js'
import { saveEvenings, saveSteps } from '../output/save.js'
import type { Planning } from './planning.js'

/** The order of work and the evenings taken out: on paper, as a table, as a calendar. */
const props = defineProps<{ derived: Derived; planning: Planning }>()
const settings = useSettings()
const working = shallowRef<AbortController>()
const failed = ref('')
const evenings = computed(() => props.planning.shown.value)
const paper = PAPERS[settings.paper].short
async function doing(act: (signal: AbortSignal) => Promise<void>): Promise<void> {
  const control = new AbortController()
  working.value = control
  failed.value = ''
  try {
    await act(control.signal)
  } catch (error) {
    if (!control.signal.aborted) failed.value = `The file could not be made: ${reasonOf(error)}.`
  }
  working.value = undefined
}
const steps = (as: 'pdf' | 'csv'): void =>
  void doing((signal) => saveSteps(props.derived.design, as, settings, signal))
const plan = (as: 'pdf' | 'csv' | 'ics'): void =>
  void doing((signal) => saveEvenings(evenings.value, as, settings, signal))
</script>

<template>
  <section class="out" aria-label="Take the order of work out">
    <p class="row">
      The steps:
      <v-btn
        variant="flat"
        :aria-label="`Print the steps on ${paper}`"
        :disabled="working !== undefined"
        @click="steps('pdf')"
        >Print {{ paper }}</v-btn
      >
      <v-btn aria-label="The steps as CSV" :disabled="working !== undefined" @click="steps('csv')">CSV</v-btn>
    </p>
    <p v-if="evenings.length > 0" class="row">
      The evenings:
      <v-btn
        :aria-label="`Print the evenings on ${paper}`"
        :disabled="working !== undefined"
        @click="plan('pdf')"
        >Print {{ paper }}</v-btn
      >
      <v-btn aria-label="The evenings as CSV" :disabled="working !== undefined" @click="plan('csv')"
        >CSV</v-btn
      >
      <v-btn
        aria-label="The evenings as a calendar file"
        :disabled="working !== undefined"
        @click="plan('ics')"
        >Calendar</v-btn
      >
    </p>
    <p v-if="working" role="status">Writing … <v-btn @click="working.abort()">Stop</v-btn></p>
    <p v-if="failed" role="alert" class="failed">{{ failed }}</p>
  </section>
</template>

<style scoped>
.out {
  margin-top: 12px;
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  margin-bottom: 6px;
}
.failed {
  color: var(--rowan);
}
</style>
