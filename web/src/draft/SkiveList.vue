<script setup lang="ts">
import { computed } from 'vue'
import { setSkives } from '@drumlin/core/design'
import type { Panel } from '@drumlin/core/master'
import { printWeight } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import MeasureField from '../sentence/MeasureField.vue'

const props = defineProps<{ panel: Panel; thickness: number }>()
const job = useJob()
const settings = useSettings()
const bands = computed(() =>
  props.panel.bands.map((b) => ({
    ...b,
    own: job.design?.skives[b.key] !== undefined,
    thick: Math.min(b.end, props.thickness),
  })),
)
const set = (key: string, name: string, value: number | undefined, gesture?: string): void =>
  void job.edit(
    setSkives(
      value === undefined
        ? `leave the ${name} as planned`
        : `skive the ${name} to ${printWeight(value, settings.unit)}`,
      { [key]: value },
    ),
    gesture,
  )
</script>

<template>
  <p v-for="b in bands" :key="b.key" class="band" :data-band="b.key">
    {{ b.name.charAt(0).toUpperCase() + b.name.slice(1) }}
    {{ b.planned ? (b.start === b.end ? 'skived to' : 'skived, at its end to') : 'left at' }}
    <MeasureField
      :value="b.thick"
      :label="`thickness of the ${b.name}`"
      sort="thickness"
      :min="0.1"
      :max="thickness"
      :step="0.05"
      drag
      then="."
      @change="(v, gesture) => set(b.key, b.name, v, gesture)"
    />{{ ' ' }}
    <v-btn v-if="b.own" variant="plain" class="link" @click="set(b.key, b.name, undefined)">as planned</v-btn>
  </p>
</template>

<style scoped>
.band {
  margin: 0 0 6px;
}
.link {
  color: var(--heather);
  text-decoration: underline;
}
</style>
