<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { type Making, changedSince } from '@drumlin/core/makings'
import { dayNumber } from '@drumlin/core/schedule'
import type { Steps } from '@drumlin/core/steps'
import { useJob } from '../job/job.js'
import MeasureField from '../sentence/MeasureField.vue'
import { useSettings } from '../app/settings.js'
import { useTrouble } from '../app/trouble.js'
import { useMakings } from './makings.js'
import { useBooks } from '../ledger/books.js'
import MadeBefore from '../price/MadeBefore.vue'
import { saveSteps } from '../output/save.js'
import WritingState from '../output/WritingState.vue'
import { useWriting } from '../output/writing.js'
import { countSaid, daySaid } from './words.js'

/** “Make it”: how many, for whom, by when; and what is being made of this job already. */
const props = defineProps<{ steps: Steps | undefined }>()
const job = useJob()
const makings = useMakings()
const books = useBooks()
const trouble = useTrouble()
const router = useRouter()
const [count, forWhom] = [ref(1), ref('')]
const due = ref('')
const dueWrong = computed(() =>
  due.value.trim() === '' || dayNumber(due.value.trim()) !== undefined
    ? ''
    : 'Not a day: written year, month, day, as 2027-04-03.',
)
const people = computed(() => books.clientsAll.filter((c) => c.example === (job.record?.example ?? false)))
const client = computed(() => people.value.find((c) => c.name === forWhom.value.trim()))
onMounted(() => void books.load())
const mine = computed(() => makings.all.filter((m) => m.job === job.design?.id))
/** The one that is to be forgotten, once it was asked for: its notes and photographs go with it. */
const forgetting = ref<string>()
async function forget(id: string): Promise<void> {
  forgetting.value = undefined
  await trouble.attempt('The making could not be removed', () => makings.remove(id))
}
const doneOf = (id: string): number =>
  Object.values(makings.all.find((m) => m.id === id)?.steps ?? {}).filter((s) => s.done).length
const stepsOf = (id: string): Steps | undefined => makings.worked.get(id)?.steps

/** What the design as it is now would do otherwise than the draft that is being made. */
function changed(id: string): string {
  const frozen = stepsOf(id)
  const making = makings.all.find((m) => m.id === id)
  if (!frozen || !props.steps || !making || making.count !== 1) return ''
  const { more, gone, other } = changedSince(frozen, props.steps)
  const parts = [
    more.length > 0 ? `${countSaid(more.length, 'step', 'steps')} more (${more[0]!.says} …)` : '',
    gone.length > 0 ? `${gone.length} fewer (${gone[0]!.says} …)` : '',
    other.length > 0 ? `${other.length} otherwise (${other[0]!.says} …)` : '',
  ].filter(Boolean)
  return parts.length > 0 ? `The design has changed since: ${parts.join(', ')}.` : ''
}
const settings = useSettings()
const writing = useWriting()
const printed = (m: Making): void =>
  void writing.write('steps', (signal) => saveSteps(m.design, m.count, 'pdf', settings, signal))
async function make(): Promise<void> {
  const { design } = job
  if (!design) return
  await trouble.attempt('The making could not be kept', async () => {
    const making = await makings.make(design, {
      count: count.value,
      forWhom: forWhom.value.trim(),
      example: job.record?.example ?? false,
      ...(client.value === undefined ? {} : { client: client.value.id }),
      ...(due.value.trim() ? { due: due.value.trim() } : {}),
    })
    await makings.stepsFor(making)
  })
}
</script>

<template>
  <section aria-label="Make it">
    <p class="sentence">
      Make
      <MeasureField
        :value="count"
        label="how many are made"
        sort="count"
        :min="1"
        :max="200"
        :step="1"
        @change="(v) => (count = v)"
      />
      of this draft.
    </p>
    <MadeBefore :makings="false" :most="6" />
    <div class="fields">
      <v-combobox
        v-model="forWhom"
        :items="people.map((c) => c.name)"
        label="For whom"
        maxlength="120"
        density="compact"
        hide-details
      />
      <v-text-field
        v-model="due"
        label="By when"
        placeholder="2027-04-03"
        density="compact"
        hide-details="auto"
        :error-messages="dueWrong"
      />
    </div>
    <v-btn variant="flat" :disabled="dueWrong !== '' || !steps || steps.steps.length === 0" @click="make"
      >Make it</v-btn
    >
    <ul v-if="mine.length > 0" class="makings" aria-label="What is being made">
      <li v-for="m in mine" :key="m.id">
        <strong>{{ m.count }} × {{ m.design.draft }}</strong
        >{{ m.forWhom ? ` for ${m.forWhom}` : '' }}{{ m.due ? `, by ${daySaid(m.due)}` : '' }}:
        {{ doneOf(m.id) }} of {{ stepsOf(m.id)?.steps.length ?? '…' }} steps done.
        <v-btn
          class="go"
          :aria-label="`To the bench: ${m.count} × ${m.design.draft}`"
          @click="router.push({ name: 'bench', params: { making: m.id } })"
          >To the bench</v-btn
        >
        <v-btn
          variant="plain"
          class="link"
          :disabled="writing.working.value !== undefined"
          :aria-label="`Print the steps of ${m.count} × ${m.design.draft}`"
          @click="printed(m)"
          >print its steps</v-btn
        >
        ·
        <template v-if="forgetting === m.id">
          Its notes and photographs go with it.
          <v-btn @click="forget(m.id)">Forget it all</v-btn>
          <v-btn @click="forgetting = undefined">Keep it</v-btn>
        </template>
        <v-btn
          v-else
          variant="plain"
          class="link"
          :aria-label="`Forget ${m.count} × ${m.design.draft}`"
          @click="forgetting = m.id"
          >forget it</v-btn
        >
        <span v-if="changed(m.id)" class="changed">{{ changed(m.id) }}</span>
      </li>
    </ul>
    <WritingState :writing="writing" />
    <p v-for="u in makings.unreadable" :key="u.id" role="alert">A making can’t be read: {{ u.why }}.</p>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 8px;
  margin: 6px 0;
}
.makings {
  padding-left: 16px;
  margin-top: 8px;
}
.go {
  margin: 0 6px;
}
.changed {
  display: block;
  color: var(--gorse);
}
</style>
