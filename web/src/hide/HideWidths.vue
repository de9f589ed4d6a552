<script setup lang="ts">
import { ref, watch } from 'vue'
import { type Width, outlineOfWidths } from '@drumlin/core/hide'
import type { Hide } from '@drumlin/core/stores'
import MeasureField from '../sentence/MeasureField.vue'

/** The outline from a few widths measured across the backbone. */
const emit = defineEmits<{ change: [more: Partial<Hide>] }>()
const rows = ref<Width[]>([
  { along: 0, above: 0, below: 350 },
  { along: 500, above: 0, below: 620 },
  { along: 1200, above: 0, below: 480 },
  { along: 1900, above: 0, below: 260 },
])
const why = ref('')
watch(
  rows,
  (now) => {
    const made = outlineOfWidths(now)
    why.value = made.ok ? '' : made.why
    if (made.ok) emit('change', { outline: made.outline, backbone: made.backbone })
  },
  { immediate: true },
)
const set = (i: number, more: Partial<Width>): void =>
  void (rows.value = rows.value.map((r, k) => (k === i ? { ...r, ...more } : r)))
const COLUMNS = [
  { key: 'along', label: 'along the backbone' },
  { key: 'above', label: 'to the edge above it' },
  { key: 'below', label: 'to the edge below it' },
] as const
</script>

<template>
  <p class="quiet">
    Lay a rule along the backbone, butt first, and measure square from it to either edge at a few places.
    Where the backbone is the edge, one of the two is 0.
  </p>
  <p v-for="(r, i) in rows" :key="i" class="row">
    <template v-for="c in COLUMNS" :key="c.key">
      <MeasureField
        :value="r[c.key]"
        :label="`width ${i + 1}: ${c.label}`"
        sort="length"
        :min="0"
        :max="4000"
        :step="10"
        @change="(v) => set(i, { [c.key]: v })"
      />
      {{ c.label }}
    </template>
    <v-btn
      variant="plain"
      :aria-label="`Take out width ${i + 1}`"
      @click="rows = rows.filter((_, k) => k !== i)"
      >take out</v-btn
    >
  </p>
  <p>
    <v-btn @click="rows = [...rows, { ...rows.at(-1)!, along: (rows.at(-1)?.along ?? 0) + 200 }]"
      >Another width</v-btn
    >
  </p>
  <p v-if="why" role="alert" class="why">{{ why }}</p>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: baseline;
  margin: 0 0 4px;
}
.why {
  color: var(--rowan);
}
</style>
