<script setup lang="ts">
import type { Freedom } from '@drumlin/core/fit'
import { printLength, trimmed, systemOf } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import MeasureField from '../sentence/MeasureField.vue'

/** Things that may be moved, each with how far; `shown` says where they stand now. */
defineProps<{ freedoms: readonly Freedom[]; by: (freedom: Freedom) => number; shown?: boolean }>()
const emit = defineEmits<{ change: [id: string, by: number] }>()
const settings = useSettings()
/** A knife keeps less than a tenth of a millimetre, so hundredths are shown. */
const print = (mm: number): string =>
  systemOf(settings.unit) === 'mm' ? `${trimmed(mm, 2, settings.unit)} mm` : printLength(mm, settings.unit)
</script>

<template>
  <ul class="free">
    <li v-for="f in freedoms" :key="f.id">
      {{ f.label }} <span v-if="shown" class="quiet figure">{{ print(f.now) }}</span>
      <MeasureField
        :value="by(f)"
        :label="`${f.label} may move by`"
        sort="fine"
        :min="0"
        :max="20"
        :step="0.1"
        @change="(v) => emit('change', f.id, v)"
      />
    </li>
  </ul>
</template>

<style scoped>
.free {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
}
.free li {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  align-items: baseline;
  border-bottom: 1px solid var(--hairline);
  padding: 2px 0;
}
</style>
