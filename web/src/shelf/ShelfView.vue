<script setup lang="ts">
import { ref } from 'vue'
import { kindIds, kindOf } from '@drumlin/core/kinds'
import JobCard from './JobCard.vue'
import { useShelf } from './useShelf.js'

const picker = ref<HTMLInputElement>()
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
    <p v-if="reading" role="status">
      Reading {{ reading.name }} … <v-btn @click="reading.stop.abort()">Stop</v-btn>
    </p>
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="loaded && jobs.length === 0" class="first">
      The shelf is empty. <button class="act" @click="start('bifold')">Start a bifold wallet</button> lays out
      a whole wallet for six cards at once, to be changed from there; or
      <button class="act" @click="fetchExamples">look at the examples</button>
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
        <h2 id="removing">Remove “{{ removing.name }}”?</h2>
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
