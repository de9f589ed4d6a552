<script setup lang="ts">
import TakeTable from '../parts/TakeTable.vue'
import { computed } from 'vue'
import type { AlikeFittings, SetFitting } from '@drumlin/core/fittings'
import { printLength, printWeight } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'

/** Where each is set: what is set alike stands in one row, with all its places. Sorted by any column. */
const props = defineProps<{ groups: readonly AlikeFittings[] }>()
const chosen = defineModel<number | undefined>('row', { required: true })
const settings = useSettings()
const mm = (value: number): string => printLength(value, settings.unit)
const thick = (value: number): string => printWeight(value, settings.unit)

/** What has to be done at a place, in a few words. */
function punch({ hardware, fitting }: SetFitting): string {
  if (fitting.held || hardware.posts.length === 0) return 'held in its loop'
  if (hardware.prongs > 0) return `${hardware.prongs} slots ${mm(hardware.hole)}, ${mm(hardware.apart)} apart`
  return `hole ${mm(hardware.hole)}`
}
const UP = ['right', 'down', 'left', 'up'] as const
/** What is round lies any way round; prongs and bars do not. */
function up({ fitting, hardware }: SetFitting): string {
  if (hardware.high === 0 && hardware.prongs < 2) return '–'
  const turns = Math.round(fitting.up / (Math.PI / 2))
  return UP[((turns % 4) + 4) % 4]!
}
function taken({ post, washers, wanted, fitting }: SetFitting): string {
  if (post !== undefined)
    return `${mm(post)}${washers > 0 ? ` + ${washers} washer${washers > 1 ? 's' : ''}` : ''}`
  if (wanted) return 'none long enough'
  return fitting.length ? mm(fitting.length.value) : '–'
}

/** A cell: how it reads, and what it is sorted by. */
interface Cell {
  readonly text: string
  readonly sort: number | string
}
const words = (text: string): Cell => ({ text, sort: text })
const figure = (value: number | undefined, text: (v: number) => string): Cell =>
  value === undefined || !Number.isFinite(value)
    ? { text: '–', sort: Infinity }
    : { text: text(value), sort: value }

const COLUMNS = [
  ['no', 'no.'],
  ['where', 'where'],
  ['what', 'what'],
  ['through', 'through'],
  ['needed', 'post needed'],
  ['take', 'take'],
  ['punch', 'punch'],
  ['edge', 'to the edge'],
  ['seam', 'to a seam'],
  ['up', 'its top looks'],
  ['when', 'set it'],
] as const
type Key = (typeof COLUMNS)[number][0]
const FIGURES: ReadonlySet<Key> = new Set(['no', 'through', 'needed', 'take', 'edge', 'seam'])

const rows = computed(() =>
  props.groups.map(({ one, places, count }, i): Record<Key, Cell> & { readonly row: number } => ({
    row: i + 1,
    no: figure(i + 1, String),
    where: words(`${places.join(', ')}${count > 1 ? ` × ${count}` : ''}`),
    what: words(one.hardware.name),
    through: figure(one.stack?.value, thick),
    needed: figure(one.wanted?.value, mm),
    take: { text: taken(one), sort: one.post ?? one.fitting.length?.value ?? Infinity },
    punch: words(punch(one)),
    edge: figure(one.fitting.held ? undefined : one.toEdge, mm),
    seam: figure(one.fitting.held ? undefined : one.toSeam, mm),
    up: words(up(one)),
    when: words(one.before ? `before the ${one.before}` : 'at any time'),
  })),
)
const headers = COLUMNS.map(([key, title]) => ({
  key,
  title,
  value: (row: Record<Key, Cell>) => row[key].sort,
}))
</script>

<template>
  <section aria-labelledby="fitted-title">
    <h2 id="fitted-title">Where each is set <TakeTable name="Where each is set" /></h2>
    <v-data-table
      class="fitted"
      :headers="headers"
      :items="rows"
      :items-per-page="-1"
      :row-props="({ item }) => ({ class: { chosen: item.row === chosen } })"
      density="compact"
      hide-default-footer
      aria-label="Where each is set"
      @click:row="(_: unknown, { item }: { item: { row: number } }) => (chosen = item.row)"
    >
      <template v-for="[key] in COLUMNS" :key="key" #[`item.${key}`]="{ item }">
        <span :class="{ figure: FIGURES.has(key), stop: item[key].text === 'none long enough' }">{{
          item[key].text
        }}</span>
      </template>
    </v-data-table>
  </section>
</template>

<style scoped>
h2 {
  margin: 14px 0 2px;
  font-size: 17px;
}
.fitted :deep(:is(th, td)) {
  padding: 0 10px 0 0 !important;
  font-size: 13px !important;
}
.fitted :deep(.figure) {
  white-space: nowrap;
}
.fitted :deep(tr.chosen) {
  background: var(--heather-wash);
}
.stop {
  color: var(--rowan);
  font-weight: 700;
}
</style>
