<script setup lang="ts">
import { kindIds, kindOf } from '@drumlin/core/kinds'
import JobCard from './JobCard.vue'
import { useShelf } from './useShelf.js'
import { useFileDialog } from '@vueuse/core'

const {
  own,
  examples,
  jobs,
  loaded,
  about,
  said,
  refused,
  removing,
  reading,
  start,
  opened,
  takeAway,
  keepRaw,
  clearExamples,
  fetchExamples,
} = useShelf()
const picker = useFileDialog({ accept: '.json,.drumlin.json,application/json', multiple: false, reset: true })
picker.onChange((files) => files?.[0] && void opened(files[0]))
</script>

<template>
  <div class="shelf">
    <header class="head">
      <h1>Shelf</h1>
      <v-menu>
        <template #activator="{ props: opener }">
          <v-btn v-bind="opener" type="button" variant="flat">Start a new job</v-btn>
        </template>
        <v-list aria-label="What to make" max-width="460">
          <v-list-item v-for="id in kindIds()" :key="id" @click="start(id)">
            <span class="kind">{{ kindOf(id).name }}</span>
            <span class="about quiet">{{ kindOf(id).about }}</span>
          </v-list-item>
        </v-list>
      </v-menu>
      <v-btn @click="picker.open()">Open a design file</v-btn>
    </header>
    <p v-if="reading" role="status">
      Reading {{ reading.name }} … <v-btn @click="reading.stop.abort()">Stop</v-btn>
    </p>
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="loaded && jobs.length === 0" class="first">
      The shelf is empty. <v-btn @click="start('bifold')">Start a bifold wallet</v-btn> lays out a whole
      wallet for six cards at once, to be changed from there; or
      <v-btn @click="fetchExamples">look at the examples</v-btn>
    </p>
    <section v-if="own.length > 0" aria-labelledby="own">
      <h2 id="own">Jobs</h2>
      <ul class="cards">
        <JobCard v-for="j in own" :key="j.id" :job="j" @remove="removing = j" @keep="keepRaw(j)" />
      </ul>
    </section>
    <section v-if="examples.length > 0" aria-labelledby="examples">
      <h2 id="examples">
        Examples <span class="quiet">{{ about }}</span>
      </h2>
      <ul class="cards">
        <JobCard v-for="j in examples" :key="j.id" :job="j" @remove="removing = j" @keep="keepRaw(j)" />
      </ul>
      <v-btn @click="clearExamples">Remove the examples</v-btn>
    </section>
    <p v-else-if="jobs.length > 0">
      <v-btn @click="fetchExamples">Bring the examples back</v-btn>
    </p>
    <v-dialog
      :model-value="removing !== undefined"
      aria-labelledby="removing"
      @update:model-value="removing = undefined"
    >
      <v-card v-if="removing" class="asked">
        <h2 id="removing">Remove “{{ removing.name }}”?</h2>
        <p>It goes from this browser with its whole log of edits. A design file kept elsewhere stays.</p>
        <div class="row">
          <v-btn @click="removing = undefined">Keep it</v-btn
          ><v-btn variant="flat" @click="takeAway(removing)">Remove it</v-btn>
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
