<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed, nextTick, onMounted, useTemplateRef, watch } from 'vue'
import type { SeamPlan, SeamRow } from '@drumlin/core/derived'
import { printWeightBare, systemOf } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'

const figure = useFigures()
const props = defineProps<{ plan: SeamPlan; chosen: string }>()
const emit = defineEmits<{ choose: [id: string] }>()
const settings = useSettings()
const differs = (r: SeamRow): boolean => r.backHoles !== undefined && r.backHoles !== r.run.holes.length
const holes = (r: SeamRow): string =>
  r.backHoles === undefined ? `${r.run.holes.length}` : `${r.run.holes.length} | ${r.backHoles}`
const box = useTemplateRef<HTMLElement>('box')
/** The chosen run is kept in sight. */
async function inSight(): Promise<void> {
  await nextTick()
  // The table lays its rows out after it is there.
  await new Promise(requestAnimationFrame)
  const rows = box.value?.querySelector('.v-table__wrapper')
  const row = rows?.querySelector<HTMLElement>(`[data-run="${CSS.escape(props.chosen)}"]`)
  // Only the table is scrolled, never the page it stands on.
  if (rows && row) rows.scrollTop = row.offsetTop - rows.clientHeight / 2
}
onMounted(inSight)
watch(() => props.chosen, inSight)
/** Thread is sold by the metre or by the yard. */
const far = (mm: number): string =>
  figure(mm / (systemOf(settings.unit, 'thread') === 'mm' ? 1000 : 914.4), 2)
const headers = computed(() => [
  { title: 'No.', key: 'number', value: (r: SeamRow) => r.number, width: 44 },
  { title: 'Run', key: 'name', value: (r: SeamRow) => r.run.join.name, align: 'start' as const },
  {
    title: `${systemOf(settings.unit, 'thickness') === 'mm' ? 'mm' : 'oz'} thick`,
    key: 'thick',
    value: (r: SeamRow) => r.run.thickest,
    align: 'end' as const,
  },
  { title: 'Holes', key: 'holes', value: (r: SeamRow) => r.run.holes.length, align: 'end' as const },
  {
    title: `${systemOf(settings.unit, 'thread') === 'mm' ? 'm' : 'yd'} thread`,
    key: 'thread',
    value: (r: SeamRow) => r.run.thread.value,
    align: 'end' as const,
  },
  { title: 'min', key: 'minutes', value: (r: SeamRow) => r.minutes.value, align: 'end' as const },
])
</script>

<template>
  <div ref="box" class="scroll">
    <v-data-table
      :headers="headers"
      :items="[...plan.rows]"
      :items-per-page="-1"
      :row-props="
        ({ item }) => ({ class: { chosen: item.run.join.id === chosen }, 'data-run': item.run.join.id })
      "
      class="compared"
      density="compact"
      fixed-header
      hide-default-footer
      height="100%"
      aria-label="All runs"
    >
      <template #[`item.name`]="{ item: r }">
        <v-btn
          variant="plain"
          class="pick"
          :aria-pressed="r.run.join.id === chosen"
          @click="emit('choose', r.run.join.id)"
        >
          {{ r.run.join.name }}
        </v-btn>
        <span v-if="r.run.join.id === chosen && r.coveredBy.length > 0" class="quiet before"
          >before {{ r.coveredBy.join(', ') }} {{ r.coveredBy.length > 1 ? 'cover' : 'covers' }} it</span
        >
      </template>
      <template #[`item.thick`]="{ item: r }">{{ printWeightBare(r.run.thickest, settings.unit) }}</template>
      <template #[`item.holes`]="{ item: r }"
        ><span :class="{ stop: differs(r) }">{{ holes(r) }}</span></template
      >
      <template #[`item.thread`]="{ item: r }">{{ far(r.run.thread.value) }}</template>
      <template #[`item.minutes`]="{ item: r }">{{ Math.round(r.minutes.value) }}</template>
      <template #tfoot>
        <tfoot>
          <tr>
            <td />
            <th scope="row">Together</th>
            <td />
            <td>{{ plan.holes }}</td>
            <td>{{ far(plan.supplies.thread.value) }}</td>
            <td>{{ Math.round(plan.minutes) }}</td>
          </tr>
        </tfoot>
      </template>
    </v-data-table>
  </div>
</template>

<style scoped>
.scroll {
  min-height: 0;
  overflow: hidden;
}
.compared {
  height: 100%;
}
.pick {
  padding: 3px 0;
}
.before {
  display: block;
  font-size: 12px;
}
.stop {
  color: var(--rowan);
  font-weight: 700;
}
.scroll :deep(tr.chosen) {
  background: var(--heather-wash);
}
.scroll :deep(tfoot) {
  position: sticky;
  bottom: 0;
  background: var(--surface);
}
.scroll :deep(td:nth-child(n + 3)) {
  font-family: var(--mono);
}
</style>
