<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'
import type { Demand } from '@drumlin/core/design'
import type { ToBuyHide } from '@drumlin/core/hide'
import { printArea, printLength } from '@drumlin/core/measure'
import { GROUND_PARTS, type GroundPart } from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import { reasonOf } from '../app/reason.js'
import { useJob } from '../job/job.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import { helper, wasStopped } from '../workers/ask.js'
import type { HideAsked, HideQuestion, HideTold } from '../workers/hide.worker.js'
import { type Laying, startHideWorker } from './laying.js'

/** Questions one asks before one buys or cuts. Asked of one copy of this design, in the material that is laid out. */
const props = defineProps<{ laying: Laying }>()
const job = useJob()
const settings = useSettings()
const worker = helper(startHideWorker)
onScopeDispose(() => worker.stop())
const LIMIT = 300_000
const asking = ref('')
const spent = ref(0)
const answer = ref('')
const failed = ref('')
const part = ref<GroundPart>('side')
const parts = GROUND_PARTS.filter((p) => p !== 'scrap' && p !== 'sheet').map((p) => ({ value: p, label: p }))

const group = computed(() => props.laying.group.value!)
watch(group, () => {
  worker.stop()
  ;[asking.value, answer.value, failed.value] = ['', '', '']
})
/** Each piece of this design once, as it is asked for now. */
const demands = computed((): readonly Demand[] => {
  const own = group.value.wanted.filter((w) => w.id.startsWith(`${job.design!.id}/`))
  return [...new Map(own.map((w) => [w.demand.key, w.demand])).values()]
})
const question = computed((): HideQuestion => ({
  hides: group.value.hides,
  demands: demands.value,
  copies: job.design!.cutting.copies,
  ground: {
    gap: group.value.asked.gap,
    anyAngle: group.value.asked.anyAngle,
    seed: group.value.asked.seed,
  },
}))
async function ask<T>(what: string, asked: HideAsked, say: (answer: T) => string): Promise<void> {
  ;[asking.value, spent.value, answer.value, failed.value] = [what, 0, '', '']
  try {
    const told = (note: unknown): void => void (spent.value = (note as HideTold).spent)
    answer.value = say(await worker.ask<T>(asked, { limit: LIMIT, told }))
  } catch (error) {
    if (!wasStopped(error)) failed.value = reasonOf(error)
  }
  asking.value = ''
}
const times = (n: number): string =>
  n === 0 ? 'Not even one comes out' : n === 1 ? 'One comes out' : `${n} come out`
const howMany = (): Promise<void> =>
  ask<{ all: number; shown: number | undefined }>(
    'how many come out',
    { what: 'how many', ...question.value },
    ({ all, shown }) =>
      `${times(all)} of these hides.${
        shown !== undefined && shown > all
          ? ` With what is hidden cut from another leather: ${shown}.`
          : shown !== undefined
            ? ' Cutting what is hidden from another leather gives no more.'
            : ''
      }`,
  )
const buy = (): Promise<void> =>
  ask<ToBuyHide>('what to buy', { what: 'buy', part: part.value, ...question.value }, ({ area, run }) =>
    area === undefined
      ? `No usual ${part.value} is large enough.`
      : `A ${part.value} of ${printArea(area * 10_000, settings.unit)} at least${
          run > 0 ? `, with a straight run of ${printLength(run, settings.unit, 0)}` : ''
        }.`,
  )
const hasStrap = computed(() => demands.value.some((d) => d.strap))
const join = (): Promise<void> =>
  ask<{ whole: number; joined: number | undefined }>(
    'whether to join the strap',
    { what: 'joined', ...question.value },
    ({ whole, joined }) =>
      `With the longest strap in one piece: ${times(whole).toLowerCase()}. Joined of two: ${times(joined ?? 0).toLowerCase()}.`,
  )
function stop(): void {
  worker.stop()
  asking.value = ''
}
</script>

<template>
  <p class="row">
    <v-btn :disabled="asking !== '' || group.hides.length === 0" @click="howMany">How many come out?</v-btn>
    <v-btn v-if="hasStrap" :disabled="asking !== '' || group.hides.length === 0" @click="join"
      >Join the strap?</v-btn
    >
  </p>
  <p class="row">
    <v-btn :disabled="asking !== ''" @click="buy">What to buy?</v-btn>
    <span
      >as a <ChoiceField :value="part" label="part to buy" :options="parts" @change="(p) => (part = p)"
    /></span>
  </p>
  <div v-if="asking" role="status">
    <v-progress-linear :model-value="100 * spent" color="primary" :aria-label="`Trying ${asking}`" />
    Trying {{ asking }} … <v-btn @click="stop">Stop</v-btn>
  </div>
  <p v-if="answer" role="status" class="answer">{{ answer }}</p>
  <p v-if="failed" role="alert" class="failed">That could not be answered: {{ failed }}.</p>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 0 0 8px;
}
.answer {
  font-weight: 650;
}
.failed {
  color: var(--rowan);
}
</style>
