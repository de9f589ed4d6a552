<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'
import {
  type Derived,
  type Freedom,
  type Run,
  type Wish,
  applyEdit,
  derive,
  freedomsOf,
  printLength,
  trimmed,
} from '@drumlin/core'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import MeasureField from '../sentence/MeasureField.vue'
import { useFitting } from './fitting.js'
import { pitchWords } from './words.js'

const props = defineProps<{ settled: Derived }>()
const job = useJob()
const settings = useSettings()
const { fitted, tried, failed, seek, stop, forget } = useFitting()

const freedoms = computed(() => freedomsOf(props.settled))
/** How far each may move, mm, where the maker changed it; 0 keeps it where it is. */
const own = ref<Record<string, number>>({})
const by = (f: Freedom): number => own.value[f.id] ?? f.usual
const usual = computed(() => freedoms.value.filter((f) => f.usual > 0))
const others = computed(() => freedoms.value.filter((f) => f.usual === 0))
const allowed = computed(() =>
  freedoms.value.filter((f) => by(f) > 0).map((freedom) => ({ freedom, by: by(freedom) })),
)
const ownPlay = ref<number>()
const ownClearance = ref<number>()
const play = computed(() => ownPlay.value ?? props.settled.design.habits.play)
const clearance = computed(() => ownClearance.value ?? props.settled.design.habits.stepClearance)
const asked = computed(() => ({ allowed: allowed.value, play: play.value, clearance: clearance.value }))
const go = (): void => seek(props.settled.design, asked.value)

const trying = computed(() => fitted.value?.edit !== undefined && job.preview === fitted.value.edit)
const look = (): void => void (job.preview = trying.value ? undefined : fitted.value?.edit)
function letGo(): void {
  job.preview = undefined
  forget()
}
// What was found answers this design and these wishes only.
watch(() => props.settled, letGo)
watch(asked, letGo)
onScopeDispose(() => (job.preview = undefined))
function take(): void {
  if (fitted.value?.edit) job.edit(fitted.value.edit)
}

/** A knife keeps less than a tenth of a millimetre, so hundredths are shown. */
const print = (mm: number): string =>
  settings.unit === 'mm' ? `${trimmed(mm, 2)} mm` : printLength(mm, settings.unit)
const percent = (share: number): string => `${Math.round(share * 1000) / 10} %`
const WISH_WORDS: Readonly<Record<Wish, string>> = {
  pitch: 'pitches near the iron’s own',
  steps: 'no hole near a step',
  counts: 'as many holes on both edges',
}
const helping = computed(() =>
  (fitted.value?.clash ?? []).filter((c) => c.helps).map((c) => WISH_WORDS[c.wish]),
)
const after = computed(() => {
  const edit = fitted.value?.edit
  const edited = edit && applyEdit(props.settled.design, edit)
  return edited?.ok ? derive(edited.design) : undefined
})
const nearest = (run: Run): number =>
  Math.min(
    ...run.steps
      .filter((s) => s.open)
      .map((s) => Math.min(...run.holes.map((h) => Math.abs(h.distance - s.distance)))),
  )
const said = (run: Run | undefined): string => {
  if (!run) return '–'
  const count =
    run.other && run.other.holes.length !== run.holes.length
      ? `${run.holes.length} | ${run.other.holes.length}`
      : `${run.holes.length}`
  const step = nearest(run)
  return `${count} at ${pitchWords(
    run.sides.map((s) => s.pitch),
    settings.unit,
  )}${Number.isFinite(step) ? `, step ${step.toFixed(1)}` : ''}`
}
const rows = computed(() =>
  after.value
    ? props.settled.runs
        .map((run) => ({
          id: run.join.id,
          name: run.join.name,
          before: said(run),
          now: said(after.value!.runs.find((r) => r.join.id === run.join.id)),
        }))
        .filter((r) => r.before !== r.now)
    : [],
)
const left = computed(() => {
  const wishes = [...new Set((fitted.value?.left ?? []).map((m) => m.wish))]
  return wishes.map((wish) => {
    const runs = fitted.value!.left.filter((m) => m.wish === wish).map((m) => m.run)
    const names = props.settled.runs.filter((r) => runs.includes(r.join.id)).map((r) => r.join.name)
    return `${WISH_WORDS[wish]}: not on the ${names.join(', the ')}`
  })
})
</script>

