<script setup lang="ts">
import { withLengths } from '@drumlin/core/measure'
import TakeTable from '../parts/TakeTable.vue'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { fieldsInPlay, fieldsOf } from '@drumlin/core/kinds'
import { useRouter } from 'vue-router'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import { useBooks } from '../ledger/books.js'
import FiguresChart from './FiguresChart.vue'
import TimeWorking from './TimeWorking.vue'
import VariantColumn from './VariantColumn.vue'
import { type Row, rowsIn, sayDifference, sayValue } from './rows.js'
import { saidOf } from './troubles.js'
import { useWeighed } from './weighed.js'
import { NOTHING_CHANGED, type Variant, changedFields, variantOf } from './variants.js'
import { focusWanted } from '../sentence/wanted.js'

const props = defineProps<{ id: string }>()
const job = useJob()
const settings = useSettings()
const router = useRouter()
const base = computed(() => job.settled!.design)
const kind = computed(() => job.settled!.kind)

/** The first is the work as it stands; up to two beside it. */
const MOST = 2
const variants = shallowRef<readonly Variant[]>([first('B')])
function first(name: string): Variant {
  // What is most often weighed: another school of pockets, else the first other way of making it.
  const others = fieldsInPlay(kind.value, base.value.params).flatMap((field) => {
    if (field.type !== 'choice' || field.path[0] !== 'params') return []
    const value = field.choices.find((c) => c.value !== base.value.params[field.id])?.value
    return value === undefined ? [] : [{ id: field.id, path: field.path, value }]
  })
  const other =
    others.find((f) => f.id === 'school') ?? others.find((f) => f.id !== 'currency' && f.id !== 'finish')
  if (!other) return { name, edit: NOTHING_CHANGED }
  return { name, edit: { name: 'as it is', changes: [{ path: other.path, value: other.value }] } }
}
const add = (): void => void (variants.value = [...variants.value, { name: 'C', edit: NOTHING_CHANGED }])
const remove = (i: number): void => void (variants.value = variants.value.filter((_, k) => k !== i))
const change = (i: number, to: Variant): void =>
  void (variants.value = variants.value.map((v, k) => (k === i ? to : v)))

/** Every setting that some variant changes: the first column says how it is now. */
const shownFields = computed(() =>
  fieldsOf(kind.value).filter((f) =>
    variants.value.some((v) => changedFields({ kind: kind.value }, v).includes(f)),
  ),
)

const failed = ref('')
const books = useBooks()
const stores = useStores()
onMounted(() => void books.load())
const trade = computed(() => books.tradeOf(job.record?.example ? 'examples' : 'own'))
const { answers, unweighed, weigh } = useWeighed(
  () => [base.value, ...variants.value.map((v) => variantOf(base.value, v))],
  () => ({ trade: trade.value, hides: stores.all.hides, first: false }),
)
watch([base, variants, trade], weigh, { immediate: true })

/** Of what is cut from no hide yet there are no figures of hides. */
const rows = computed(() =>
  rowsIn(settings.unit, trade.value.currency).filter((r) =>
    answers.value.every((a) => !a || Number.isFinite(r.of(a.figures))),
  ),
)
const charted = computed(() =>
  ['As it is', ...variants.value.map((v) => v.name)].flatMap((name, i) => {
    const one = answers.value[i]
    return one ? [{ name, of: one.figures }] : []
  }),
)
function difference(row: Row, i: number): string {
  const [from, to] = [answers.value[0], answers.value[i]]
  return i > 0 && from && to ? sayDifference(row, from.figures, to.figures) : ''
}
const troubles = (i: number): string => saidOf(answers.value[i]?.findings)
const carries = (i: number): string =>
  withLengths(answers.value[i]?.figures.carries.join(', ') ?? '', settings.unit)

async function take(i: number): Promise<void> {
  const variant = variants.value[i]!
  const names = changedFields({ kind: kind.value }, variant).map((f) => f.label)
  const refused = job.edit({ ...variant.edit, name: `take ${variant.name}: ${names.join(', ')}` })
  if (refused) failed.value = `${refused.where}: ${refused.why}`
  else await router.push({ name: 'draft', params: { id: props.id } })
}
focusWanted()
</script>

