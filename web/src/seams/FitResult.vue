<script setup lang="ts">
import { computed } from 'vue'
import { type Derived, derive } from '@drumlin/core/derived'
import { applyEdit } from '@drumlin/core/design'
import { type Fitted, type RunHoles, type Wish, holesChanged } from '@drumlin/core/fit'
import { printLength, trimmed, systemOf } from '@drumlin/core/measure'
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
  systemOf(settings.unit) === 'mm' ? `${trimmed(mm, 2, settings.unit)} mm` : printLength(mm, settings.unit)
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
/** “54 at 3.01, step 1.1 mm”. */
function said(holes: RunHoles | undefined): string {
  if (!holes) return '–'
  const count = holes.back === undefined ? `${holes.holes}` : `${holes.holes} | ${holes.back}`
  const step = holes.step === undefined ? '' : `, step ${printLength(holes.step, settings.unit)}`
  return `${count} at ${pitchWords(holes.pitches, settings.unit)}${step}`
}
const rows = computed(() => (after.value ? holesChanged(props.settled, after.value) : []))
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
            Letting pitches differ by about {{ percent(fitted.playNeeded) }} would do.</template
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
      <v-table v-if="rows.length > 0" class="compared">
        <thead>
          <tr>
            <th scope="col">Run</th>
            <th scope="col">before</th>
            <th scope="col">after</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.run.join.id">
            <th scope="row">{{ r.run.join.name }}</th>
            <td>{{ said(r.before) }}</td>
            <td>{{ said(r.after) }}</td>
          </tr>
        </tbody>
      </v-table>
      <p v-if="fitted.edit" class="row">
        <v-btn :aria-pressed="trying" @click="look">
          {{ trying ? 'As it was' : 'Try it' }}
        </v-btn>
        <v-btn variant="flat" @click="take">Take it</v-btn>
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
td {
  font-family: var(--mono);
  font-size: 12px;
  padding-left: 6px;
}
</style>
