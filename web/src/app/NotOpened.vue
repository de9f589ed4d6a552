<script setup lang="ts">
import type { NotOpened } from '../job/job.js'
import { saveRaw } from '../output/save.js'

defineProps<{ failed: NotOpened }>()
const emit = defineEmits<{ again: [] }>()
</script>

<template>
  <section class="page" role="alert">
    <h1>This job can’t be opened</h1>
    <p>{{ failed.why }}{{ /[.!?]$/.test(failed.why) ? '' : '.' }}</p>
    <p v-if="failed.raw === undefined">{{ failed.help }}</p>
    <p class="acts">
      <button class="act main" @click="emit('again')">Try again</button>
      <button v-if="failed.raw !== undefined" class="act" @click="saveRaw(failed.raw, failed.id)">
        Keep the raw file
      </button>
      <RouterLink class="act" :to="{ name: 'shelf' }">To the shelf</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.page {
  max-width: 62ch;
  padding: 24px 28px;
}
h1 {
  font-size: 24px;
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
