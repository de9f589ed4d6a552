<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { briefSheet, careSheet, recordSheet } from '@drumlin/core/exchange/books'
import { useSettings } from '../app/settings.js'
import { useTrouble } from '../app/trouble.js'
import { today } from '../make/makings.js'
import { daySaid } from '../make/words.js'
import { saveSheet } from '../output/save.js'
import WritingState from '../output/WritingState.vue'
import { useWriting } from '../output/writing.js'
import FoldPart from '../parts/FoldPart.vue'
import WorkAndSide from '../parts/WorkAndSide.vue'
import DayField from '../sentence/DayField.vue'
import RecordAgreed from './RecordAgreed.vue'
import RecordFacts from './RecordFacts.vue'
import RecordMistakes from './RecordMistakes.vue'
import RecordMoney from './RecordMoney.vue'
import RecordNext from './RecordNext.vue'
import RecordPhotos from './RecordPhotos.vue'
import RecordSizes from './RecordSizes.vue'
import RecordSteps from './RecordSteps.vue'
import { useBooks } from './books.js'
import { useRecord } from './recording.js'

/** One making in the field book: on the left what was planned and what it took, on the right all else that is written down. */
const props = defineProps<{ making: string }>()
const books = useBooks()
const settings = useSettings()
const trouble = useTrouble()
const router = useRouter()
onMounted(() => void books.load())
const recording = useRecord(() => props.making)
const { making: now, failed, read } = recording
const client = computed(() => books.clientsAll.find((c) => c.id === now.value?.record.client))
/** Asked for before it is forgotten. */
const forgetting = ref(false)
async function forget(): Promise<void> {
  const gone = now.value
  if (!gone) return
  await trouble.attempt('The making could not be removed', () => books.forgetMaking(gone))
  await router.push({ name: 'ledger' })
}
const writing = useWriting()
const OUT = [
  { key: 'brief', label: 'Brief', says: 'The brief as agreed, as PDF' },
  { key: 'record', label: 'Record', says: 'The record as PDF' },
  { key: 'care', label: 'Card', says: 'The card that goes with it, as PDF' },
] as const
function print(what: (typeof OUT)[number]['key']): void {
  const of = now.value
  if (!of) return
  void writing.write(what, async (signal) => {
    const [shot] = recording.shots.value
    const sheet =
      what === 'brief'
        ? briefSheet(of, client.value, settings.unit)
        : what === 'care'
          ? careSheet(of, books.tradeOf(of.example ? 'examples' : 'own').maker)
          : recordSheet(of, settings.unit, shot && (await recording.bytesOf(shot.id)))
    await saveSheet(sheet, `${of.design.name}-${what}`, settings, signal)
  })
}
</script>

<template>
  <p v-if="failed" role="alert" class="none">This making can’t be read: {{ failed }}.</p>
  <p v-else-if="!read" role="status" class="none">Opening the record …</p>
  <p v-else-if="!now" role="alert" class="none">That making is not there any more.</p>
  <WorkAndSide v-else label="Planned and taken" side="Written down">
    <template #head>
      <div>
        <h1>{{ now.count > 1 ? `${now.count} × ` : '' }}{{ now.design.name }}</h1>
        <p>
          {{ now.design.draft }}{{ now.forWhom ? `, for ${now.forWhom}` : '' }}, begun on
          {{ daySaid(now.begun) }};
          <template v-if="now.record.finished"
            >finished on
            <DayField
              :value="now.record.finished"
              label="finished on"
              @change="(finished) => recording.edit({ finished })"
            />.
          </template>
          <v-btn v-else variant="plain" class="link" @click="recording.edit({ finished: today() })"
            >it is finished</v-btn
          >
          <v-btn variant="plain" class="link more" :to="{ name: 'price', params: { id: now.job } }"
            >its design</v-btn
          >
        </p>
      </div></template
    >
    <RecordSteps :recording="recording" />
    <template #side>
      <FoldPart title="As agreed" open><RecordAgreed :recording="recording" /></FoldPart>
      <FoldPart title="Price"><RecordMoney :recording="recording" /></FoldPart>
      <FoldPart title="What went wrong" open><RecordMistakes :recording="recording" /></FoldPart>
      <FoldPart title="Next time" open><RecordNext :recording="recording" /></FoldPart>
      <FoldPart title="Photographs" open><RecordPhotos :recording="recording" /></FoldPart>
      <FoldPart title="Leather, thread, hides"><RecordFacts :recording="recording" /></FoldPart>
      <FoldPart title="Sizes as measured"><RecordSizes :recording="recording" /></FoldPart>
      <p class="out">
        <v-btn
          v-for="o in OUT"
          :key="o.key"
          :aria-label="o.says"
          :disabled="writing.working.value !== undefined"
          @click="print(o.key)"
          >{{ o.label }}</v-btn
        >
      </p>
      <WritingState :writing="writing" />
      <p v-if="forgetting">
        Its times, notes and photographs go with it; what it took from the shelf stays gone.
        <v-btn @click="forget">Forget it all</v-btn>
        <v-btn @click="forgetting = false">Keep it</v-btn>
      </p>
      <v-btn v-else variant="plain" class="link" @click="forgetting = true">forget this making</v-btn>
    </template>
  </WorkAndSide>
</template>

<style scoped>
h1 {
  font-size: 20px;
}
.none {
  padding: 20px;
}
.more {
  margin-left: 12px;
}
.out {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
</style>