<template>
  <details class="fit" data-fit>
    <summary>Fit to the iron</summary>
    <p class="sentence">
      Whole stitches on every side, as many left and right and on edges that meet; pitches within
      <MeasureField
        :value="play"
        label="pitch may differ by"
        sort="share"
        :least="0"
        :most="0.2"
        :step="0.005"
        @change="(v) => (ownPlay = v)"
      />
      of the iron’s, no hole nearer than
      <MeasureField
        :value="clearance"
        label="clearance from a step"
        sort="fine"
        :least="0"
        :most="5"
        :step="0.1"
        @change="(v) => (ownClearance = v)"
      />
      to a step. What may move, either way:
    </p>
    <ul class="free">
      <li v-for="f in usual" :key="f.id">
        {{ f.label }}
        <MeasureField
          :value="by(f)"
          :label="`${f.label} may move by`"
          sort="fine"
          :least="0"
          :most="20"
          :step="0.1"
          @change="(v) => (own = { ...own, [f.id]: v })"
        />
      </li>
    </ul>
    <details>
      <summary class="quiet">Let something else move</summary>
      <ul class="free">
        <li v-for="f in others" :key="f.id">
          {{ f.label }} <span class="quiet figure">{{ print(f.now) }}</span>
          <MeasureField
            :value="by(f)"
            :label="`${f.label} may move by`"
            sort="fine"
            :least="0"
            :most="20"
            :step="0.1"
            @change="(v) => (own = { ...own, [f.id]: v })"
          />
        </li>
      </ul>
    </details>
    <p class="row">
      <button v-if="tried === undefined" class="act main" @click="go">Find the smallest changes</button>
      <template v-else>
        <span role="status">Looking: {{ tried }} {{ tried === 1 ? 'layout' : 'layouts' }} tried …</span>
        <button class="act" @click="stop">Stop</button>
      </template>
    </p>
    <p v-if="failed" role="alert" class="refused">That could not be worked out: {{ failed }}</p>
    <div v-if="fitted" data-fitted role="status">
      <p v-if="fitted.left.length === 0 && !fitted.edit">Everything fits already: nothing has to move.</p>
      <template v-else>
        <p v-if="fitted.left.length === 0">
          <strong>It fits</strong> with
          {{ fitted.moved.length === 1 ? 'one change' : `${fitted.moved.length} changes` }}:
        </p>
        <template v-else>
          <p class="short">
            Not everything can be had<template v-if="helping.length > 0"
              >; it could without asking for {{ helping.join(', or for ') }}</template
            >.
            <template v-if="fitted.playNeeded !== undefined">
              Letting pitches differ by {{ percent(fitted.playNeeded) }} would do.</template
            >
            <template v-if="fitted.moved.length > 0"> The nearest:</template>
          </p>
          <ul class="quiet list">
            <li v-for="l in left" :key="l">{{ l }}</li>
          </ul>
        </template>
        <ul class="moves figure">
          <li v-for="m in fitted.moved" :key="m.freedom.id">
            {{ m.freedom.label }} {{ print(m.freedom.now) }} → {{ print(m.to) }}
          </li>
        </ul>
        <table v-if="rows.length > 0">
          <thead>
            <tr>
              <th scope="col">Run</th>
              <th scope="col">before</th>
              <th scope="col">after</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in rows" :key="r.id">
              <th scope="row">{{ r.name }}</th>
              <td>{{ r.before }}</td>
              <td>{{ r.now }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="fitted.edit" class="row">
          <button class="act" :aria-pressed="trying" @click="look">
            {{ trying ? 'As it was' : 'Try it' }}
          </button>
          <button class="act main" @click="take">Take it</button>
        </p>
      </template>
    </div>
  </details>
</template>

<style scoped>
.fit {
  border-top: 1px solid var(--hairline);
  padding: 8px 0;
}
summary {
  cursor: pointer;
  min-height: 26px;
}
.fit > summary {
  font-weight: 650;
}
.sentence {
  line-height: 1.7;
  margin: 0 0 6px;
}
.free,
.moves,
.list {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
}
.free li {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  align-items: baseline;
  border-bottom: 1px solid var(--hairline);
  padding: 2px 0;
}
.moves {
  background: var(--working);
  border-left: 3px solid var(--hairline);
  padding: 6px 10px;
}
.moves:empty {
  display: none;
}
.row {
  display: flex;
  gap: 8px;
  align-items: center;
}
.short {
  border-left: 4px solid var(--gorse-mark);
  padding-left: 10px;
}
.refused {
  color: var(--rowan);
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
  margin-bottom: 8px;
}
th {
  text-align: left;
  font-weight: 400;
}
thead th {
  font-weight: 650;
}
tr {
  border-bottom: 1px solid var(--hairline);
}
td {
  font-family: var(--mono);
  font-size: 12px;
  padding-left: 6px;
}
</style>
