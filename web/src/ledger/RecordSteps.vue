<script setup lang="ts">
import TakeTable from '../parts/TakeTable.vue'
import { computed } from 'vue'
import { minutesSaid } from '../parts/time.js'
import MeasureField from '../sentence/MeasureField.vue'
import type { Recording } from './recording.js'

/** What was planned and what it took in the same rows, with what was noted and photographed at each step. */
const props = defineProps<{ recording: Recording }>()
const making = computed(() => props.recording.making.value!)
const rows = computed(() =>
  making.value.record.plan.map((p) => {
    const took = making.value.steps[p.id]
    const actual = took?.minutes ?? 0
    return {
      ...p,
      actual,
      done: took?.done ?? false,
      notes: took?.notes ?? [],
      shots: props.recording.shots.value.filter((s) => s.step === p.id),
      // More than a fifth and two minutes off is a difference one looks at.
      differs: actual > 0 && Math.abs(actual - p.minutes) > Math.max(2, p.minutes / 5),
    }
  }),
)
const planned = computed(() => rows.value.reduce((sum, r) => sum + r.minutes, 0))
const took = computed(() => rows.value.reduce((sum, r) => sum + r.actual, 0))
</script>

<template>
  <div class="scroll">
    <p v-if="rows.length === 0">
      Its steps were not planned with this program: what is written down beside stands without them.
    </p>
    <TakeTable v-else name="Steps, planned and taken" />
    <v-table v-if="rows.length > 0" density="compact" fixed-header aria-label="Steps, planned and taken">
      <thead>
        <tr>
          <th scope="col">Step</th>
          <th scope="col" class="n">planned</th>
          <th scope="col" class="n">took, minutes</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.id" :class="{ open: !r.done }">
          <td>
            {{ r.says }}
            <span v-for="n in r.notes" :key="n.at" class="note"
              >{{ n.sort === 'not so' ? 'Not so: ' : '' }}{{ n.text }}</span
            >
            <span v-if="r.shots.length > 0" class="shots"
              ><img
                v-for="(s, i) in r.shots"
                :key="s.id"
                :src="s.url"
                :alt="`${r.says}, photograph ${i + 1}`"
            /></span>
          </td>
          <td class="n">{{ Math.round(r.minutes) }}</td>
          <td class="n" :class="{ differs: r.differs }">
            <MeasureField
              :value="Math.round(r.actual)"
              :label="`minutes it took: ${r.says}`"
              sort="count"
              :min="0"
              :max="2160"
              :step="1"
              @change="(v) => recording.minutes(r.id, v)"
            />
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">In all</th>
          <td class="n">{{ minutesSaid(planned) }}</td>
          <td class="n">{{ minutesSaid(took) }}</td>
        </tr>
      </tfoot>
    </v-table>
  </div>
</template>

<style scoped>
.scroll {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 4px 20px 20px;
}
.n {
  text-align: right;
  font-family: var(--mono);
  white-space: nowrap;
}
.open td {
  color: var(--quiet);
}
.differs,
.differs :deep(input) {
  color: var(--heather);
  font-weight: 650;
}
.note {
  display: block;
  font-style: italic;
}
.shots img {
  height: 64px;
  margin: 4px 6px 4px 0;
}
tfoot th,
tfoot td {
  border-top: 1px solid var(--ink);
  font-weight: 650;
}
th {
  text-align: left;
}
th.n {
  font-family: var(--ui);
  text-align: right;
}
</style>
