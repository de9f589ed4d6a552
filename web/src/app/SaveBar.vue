<script setup lang="ts">
import { useJob } from '../job/job.js'
import { saveDesign } from '../output/save.js'

const job = useJob()
</script>

<template>
  <div v-if="job.saveError" class="bar stop" role="alert">
    <span
      >Saving failed: {{ job.saveError }}. What you see is still here; keep it as a file before you
      close.</span
    >
    <button class="act" @click="job.tryAgain()">Try again</button>
    <button v-if="job.design" class="act" @click="saveDesign(job.design)">Keep the file</button>
  </div>
  <div v-else-if="job.notice" class="bar" role="status">
    <span>{{ job.notice }}</span>
    <button class="act" @click="job.notice = undefined">Good</button>
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
</style>
