<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { shoppingCsv, shoppingText, stockCsv } from '@drumlin/core/exchange/books'
import { moneySaid } from '@drumlin/core/money'
import type { Level } from '@drumlin/core/stock'
import { useSettings } from '../app/settings.js'
import { saveText } from '../output/save.js'
import { useMakings } from '../make/makings.js'
import { usePlanning } from '../make/planning.js'
import { daySaid } from '../make/words.js'
import MeasureField from '../sentence/MeasureField.vue'
import BuyForm from './BuyForm.vue'
import HidesKept from './HidesKept.vue'
import StockTake from './StockTake.vue'
import { useTold } from '../price/told.js'
import { useBooks } from './books.js'

/** What lies on the shelf, what is spoken for, what is missing by when, and what to buy. */
const books = useBooks()
const settings = useSettings()
const { said, told } = useTold()
const makings = useMakings()
const planning = usePlanning(() => books.whose === 'examples')
onMounted(() => void makings.load())
// Wanted by the evening it is planned for.
watch(
  planning.shown,
  (evenings) => {
    const days = new Map<string, string>()
    for (const e of evenings)
      for (const i of e.items) {
        const key = `${i.todo} ${i.work}`
        if (!days.has(key)) days.set(key, e.day)
      }
    books.days = days
  },
  { immediate: true },
)
const taking = ref(false)
const headers = [
  { title: 'What', key: 'what', align: 'start' as const },
  { title: 'On the shelf', key: 'amount', align: 'end' as const },
  { title: 'Spoken for', key: 'reserved', align: 'end' as const },
  { title: 'Missing', key: 'missing', align: 'end' as const },
  { title: 'Low below', key: 'low', align: 'end' as const },
]
const setLow = (l: Level, to: number): void =>
  void books.setStock((s) => ({ ...s, low: { ...s.low, [l.what]: to * told(l.unit).scale } }))
const currency = computed(() => books.trade.currency)
const sum = computed(() => books.shopping.reduce((all, p) => all + (p.price ?? 0), 0))
const packSaid = (p: (typeof books.shopping)[number]): string =>
  p.packs === undefined ? '' : ` (${p.packs} × ${said(p.pack!, p.unit)})`
</script>

<template>
  <StockTake v-if="taking" @close="taking = false" />
  <template v-else>
    <p class="acts">
      <v-btn variant="flat" :disabled="books.levels.length === 0" @click="taking = true">Take stock</v-btn>
      <v-btn
        :disabled="books.levels.length === 0"
        @click="saveText(stockCsv(books.levels, settings.unit), 'stock', 'csv')"
        >The stock as CSV</v-btn
      >
    </p>
    <BuyForm />
    <p v-for="l in books.levels.filter((x) => x.negative)" :key="l.what" role="alert" class="wrong">
      {{ l.what }}: by what is written down there is {{ said(-l.amount, l.unit) }} less than nothing. Count
      it.
    </p>
    <p v-if="books.levels.length === 0">
      Nothing is written down yet: what you buy is written above, and what a making takes follows from its
      steps.
    </p>
    <v-data-table
      v-else
      :headers="headers"
      :items="[...books.levels]"
      item-value="what"
      :items-per-page="-1"
      hide-default-footer
      class="compared named"
      density="compact"
      aria-label="Stock"
    >
      <template #[`item.amount`]="{ item }">{{
        item.known ? said(item.amount, item.unit) : 'not counted'
      }}</template>
      <template #[`item.reserved`]="{ item }">{{
        item.reserved > 0 ? said(item.reserved, item.unit) : '–'
      }}</template>
      <template #[`item.missing`]="{ item }"
        ><span :class="{ wrong: item.missing > 0 }"
          >{{ item.missing > 0 ? said(item.missing, item.unit) : '–'
          }}{{ item.missing > 0 && item.from ? `, by ${daySaid(item.from)}` : '' }}</span
        ></template
      >
      <template #[`item.low`]="{ item }"
        ><MeasureField
          :value="Math.round((item.low ?? 0) / told(item.unit).scale)"
          :label="`${item.what} is low below`"
          sort="count"
          :min="0"
          :max="1000000"
          :step="1"
          @change="(v) => setLow(item, v)"
        />
        {{ told(item.unit).word }}{{ item.isLow ? ', low' : '' }}</template
      >
    </v-data-table>
    <HidesKept />
    <section v-if="books.shopping.length > 0" aria-label="To buy">
      <h2>To buy</h2>
      <ul>
        <li v-for="p in books.shopping" :key="p.what">
          {{ p.what }}: {{ said(p.amount, p.unit) }}{{ packSaid(p)
          }}{{ p.price === undefined ? '' : `, about ${moneySaid(p.price, currency)}`
          }}{{ p.from ? `, by ${daySaid(p.from)}` : '' }}{{ p.why === 'low' ? ' (low)' : '' }}
        </li>
      </ul>
      <p v-if="sum > 0">In all about {{ moneySaid(sum, currency) }}, as far as prices are known.</p>
      <p class="acts">
        <v-btn @click="saveText(shoppingCsv(books.shopping, currency, settings.unit), 'to-buy', 'csv')"
          >As CSV</v-btn
        >
        <v-btn @click="saveText(shoppingText(books.shopping, settings.unit), 'to-buy', 'txt')">As text</v-btn>
      </p>
    </section>
  </template>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-bottom: 8px;
}
h2 {
  font-size: 17px;
  margin: 14px 0 4px;
}
ul {
  padding-left: 18px;
}
.wrong {
  color: var(--rowan);
}
</style>
