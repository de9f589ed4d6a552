<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import TakeDrawing from '../parts/TakeDrawing.vue'
import TakeTable from '../parts/TakeTable.vue'
import { computed, nextTick, ref, watch, useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import { type Finding, isAbout, overruledFor } from '@drumlin/core/check'
import { seamPlan, zipFor } from '@drumlin/core/derived'
import { SEAM_SENTENCES, SEWING_SENTENCES } from '@drumlin/core/kinds'
import { printLength } from '@drumlin/core/measure'
import { alongRun } from '@drumlin/core/relief'
import WordHelp from '../help/WordHelp.vue'
import { useSettings } from '../app/settings.js'
import FindingItem from '../draft/FindingItem.vue'
import OutputRow from '../draft/OutputRow.vue'
import { useJob } from '../job/job.js'
import SeamGraph from '../relief/SeamGraph.vue'
import SentenceLine from '../sentence/SentenceLine.vue'
import { focusWanted } from '../sentence/wanted.js'
import WorkingBox from '../sentence/WorkingBox.vue'
import FitPanel from './FitPanel.vue'
import LineForm from './LineForm.vue'
import RunActs from './RunActs.vue'
import RunMap from './RunMap.vue'
import RunSentence from './RunSentence.vue'
import RunTable from './RunTable.vue'
import SideHoles from './SideHoles.vue'
import ThreadPanel from './ThreadPanel.vue'
import ZipDrawing from './ZipDrawing.vue'
import FoldPart from '../parts/FoldPart.vue'
import SidePane from '../parts/SidePane.vue'

const figure = useFigures()
defineProps<{ id: string }>()
const job = useJob()
const route = useRoute()
const settings = useSettings()
const WHOLE = [...SEWING_SENTENCES, ...SEAM_SENTENCES]
focusWanted()
const derived = computed(() => job.derived!)
const settled = computed(() => job.settled!)
const plan = computed(() => seamPlan(derived.value))
const chosen = ref(typeof route.query.run === 'string' ? route.query.run : undefined)
const hole = ref<number>()

const found = computed(() => job.findings.filter((f) => isAbout(f, 'seams')))
/** The run that was chosen; else the one of the first finding, or the longest. */
const row = computed(() => {
  const { rows } = plan.value
  const at = (id: string | undefined) => rows.find((r) => r.run.join.id === id)
  const troubled = found.value.find(
    (f) => f.run !== undefined && overruledFor(settled.value, f) === undefined,
  )
  return (
    at(chosen.value) ??
    at(troubled?.run) ??
    rows.toSorted((a, b) => b.run.holes.length - a.run.holes.length)[0]
  )
})
watch(
  () => row.value?.run.join.id,
  () => (hole.value = undefined),
)
const zip = computed(() => row.value && zipFor(derived.value, row.value.run))
const profile = computed(() => {
  const run = row.value?.run
  const work = run && derived.value.works.find((w) => w.layup.id === run.join.layup)
  return work && alongRun(run, work)
})
const reach = computed(() => {
  const run = row.value?.run
  const { machine } = derived.value.design
  return run?.ways.holes === 'machine' ? machine.reach : (run?.ways.iron.reach ?? 0)
})
const ids = computed(() => {
  const join = row.value?.run.join
  return join ? [join.id, ...(join.twin ? [join.twin] : [])] : []
})
const both = ref(true)
/** What is changed together: a run and the one that mirrors it, unless the maker wants otherwise. */
const together = computed(() => (both.value ? ids.value : ids.value.slice(0, 1)))
const own = computed(() =>
  found.value.filter(
    (f) => f.run === undefined || (f.runs ?? [f.run]).some((run) => ids.value.includes(run)),
  ),
)
const elsewhere = computed(() =>
  found.value.filter((f) => !own.value.includes(f) && overruledFor(settled.value, f) === undefined),
)

function choose(id: string): void {
  chosen.value = id
}
/** The hole a finding is about, ringed. */
async function show(finding: Finding): Promise<void> {
  if (finding.run === undefined) return
  chosen.value = finding.run
  const run = derived.value.runs.find((r) => r.join.id === finding.run)
  const at = finding.hole
  // Another run forgets the hole that was looked at.
  await nextTick()
  hole.value = at ?? Math.floor((run?.holes.length ?? 0) / 2)
}
const map = useTemplateRef<InstanceType<typeof RunMap>>('map')
</script>

<template>
  <div class="seams">
    <section class="ground" aria-label="The seams">
      <p v-if="!row || !zip">
        Nothing is sewn yet: edges are given to a seam on the Draft, where each edge says what becomes of it.
      </p>
      <template v-else>
        <ZipDrawing v-model:chosen="hole" :zip="zip" :run="row.run" />
        <div class="middle">
          <div>
            <h2>
              Where it runs <WordHelp word="run" />
              <TakeDrawing :drawing="() => map?.drawing ?? undefined" name="where the runs go" />
              <TakeTable name="All runs" />
            </h2>
            <RunMap
              ref="map"
              :derived="derived"
              :rows="plan.rows"
              :run="row.run"
              :hole="hole"
              @choose="choose"
            />
          </div>
          <RunTable :plan="plan" :chosen="row.run.join.id" @choose="choose" />
        </div>
        <h2>Thickness under the {{ row.run.ways.holes === 'machine' ? 'needle' : 'iron' }}</h2>
        <SeamGraph
          v-if="profile"
          :seam="profile"
          :run="row.run"
          :reach="reach"
          :tool="row.run.ways.holes === 'machine' ? 'the needle' : 'the iron'"
        />
      </template>
    </section>
    <SidePane label="The chosen run">
      <div v-if="row && zip" class="body">
        <h1>{{ row.run.join.name }}</h1>
        <p v-if="zip.back" class="sews">
          Sews the <strong>{{ zip.front.name }}</strong> to the <strong>{{ zip.back.name }}</strong>,
          {{ printLength(row.run.length, settings.unit) }} long.
        </p>
        <p v-else class="sews">
          A line on the <strong>{{ zip.front.name }}</strong>,
          {{ printLength(row.run.length, settings.unit) }} long.
        </p>
        <p v-if="zip.ease" class="sews">
          The {{ zip.ease.longer === 'front' ? zip.front.name : zip.back?.name }} is longer by
          {{ printLength(zip.ease.by, settings.unit) }} ({{ figure(100 * zip.ease.share, 1) }} %; up to
          {{ figure(100 * zip.ease.limit, 1) }} % eases in unseen).
        </p>
        <ul v-if="own.length > 0" class="findings" aria-label="Findings">
          <FindingItem v-for="f in own" :key="f.key" :finding="f" :settled="settled" @show="show" />
        </ul>
        <RunSentence
          :key="row.run.join.id"
          v-model:both="both"
          :derived="derived"
          :row="row"
          :ids="together"
        />
        <RunActs :derived="derived" :row="row" :rows="plan.rows" :ids="together" :hole="hole" />
        <p v-if="elsewhere.length > 0" class="quiet">
          On other runs:
          <v-btn
            v-for="f in elsewhere.slice(0, 4)"
            :key="f.key"
            variant="plain"
            class="link"
            @click="f.run && choose(f.run)"
          >
            {{ f.about }}
          </v-btn>
        </p>
        <FitPanel :settled="settled" />
        <WorkingBox :key="row.run.thread.key" :reckoned="row.run.thread" />
        <WorkingBox :key="row.minutes.key" :reckoned="row.minutes" />
        <SideHoles :derived="derived" :row="row" />
        <ThreadPanel :derived="derived" :plan="plan" />
        <LineForm :derived="derived" @added="choose" />
        <FoldPart title="The whole work" :sentences="WHOLE">
          <SentenceLine v-for="s in WHOLE" :key="s" :sentence="s" />
        </FoldPart>
      </div>
      <div v-else class="body">
        <h1>Seams</h1>
        <LineForm :derived="derived" @added="choose" />
      </div>
      <OutputRow :derived="settled" />
    </SidePane>
  </div>
</template>

<style scoped>
.seams {
  flex: 1;
  min-height: 0;
  display: flex;
}
.ground {
  display: flex;
  flex: 1;
  flex-direction: column;
  background: var(--surface);
  padding: 14px 24px;
  overflow-y: auto;
  min-width: 0;
}
.middle {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 7fr);
  gap: 20px;
  margin-top: 6px;
  grid-template-rows: minmax(0, 1fr);
  flex: 1;
  min-height: 240px;
}
.body {
  flex: 1;
  padding: 14px 18px;
  overflow-y: auto;
}
h1 {
  font-size: 20px;
  margin-bottom: 6px;
}
h1::first-letter {
  text-transform: uppercase;
}
h2 {
  font-size: 13px;
  margin: 6px 0 2px;
}
.sews {
  margin: 0 0 6px;
}
.findings {
  list-style: none;
  padding: 0;
  margin: 4px 0 8px;
}
.link {
  text-decoration: underline;
  text-underline-offset: 3px;
  margin-right: 10px;
  text-align: left;
}
@media (max-width: 900px) {
  .ground {
    padding: 10px 12px;
  }
  .middle {
    grid-template: auto auto / minmax(0, 1fr);
  }
}
</style>
