<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed, ref } from 'vue'
import { printWeight } from '@drumlin/core/measure'
import { type Leather, type Learnt, lessonsOf, withLessons } from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import { useStores } from '../job/stores.js'
import { saveCoupons } from '../output/save.js'
import MeasureField from '../sentence/MeasureField.vue'
import HideParts from './HideParts.vue'
import TrialForm from './TrialForm.vue'
import { reasonOf } from '../app/reason.js'

const figure = useFigures()
const props = defineProps<{ leather: Leather }>()
const emit = defineEmits<{ change: [leather: Leather] }>()
const settings = useSettings()
const stores = useStores()
const set = (more: Partial<Leather>): void => emit('change', { ...props.leather, ...more })
const failed = ref('')
const drawing = ref(false)

const mean = computed(() => props.leather.measured.reduce((a, b) => a + b, 0) / props.leather.measured.length)
const addSpot = (): void =>
  set({
    measured: [...props.leather.measured, props.leather.measured.at(-1) ?? props.leather.thickness],
    use: 'measured',
  })
const spot = (i: number, v: number): void =>
  set({ measured: props.leather.measured.map((m, k) => (k === i ? v : m)) })
const dropSpot = (i: number): void => set({ measured: props.leather.measured.filter((_, k) => k !== i) })

const lessons = computed(() => lessonsOf(props.leather))
const ROWS = [
  { key: 'neutral', label: 'neutral-axis factor in a fold', digits: 3 },
  { key: 'turn', label: 'neutral-axis factor in a turned edge', digits: 3 },
  { key: 'threadFactor', label: 'thread, as a multiple of the formula', digits: 3 },
  { key: 'atEdge', label: 'left at an edge meant to be nothing, mm', digits: 2 },
] as const
const sure = (l: Learnt, digits: number): string =>
  l.count === 1
    ? `one piece only: ± ${figure(l.error, digits)} at the least`
    : `± ${figure(l.error, digits)} from ${l.count} pieces`
const known = computed(() => ROWS.some((r) => lessons.value[r.key] !== undefined))
async function print(): Promise<void> {
  const iron = stores.all.irons[1] ?? stores.all.irons[0]
  if (!iron) return
  drawing.value = true
  failed.value = ''
  try {
    await saveCoupons(props.leather, iron, settings, new AbortController().signal)
  } catch (error) {
    failed.value = `The sheet could not be made: ${reasonOf(error)}.`
  }
  drawing.value = false
}
</script>

<template>
  <div class="cols">
    <section :aria-label="`Spots measured on ${leather.name}`">
      <h3>Measured</h3>
      <p v-if="leather.measured.length > 0">
        <template v-for="(m, i) in leather.measured" :key="i">
          <MeasureField
            :value="m"
            :label="`spot ${i + 1} of ${leather.name}`"
            sort="thickness"
            :min="0.2"
            :max="8"
            :step="0.05"
            @change="(v) => spot(i, v)"
          />
          <v-btn variant="plain" class="link" :aria-label="`Take out spot ${i + 1}`" @click="dropSpot(i)"
            >×</v-btn
          >{{ ' ' }}
        </template>
        : {{ printWeight(mean, settings.unit) }} on average
      </p>
      <p v-else class="quiet">
        No spot is measured yet; several, from backbone to belly, say what the hide really is.
      </p>
      <p><v-btn @click="addSpot">Add a spot</v-btn></p>
      <p>
        It stretches
        <MeasureField
          :value="leather.stretch.along"
          :label="`stretch along the backbone of ${leather.name}`"
          sort="share"
          :min="0"
          :max="0.5"
          :step="0.01"
          @change="(along) => set({ stretch: { ...leather.stretch, along } })"
        />
        along the backbone and
        <MeasureField
          :value="leather.stretch.across"
          :label="`stretch across the backbone of ${leather.name}`"
          sort="share"
          :min="0"
          :max="0.5"
          :step="0.01"
          @change="(across) => set({ stretch: { ...leather.stretch, across } })"
        />
        across it, as shares.
      </p>
      <p>
        In a turned edge
        <MeasureField
          :value="leather.turn"
          :label="`neutral-axis factor in a turn of ${leather.name}`"
          sort="share"
          :min="0.3"
          :max="0.75"
          :step="0.01"
          @change="(turn) => set({ turn })"
        />
        of its thickness keeps its length; a skive to nothing leaves
        <MeasureField
          :value="leather.atEdge"
          :label="`left at a skived edge of ${leather.name}`"
          sort="thickness"
          :min="0"
          :max="2"
          :step="0.05"
          then=";"
          @change="(atEdge) => set({ atEdge })"
        />
        it takes
        <MeasureField
          :value="leather.threadFactor"
          :label="`thread factor of ${leather.name}`"
          sort="share"
          :min="0.7"
          :max="1.5"
          :step="0.01"
          @change="(threadFactor) => set({ threadFactor })"
        />
        × the thread of the formula.
      </p>
      <HideParts :of="leather.id" :material="leather.name" leather />
    </section>
    <section :aria-label="`Test pieces of ${leather.name}`">
      <h3>Test pieces</h3>
      <p class="quiet">Print the sheet, make its four pieces, measure, and write down what came out.</p>
      <p>
        <v-btn :disabled="drawing" @click="print">Print the test pieces</v-btn>
        <span v-if="drawing" role="status">drawing …</span>
      </p>
      <p v-if="failed" role="alert" class="failed">{{ failed }}</p>
      <TrialForm :leather="leather" @change="(trials) => set({ trials })" />
      <v-table v-if="known">
        <thead>
          <tr>
            <th scope="col">learnt</th>
            <th scope="col">now</th>
            <th scope="col">says</th>
            <th scope="col">how sure</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="r in ROWS" :key="r.key">
            <tr v-if="lessons[r.key]" :data-lesson="r.key">
              <th scope="row">{{ r.label }}</th>
              <td class="figure">{{ figure(leather[r.key], r.digits) }}</td>
              <td class="figure">{{ figure(lessons[r.key]!.value, r.digits) }}</td>
              <td>{{ sure(lessons[r.key]!, r.digits) }}</td>
            </tr>
          </template>
        </tbody>
      </v-table>
      <p v-if="known">
        <v-btn variant="flat" @click="emit('change', withLessons(leather))">
          Reckon with what was learnt
        </v-btn>
      </p>
      <p v-if="known" class="quiet">
        Jobs keep their own copy of a leather; there it says that the shelf has newer numbers, to be taken in
        one click.
      </p>
    </section>
  </div>
</template>

<style scoped>
.cols {
  container-type: inline-size;
}
h3 {
  font-size: 15px;
  margin: 6px 0;
}
p {
  margin: 4px 0 8px;
}
.link {
  text-decoration: underline;
  color: var(--quiet);
}
.failed {
  color: var(--rowan);
}
table {
  border-collapse: collapse;
  font-size: 14px;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 3px 14px 3px 0;
  border-bottom: 1px solid var(--hairline);
}
</style>
