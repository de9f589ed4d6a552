<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed } from 'vue'
import {
  type Group,
  dayOfEntry,
  earnedBy,
  grouped,
  hoursBy,
  hoursBySort,
  hoursSaid,
  mistakesBy,
  wasteOf,
} from '@drumlin/core/ledger'
import { moneySaid } from '@drumlin/core/money'
import { minutesSaid } from '../parts/time.js'
import { countSaid, daySaid } from '../make/words.js'
import LedgerChart from './LedgerChart.vue'
import LensLine from './LensLine.vue'
import { useBooks } from './books.js'
import { bars } from './chartParts.js'
import { useLens } from './lens.js'

const figure = useFigures()
/** Few, plain charts of what was made, each with its sentence first. */
const books = useBooks()
const { seen } = useLens()
/** Each making for itself, or by month where there are many. */
const groups = computed(() => grouped(seen.value))
const timed = computed(() =>
  groups.value
    .map((g) => {
      const all = hoursBy(g.entries)
      const sum = (of: 'planned' | 'actual'): number => all.reduce((s, h) => s + h[of], 0)
      return { ...g, planned: sum('planned'), actual: sum('actual') }
    })
    .filter((h) => h.actual > 0),
)
const dayOf = (g: Group): string => (g.entries.length === 1 ? daySaid(dayOfEntry(g.entries[0]!)) : g.name)
const currency = computed(() => books.trade.currency)
const money = (v: number): string => moneySaid(v, currency.value)
const hoursOf = (minutes: number): number => Math.round(minutes / 6) / 10

/** What takes most, and all the rest in one. */
const MOST = 9
const sorts = computed(() => {
  const all = hoursBySort(seen.value)
  if (all.length <= MOST + 1) return all
  const rest = all.slice(MOST)
  const sum = (of: 'planned' | 'actual'): number => rest.reduce((s, r) => s + r[of], 0)
  return [
    ...all.slice(0, MOST),
    { id: 'rest', label: 'all the rest', planned: sum('planned'), actual: sum('actual') },
  ]
})
const sortChart = computed(() => ({
  title: 'Where the time goes',
  says: hoursSaid(seen.value),
  height: 40 + 34 * sorts.value.length,
  option: bars({
    names: sorts.value.map((s) => s.label),
    series: [
      { name: 'planned', values: sorts.value.map((s) => hoursOf(s.planned)) },
      { name: 'took', values: sorts.value.map((s) => hoursOf(s.actual)) },
    ],
    lying: true,
    said: (v) => `${v} h`,
  }),
  columns: ['work', 'planned', 'took', 'took of what was planned'],
  rows: sorts.value.map((s) => [
    s.label,
    minutesSaid(s.planned),
    minutesSaid(s.actual),
    s.planned > 0 ? `${Math.round((100 * s.actual) / s.planned)} %` : '–',
  ]),
}))
const hoursChart = computed(() => {
  const [planned, actual] = (['planned', 'actual'] as const).map((k) =>
    timed.value.reduce((sum, h) => sum + h[k], 0),
  )
  return {
    title: 'Hours, planned and taken',
    says:
      planned! > 0
        ? `${minutesSaid(actual!)} at the bench, where ${minutesSaid(planned!)} were planned.`
        : '',
    height: 330,
    option: bars({
      names: timed.value.map((h) => h.name),
      series: [
        { name: 'planned', values: timed.value.map((h) => hoursOf(h.planned)) },
        { name: 'took', values: timed.value.map((h) => hoursOf(h.actual)) },
      ],
      said: (v) => `${v} h`,
    }),
    columns: ['what', 'when', 'planned', 'took'],
    rows: timed.value.map((h) => [h.name, dayOf(h), minutesSaid(h.planned), minutesSaid(h.actual)]),
  }
})
const paid = computed(() =>
  groups.value.flatMap((g) => {
    const same = g.entries.filter((e) => e.record.currency === currency.value)
    const found = earnedBy(same, books.trade.tax)
    const sum = same.reduce((all, e) => all + (e.record.paid ?? 0), 0)
    return found ? [{ ...g, ...found, sum }] : []
  }),
)
const earnChart = computed(() => {
  const hours = paid.value.reduce((sum, p) => sum + p.hours, 0)
  const mean = hours > 0 ? paid.value.reduce((sum, p) => sum + p.each * p.hours, 0) / hours : 0
  return {
    title: 'What an hour earned',
    says:
      hours > 0
        ? `${money(mean)} an hour over ${Math.round(hours)} hours; you want ${money(books.trade.rate)}.`
        : '',
    height: 300,
    option: bars({
      names: paid.value.map((p) => p.name),
      series: [{ name: 'an hour', values: paid.value.map((p) => Math.round(100 * p.each) / 100) }],
      said: money,
      line: { at: books.trade.rate, name: 'wanted' },
    }),
    columns: ['what', 'when', 'paid', 'hours', 'an hour'],
    rows: paid.value.map((p) => [p.name, dayOf(p), money(p.sum), figure(p.hours, 1), money(p.each)]),
  }
})
const wasted = computed(() =>
  groups.value.flatMap((g) => {
    const waste = wasteOf(g.entries)
    return waste === undefined ? [] : [{ ...g, waste }]
  }),
)
const wasteChart = computed(() => ({
  title: 'Waste of hides',
  says:
    wasted.value.length > 0
      ? `${Math.round(100 * wasteOf(seen.value)!)} % on average; prices reckon with ${Math.round(100 * books.trade.waste)} % where nothing is laid out.`
      : '',
  height: 300,
  option: bars({
    names: wasted.value.map((w) => w.name),
    series: [{ name: 'waste', values: wasted.value.map((w) => Math.round(1000 * w.waste) / 10) }],
    said: (v) => `${v} %`,
    line: { at: 100 * books.trade.waste, name: 'reckoned' },
  }),
  columns: ['what', 'when', 'waste'],
  rows: wasted.value.map((w) => [w.name, dayOf(w), `${Math.round(100 * w.waste)} %`]),
}))
const wrong = computed(() => mistakesBy(seen.value))
const mistakeChart = computed(() => {
  const all = wrong.value.reduce((sum, w) => sum + w.count, 0)
  const [most] = wrong.value
  return {
    title: 'What went wrong',
    says: most ? `${most.count} of ${countSaid(all, 'mistake', 'mistakes')}: ${most.sort}.` : '',
    height: 60 + 26 * wrong.value.length,
    option: bars({
      names: wrong.value.map((w) => w.sort),
      series: [{ name: 'mistakes', values: wrong.value.map((w) => w.count) }],
      lying: true,
      said: (v) => (Number.isInteger(v) ? String(v) : ''),
    }),
    columns: ['sort', 'how often', 'in so many makings'],
    rows: wrong.value.map((w) => [w.sort, w.count, w.makings]),
  }
})
const charts = computed(() =>
  [sortChart.value, hoursChart.value, earnChart.value, wasteChart.value, mistakeChart.value].filter(
    (c) => c.rows.length > 0,
  ),
)
</script>

<template>
  <LensLine />
  <p v-if="charts.length === 0">
    Nothing to look back on yet: the bench’s clock, what was paid and what went wrong come to stand here.
  </p>
  <div class="charts">
    <LedgerChart v-for="c in charts" :key="c.title" v-bind="c" />
  </div>
</template>

<style scoped>
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(440px, 100%), 1fr));
  gap: 26px 34px;
  margin-top: 12px;
}
</style>
