<script setup lang="ts">
import { computed } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { PAPERS } from '@drumlin/core/exchange/paper'
import { useSettings } from '../app/settings.js'
import { saveEvenings, saveSteps } from '../output/save.js'
import WritingState from '../output/WritingState.vue'
import { useWriting } from '../output/writing.js'
import type { Planning } from './planning.js'

/** The order of work and the evenings taken out: on paper, as a table, as a calendar. */
const props = defineProps<{ derived: Derived; planning: Planning }>()
const settings = useSettings()
const writing = useWriting()
const { working } = writing
const evenings = computed(() => props.planning.shown.value)
const paper = PAPERS[settings.paper].short
const steps = (as: 'pdf' | 'csv'): void =>
  void writing.write('steps', (signal) => saveSteps(props.derived.design, 1, as, settings, signal))
const plan = (as: 'pdf' | 'csv' | 'ics'): void =>
  void writing.write('plan', (signal) => saveEvenings(evenings.value, as, settings, signal))
const STEPS = [
  { as: 'pdf' as const, label: `Print ${paper}`, says: `Print the steps on ${paper}` },
  { as: 'csv' as const, label: 'CSV', says: 'The steps as CSV' },
]
const EVENINGS = [
  { as: 'pdf' as const, label: `Print ${paper}`, says: `Print the evenings on ${paper}` },
  { as: 'csv' as const, label: 'CSV', says: 'The evenings as CSV' },
  { as: 'ics' as const, label: 'Calendar', says: 'The evenings as a calendar file' },
]
</script>

<template>
  <section
    v-if="derived.panels.length > 0 || evenings.length > 0"
    class="out"
    aria-label="Take the order of work out"
  >
    <p v-if="derived.panels.length > 0" class="row">
      The steps:
      <v-btn
        v-for="(f, k) in STEPS"
        :key="f.as"
        :variant="k === 0 ? 'flat' : undefined"
        :aria-label="f.says"
        :disabled="working !== undefined"
        @click="steps(f.as)"
        >{{ f.label }}</v-btn
      >
    </p>
    <p v-if="evenings.length > 0" class="row">
      The evenings:
      <v-btn
        v-for="f in EVENINGS"
        :key="f.as"
        :aria-label="f.says"
        :disabled="working !== undefined"
        @click="plan(f.as)"
        >{{ f.label }}</v-btn
      >
    </p>
    <WritingState :writing="writing" />
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
</style>
