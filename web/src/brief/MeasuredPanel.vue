<script setup lang="ts">
import { computed, ref, toRaw, watch } from 'vue'
import { type Measurable, type Taken, measurables, sayWhy } from '@drumlin/core/fit'
import type { Derived } from '@drumlin/core/derived'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import FoldPart from '../parts/FoldPart.vue'
import TakenField from '../sentence/TakenField.vue'
import { printMeasure } from '../sentence/measures.js'
import { useStores } from '../job/stores.js'
import { useMeasuring } from './measuring.js'

/** A thing that is there, measured: which settings make one like it, and what of it they can’t. */
const props = defineProps<{ derived: Derived }>()
const job = useJob()
const stores = useStores()
const settings = useSettings()
const { found, told: seeking, failed, seek, stop, forget } = useMeasuring()

const all = computed(() => measurables(props.derived))
/** What was chosen to be measured; without a number until it was. */
const taken = ref<readonly { readonly id: string; readonly value: number | undefined }[]>([])
const rows = computed(() =>
  taken.value.flatMap((t) => {
    const measurable = all.value.find((m) => m.id === t.id)
    return measurable ? [{ ...t, measurable }] : []
  }),
)
const left = computed(() =>
  all.value
    .filter((m) => !taken.value.some((t) => t.id === m.id))
    .map((m) => ({ title: `${m.label} (now ${said(m, m.now)})`, value: m.id })),
)
const sortOf = (m: Measurable): 'count' | 'length' => (m.type === 'holes' ? 'count' : 'length')
const measured = computed(() =>
  rows.value.flatMap(({ id, value }): Taken[] => (value === undefined ? [] : [{ id, value }])),
)
const said = (m: Measurable, value: number): string => printMeasure(value, sortOf(m), settings.unit)
const begun = (label: string): string => label.charAt(0).toUpperCase() + label.slice(1)
const add = (id: string | null): void => {
  if (id !== null) taken.value = [...taken.value, { id, value: undefined }]
}
const write = (id: string, value: number): void =>
  void (taken.value = taken.value.map((t) => (t.id === id ? { id, value } : t)))
const leave = (id: string): void => void (taken.value = taken.value.filter((t) => t.id !== id))
const go = (): void =>
  void seek({
    design: toRaw(props.derived.design),
    taken: measured.value,
    irons: stores.all.irons.map((i) => toRaw(i)),
  })
const take = (): void => {
  if (found.value?.edit) job.edit(found.value.edit)
}
const unmet = computed(() => (found.value?.answers ?? []).filter((a) => a.why !== undefined))
/** What was found answers this design and these readings only. */
watch([() => props.derived, taken], forget)
</script>

<template>
  <FoldPart title="Measured from a thing" data-measured>
    <p class="lead">
      Make one like it: write down what you measured on it. Lengths as a rule or calipers tell them, and the
      holes of a seam, counted.
    </p>
    <v-autocomplete
      :model-value="null"
      :items="left"
      label="What was measured"
      no-data-text="Nothing of that name is in this work."
      hide-details
      @update:model-value="add"
    />
    <ul v-if="rows.length > 0" class="readings">
      <li v-for="row in rows" :key="row.id">
        {{ row.measurable.label }}:
        <TakenField
          :value="row.value"
          :label="`${row.measurable.label}, as measured`"
          :sort="sortOf(row.measurable)"
          :min="row.measurable.type === 'holes' ? 2 : 0.3"
          :max="5000"
          @change="(v) => write(row.id, v)"
        />
        <v-btn
          variant="plain"
          class="link"
          :aria-label="`Leave out ${row.measurable.label}`"
          @click="leave(row.id)"
          >leave out</v-btn
        >
      </li>
    </ul>
    <p v-if="measured.length > 0" class="row">
      <v-btn v-if="seeking === undefined" variant="flat" @click="go">Find the settings</v-btn>
      <template v-else>
        <span role="status">Looking …</span>
        <v-btn @click="stop">Stop</v-btn>
      </template>
    </p>
    <p v-if="failed" role="alert" class="refused">That could not be worked out: {{ failed }}.</p>
    <div v-if="found" role="status">
      <p v-if="found.changed.length === 0 && !found.iron && unmet.length === 0">
        It comes out so already: nothing has to change.
      </p>
      <ul v-if="found.changed.length > 0 || found.iron" class="readings">
        <li v-for="c in found.changed" :key="c.label">
          {{ c.label }}: {{ printMeasure(c.from, c.sort, settings.unit) }} →
          <b>{{ printMeasure(c.to, c.sort, settings.unit) }}</b>
        </li>
        <li v-if="found.iron">
          iron: <b>{{ found.iron.name }}</b>
        </li>
      </ul>
      <p v-for="a in unmet" :key="a.measurable.id" class="refused">
        {{ begun(a.measurable.label) }} {{ said(a.measurable, a.wanted) }}: it comes to
        {{ said(a.measurable, a.got) }}. {{ sayWhy(a.why!, settings.unit) }}
      </p>
      <v-btn v-if="found.edit" @click="take">Take these settings</v-btn>
    </div>
  </FoldPart>
</template>

<style scoped>
.lead {
  margin: 0 0 8px;
  color: var(--quiet);
}
.readings {
  margin: 8px 0;
  padding-left: 18px;
  line-height: 1.7;
}
.row {
  display: flex;
  gap: 8px;
  align-items: center;
}
.refused {
  color: var(--rowan);
}
.link {
  padding: 0;
  margin-left: 8px;
  color: var(--loch);
  text-decoration: underline;
}
</style>
