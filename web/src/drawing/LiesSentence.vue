<script setup lang="ts">
import type { DrawnPanel } from '@drumlin/core/drawn'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import FoldPart from '../parts/FoldPart.vue'

const props = defineProps<{ drawn: DrawnPanel }>()
const emit = defineEmits<{ change: [name: string, panel: DrawnPanel, gesture?: string] }>()
const set = (name: string, more: Partial<DrawnPanel>, gesture?: string): void =>
  emit('change', name, { ...props.drawn, ...more }, gesture)
const LIES = [
  { value: 'down', label: 'grain side down', why: 'seen from inside, as one glues the layers on' },
  { value: 'up', label: 'grain side up', why: 'seen from outside' },
]
</script>

<template>
  <FoldPart title="Where it lies">
    <p class="sentence">
      In the work it lies
      <MeasureField
        :value="drawn.lies.x"
        label="lies across"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="1"
        drag
        @change="(x, g) => set('where it lies', { lies: { ...drawn.lies, x } }, g)"
      />
      across and
      <MeasureField
        :value="drawn.lies.y"
        label="lies down"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="1"
        drag
        @change="(y, g) => set('where it lies', { lies: { ...drawn.lies, y } }, g)"
      />
      down,
      <ChoiceField
        :value="drawn.lies.grainUp ? 'up' : 'down'"
        label="which side up"
        :options="LIES"
        then=";"
        @change="(v) => set('which side up', { lies: { ...drawn.lies, grainUp: v === 'up' } })"
      />
      its grain arrow points
      <MeasureField
        :value="Math.round((drawn.grain * 1800) / Math.PI) / 10"
        label="grain arrow in degrees"
        sort="share"
        :min="-180"
        :max="180"
        :step="5"
        @change="(v, g) => set('grain arrow', { grain: (v * Math.PI) / 180 }, g)"
      />° from level.
    </p>
  </FoldPart>
</template>

<style scoped>
@import './lists.css';
</style>
