<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { usualOrder } from '@drumlin/core/design'
import { WORK_SENTENCES } from '@drumlin/core/work'
import { REASONS } from '@drumlin/core/steps'
import { useOpenFindings } from '../job/about.js'
import { useJob } from '../job/job.js'
import FindingNote from '../parts/FindingNote.vue'
import FoldPart from '../parts/FoldPart.vue'
import WorkAndSide from '../parts/WorkAndSide.vue'
import SentenceLine from '../sentence/SentenceLine.vue'
import { focusWanted } from '../sentence/wanted.js'
import { useTrouble } from '../app/trouble.js'
import EveningList from './EveningList.vue'
import MakeIt from './MakeIt.vue'
import OwnFigures from './OwnFigures.vue'
import StepCard from './StepCard.vue'
import StepList from './StepList.vue'
import WorkOut from './WorkOut.vue'
import { useMakings } from './makings.js'
import { useOrdering } from './ordering.js'
import { usePlanning } from './planning.js'
import { minutesSaid } from '../parts/time.js'

defineProps<{ id: string }>()
const job = useJob()
const makings = useMakings()
const trouble = useTrouble()
const ordering = useOrdering()
const planning = usePlanning(() => job.record?.example ?? false)
const { worked, steps, wanted, failed } = ordering
focusWanted()
onMounted(() => void trouble.attempt('What is being made could not be read', () => makings.load()))
const shows = ref<'order' | 'evenings'>('order')
const chosen = ref<string>()
const step = computed(() => steps.value.find((s) => s.id === chosen.value) ?? steps.value[0])
const total = computed(() => steps.value.reduce((sum, s) => sum + s.minutes.value, 0))
const own = computed(() => {
  const work = job.design?.work
  return work !== undefined && (work.order.length > 0 || work.overruled.length > 0)
})
const found = useOpenFindings('make')
const saysOf = (id: string): string => steps.value.find((s) => s.id === id)?.says ?? id
const asked = computed(() =>
  (wanted.value?.reasons ?? []).map((r) => ({
    key: `${r.first} > ${r.then}`,
    says: `“${saysOf(r.first)}” comes before “${saysOf(r.then)}”: ${[...new Set(r.pairs.map((p) => REASONS[p.why].says))].join('; ')}.`,
  })),
)
</script>

<template>
  <WorkAndSide label="The order of work" side="Making it" title="Make">
    <template #head>
      <v-btn-toggle v-model="shows" mandatory divided aria-label="What is shown">
        <v-btn value="order">Order</v-btn>
        <v-btn value="evenings">Evenings</v-btn>
      </v-btn-toggle>
      <span v-if="steps.length > 0 && shows === 'order'" role="status"
        >{{ steps.length }} steps, {{ minutesSaid(total) }} at the bench</span
      >
      <v-btn v-if="own && shows === 'order'" @click="job.edit(usualOrder())">The usual order</v-btn>
    </template>
    <div v-if="wanted && shows === 'order'" role="alert" class="against">
      <p v-for="r in asked" :key="r.key">{{ r.says }}</p>
      <v-btn @click="ordering.overrule">I know better: overrule</v-btn>
      <v-btn variant="flat" @click="ordering.leave">Leave it where it was</v-btn>
    </div>
    <p v-if="failed" role="alert" class="none">The order could not be worked out: {{ failed }}.</p>
    <p v-else-if="!worked" class="none" role="status">Working out the order …</p>
    <p v-else-if="steps.length === 0 && shows === 'order'" class="none">
      Nothing is drawn yet: the order of work follows from the pieces.
    </p>
    <StepList
      v-else-if="shows === 'order'"
      :ordering="ordering"
      :chosen="step?.id"
      @choose="(s) => (chosen = s)"
    />
    <EveningList v-else :planning="planning" />
    <template #side>
      <FindingNote v-for="f in found" :key="f.key" :finding="f" />
      <OwnFigures />
      <FoldPart title="Make it: how many, for whom, by when"><MakeIt :steps="worked?.steps" /></FoldPart>
      <StepCard
        v-if="step && worked && shows === 'order'"
        :step="step"
        :all="worked.steps"
        :picture="worked.pictures[step.id] ?? []"
        @choose="(s) => (chosen = s)"
      />
      <FoldPart title="Schools, waits and times" :sentences="WORK_SENTENCES">
        <SentenceLine v-for="s in WORK_SENTENCES" :key="s" :sentence="s" />
      </FoldPart>
      <WorkOut v-if="job.derived" :derived="job.derived" :planning="planning" />
    </template>
  </WorkAndSide>
</template>

<style scoped>
.against {
  margin: 10px 20px;
  padding: 10px 12px;
  border-left: 4px solid var(--gorse-mark);
  background: var(--surface);
}
.against p {
  margin-bottom: 6px;
}
.none {
  padding: 20px;
}
</style>
