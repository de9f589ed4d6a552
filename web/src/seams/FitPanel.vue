<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { type Freedom, freedomsOf } from '@drumlin/core/fit'
import { useJob } from '../job/job.js'
import MeasureField from '../sentence/MeasureField.vue'
import FreedomList from './FreedomList.vue'
import FitResult from './FitResult.vue'
import { useFitting } from './fitting.js'
import FoldPart from '../parts/FoldPart.vue'

const props = defineProps<{ settled: Derived }>()
const job = useJob()
const { fitted, tried, failed, seek, stop, forget } = useFitting()

const freedoms = computed(() => freedomsOf(props.settled))
/** How far each may move, mm, where the maker changed it; 0 keeps it where it is. */
const own = ref<Record<string, number>>({})
const by = (f: Freedom): number => own.value[f.id] ?? f.usual
const move = (id: string, to: number): void => void (own.value = { ...own.value, [id]: to })
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
const go = (): void => void seek(props.settled.design, asked.value)

function letGo(): void {
  job.preview = undefined
  forget()
}
// What was found answers this design and these wishes only.
watch(() => props.settled, letGo)
watch(asked, letGo)
onScopeDispose(() => (job.preview = undefined))
</script>

<template>
  <FoldPart data-fit title="Fit to the iron">
    <p class="sentence">
      Whole stitches on every side, as many left and right and on edges that meet; pitches within
      <MeasureField
        :value="play"
        label="pitch may differ by"
        sort="percent"
        :min="0"
        :max="0.2"
        :step="0.005"
        @change="(v) => (ownPlay = v)"
      />
      of the iron’s, no hole nearer than
      <MeasureField
        :value="clearance"
        label="clearance from a step"
        sort="fine"
        :min="0"
        :max="5"
        :step="0.1"
        @change="(v) => (ownClearance = v)"
      />
      to a step. What may move, either way:
    </p>
    <FreedomList :freedoms="usual" :by="by" @change="move" />
    <FoldPart quiet title="Let something else move">
      <FreedomList :freedoms="others" :by="by" shown @change="move" />
    </FoldPart>
    <p class="row">
      <v-btn v-if="tried === undefined" variant="flat" @click="go">Find the smallest changes</v-btn>
      <template v-else>
        <span role="status">Looking: {{ tried }} {{ tried === 1 ? 'layout' : 'layouts' }} tried …</span>
        <v-btn @click="stop">Stop</v-btn>
      </template>
    </p>
    <p v-if="failed" role="alert" class="refused">
      That could not be worked out: {{ failed }}. <v-btn @click="go">Try again</v-btn>
    </p>
    <FitResult v-if="fitted" :fitted="fitted" :settled="settled" />
  </FoldPart>
</template>

<style scoped>
.sentence {
  line-height: 1.7;
  margin: 0 0 6px;
}
.row {
  display: flex;
  gap: 8px;
  align-items: center;
}
.refused {
  color: var(--rowan);
}
</style>
