<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Measured, UnitPrice } from '@drumlin/core/price'
import MeasureField from '../sentence/MeasureField.vue'
import MoneyField from '../sentence/MoneyField.vue'
import { useTold } from './told.js'

/** What so much of a material costs, written where it is missing. */
const props = defineProps<{ what: string; unit: Measured; currency: string; known?: UnitPrice | undefined }>()
const emit = defineEmits<{ change: [price: UnitPrice] }>()
const { told } = useTold()
/** How much one usually buys of it. */
const PACK: Readonly<Record<Measured, number>> = { pieces: 10, mm: 100_000, 'dm²': 100, g: 500 }
const packOf = (): number => (props.known?.unit === props.unit ? props.known.amount : PACK[props.unit])
const amount = ref(packOf())
watch(
  () => [props.what, props.known],
  () => (amount.value = packOf()),
)
</script>

<template>
  <span
    ><MeasureField
      :value="Math.round(amount / told(unit).scale)"
      :label="`how much of ${what}`"
      sort="count"
      :min="1"
      :max="100000"
      :step="1"
      @change="(v) => (amount = v * told(unit).scale)" />
    {{ told(unit).word }} cost
    <MoneyField
      :value="known?.unit === unit ? known.price : undefined"
      :label="`what ${what} costs`"
      :currency="currency"
      @change="(price) => emit('change', { unit, amount, price })"
  /></span>
</template>
