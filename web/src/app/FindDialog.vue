<script setup lang="ts">
import { hasComma, withComma, otherUnit, systemOf, withSystem } from '@drumlin/core/measure'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { FORMATS } from '@drumlin/core/exchange/formats'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import { listJobs } from '../storage/records.js'
import { type Hit, foundIn } from './found.js'
import { type Act, hitsOf } from './hits.js'
import { useSettings } from './settings.js'
import { UNIT_ROWS } from './unitWords.js'
import { returnFocus } from './focus.js'

const props = defineProps<{ jobId: string | undefined }>()
const emit = defineEmits<{ keys: [] }>()
const open = defineModel<boolean>({ required: true })
returnFocus(open)
const job = useJob()
const stores = useStores()
const settings = useSettings()
const router = useRouter()
const sought = ref('')
const at = ref(0)
const jobs = shallowRef<readonly { id: string; name: string }[]>([])
const MOST = 12
watch(
  open,
  async (now) => {
    if (!now) return
    sought.value = ''
    at.value = 0
    // Without the list of jobs all the rest is still found.
    jobs.value = await listJobs().catch(() => [])
  },
  { immediate: true },
)

const acts = computed((): Act[] => [
  ...(props.jobId
    ? [
        ...FORMATS.map((f): Act => ({
          title:
            f.id === 'pdf'
              ? 'Print the pattern'
              : `Take it out as ${f.label === 'File' ? 'a design file' : f.label}`,
          words: `save export ${f.id} ${f.ending}`,
          act: () => void router.push({ name: 'draft', params: { id: props.jobId! }, query: { out: f.id } }),
        })),
        ...(job.undoName
          ? [{ title: `Undo “${job.undoName}”`, words: 'back', act: () => void job.undo() }]
          : []),
        ...(job.redoName
          ? [{ title: `Redo “${job.redoName}”`, words: 'again', act: () => void job.redo() }]
          : []),
      ]
    : []),
  {
    title: systemOf(settings.unit) === 'mm' ? 'Measure in inches' : 'Measure in millimetres',
    words: 'units mm in',
    act: () => settings.setUnit(otherUnit(settings.unit)),
  },
  ...UNIT_ROWS.filter((row) => row.what !== 'length').map(({ what, label, said }) => {
    const other = systemOf(otherUnit(settings.unit, what), what)
    return {
      title: `Tell ${label} ${said[other]}`,
      words: `units ${said.mm} ${said.in} oz`,
      act: () => settings.setUnit(withSystem(settings.unit, what, other)),
    }
  }),
  {
    title: hasComma(settings.unit) ? 'Decimals with a point, 1.4' : 'Decimals with a comma, 1,4',
    words: 'numbers decimal point comma',
    act: () => settings.setUnit(withComma(settings.unit, !hasComma(settings.unit))),
  },
  {
    title: settings.light === 'lamp' ? 'Daylight' : 'Lamp: dark colours for the evening',
    words: 'theme dark light',
    act: () => settings.setLight(settings.light === 'lamp' ? 'chalk' : 'lamp'),
  },
  { title: 'Keys', words: 'shortcuts keyboard', act: () => emit('keys') },
])
const all = computed(() =>
  open.value
    ? hitsOf({
        jobId: props.jobId,
        derived: props.jobId ? job.derived : undefined,
        findings: job.findings,
        jobs: jobs.value,
        // Examples lie on no shelf of the maker's: there is nothing there to be led to.
        stores: stores.own ?? stores.all,
        unit: settings.unit,
        acts: acts.value,
      })
    : [],
)
const hits = computed(() => foundIn(all.value, sought.value).slice(0, MOST))
watch(hits, () => (at.value = 0))

function step(by: number): void {
  const count = hits.value.length
  if (count === 0) return
  at.value = (at.value + by + count) % count
  void nextTick(() => document.getElementById(`hit-${at.value}`)?.scrollIntoView({ block: 'nearest' }))
}
async function go(hit: Hit | undefined): Promise<void> {
  if (!hit) return
  open.value = false
  hit.act?.()
  if (hit.to) await router.push(hit.to)
}
</script>

<template>
  <v-dialog v-model="open" aria-label="Find" class="find">
    <v-card>
      <v-text-field
        v-model="sought"
        label="Find a piece, a setting, a finding, a job, a screen or an act"
        aria-controls="hits"
        :aria-activedescendant="hits.length > 0 ? `hit-${at}` : undefined"
        autofocus
        @keydown.enter="go(hits[at])"
        @keydown.down.prevent="step(1)"
        @keydown.up.prevent="step(-1)"
      />
      <v-list id="hits" role="listbox" aria-label="What was found" :border="false" max-height="420">
        <v-list-item
          v-for="(h, i) in hits"
          :id="`hit-${i}`"
          :key="h.key"
          role="option"
          tabindex="-1"
          :active="i === at"
          :aria-selected="i === at"
          color="primary"
          @click="go(h)"
        >
          <span class="hit"
            ><span>{{ h.title }}</span
            ><span class="quiet">{{ h.type }}</span></span
          >
        </v-list-item>
      </v-list>
      <p v-if="hits.length === 0" class="quiet" role="status">Nothing of that name here.</p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.hit {
  display: flex;
  justify-content: space-between;
  gap: 16px;
}
</style>
