<script setup lang="ts">
import { computed, ref } from 'vue'
import { strapsOf, toBuy } from '@drumlin/core/derived'
import { type SetFitting, alikeFittings } from '@drumlin/core/fittings'
import { printLength, printWeight } from '@drumlin/core/measure'
import { fittedPieces } from '@drumlin/core/overview'
import { useSettings } from '../app/settings.js'
import { useOpenFindings } from '../job/about.js'
import { useJob } from '../job/job.js'
import FindingNote from '../parts/FindingNote.vue'
import SentenceLine from '../sentence/SentenceLine.vue'
import WorkingBox from '../sentence/WorkingBox.vue'
import FittedPieces from './FittedPieces.vue'
import FoldPart from '../parts/FoldPart.vue'
import { focusWanted } from '../sentence/wanted.js'

defineProps<{ id: string }>()
const job = useJob()
const settings = useSettings()
const derived = computed(() => job.derived!)
const rows = computed(() => derived.value.fittings)
const roles = computed(() =>
  derived.value.kind.hardware.filter((r) => r.when?.(derived.value.design.params) ?? true),
)
const list = computed(() => toBuy(derived.value))
const straps = computed(() => strapsOf(derived.value))
const found = useOpenFindings('fittings')
const mm = (value: number): string => printLength(value, settings.unit)
const thick = (value: number): string => printWeight(value, settings.unit)
const clear = (value: number): string => (Number.isFinite(value) ? mm(value) : '–')

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
/** What is set alike stands in one row, with all its places. */
const groups = computed(() => alikeFittings(rows.value))
const alike = computed(() =>
  groups.value.map(({ one, places, count }) => ({ ...one, where: places.join(', '), count })),
)
const fitted = computed(() => fittedPieces(derived.value.pieces, groups.value))
/** The row that is looked at, in the table and on the pieces. */
const chosen = ref<number>()
focusWanted()
</script>

<template>
  <div class="fittings">
    <h1>Fittings</h1>
    <p v-if="rows.length === 0 && roles.length === 0">This job takes no hardware.</p>
    <section v-if="roles.length > 0" aria-label="Hardware of this job" class="roles">
      <SentenceLine v-for="r in roles" :key="r.id" :sentence="`${r.label}: {hardware-${r.id}}.`" />
    </section>
    <FindingNote v-for="f in found" :key="f.key" :finding="f" />
    <FittedPieces v-if="fitted.length > 0" v-model:row="chosen" :fitted="fitted" :job="derived.design" />
    <div v-if="rows.length > 0" class="wide" tabindex="0" role="group" aria-label="Where each is set, table">
      <v-table class="fitted">
        <caption>
          Where each is set
        </caption>
        <thead>
          <tr>
            <th scope="col">no.</th>
            <th scope="col">where</th>
            <th scope="col">what</th>
            <th scope="col">through</th>
            <th scope="col">post needed</th>
            <th scope="col">take</th>
            <th scope="col">punch</th>
            <th scope="col">to the edge</th>
            <th scope="col">to a seam</th>
            <th scope="col">its top looks</th>
            <th scope="col">set it</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(r, i) in alike"
            :key="r.fitting.id"
            :class="{ chosen: chosen === i + 1 }"
            @click="chosen = i + 1"
          >
            <td class="figure">{{ i + 1 }}</td>
            <th scope="row">{{ r.where }}{{ r.count > 1 ? ` × ${r.count}` : '' }}</th>
            <td>{{ r.hardware.name }}</td>
            <td class="figure">{{ r.stack ? thick(r.stack.value) : '–' }}</td>
            <td class="figure">{{ r.wanted ? mm(r.wanted.value) : '–' }}</td>
            <td class="figure">
              <template v-if="r.post !== undefined"
                >{{ mm(r.post)
                }}{{ r.washers > 0 ? ` + ${r.washers} washer${r.washers > 1 ? 's' : ''}` : '' }}</template
              >
              <strong v-else-if="r.wanted">none long enough</strong>
              <template v-else>{{ r.fitting.length ? mm(r.fitting.length.value) : '–' }}</template>
            </td>
            <td>{{ punch(r) }}</td>
            <td class="figure">{{ r.fitting.held ? '–' : clear(r.toEdge) }}</td>
            <td class="figure">{{ r.fitting.held ? '–' : clear(r.toSeam) }}</td>
            <td>{{ up(r) }}</td>
            <td class="words">{{ r.before ? `before the ${r.before}` : 'at any time' }}</td>
          </tr>
        </tbody>
      </v-table>
    </div>
    <FoldPart v-if="rows.some((r) => r.wanted)" title="How the posts were reckoned">
      <template v-for="r in rows" :key="r.fitting.id">
        <WorkingBox v-if="r.stack" :reckoned="r.stack" />
        <WorkingBox v-if="r.wanted" :reckoned="r.wanted" />
      </template>
    </FoldPart>
    <section v-if="straps.length > 0" aria-labelledby="straps-title">
      <h2 id="straps-title">Straps in one run</h2>
      <p v-for="s in straps" :key="s.panelId">
        <span class="figure">{{ mm(s.length.value) }}</span> for the {{ s.name }}, along the backbone of
        {{ s.leather
        }}{{
          s.longest === undefined
            ? '; no hide of it is on the shelf'
            : `; the shelf gives about ${mm(s.longest)}`
        }}.
      </p>
    </section>
    <section v-if="list.length > 0" aria-labelledby="list-title">
      <h2 id="list-title">To have ready</h2>
      <ul>
        <li v-for="row in list" :key="`${row.what} ${row.note}`">
          <span class="figure">{{ row.unit === 'mm' ? mm(row.count) : row.count }}</span>
          {{ row.unit === 'dm²' ? 'dm²' : row.unit === 'mm' ? '' : '×' }} {{ row.what
          }}{{ row.note ? `, ${row.note}` : '' }}
        </li>
      </ul>
    </section>
    <p class="quiet caution">
      Setting tools pinch: keep fingers clear, strike square, wear eye protection. Straps that carry people or
      animals are not certified by anything here.
    </p>
  </div>
</template>

<style scoped>
.fittings {
  flex: 1;
  overflow-y: auto;
  padding: 22px 28px;
}
h1 {
  font-size: 22px;
  margin-bottom: 10px;
}
h2 {
  font-size: 17px;
  margin: 20px 0 6px;
}
.wide {
  overflow-x: auto;
}
caption {
  text-align: left;
  font-weight: 650;
  font-size: 17px;
  padding-bottom: 4px;
}
.fitted :deep(td.figure) {
  white-space: nowrap;
}
.fitted :deep(:is(th, td)) {
  padding-right: 10px !important;
  font-size: 13px !important;
}
tr.chosen :is(td, th) {
  background: var(--heather-wash);
}
tbody th {
  font-weight: 600;
}
.words {
  min-width: 12ch;
}
.roles :deep(.sentence) {
  margin-bottom: 2px;
}
.caution {
  margin-top: 24px;
  max-width: 70ch;
}
@media (max-width: 900px) {
  .fittings {
    padding: 14px;
  }
}
</style>
