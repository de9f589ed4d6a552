<script setup lang="ts">
import { computed, ref } from 'vue'
import { strapsOf, toBuy } from '@drumlin/core/derived'
import { alikeFittings } from '@drumlin/core/fittings'
import { printLength, printArea } from '@drumlin/core/measure'
import { fittedPieces } from '@drumlin/core/overview'
import { useSettings } from '../app/settings.js'
import { useOpenFindings } from '../job/about.js'
import { useJob } from '../job/job.js'
import FindingNote from '../parts/FindingNote.vue'
import SentenceLine from '../sentence/SentenceLine.vue'
import WorkingBox from '../sentence/WorkingBox.vue'
import FittingTable from './FittingTable.vue'
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
const list = computed(() => toBuy(derived.value, settings.unit))
const straps = computed(() => strapsOf(derived.value))
const found = useOpenFindings('fittings')
const mm = (value: number): string => printLength(value, settings.unit)
const groups = computed(() => alikeFittings(rows.value))
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
    <FittingTable v-if="rows.length > 0" v-model:row="chosen" :groups="groups" />
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
            ? '; no hide of it is chosen yet'
            : `; the hides give about ${mm(s.longest)}`
        }}.
      </p>
    </section>
    <section v-if="list.length > 0" aria-labelledby="list-title">
      <h2 id="list-title">To have ready</h2>
      <ul>
        <li v-for="row in list" :key="`${row.what} ${row.note}`">
          <span class="figure">{{
            row.unit === 'mm'
              ? mm(row.count)
              : row.unit === 'dm²'
                ? printArea(row.count * 10_000, settings.unit)
                : `${row.count} ×`
          }}</span>
          {{ row.what }}{{ row.note ? `, ${row.note}` : '' }}
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
