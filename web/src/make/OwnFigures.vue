<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { differing } from '@drumlin/core/learning'
import { useJob } from '../job/job.js'
import { useOwnWays } from '../ledger/ownWays.js'
import { countSaid } from './words.js'

/** Where a job reckons with other paces than the workshop’s makings have taught, that is said, and put right in one click. */
const job = useJob()
const ways = useOwnWays()
onMounted(() => void ways.load())
const differs = computed(() => (job.design && ways.read ? differing(job.design, ways.own) : []))
const take = (): void =>
  void job.edit({
    name: 'reckon with your own paces',
    changes: differs.value.map(({ path, then }) => ({ path: [...path], value: then })),
  })
</script>

<template>
  <p v-if="differs.length > 0" role="status" class="own">
    {{ countSaid(differs.length, 'pace', 'paces') }} of this job differ from what your makings taught.
    <v-btn class="small" @click="take">Reckon with yours</v-btn>
  </p>
</template>

<style scoped>
.own {
  margin: 8px 0;
}
</style>
