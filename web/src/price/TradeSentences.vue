<script setup lang="ts">
import { computed } from 'vue'
import { CURRENCIES } from '@drumlin/core/money'
import type { Trade } from '@drumlin/core/price'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import MoneyField from '../sentence/MoneyField.vue'

/** How the workshop reckons prices, in sentences; the same for every job. */
const props = defineProps<{ trade: Trade }>()
const emit = defineEmits<{ change: [to: Partial<Trade>] }>()
const currencies = computed(() =>
  [...new Set([props.trade.currency, ...CURRENCIES])].map((c) => ({ value: c, label: c })),
)
const BY = [
  { value: 'share' as const, label: 'a share of what the work costs' },
  { value: 'hour' as const, label: 'so much an hour' },
]
type Share = 'learning' | 'overhead' | 'margin' | 'tax' | 'hoursOff' | 'waste' | 'wasteOff'
type Sum = 'rate' | 'wear' | 'step' | 'overheadHour'
type Figure = 'glue' | 'glueWidth' | 'edge' | 'dye' | 'oil' | 'drawing'
const share = (key: Share, label: string, max: number) => ({
  value: props.trade[key],
  label,
  sort: 'percent' as const,
  min: 0,
  max,
  step: 0.01,
  onChange: (v: number) => emit('change', { [key]: v }),
})
const sum = (key: Sum, label: string) => ({
  value: props.trade[key],
  label,
  currency: props.trade.currency,
  onChange: (v: number) => emit('change', { [key]: v }),
})
const figure = (key: Figure, label: string, max: number, step: number) => ({
  value: props.trade[key],
  label,
  sort: key === 'glueWidth' ? ('length' as const) : ('share' as const),
  min: 0,
  max,
  step,
  onChange: (v: number) => emit('change', { [key]: v }),
})
</script>

<template>
  <div>
    <p class="sentence">
      Prices are in
      <ChoiceField
        :value="trade.currency"
        label="currency"
        :options="currencies"
        @change="(currency) => emit('change', { currency })"
      />; an hour at the bench shall earn <MoneyField v-bind="sum('rate', 'what an hour shall earn')" />. A
      first making takes <MeasureField v-bind="share('learning', 'more for a first making', 3)" /> more, and
      drawing <MeasureField v-bind="figure('drawing', 'hours of drawing', 1000, 0.5)" /> hours, shared by all
      that are made.
    </p>
    <p class="sentence">
      Rent, light and tools are
      <ChoiceField
        :value="trade.overheadBy"
        label="how overhead is reckoned"
        :options="BY"
        @change="(overheadBy) => emit('change', { overheadBy })"
      />:
      <MeasureField v-if="trade.overheadBy === 'share'" v-bind="share('overhead', 'share of overhead', 3)" />
      <MoneyField v-else v-bind="sum('overheadHour', 'overhead an hour')" />. Blades and needles wear by
      <MoneyField v-bind="sum('wear', 'wear an hour')" /> an hour.
    </p>
    <p class="sentence">
      The margin is <MeasureField v-bind="share('margin', 'margin', 5)" />, tax
      <MeasureField v-bind="share('tax', 'tax', 0.5)" />; prices are rounded up to
      <MoneyField v-bind="sum('step', 'rounded up to')" />.
    </p>
    <p class="sentence">
      Of a hide that nobody has laid out <MeasureField v-bind="share('waste', 'waste of hides', 0.9)" /> is
      left unused, <MeasureField v-bind="share('wasteOff', 'how far waste may be off', 0.5)" /> more or less;
      hours may be off by <MeasureField v-bind="share('hoursOff', 'how far hours may be off', 0.9)" />.
    </p>
    <p class="sentence">
      Glue takes <MeasureField v-bind="figure('glue', 'glue, grams a square decimetre', 50, 0.1)" /> g a
      square decimetre, along seams
      <MeasureField v-bind="figure('glueWidth', 'width of glued seams', 60, 1)" /> wide; edges
      <MeasureField v-bind="figure('edge', 'edge paint, grams a metre', 50, 0.1)" /> g a metre and coat; dye
      <MeasureField v-bind="figure('dye', 'dye, grams a square decimetre', 50, 0.1)" /> and oil
      <MeasureField v-bind="figure('oil', 'oil, grams a square decimetre', 50, 0.1)" /> g a square decimetre.
    </p>
  </div>
</template>
