<script setup lang="ts">
import { computed, ref } from 'vue'
import { WEAR_DAYS } from '@drumlin/core/ledger'
import { dayNumber } from '@drumlin/core/schedule'
import { today } from '../make/makings.js'
import { useBooks } from './books.js'

/** How something wears is asked once, half a year after it was finished. */
const books = useBooks()
const due = computed(() => {
  const now = dayNumber(today())!
  return books.entries.find(
    (e) =>
      e.finished !== undefined &&
      !e.record.wearAsked &&
      e.worn === 0 &&
      now - dayNumber(e.finished)! >= WEAR_DAYS,
  )
})
const text = ref('')
async function answer(said: string): Promise<void> {
  if (!due.value) return
  await books.record(due.value.id, (r) => ({
    ...r,
    wearAsked: true,
    wear: said === '' ? r.wear : [...r.wear, { day: today(), text: said }],
  }))
  text.value = ''
}
</script>

<template>
  <v-form v-if="due" class="wear" aria-label="How it wears" @submit.prevent="answer(text.trim())">
    <v-text-field
      v-model="text"
      :label="`How does ${due.name}${due.record.has ? ` (${due.record.has} has it)` : ''} wear by now?`"
      maxlength="1000"
      density="compact"
      hide-details
    />
    <v-btn variant="flat" type="submit" :disabled="text.trim() === ''">Write it down</v-btn>
    <v-btn @click="answer('')">Don’t ask again</v-btn>
  </v-form>
</template>

<style scoped>
.wear {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin: 8px 0 12px;
}
.wear > :first-child {
  flex: 1;
  min-width: 260px;
}
</style>
