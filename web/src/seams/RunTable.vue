<script setup lang="ts">
import { nextTick, onMounted, useTemplateRef, watch } from 'vue'
import type { SeamPlan, SeamRow } from '@drumlin/core/derived'
import { printWeightBare } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'

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
  box.value?.querySelector(`[data-run="${CSS.escape(props.chosen)}"]`)?.scrollIntoView({ block: 'nearest' })
}
onMounted(inSight)
watch(() => props.chosen, inSight)
/** Thread is sold by the metre or by the yard. */
const far = (mm: number): string => (mm / (settings.unit === 'mm' ? 1000 : 914.4)).toFixed(2)
</script>

<template>
  <div ref="box" class="scroll" tabindex="0" role="group" aria-label="All runs, table">
    <v-table>
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">Order</span></th>
          <th scope="col">Run</th>
          <th scope="col">{{ settings.unit === 'mm' ? 'mm' : 'oz' }} thick</th>
          <th scope="col">Holes</th>
          <th scope="col">{{ settings.unit === 'mm' ? 'm' : 'yd' }} thread</th>
          <th scope="col">min</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="r in plan.rows"
          :key="r.run.join.id"
          :class="{ chosen: r.run.join.id === chosen }"
          :data-run="r.run.join.id"
        >
          <td class="figure">{{ r.number }}</td>
          <th scope="row">
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
          </th>
          <td class="figure">{{ printWeightBare(r.run.thickest, settings.unit) }}</td>
          <td class="figure" :class="{ stop: differs(r) }">{{ holes(r) }}</td>
          <td class="figure">{{ far(r.run.thread.value) }}</td>
          <td class="figure">{{ Math.round(r.minutes.value) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td />
          <th scope="row">Together</th>
          <td />
          <td class="figure">{{ plan.holes }}</td>
          <td class="figure">{{ far(plan.supplies.thread.value) }}</td>
          <td class="figure">{{ Math.round(plan.minutes) }}</td>
        </tr>
      </tfoot>
    </v-table>
  </div>
</template>

<style scoped>
.scroll {
  max-height: 286px;
  overflow-y: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}
th {
  text-align: left;
  font-weight: 400;
}
thead th {
  font-weight: 650;
  color: var(--quiet);
  position: sticky;
  top: 0;
  background: var(--surface);
}
thead th:nth-child(n + 3),
td {
  text-align: right;
  white-space: nowrap;
  padding-left: 8px;
}
td:first-child {
  padding: 0 6px 0 0;
}
tr {
  border-bottom: 1px solid var(--hairline);
}
tfoot tr {
  border-top: 2px solid var(--ink);
}
tfoot th {
  font-weight: 650;
}
.chosen {
  background: var(--heather-wash);
}
.pick {
  padding: 3px 0;
  text-align: left;
}
.before {
  display: block;
  font-size: 12px;
}
.stop {
  color: var(--rowan);
  font-weight: 700;
}
</style>
