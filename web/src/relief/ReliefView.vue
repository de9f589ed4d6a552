<script setup lang="ts">
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { printLength, printWeight, withLengths } from '@drumlin/core/measure'
import { type Survey, statesOf } from '@drumlin/core/relief'
import WordHelp from '../help/WordHelp.vue'
import { useSettings } from '../app/settings.js'
import { useOpenFindings } from '../job/about.js'
import { useJob } from '../job/job.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import WorkingBox from '../sentence/WorkingBox.vue'
import { wasStopped } from '../workers/ask.js'
import { useReliefBench } from './bench.js'
import { type Seam, seamsOf } from './seams.js'
import SeamGraph from './SeamGraph.vue'
import SkiveProposals from './SkiveProposals.vue'
import ThicknessMap from './ThicknessMap.vue'
import { reasonOf } from '../app/reason.js'
import FindingNote from '../parts/FindingNote.vue'
import SidePane from '../parts/SidePane.vue'

defineProps<{ id: string }>()
const job = useJob()
const settings = useSettings()
const bench = useReliefBench()
const derived = computed(() => job.derived!)
const settled = computed(() => job.settled!)

/** Cells of the map, mm. */
const STEP = 0.25
const state = ref(settled.value.works[0]?.layup.id ?? '')
const contents = ref<'with' | 'without'>('without')
const interval = ref(0.5)
const survey = shallowRef<Survey>()
const whole = shallowRef<Awaited<ReturnType<typeof bench.whole>>>()
const failed = ref('')
const proposals = useTemplateRef<InstanceType<typeof SkiveProposals>>('proposals')

const works = computed(() => statesOf(derived.value))
const states = computed(() =>
  works.value.map((w) => ({ value: w.layup.id, label: w.layup.name, why: 'how the work lies' })),
)
const CONTENTS = [
  { value: 'without', label: 'without what it carries', why: 'leather alone' },
  { value: 'with', label: 'with what it carries', why: 'cards, notes and things lie in their places' },
]
const work = computed(() => works.value.find((w) => w.layup.id === survey.value?.asked.state))

/** Only the last question counts: an older answer that comes late is dropped. */
let asked = 0
async function look(): Promise<void> {
  const { design } = derived.value
  if (!works.value.some((w) => w.layup.id === state.value)) state.value = works.value[0]?.layup.id ?? ''
  if (state.value === '') return
  asked += 1
  const number = asked
  try {
    const question = {
      state: state.value,
      contents: contents.value === 'with',
      step: STEP,
      interval: interval.value,
    }
    const found = await bench.survey(design, question)
    if (number !== asked) return
    survey.value = found
    failed.value = ''
    const all = await bench.whole(design)
    if (number === asked) whole.value = all
  } catch (error) {
    if (!wasStopped(error)) failed.value = reasonOf(error)
  }
}
function again(): void {
  failed.value = ''
  void look()
}
watch([derived, state, contents, interval], () => void look(), { immediate: true })

const seams = computed(() => seamsOf(settled.value))
const chosen = ref<string>()
const seam = computed(
  () =>
    seams.value.find((s) => s.id === chosen.value) ??
    seams.value.reduce<Seam | undefined>((a, b) => (a && a.thickest >= b.thickest ? a : b), undefined),
)
const seamOptions = computed(() =>
  seams.value.map((s) => ({
    value: s.id,
    label: s.name,
    why: `${printWeight(s.thickest, settings.unit)} at most`,
  })),
)
const ownWanted = ref<number>()
/** Until the maker says: what the iron reaches, or a little less than there is. */
const wanted = computed(() => {
  const now = seam.value?.thickest ?? 0
  const { reach } = settled.value.design.iron
  return ownWanted.value ?? (now > reach ? reach : Math.max(0.5, Math.floor(now * 10 - 3) / 10))
})
const sought = computed(() =>
  seam.value
    ? { design: settled.value.design, runs: seam.value.runs, wanted: wanted.value, unit: settings.unit }
    : undefined,
)
const shownRun = computed(() => derived.value.runs.find((r) => r.join.id === seam.value?.id))
const shownSeam = computed(() => survey.value?.seams.find((s) => s.run === seam.value?.id))

/** Proposed skives are placed in the first state of the work. */
const areas = computed(() =>
  survey.value?.asked.state === settled.value.works[0]?.layup.id ? (proposals.value?.areas ?? []) : [],
)
const found = useOpenFindings('relief')
const hasContents = computed(() =>
  derived.value.works.some((w) => w.sheets.some((s) => s.sheet.type === 'content')),
)
const print = (mm: number): string => printWeight(mm, settings.unit)
/** A bag is as deep as it was drawn; what lies flat is as thick as what it is made of. */
const isDeep = computed(() => derived.value.master.outside !== undefined)
const printCarried = (mm: number): string => printLength(mm, settings.unit)
</script>

