<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { type Cutting, type Demand, cutAlso } from '@drumlin/core/design'
import { useJob } from '../job/job.js'
import { useTrouble } from '../app/trouble.js'
import MeasureField from '../sentence/MeasureField.vue'
import { readJob } from '../storage/jobs.js'
import { type Listed, listJobs } from '../storage/records.js'
import { helper } from '../workers/ask.js'
import { startHideWorker } from './laying.js'

/** Other jobs cut from the same hides. */
const job = useJob()
const trouble = useTrouble()
const worker = helper(startHideWorker)
onScopeDispose(() => worker.stop())
const LIMIT = 30_000
const also = computed(() => job.design!.cutting.also)
const others = shallowRef<readonly Listed[]>([])
const taking = ref('')
async function look(): Promise<void> {
  await trouble.attempt('The other jobs could not be listed', async () => {
    others.value = (await listJobs()).filter((j) => j.id !== job.current)
  })
}
const offered = computed(() => others.value.filter((o) => !also.value.some((a) => a.design === o.id)))
/** What the pieces of a job ask for as it stands now. */
async function take(id: string, name: string, copies: number): Promise<void> {
  taking.value = name
  await trouble.attempt(`“${name}” could not be taken`, async () => {
    const kept = await readJob(id)
    if (!kept || !job.design) throw new Error('it is no longer on the shelf')
    const demands = await worker.ask<Demand[]>({ what: 'demands', design: kept.design }, { limit: LIMIT })
    job.edit(cutAlso(job.design, { design: id, name: kept.design.name, copies, demands }, copies))
  })
  taking.value = ''
}
const change = (one: Cutting['also'][number], copies: number): void =>
  void job.edit(cutAlso(job.design!, one, copies))
</script>

<template>
  <p v-if="also.length === 0" class="quiet">
    Only this job is cut. What else is cut from the same hides fills the gaps between its pieces.
  </p>
  <p v-for="a in also" :key="a.design" class="row">
    <MeasureField
      :value="a.copies"
      :label="`how many of ${a.name}`"
      sort="count"
      :min="1"
      :max="100"
      :step="1"
      @change="(n) => change(a, n)"
    />
    of {{ a.name }}
    <v-btn
      variant="plain"
      class="link"
      :aria-label="`Take ${a.name} as it is now`"
      @click="take(a.design, a.name, a.copies)"
      >as it is now</v-btn
    >
    <v-btn variant="plain" class="link" :aria-label="`Leave ${a.name}`" @click="change(a, 0)">leave it</v-btn>
  </p>
  <v-menu max-height="420">
    <template #activator="{ props: opener }">
      <v-btn v-bind="opener" :disabled="taking !== ''" @click="look">Cut another job along</v-btn>
    </template>
    <v-list aria-label="Jobs to cut along with this one">
      <v-list-item v-for="o in offered" :key="o.id" @click="take(o.id, o.name, 1)">{{ o.name }}</v-list-item>
      <v-list-item v-if="offered.length === 0">There is no other job.</v-list-item>
    </v-list>
  </v-menu>
  <p v-if="taking" role="status">Reckoning the pieces of {{ taking }} …</p>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: baseline;
}
.link {
  text-decoration: underline;
  text-underline-offset: 3px;
  color: var(--quiet);
}
</style>
