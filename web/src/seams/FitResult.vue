<script setup lang="ts">
import { computed } from 'vue'
import {
  type Derived,
  type Fitted,
  type Run,
  type Wish,
  applyEdit,
  derive,
  printLength,
  trimmed,
} from '@drumlin/core'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { pitchWords } from './words.js'

/** What fitting to the iron came to: the changes, before and after, or what clashes. */
const props = defineProps<{ fitted: Fitted; settled: Derived }>()
const job = useJob()
const settings = useSettings()

const trying = computed(() => props.fitted.edit !== undefined && job.preview === props.fitted.edit)
const look = (): void => void (job.preview = trying.value ? undefined : props.fitted.edit)
/** A knife keeps less than a tenth of a millimetre, so hundredths are shown. */
const print = (mm: number): string =>
  settings.unit === 'mm' ? `${trimmed(mm, 2)} mm` : printLength(mm, settings.unit)
function take(): void {
  if (props.fitted.edit) job.edit(props.fitted.edit)
}

const percent = (share: number): string => `${Math.round(share * 1000) / 10} %`
const WISH_WORDS: Readonly<Record<Wish, string>> = {
  pitch: 'pitches near the iron’s own',
  steps: 'no hole near a step',
  counts: 'as many holes on both edges',
}
const helping = computed(() => props.fitted.clash.filter((c) => c.helps).map((c) => WISH_WORDS[c.wish]))
const after = computed(() => {
  const edit = props.fitted.edit
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
  const wishes = [...new Set(props.fitted.left.map((m) => m.wish))]
  return wishes.map((wish) => {
    const runs = props.fitted.left.filter((m) => m.wish === wish).map((m) => m.run)
    const names = props.settled.runs.filter((r) => runs.includes(r.join.id)).map((r) => r.join.name)
    return `${WISH_WORDS[wish]}: not on the ${names.join(', the ')}`
  })
})
</script>

<template>
  <div data-fitted role="status">
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
</template>

<style scoped>
.moves,
.list {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
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
