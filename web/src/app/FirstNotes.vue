<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { readSetting, writeSetting } from '../storage/settings.js'

/** Four short notes on the first example that is opened; left for good when they are read or closed. */
const NOTES = [
  {
    about: 'Transect',
    text: 'The line A–A′ cuts through the laid-up work; below the sheet stand its layers. Drag the line, or one of its ends.',
  },
  {
    about: 'Working',
    text: 'Beside the sheet, “outside width” opens to show how it came about. Write your own number over it, give it back when you like.',
  },
  {
    about: 'Findings',
    text: 'What needs a look is ringed on the sheet and counted on the trail. Each offers ways out you can try before you take them.',
  },
  {
    about: 'Print',
    text: 'Print A4 or Letter gives the pattern at 1:1. Measure the bars on its first page before you cut.',
  },
] as const
const KEY = 'notes.seen'
const at = ref<number>()
const note = computed(() => (at.value === undefined ? undefined : NOTES[at.value]))
onMounted(async () => {
  // Whether they were read can't be asked where nothing is kept: then they are not shown.
  const seen = await readSetting<string>(KEY).catch(() => 'yes')
  if (seen === undefined) at.value = 0
})
function leave(): void {
  at.value = undefined
  // Shown once more next time where it can't be kept; nothing is lost by that.
  writeSetting(KEY, 'yes').catch(() => undefined)
}
function next(): void {
  if (at.value === undefined || at.value >= NOTES.length - 1) leave()
  else at.value += 1
}
</script>

<template>
  <section v-if="note && at !== undefined" class="notes" aria-label="First notes">
    <p aria-live="polite">
      <span class="quiet">{{ at + 1 }} of {{ NOTES.length }}</span> <strong>{{ note.about }}.</strong>
      {{ note.text }}
    </p>
    <v-btn variant="flat" @click="next">{{ at < NOTES.length - 1 ? 'Next' : 'Good' }}</v-btn>
    <v-btn v-if="at < NOTES.length - 1" @click="leave">Leave the notes</v-btn>
  </section>
</template>

<style scoped>
.notes {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 6px 14px;
  border-bottom: 1px solid var(--hairline);
  background: var(--heather-wash);
}
p {
  flex: 1;
  margin: 0;
}
</style>