<template>
  <div class="relief">
    <section class="ground" aria-label="The relief">
      <p v-if="derived.works.length === 0">Nothing is drawn yet; the Draft is where panels are drawn.</p>
      <p v-else-if="failed" role="alert">
        The map could not be drawn: {{ failed }}.
        <v-btn @click="again">Try again</v-btn>
      </p>
      <div v-else-if="!survey || !work" role="status" class="quiet">
        <v-progress-linear indeterminate color="primary" aria-label="Measuring the work" />
        Measuring how thick the work is at every place … <v-skeleton-loader type="image" height="380" />
      </div>
      <template v-else>
        <ThicknessMap :survey="survey" :work="work" :areas="areas" />
        <template v-if="seam && shownRun && shownSeam">
          <h2>Along the {{ shownRun.join.name }}</h2>
          <SeamGraph :seam="shownSeam" :run="shownRun" :wanted="wanted" :reach="derived.design.iron.reach" />
        </template>
      </template>
    </section>
    <SidePane label="What the relief says"
      ><div class="side">
        <h1>{{ work?.layup.name ?? 'Relief' }} <WordHelp word="relief" /></h1>
        <template v-if="survey && derived.works.length > 0">
          <p class="sentence">
            Looking at the work
            <ChoiceField
              :value="state"
              label="state of the work"
              :options="states"
              then=","
              @change="(v) => (state = v)"
            />{{ ' ' }}
            <ChoiceField
              v-if="hasContents"
              :value="contents"
              label="what lies in it"
              :options="CONTENTS"
              @change="(v) => (contents = v as 'with')"
            /><template v-if="hasContents">,</template> a contour every
            <MeasureField
              :value="interval"
              label="contour interval"
              sort="thickness"
              :min="0.1"
              :max="5"
              :step="0.1"
              then="."
              @change="(v) => (interval = v)"
            />
          </p>
          <p class="sentence" data-thickest>
            <strong class="big">{{ print(survey.spots[0]!.height) }}</strong> at the thickest, where
            {{ survey.atThickest.join(', ') }} lie over one another.
          </p>
          <p v-if="whole" class="sentence" data-whole>
            As it is carried it is <strong>{{ printCarried(whole.closed.empty) }}</strong>
            {{ isDeep ? 'deep,' : 'thick' }} empty<template v-if="hasContents"
              >, <strong>{{ printCarried(whole.closed.full) }}</strong> with
              {{ withLengths(derived.master.carries.join(', '), settings.unit) }}</template
            >. It weighs <strong>{{ Math.round(whole.weight.value) }} g</strong>.
          </p>
          <WorkingBox v-if="whole" :reckoned="whole.weight" />
          <template v-if="seam && sought">
            <p class="sentence wanted">
              Wanted along the
              <ChoiceField
                :value="seam.id"
                label="seam"
                :options="seamOptions"
                then=":"
                @change="(v) => ((chosen = v), (ownWanted = undefined))"
              />{{ ' ' }}
              <MeasureField
                :value="wanted"
                label="thickness wanted along the seam"
                sort="thickness"
                :min="0.3"
                :max="20"
                :step="0.1"
                then=";"
                @change="(v) => (ownWanted = v)"
              />
              it is {{ print(seam.thickest) }} now.
            </p>
            <SkiveProposals ref="proposals" :sought="sought" />
          </template>
          <p v-else class="quiet">Nothing is sewn yet, so there is no seam to bring down.</p>
          <FindingNote v-for="f in found" :key="f.key" :finding="f" />
        </template></div
    ></SidePane>
  </div>
</template>

<style scoped>
.relief {
  flex: 1;
  min-height: 0;
  display: flex;
}
.ground {
  flex: 1;
  background: var(--surface);
  padding: 16px 28px;
  overflow-y: auto;
  min-width: 0;
}
.side {
  padding: 14px 18px;
  overflow-y: auto;
}
h1 {
  font-size: 20px;
  margin-bottom: 8px;
}
h1::first-letter {
  text-transform: uppercase;
}
h2 {
  font-size: 15px;
  margin: 12px 0 4px;
}
.sentence {
  margin: 0 0 8px;
  line-height: 1.7;
}
.big {
  font-size: 21px;
}
.wanted {
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
  margin-top: 8px;
}
</style>
