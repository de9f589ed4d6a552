<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import { RouterLink } from 'vue-router'
import FoldPart from '../parts/FoldPart.vue'
import ChoiceField from '../sentence/ChoiceField.vue'
import type { Listed } from '../storage/records.js'
import JobCard from './JobCard.vue'
import { SORTS, useTrays } from './tray.js'
import { useShelf } from './useShelf.js'

const BackupPanel = defineAsyncComponent(() => import('../backup/BackupPanel.vue'))
const StartDialog = defineAsyncComponent(() => import('./StartDialog.vue'))
const shelf = useShelf()
const { jobs, loaded, about, said, refused, taken, reading, start, opened, fetchExamples } = shelf
const { sought, sortBy, trays } = useTrays(jobs)
const picker = useFileDialog({
  accept: '.json,.drumlin.json,application/json',
  multiple: false,
  reset: true,
})
picker.onChange((files) => files?.[0] && void opened(files[0]))
const starting = ref(false)
const asked = ref(false)
function choose(): void {
  asked.value = true
  starting.value = true
}
const nothing = computed(
  () =>
    loaded.value && jobs.value.length > 0 && Object.values(trays.value).every((tray) => tray.length === 0),
)
const acts = (job: Listed) => ({
  onRemove: () => shelf.takeAway(job),
  onKeep: () => shelf.keepRaw(job),
  onCopy: () => shelf.copy(job),
  onAway: () => shelf.setAway(job),
  onRename: (name: string) => shelf.rename(job, name),
})
</script>

<template>
  <div class="shelf">
    <header class="head">
      <h1>Shelf</h1>
      <v-btn variant="flat" @click="choose">Start a new job</v-btn>
      <v-btn @click="picker.open()">Open a design file</v-btn>
      <template v-if="jobs.length > 1">
        <v-text-field v-model="sought" class="sought" label="Find a job" clearable />
        <ChoiceField :value="sortBy" label="sorted" :options="SORTS" @change="(by) => (sortBy = by)" />
      </template>
    </header>
    <p v-if="reading" role="status">
      Reading {{ reading.name }} … <v-btn @click="reading.stop.abort()">Stop</v-btn>
    </p>
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
    <p v-if="said" role="status">
      {{ said }} <v-btn v-if="taken" @click="shelf.putBack()">Put it back</v-btn>
    </p>
    <p v-if="nothing" role="status" class="quiet">No job of that name is here.</p>
    <p v-if="loaded && jobs.length === 0" class="first">
      The shelf is empty. <v-btn @click="start('bifold')">Start a bifold wallet</v-btn> lays out a whole
      wallet for six cards at once, to be changed from there; or
      <v-btn @click="fetchExamples">look at the examples</v-btn>
    </p>
    <p v-else-if="loaded && !jobs.some((j) => !j.example)" class="quiet first">
      Open an example to look round, or start a job of your own: what it first lays out is a whole pattern
      already. <RouterLink :to="{ name: 'help' }">First steps</RouterLink>
    </p>
    <section v-if="trays.own.length > 0" aria-labelledby="own">
      <h2 id="own">Jobs</h2>
      <ul class="cards">
        <JobCard v-for="j in trays.own" :key="j.id" :job="j" v-bind="acts(j)" />
      </ul>
    </section>
    <section v-if="trays.examples.length > 0" aria-labelledby="examples">
      <h2 id="examples">
        Examples <span class="quiet">{{ about }}</span>
      </h2>
      <ul class="cards">
        <JobCard v-for="j in trays.examples" :key="j.id" :job="j" v-bind="acts(j)" />
      </ul>
      <v-btn @click="shelf.clearExamples()">Remove the examples</v-btn>
    </section>
    <p v-else-if="jobs.length > 0 && !sought">
      <v-btn @click="fetchExamples">Bring the examples back</v-btn>
    </p>
    <FoldPart v-if="trays.away.length > 0" :title="`Put away (${trays.away.length})`" :open="sought !== ''">
      <ul class="cards">
        <JobCard v-for="j in trays.away" :key="j.id" :job="j" v-bind="acts(j)" />
      </ul>
    </FoldPart>
    <BackupPanel v-if="loaded" />
    <StartDialog v-if="asked" v-model="starting" @start="start" />
  </div>
</template>

<style scoped>
.shelf {
  padding: 22px 28px;
  overflow-y: auto;
  height: 100%;
  box-sizing: border-box;
}
.sought {
  flex: 0 1 220px;
  min-width: 150px;
  margin-left: auto;
}
.head {
  display: flex;
  flex-wrap: wrap;
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
  grid-template-columns: repeat(auto-fill, minmax(min(330px, 100%), 1fr));
  gap: 16px;
}
.refused {
  color: var(--rowan);
}
.first a {
  color: var(--loch);
}
.first {
  max-width: 60ch;
}
@media (max-width: 900px) {
  .shelf {
    padding: 14px;
  }
  .sought {
    margin-left: 0;
  }
}
</style>
