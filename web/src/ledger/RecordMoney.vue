<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed } from 'vue'
import { earned, entryOf } from '@drumlin/core/ledger'
import { moneySaid, toCoin } from '@drumlin/core/money'
import { useTrouble } from '../app/trouble.js'
import { useStores } from '../job/stores.js'
import MoneyField from '../sentence/MoneyField.vue'
import { today } from '../make/makings.js'
import DayField from '../sentence/DayField.vue'
import { askBills } from './asks.js'
import { useBooks } from './books.js'
import type { Recording } from './recording.js'

const figure = useFigures()
/** What was asked, paid down and paid, what the materials cost, and what an hour earned. */
const props = defineProps<{ recording: Recording }>()
const books = useBooks()
const stores = useStores()
const trouble = useTrouble()
const making = computed(() => props.recording.making.value!)
const record = computed(() => making.value.record)
const trade = computed(() => books.tradeOf(making.value.example ? 'examples' : 'own'))
const currency = computed(() => record.value.currency ?? trade.value.currency)
const set = (to: Record<string, unknown>): void =>
  void props.recording.edit({ currency: currency.value, ...to })
const hour = computed(() => earned(entryOf(making.value), trade.value.tax))
/** What they cost by the prices of today, all that were made. */
async function reckoned(): Promise<void> {
  await trouble.attempt('The materials could not be priced', async () => {
    const [bill] = await askBills(making.value.design, [making.value.count], {
      trade: trade.value,
      hides: stores.all.hides,
      first: false,
    })
    const each = (bill?.lines ?? [])
      .filter((l) => l.sort === 'material' || l.sort === 'wear')
      .reduce((sum, l) => sum + (l.value?.value ?? 0), 0)
    set({ materials: toCoin(each * making.value.count, trade.value.currency) })
  })
}
</script>

<template>
  <p class="sentence">
    Asked
    <MoneyField
      :value="record.asked"
      label="asked"
      :currency="currency"
      @change="(asked) => set({ asked })"
    />, paid down
    <MoneyField
      :value="record.deposit"
      label="deposit"
      :currency="currency"
      @change="(deposit) => set({ deposit })"
    />, paid
    <MoneyField
      :value="record.paid"
      label="paid"
      :currency="currency"
      @change="(paid) => set({ paid, paidOn: record.paidOn ?? today() })"
    /><template v-if="record.paidOn"
      >, on
      <DayField :value="record.paidOn" label="paid on" @change="(paidOn) => set({ paidOn })" /></template
    >; all of it together.
  </p>
  <p class="sentence">
    Materials and wear cost
    <MoneyField
      :value="record.materials"
      label="materials"
      :currency="currency"
      @change="(materials) => set({ materials })"
    />
    <v-btn variant="plain" class="link" @click="reckoned">by the prices of today</v-btn>.
  </p>
  <p v-if="hour">
    An hour earned <strong>{{ moneySaid(hour.each, currency) }}</strong>, over
    {{ figure(hour.hours, 1) }} hours; you want {{ moneySaid(trade.rate, trade.currency) }}.
  </p>
</template>
