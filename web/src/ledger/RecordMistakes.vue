<script setup lang="ts">
import { computed, ref } from 'vue'
import { MISTAKES, type Mistake } from '@drumlin/core/makings'
import { freeId } from '../shelf/ids.js'
import { today } from '../make/makings.js'
import { daySaid } from '../make/words.js'
import type { Recording } from './recording.js'

/** Mistakes by sort, and how each was mended. What was noted as not so at the bench can be taken over. */
const props = defineProps<{ recording: Recording }>()
const making = computed(() => props.recording.making.value!)
const record = computed(() => making.value.record)
const sort = ref<Mistake>('sewing')
const [text, mended] = [ref(''), ref('')]
function add(): void {
  void props.recording.edit({
    mistakes: [
      ...record.value.mistakes,
      {
        id: freeId(
          `mistake-${Date.now().toString(36)}`,
          record.value.mistakes.map((m) => m.id),
        ),
        day: today(),
        sort: sort.value,
        text: text.value.trim(),
        mended: mended.value.trim(),
      },
    ],
  })
  ;[text.value, mended.value] = ['', '']
}
const strike = (id: string): void =>
  void props.recording.edit({ mistakes: record.value.mistakes.filter((m) => m.id !== id) })
const noted = computed(() =>
  Object.values(making.value.steps)
    .flatMap((s) => s.notes.filter((n) => n.sort === 'not so').map((n) => n.text))
    .filter((t) => !record.value.mistakes.some((m) => m.text === t)),
)
</script>

<template>
  <ul v-if="record.mistakes.length > 0" aria-label="Mistakes">
    <li v-for="m in record.mistakes" :key="m.id">
      <strong>{{ m.sort }}</strong>: {{ m.text }}{{ m.mended ? `; mended: ${m.mended}` : '' }}
      <span class="quiet">{{ daySaid(m.day) }}</span>{{ ' ' }}
      <v-btn variant="plain" class="link" :aria-label="`Strike: ${m.text}`" @click="strike(m.id)"
        >strike</v-btn
      >
    </li>
  </ul>
  <p v-for="n in noted" :key="n">
    Noted at the bench: {{ n }}
    <v-btn variant="plain" class="link" :aria-label="`Write it down: ${n}`" @click="text = n"
      >write it down</v-btn
    >
  </p>
  <v-form class="form" aria-label="A mistake" @submit.prevent="add">
    <v-select v-model="sort" :items="[...MISTAKES]" label="Sort" density="compact" hide-details />
    <v-text-field v-model="text" label="What went wrong" maxlength="1000" density="compact" hide-details />
    <v-text-field
      v-model="mended"
      label="How it was mended"
      maxlength="1000"
      density="compact"
      hide-details
    />
    <v-btn type="submit" :disabled="text.trim() === ''">Add</v-btn>
  </v-form>
</template>

<style scoped>
ul {
  padding-left: 16px;
}
.form {
  display: grid;
  gap: 8px;
  margin-top: 6px;
  justify-items: start;
}
.form > :not(.v-btn) {
  width: 100%;
}
.quiet {
  color: var(--quiet);
}
</style>
