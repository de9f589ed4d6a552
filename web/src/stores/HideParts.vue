<script setup lang="ts">
import { HIDE_PARTS, type HidePart, type Leather } from '@drumlin/core/stores'
import MeasureField from '../sentence/MeasureField.vue'
import NameField from '../sentence/NameField.vue'
import ChoiceField from '../sentence/ChoiceField.vue'

/** Hides and parts of hides on the shelf, with their area and what they cost. */
const props = defineProps<{ leather: Leather }>()
const emit = defineEmits<{ change: [parts: HidePart[]] }>()
const addPart = (): void =>
  emit('change', [...props.leather.parts, { part: 'side', area: 100, price: 0, currency: 'EUR' }])
const part = (i: number, more: Partial<HidePart>): void =>
  emit(
    'change',
    props.leather.parts.map((p, k) => (k === i ? { ...p, ...more } : p)),
  )
const dropPart = (i: number): void =>
  emit(
    'change',
    props.leather.parts.filter((_, k) => k !== i),
  )
const perDm2 = (p: HidePart): string =>
  p.price > 0 ? `${(p.price / p.area).toFixed(2)} ${p.currency} per dm²` : ''
</script>

<template>
  <h3>On the shelf</h3>
  <p v-for="(p, i) in leather.parts" :key="i">
    <ChoiceField
      :value="p.part"
      :label="`part ${i + 1} of ${leather.name}`"
      :options="HIDE_PARTS.map((o) => ({ value: o, label: o }))"
      then=","
      @change="(one) => part(i, { part: one })"
    />{{ ' ' }}
    <MeasureField
      :value="p.area"
      :label="`area of part ${i + 1} in dm²`"
      sort="share"
      :min="0.5"
      :max="800"
      :step="1"
      @change="(area) => part(i, { area })"
    />
    dm², paid
    <MeasureField
      :value="p.price"
      :label="`price of part ${i + 1}`"
      sort="share"
      :min="0"
      :max="100000"
      :step="1"
      @change="(price) => part(i, { price })"
    />
    <NameField
      :value="p.currency"
      :label="`currency of part ${i + 1}`"
      :max="3"
      @change="(c) => part(i, { currency: c.toUpperCase() })"
    />
    <span class="quiet">{{ perDm2(p) }}</span>
    <v-btn variant="plain" class="link" :aria-label="`Take out part ${i + 1}`" @click="dropPart(i)"
      >take out</v-btn
    >
  </p>
  <p><v-btn @click="addPart">Add a hide or a part of one</v-btn></p>
</template>

<style scoped>
h3 {
  font-size: 15px;
  margin: 6px 0;
}
p {
  margin: 4px 0 8px;
}
.link {
  text-decoration: underline;
  color: var(--quiet);
}
</style>
