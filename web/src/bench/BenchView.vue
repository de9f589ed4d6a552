<script setup lang="ts">
import { onMounted } from 'vue'
import { useRouter } from 'vue-router'
import { useTrouble } from '../app/trouble.js'
import { useMakings } from '../make/makings.js'
import { daySaid } from '../make/words.js'
import BenchStep from './BenchStep.vue'

/** The bench: what is being made, and one of them step by step over the whole screen. */
defineProps<{ making?: string | undefined }>()
const makings = useMakings()
const trouble = useTrouble()
const router = useRouter()
onMounted(() => void trouble.attempt('What is being made could not be read', () => makings.load()))
const doneOf = (steps: Readonly<Record<string, { readonly done: boolean }>>): number =>
  Object.values(steps).filter((s) => s.done).length
</script>

<template>
  <BenchStep v-if="making && makings.all.some((m) => m.id === making)" :id="making" :key="making" />
  <section v-else class="list" aria-label="What is being made">
    <h1>At the bench</h1>
    <p v-if="!makings.read" role="status">Looking what is being made …</p>
    <p v-else-if="making" role="alert">That making is not there any more.</p>
    <p v-else-if="makings.all.length === 0">
      Nothing is being made. A job’s Make says how many and by when; then it stands here.
    </p>
    <ul>
      <li v-for="m in makings.all" :key="m.id">
        <v-btn variant="flat" @click="router.push({ name: 'bench', params: { making: m.id } })"
          >{{ m.count }} × {{ m.design.name }}</v-btn
        >
        {{ m.forWhom ? `for ${m.forWhom}` : '' }} {{ m.due ? `by ${daySaid(m.due)}` : '' }}, begun on
        {{ daySaid(m.begun) }}; {{ doneOf(m.steps) }} steps done
      </li>
    </ul>
  </section>
</template>

<style scoped>
.list {
  padding: 22px 28px;
  overflow-y: auto;
}
h1 {
  font-size: 22px;
  margin-bottom: 10px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  margin: 10px 0;
}
</style>
