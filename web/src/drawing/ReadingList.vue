<script setup lang="ts">
import type { Reading } from '@drumlin/core/drawn'
import MeasureField from '../sentence/MeasureField.vue'

const readings = defineModel<Reading[]>({ required: true })
const smooth = defineModel<boolean>('smooth', { required: true })
const set = (i: number, more: Partial<Reading>): void => {
  readings.value = readings.value.map((r, k) => (k === i ? { ...r, ...more } : r))
}
function add(): void {
  const last = readings.value[readings.value.length - 1] ?? { down: 0, width: 100 }
  readings.value = [...readings.value, { down: last.down + 20, width: last.width }]
}
</script>

<template>
  <div>
    <p class="quiet">
      One reading after the other from the top down: how far down, and how wide it is there.
    </p>
    <ol>
      <li v-for="(r, i) in readings" :key="i">
        <MeasureField
          :value="r.down"
          :label="`reading ${i + 1}, down`"
          sort="length"
          :min="0"
          :max="4000"
          :step="1"
          @change="(down) => set(i, { down })"
        />
        down:
        <MeasureField
          :value="r.width"
          :label="`reading ${i + 1}, width`"
          sort="length"
          :min="0"
          :max="4000"
          :step="0.5"
          @change="(width) => set(i, { width })"
        />
        wide
        <v-btn
          v-if="readings.length > 2"
          variant="plain"
          class="link"
          :aria-label="`Take out reading ${i + 1}`"
          @click="readings = readings.filter((_, k) => k !== i)"
        >
          take out
        </v-btn>
      </li>
    </ol>
    <p><v-btn @click="add">Add a reading</v-btn></p>
    <p>
      <v-checkbox-btn v-model="smooth" label="one smooth side through all readings" />
    </p>
  </div>
</template>

<style scoped>
ol {
  padding-left: 22px;
  max-height: 220px;
  overflow-y: auto;
}
.link {
  color: var(--heather);
  text-decoration: underline;
}
</style>
