<script setup lang="ts">
import { computed, ref } from 'vue'
import { type Field, fieldsInPlay, kindOf } from '@drumlin/core/kinds'
import { freeId } from '../shelf/ids.js'
import { noteSettings } from './noteSettings.js'
import type { Recording } from './recording.js'

/** What to do otherwise next time; where it names a setting, what that should be, so that it is done in one click. */
const props = defineProps<{ recording: Recording }>()
const making = computed(() => props.recording.making.value!)
const record = computed(() => making.value.record)
const text = ref('')
const chosen = ref<string>()
const value = ref('')
const fields = computed((): readonly Field[] =>
  noteSettings(fieldsInPlay(kindOf(making.value.design.kind), making.value.design.params)),
)
const field = computed(() => fields.value.find((f) => f.id === chosen.value))
const choices = computed(() => (field.value?.type === 'choice' ? field.value.choices : undefined))
const read = computed(() => {
  if (!field.value || value.value.trim() === '') return undefined
  if (choices.value) return choices.value.find((c) => c.value === value.value)?.value
  const n = Number(value.value.replace(',', '.'))
  const { min, max } = field.value as { min?: number; max?: number }
  return Number.isFinite(n) && n >= (min ?? -Infinity) && n <= (max ?? Infinity) ? n : undefined
})
const wrong = computed(() => {
  if (!field.value || value.value.trim() === '' || read.value !== undefined) return ''
  const { min, max } = field.value as { min?: number; max?: number }
  return `A number from ${min ?? '…'} to ${max ?? '…'}.`
})
function add(): void {
  const set =
    field.value && read.value !== undefined
      ? {
          path: [...field.value.path],
          says: `${field.value.label} ${choices.value?.find((c) => c.value === read.value)?.label ?? read.value}`.slice(
            0,
            200,
          ),
          value: read.value as number | string,
        }
      : undefined
  void props.recording.edit({
    next: [
      ...record.value.next,
      {
        id: freeId(
          `next-${Date.now().toString(36)}`,
          record.value.next.map((n) => n.id),
        ),
        text: text.value.trim(),
        done: false,
        ...(set ? { set } : {}),
      },
    ],
  })
  ;[text.value, value.value] = ['', '']
  chosen.value = undefined
}
const strike = (id: string): void =>
  void props.recording.edit({ next: record.value.next.filter((n) => n.id !== id) })
</script>

<template>
  <ul v-if="record.next.length > 0" aria-label="For next time">
    <li v-for="n in record.next" :key="n.id" :class="{ done: n.done }">
      {{ n.text }}{{ n.set ? ` (${n.set.says})` : '' }}
      <v-btn variant="plain" class="link" :aria-label="`Strike: ${n.text}`" @click="strike(n.id)"
        >strike</v-btn
      >
    </li>
  </ul>
  <v-form class="form" aria-label="A note for next time" @submit.prevent="add">
    <v-text-field v-model="text" label="Next time" maxlength="600" density="compact" hide-details />
    <v-autocomplete
      v-model="chosen"
      :items="fields.map((f) => ({ value: f.id, title: f.label }))"
      label="It is about the setting (if it is)"
      density="compact"
      hide-details
      clearable
    />
    <v-select
      v-if="choices"
      v-model="value"
      :items="choices.map((c) => ({ value: String(c.value), title: c.label }))"
      label="should be"
      density="compact"
      hide-details
    />
    <v-text-field
      v-else-if="field"
      v-model="value"
      :label="`should be${field.type === 'length' ? ', mm' : ''}`"
      density="compact"
      hide-details="auto"
      :error-messages="wrong"
    />
    <v-btn type="submit" :disabled="text.trim() === '' || (field !== undefined && read === undefined)"
      >Add</v-btn
    >
  </v-form>
</template>

<style scoped>
ul {
  padding-left: 16px;
}
.done {
  text-decoration: line-through;
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
</style>
