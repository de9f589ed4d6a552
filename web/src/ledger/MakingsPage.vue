<script setup lang="ts">
import TakeTable from '../parts/TakeTable.vue'
import { computed } from 'vue'
import { type Entry, clashes, dayOfEntry, earned, hoursBy } from '@drumlin/core/ledger'
import { yearCsv } from '@drumlin/core/exchange/books'
import { moneySaid } from '@drumlin/core/money'
import { saveText } from '../output/save.js'
import { minutesSaid } from '../parts/time.js'
import { today } from '../make/makings.js'
import { daySaid } from '../make/words.js'
import LensLine from './LensLine.vue'
import WearAsked from './WearAsked.vue'
import { useBooks } from './books.js'
import { useLens } from './lens.js'

/** Every making, to be sorted and looked into. */
const books = useBooks()
const { lens, seen, kindName } = useLens()
const hours = computed(() => new Map(hoursBy(seen.value).map((h) => [h.entry.id, h])))
const actual = (e: Entry): number => hours.value.get(e.id)?.actual ?? 0
const planned = (e: Entry): number => e.steps.reduce((sum, s) => sum + s.planned, 0)
const hour = (e: Entry): number | undefined => earned(e, books.trade.tax)?.each
const headers = [
  { title: 'Day', key: 'day', value: (e: Entry) => dayOfEntry(e), align: 'start' as const },
  { title: 'What', key: 'name', value: (e: Entry) => e.name, align: 'start' as const },
  { title: 'Kind', key: 'kind', value: (e: Entry) => kindName(e.kind), align: 'start' as const },
  { title: 'For whom', key: 'for', value: (e: Entry) => e.forWhom, align: 'start' as const },
  { title: 'Planned', key: 'planned', value: planned, align: 'end' as const },
  { title: 'Took', key: 'took', value: actual, align: 'end' as const },
  { title: 'Paid', key: 'paid', value: (e: Entry) => e.record.paid ?? -1, align: 'end' as const },
  { title: 'An hour', key: 'hour', value: (e: Entry) => hour(e) ?? -1, align: 'end' as const },
]
const money = (value: number, e: Entry): string => moneySaid(value, e.record.currency ?? books.trade.currency)
const together = computed(() => clashes(books.entries))
const csv = (): void =>
  saveText(yearCsv(seen.value, books.trade.tax), `ledger-${lens.year || today().slice(0, 4)}`, 'csv')
</script>

<template>
  <LensLine />
  <WearAsked />
  <p v-for="c in together" :key="c.hide" role="alert" class="clash">
    {{ c.makings.map((m) => m.name).join(' and ') }} are both laid out on {{ c.name }}, and neither is cut:
    lay one of them out anew on its Hide.
  </p>
  <p v-if="seen.length === 0">
    Nothing was made yet. A job’s Make says how many and for whom; from then on it stands here.
  </p>
  <p v-else class="take"><TakeTable name="Makings" /></p>
  <v-data-table
    v-if="seen.length > 0"
    :headers="headers"
    :items="[...seen]"
    item-value="id"
    :items-per-page="50"
    :hide-default-footer="seen.length <= 50"
    :sort-by="[{ key: 'day', order: 'desc' }]"
    class="compared named"
    density="compact"
    aria-label="Makings"
  >
    <template #[`item.day`]="{ item }"
      >{{ daySaid(dayOfEntry(item)) }}{{ item.finished ? '' : ' …' }}</template
    >
    <template #[`item.name`]="{ item }">
      <v-btn variant="plain" class="name" :to="{ name: 'record', params: { making: item.id } }"
        >{{ item.count > 1 ? `${item.count} × ` : '' }}{{ item.name }}</v-btn
      >
    </template>
    <template #[`item.planned`]="{ item }">{{ minutesSaid(planned(item)) }}</template>
    <template #[`item.took`]="{ item }">{{ actual(item) > 0 ? minutesSaid(actual(item)) : '–' }}</template>
    <template #[`item.paid`]="{ item }">{{
      item.record.paid === undefined ? '–' : money(item.record.paid, item)
    }}</template>
    <template #[`item.hour`]="{ item }">{{
      hour(item) === undefined ? '–' : money(hour(item)!, item)
    }}</template>
  </v-data-table>
  <p v-if="seen.length > 0" class="out">
    <v-btn @click="csv">The year as CSV, for the books</v-btn>
  </p>
</template>

<style scoped>
.clash {
  border-left: 4px solid var(--gorse-mark);
  padding-left: 10px;
}
.name {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.out {
  margin-top: 12px;
}
</style>