<template>
  <div class="whatif">
    <header class="head">
      <h1>What if</h1>
      <p class="quiet">
        The same work made otherwise, side by side. Nothing is changed until you take one; undo brings the
        other back.
      </p>
      <v-btn :disabled="variants.length >= MOST" @click="add">Put another beside it</v-btn>
      <TakeTable name="Variants side by side" />
    </header>
    <p v-if="failed" role="alert" class="failed">{{ failed }}</p>
    <p v-if="unweighed" role="alert" class="failed">
      The figures could not be worked out: {{ unweighed }}.
      <v-btn @click="weigh">Try again</v-btn>
    </p>
    <v-table aria-label="Variants side by side">
      <thead>
        <tr>
          <td class="corner" />
          <th scope="col">As it is</th>
          <th v-for="(v, i) in variants" :key="v.name" scope="col">
            {{ v.name }}
            <v-btn
              v-if="i > 0"
              variant="plain"
              class="quiet away"
              :aria-label="`Take ${v.name} away`"
              @click="remove(i)"
            >
              take away
            </v-btn>
          </th>
        </tr>
        <tr class="settings">
          <th scope="row">Made so</th>
          <td>
            <p v-for="f in shownFields" :key="f.id" class="is">
              <span class="quiet">{{ f.label }}</span>
              {{ sayValue(base, f, settings.unit) }}
            </p>
          </td>
          <td v-for="(v, i) in variants" :key="v.name">
            <VariantColumn :model-value="v" :base="base" @update:model-value="(to) => change(i, to)" />
          </td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.label">
          <th scope="row">{{ row.label }}</th>
          <td v-for="i in variants.length + 1" :key="i" class="figure" :data-figure="`${row.label} ${i}`">
            <template v-if="answers[i - 1]">
              {{ row.say(row.of(answers[i - 1]!.figures)) }}
              <span class="by" :class="{ same: difference(row, i - 1) === 'the same' }">{{
                difference(row, i - 1)
              }}</span>
            </template>
            <span v-else class="quiet">…</span>
          </td>
        </tr>
        <tr>
          <th scope="row">How the time is made up</th>
          <td v-for="i in variants.length + 1" :key="i">
            <TimeWorking v-if="answers[i - 1]" :time="answers[i - 1]!.figures.time" />
          </td>
        </tr>
        <tr>
          <th scope="row">Carries</th>
          <td v-for="i in variants.length + 1" :key="i">{{ carries(i - 1) }}</td>
        </tr>
        <tr>
          <th scope="row">Findings</th>
          <td v-for="i in variants.length + 1" :key="i">{{ troubles(i - 1) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td />
          <td class="quiet">on the bench</td>
          <td v-for="(v, i) in variants" :key="v.name">
            <v-btn
              variant="flat"
              :disabled="v.edit.changes.length === 0"
              :aria-label="`Take ${v.name}`"
              @click="take(i)"
            >
              Take {{ v.name }}
            </v-btn>
          </td>
        </tr>
      </tfoot>
    </v-table>
    <FiguresChart v-if="charted.length > 1" :figures="charted" />
  </div>
</template>

<style scoped>
.whatif {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 18px 28px;
}
.head {
  display: flex;
  align-items: baseline;
  gap: 18px;
  margin-bottom: 8px;
}
.head p {
  flex: 1;
  margin: 0;
}
h1 {
  font-size: 22px;
}
table {
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 5px 12px 5px 0;
  border-bottom: 1px solid var(--hairline);
}
thead th {
  font-size: 16px;
}
tbody th,
.settings th {
  font-weight: 400;
  color: var(--quiet);
}
.corner {
  width: 150px;
}
.away {
  font-size: 13px;
  font-weight: 400;
  margin-left: 8px;
  text-decoration: underline;
}
td.figure {
  font-size: 16px;
}
.by {
  color: var(--heather);
  font-size: 13px;
  margin-left: 8px;
}
.by.same {
  color: var(--quiet);
}
.is {
  margin: 0 0 6px;
}
.is .quiet {
  display: block;
  font-size: 13px;
}
.failed {
  color: var(--rowan);
}
@media (max-width: 900px) {
  .whatif {
    padding: 14px;
  }
  .head {
    flex-wrap: wrap;
  }
}
</style>
