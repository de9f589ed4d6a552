<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { type Desk, shownOn } from '../job/desk.js'
import { useBench } from '../job/bench.js'
import { saveDesign } from '../output/save.js'
import { offline } from './offline.js'
import { type Trouble, useTrouble } from './trouble.js'

const props = defineProps<{ jobId: string | undefined }>()
const bench = useBench()
const trouble = useTrouble()
const router = useRouter()
const desk = computed(() => (bench.value?.desk?.id === props.jobId ? bench.value?.desk : undefined))
const changes = (count: number): string => (count === 1 ? '1 change' : `${count} changes`)
/** What is said of a job that is not on the bench and has edits that are only here. */
function leftSaid(other: Desk): string {
  const count = changes(other.waiting.length)
  const name = `“${shownOn(other).name}”`
  if (other.gone) return `${name} was removed from the shelf in another tab; ${count} of it is only here.`
  return `${count} of ${name} could not be saved${other.failure ? `: ${other.failure.why}` : ' yet'}.`
}
async function leave(one: Trouble): Promise<void> {
  if (!one.forget || (await trouble.attempt('That could not be forgotten', one.forget))) trouble.drop(one)
}
/** A newer Drumlin is taken only while nothing waits to be saved; then every page of it loads the newer one. */
const newer = computed(() => (offline.value.is === 'newer waits' ? offline.value : undefined))
async function toShelf(id: string): Promise<void> {
  await router.push({ name: 'shelf' })
  bench.value?.letGo(id)
}
</script>

<template>
  <div v-if="desk?.gone" class="bar stop" role="alert">
    <span
      >“{{ bench?.design?.name }}” was removed from the shelf in another tab. What you see is only here
      now.</span
    >
    <span class="acts">
      <v-btn variant="flat" @click="bench?.putBack()">Put it back</v-btn>
      <v-btn v-if="bench?.design" @click="saveDesign(bench.design)">Keep the file</v-btn>
      <v-btn @click="toShelf(desk.id)">To the shelf, without it</v-btn>
    </span>
  </div>
  <div v-else-if="desk?.failure" class="bar stop" role="alert">
    <span>Not saved: {{ desk.failure.why }}. What you see is still here. {{ desk.failure.help }}</span>
    <span class="acts">
      <v-btn @click="bench?.tryAgain()">Try again</v-btn>
      <v-btn v-if="bench?.design" @click="saveDesign(bench.design)">Keep the file</v-btn>
    </span>
  </div>
  <div v-for="other in bench?.leftBehind" :key="other.id" class="bar stop" role="alert">
    <span>{{ leftSaid(other) }}</span>
    <span class="acts">
      <v-btn @click="bench?.tryAgain()">Try again</v-btn>
      <v-btn @click="saveDesign(shownOn(other))">Keep the file</v-btn>
      <v-btn :to="{ name: 'draft', params: { id: other.id } }">Open it</v-btn>
    </span>
  </div>
  <div v-for="t in trouble.all" :key="t.what" class="bar stop" role="alert">
    <span>{{ t.what }}: {{ t.why }}. {{ t.help }}</span>
    <span class="acts">
      <v-btn v-if="t.again" @click="t.again()">Try again</v-btn>
      <v-btn v-if="t.keep" @click="t.keep.save()">{{ t.keep.label }}</v-btn>
      <v-btn @click="leave(t)">{{ t.forget ? 'Forget it' : 'Leave it' }}</v-btn>
    </span>
  </div>
  <div v-if="desk && bench?.looking.is === 'failed'" class="bar stop" role="alert">
    <span
      >What needs a look could not be found out: {{ bench.looking.why }}. The pattern is as you see it; only
      its findings are missing.</span
    >
    <span class="acts"><v-btn @click="bench?.lookAgain()">Try again</v-btn></span>
  </div>
  <div v-if="newer" class="bar" role="status">
    <span>A newer Drumlin is here. Your work stays as it is.</span>
    <span class="acts"><v-btn :disabled="bench?.waits" @click="newer.take()">Load it</v-btn></span>
  </div>
  <div v-if="desk && bench?.notice" class="bar" role="status">
    <span>{{ bench?.notice }}</span>
    <span class="acts"><v-btn @click="bench && (bench.notice = undefined)">Good</v-btn></span>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 16px;
  padding: 8px 16px;
  border-bottom: 1px solid var(--hairline);
  border-left: 4px solid var(--loch);
}
.bar.stop {
  border-left-color: var(--rowan);
}
.acts {
  display: flex;
  gap: 8px;
  flex: none;
}
</style>
