<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { useTold } from '../price/told.js'
import { computed } from 'vue'
import { hideArea } from '@drumlin/core/hide'
import { moneySaid } from '@drumlin/core/money'
import type { Hide } from '@drumlin/core/stores'
import { useStores } from '../job/stores.js'
import { useBooks } from './books.js'

const figure = useFigures()
const { told } = useTold()
/** Hides, offcuts and sheets on the shelf, and what is laid out on them. */
const books = useBooks()
const stores = useStores()
const example = computed(() => books.whose === 'examples')
const own = computed(() => new Set((stores.own?.hides ?? []).map((h) => h.id)))
const hides = computed(() => stores.all.hides.filter((h) => own.value.has(h.id) !== example.value))
const leather = (h: Hide): string => stores.all.leathers.find((l) => l.id === h.of)?.name ?? h.of
const spoken = (h: Hide): string =>
  books.entries
    .filter((e) => e.laidOn.some((l) => l.hide === h.id))
    .map((e) => e.name)
    .join(', ')
const headers = computed(() => [
  { title: 'Hide', key: 'name', align: 'start' as const },
  { title: 'Leather', key: 'of', value: leather, align: 'start' as const },
  { title: 'Part', key: 'part', align: 'start' as const },
  { title: told('dm²').word, key: 'area', value: (h: Hide) => hideArea(h), align: 'end' as const },
  { title: 'Price', key: 'price', align: 'end' as const },
  { title: 'Laid out on it', key: 'laid', value: spoken, align: 'start' as const },
])
</script>

<template>
  <section v-if="hides.length > 0" aria-label="Hides and offcuts">
    <h2>Hides and offcuts</h2>
    <v-data-table
      :headers="headers"
      :items="[...hides]"
      item-value="id"
      :items-per-page="-1"
      hide-default-footer
      class="compared named"
      density="compact"
      aria-label="Hides"
    >
      <template #[`item.area`]="{ item }">{{
        figure(hideArea(item) / 10000 / told('dm²').scale, 1)
      }}</template>
      <template #[`item.price`]="{ item }">{{
        item.price > 0 ? moneySaid(item.price, item.currency) : '–'
      }}</template>
    </v-data-table>
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
  margin: 14px 0 4px;
}
</style>
