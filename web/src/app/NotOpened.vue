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
      <v-btn variant="flat" @click="emit('again')">Try again</v-btn>
      <v-btn v-if="failed.raw !== undefined" @click="saveRaw(failed.raw, failed.id)">
        Keep the raw file
      </v-btn>
      <v-btn :to="{ name: 'shelf' }">To the shelf</v-btn>
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
