<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import {
  startingDesign,
  kindIds,
  kindOf,
  readDesign,
  readSentence,
  startingHardware,
  startingLeathers,
} from '@drumlin/core'
import { undrawable } from '../job/job.js'
import { useStores } from '../job/stores.js'
import type { JobRecord } from '../storage/db.js'
import { bringExamples, removeExamples } from '../storage/examples.js'
import { createJob, listJobs, readJob, removeJob } from '../storage/jobs.js'
import { readSetting } from '../storage/settings.js'
import JobCard from './JobCard.vue'
import { freeId } from './ids.js'
import { reasonOf } from '../app/reason.js'

const router = useRouter()
const route = useRoute()
const stores = useStores()
const jobs = shallowRef<readonly JobRecord[]>([])
const said = ref(typeof route.query.gone === 'string' ? 'That job is no longer on the shelf.' : '')
const refused = ref('')
const picker = ref<HTMLInputElement>()
const removing = shallowRef<JobRecord>()
const own = computed(() => jobs.value.filter((j) => !j.example))
const examples = computed(() => jobs.value.filter((j) => j.example))

const about = ref('')
async function load(): Promise<void> {
  about.value = (await readSetting<string>('examples.about')) ?? ''
  jobs.value = await listJobs()
  await stores.load()
}
onMounted(load)

async function start(id: string): Promise<void> {
  const [kind, shelf] = [kindOf(id), stores.own!]
  const taken = jobs.value.map((j) => j.id)
  const design = startingDesign(
    {
      id: freeId(id, taken),
      name: `New ${kind.name.toLowerCase()}`,
      kind: id,
      leathers: startingLeathers(kind, shelf.leathers),
      iron: shelf.irons[1] ?? shelf.irons[0]!,
      awl: shelf.awls[0]!,
      thread: shelf.threads[0]!,
      machine: shelf.machines[0]!,
      hardware: startingHardware(kind, stores.all.hardware),
    },
    shelf,
  )
  await createJob(design, false, Date.now())
  // What is drawn by hand asks nothing first: it begins on the sheet.
  await router.push({ name: kind.brief.length > 0 ? 'brief' : 'draft', params: { id: design.id } })
}

async function opened(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  refused.value = ''
  const read = readDesign(await file.text())
  if (!read.ok) {
    refused.value = `${file.name}: ${readSentence(read.issue)}`
    return
  }
  const why = undrawable(read.design)
  if (why !== undefined) {
    refused.value = `${file.name}: ${why}.`
    return
  }
  const taken = await readJob(read.design.id)
  const design = taken
    ? {
        ...read.design,
        id: freeId(
          read.design.id,
          jobs.value.map((j) => j.id),
        ),
      }
    : read.design
  await createJob(design, false, Date.now())
  said.value = taken
    ? `“${design.name}” was put beside the one already here.`
    : `“${design.name}” is on the shelf.`
  await load()
}

async function takeAway(job: JobRecord): Promise<void> {
  await removeJob(job.id)
  removing.value = undefined
  said.value = `“${job.design.name}” was removed.`
  await load()
}
async function clearExamples(): Promise<void> {
  await removeExamples()
  said.value = 'The examples are gone; your own work is as it was.'
  await load()
}
async function fetchExamples(): Promise<void> {
  try {
    await bringExamples(Date.now())
    said.value = 'The examples are back on the shelf.'
  } catch (error) {
    refused.value = `The examples could not be fetched: ${reasonOf(error)}.`
  }
  await load()
}
</script>

<template>
  <div class="shelf">
    <header class="head">
      <h1>Shelf</h1>
      <v-menu>
        <template #activator="{ props: opener }">
          <button v-bind="opener" type="button" class="act main">Start a new job</button>
        </template>
        <v-list aria-label="What to make" max-width="460">
          <v-list-item v-for="id in kindIds()" :key="id" @click="start(id)">
            <span class="kind">{{ kindOf(id).name }}</span>
            <span class="about quiet">{{ kindOf(id).about }}</span>
          </v-list-item>
        </v-list>
      </v-menu>
      <button class="act" @click="picker?.click()">Open a design file</button>
      <input
        ref="picker"
        type="file"
        accept=".json,.drumlin.json,application/json"
        class="visually-hidden"
        tabindex="-1"
        aria-label="Design file"
        @change="opened"
      />
    </header>
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="jobs.length === 0" class="first">
      The shelf is empty. <button class="act" @click="start('bifold')">Start a bifold wallet</button> lays out
      a whole wallet for six cards at once, to be changed from there; or
      <button class="act" @click="fetchExamples">look at the examples</button>
    </p>
    <section v-if="own.length > 0" aria-labelledby="own">
      <h2 id="own">Jobs</h2>
      <ul class="cards">
        <JobCard v-for="j in own" :key="j.id" :job="j" @remove="removing = j" />
      </ul>
    </section>
    <section v-if="examples.length > 0" aria-labelledby="examples">
      <h2 id="examples">
        Examples <span class="quiet">{{ about }}</span>
      </h2>
      <ul class="cards">
        <JobCard v-for="j in examples" :key="j.id" :job="j" @remove="removing = j" />
      </ul>
      <button class="act" @click="clearExamples">Remove the examples</button>
    </section>
    <p v-else-if="jobs.length > 0">
      <button class="act" @click="fetchExamples">Bring the examples back</button>
    </p>
    <v-dialog
      :model-value="removing !== undefined"
      aria-labelledby="removing"
      @update:model-value="removing = undefined"
    >
      <v-card v-if="removing" class="asked">
        <h2 id="removing">Remove “{{ removing.design.name }}”?</h2>
        <p>It goes from this browser with its whole log of edits. A design file kept elsewhere stays.</p>
        <div class="row">
          <button class="act" @click="removing = undefined">Keep it</button
          ><button class="act main" @click="takeAway(removing)">Remove it</button>
        </div>
      </v-card>
    </v-dialog>
  </div>
</template>

<style scoped>
.shelf {
  padding: 22px 28px;
  overflow-y: auto;
  height: 100%;
  box-sizing: border-box;
}
.head,
.row {
  display: flex;
  gap: 12px;
  align-items: center;
}
h1 {
  font-size: 24px;
  margin-right: 12px;
}
h2 {
  font-size: 17px;
  margin: 20px 0 10px;
}
h2 .quiet {
  font-weight: 400;
  font-size: 15px;
  margin-left: 8px;
}
.cards {
  list-style: none;
  padding: 0;
  margin: 0 0 14px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 16px;
}
.kind,
.about {
  display: block;
}
.kind {
  font-weight: 650;
}
.about {
  font-size: 13px;
}
.refused {
  color: var(--rowan);
}
.first {
  max-width: 60ch;
}
.asked {
  padding: 20px 24px;
}
</style>
