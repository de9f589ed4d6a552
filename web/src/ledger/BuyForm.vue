<script setup lang="ts">
import { computed, ref } from 'vue'
import { readMoney } from '@drumlin/core/money'
import type { Measured } from '@drumlin/core/price'
import { dayNumber } from '@drumlin/core/schedule'
import { useStores } from '../job/stores.js'
import { today } from '../make/makings.js'
import { freeId } from '../shelf/ids.js'
import { useTold } from '../price/told.js'
import { useBooks } from './books.js'

/** Something bought, or gone: what, how much, for how much, when and from where. */
const books = useBooks()
const { told } = useTold()
const stores = useStores()
const what = ref('')
const unit = ref<Measured>('pieces')
const [amount, price, day, note] = [ref(''), ref(''), ref(today()), ref('')]
const known = computed(() => new Map(books.levels.map((l) => [l.what, l.unit])))
const names = computed(() =>
  [
    ...new Set([
      ...known.value.keys(),
      ...stores.all.threads.map((t) => `thread ${t.name}`),
      'contact glue',
      'white glue',
      'edge paint',
      'dye',
      'oil',
    ]),
  ].toSorted(),
)
const UNITS = computed(() => [
  { value: 'pieces', title: 'pieces' },
  { value: 'mm', title: told('mm').word === 'm' ? 'metres' : 'yards' },
  { value: 'g', title: 'grams' },
  { value: 'dm²', title: told('dm²').words },
])
function chosen(name: string | null): void {
  what.value = name ?? ''
  const found = known.value.get(what.value)
  if (found) unit.value = found
  else if (what.value.startsWith('thread ')) unit.value = 'mm'
  else if (['contact glue', 'white glue', 'edge paint', 'dye', 'oil'].includes(what.value)) unit.value = 'g'
}
const amountOf = computed(() => {
  const value = Number(amount.value.trim().replace(',', '.'))
  return amount.value.trim() !== '' && Number.isFinite(value) && value > 0
    ? value * told(unit.value).scale
    : undefined
})
const amountWrong = computed(() =>
  amount.value.trim() === '' || amountOf.value !== undefined
    ? ''
    : 'A number above nothing, such as 2 or 2.5.',
)
const paid = computed(() =>
  price.value.trim() === '' ? undefined : readMoney(price.value, books.trade.currency),
)
const priceWrong = computed(() => (paid.value && !paid.value.ok ? paid.value.why : ''))
const dayWrong = computed(() =>
  dayNumber(day.value.trim()) === undefined ? 'Not a day: written year, month, day, as 2027-04-03.' : '',
)
const ready = computed(
  () => what.value.trim() !== '' && amountOf.value !== undefined && !priceWrong.value && !dayWrong.value,
)
function write(sort: 'bought' | 'gone'): void {
  if (!ready.value) return
  void books.addMove({
    id: freeId(
      `move-${Date.now().toString(36)}`,
      books.stock.moves.map((m) => m.id),
    ),
    at: day.value.trim() === today() ? Date.now() : Date.parse(`${day.value.trim()}T12:00:00`),
    sort,
    what: what.value.trim(),
    unit: unit.value,
    amount: amountOf.value!,
    ...(sort === 'bought' && paid.value?.ok
      ? { price: paid.value.value, currency: books.trade.currency }
      : {}),
    note: note.value.trim(),
  })
  ;[amount.value, price.value, note.value] = ['', '', '']
}
</script>

<template>
  <v-form class="buy" aria-label="Bought" @submit.prevent="write('bought')">
    <v-combobox
      :model-value="what"
      :items="names"
      label="What"
      maxlength="200"
      density="compact"
      hide-details
      @update:model-value="chosen"
    />
    <v-text-field
      v-model="amount"
      label="How much"
      density="compact"
      hide-details="auto"
      :error-messages="amountWrong"
      inputmode="decimal"
    />
    <v-select v-model="unit" :items="UNITS" label="Counted in" density="compact" hide-details />
    <v-text-field
      v-model="price"
      :label="`Paid, ${books.trade.currency}`"
      density="compact"
      hide-details="auto"
      :error-messages="priceWrong"
      inputmode="decimal"
    />
    <v-text-field
      v-model="day"
      label="Day"
      density="compact"
      hide-details="auto"
      :error-messages="dayWrong"
    />
    <v-text-field v-model="note" label="From where" maxlength="200" density="compact" hide-details />
    <v-btn variant="flat" type="submit" :disabled="!ready">Bought</v-btn>
    <v-btn :disabled="!ready" @click="write('gone')">Gone</v-btn>
  </v-form>
</template>

<style scoped>
.buy {
  display: grid;
  grid-template-columns: 2fr 1fr 1fr 1fr 1fr 1.4fr auto auto;
  gap: 8px;
  align-items: start;
  margin-bottom: 10px;
}
@media (width <= 1100px) {
  .buy {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
