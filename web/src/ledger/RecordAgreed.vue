<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { today } from '../make/makings.js'
import { daySaid } from '../make/words.js'
import NameField from '../sentence/NameField.vue'
import { useBooks } from './books.js'
import type { Recording } from './recording.js'

/** For whom, what was agreed and what was changed of it, who has it and how it wears. */
const props = defineProps<{ recording: Recording }>()
const books = useBooks()
const making = computed(() => props.recording.making.value!)
const record = computed(() => making.value.record)
const people = computed(() => books.clientsAll.filter((c) => c.example === making.value.example))
const name = ref<string | null>(making.value.forWhom)
watch(
  () => making.value.forWhom,
  (now) => (name.value = now),
)
/** Taken when the field is left: what is being written is nobody yet. */
function forWhom(): void {
  const said = (name.value ?? '').trim()
  if (said === making.value.forWhom) return
  const client = people.value.find((c) => c.name === said)
  void props.recording.change((m) => {
    const { client: _, ...rest } = m.record
    return { ...m, forWhom: said, record: client ? { ...rest, client: client.id } : rest }
  })
}
const [wish, wear] = [ref(''), ref('')]
function agreed(): void {
  void props.recording.edit({ wishes: [...record.value.wishes, { day: today(), text: wish.value.trim() }] })
  wish.value = ''
}
function worn(): void {
  void props.recording.edit({
    wearAsked: true,
    wear: [...record.value.wear, { day: today(), text: wear.value.trim() }],
  })
  wear.value = ''
}
const without = (list: 'wishes' | 'wear', i: number): void =>
  void props.recording.edit({ [list]: record.value[list].filter((_, k) => k !== i) })
</script>

<template>
  <v-combobox
    v-model="name"
    :items="people.map((c) => c.name)"
    label="For whom"
    maxlength="120"
    density="compact"
    hide-details
    @update:focused="(focused: boolean) => !focused && forWhom()"
  />
  <ul>
    <li v-for="(w, i) in record.wishes" :key="i">
      {{ daySaid(w.day) }}: {{ w.text }}
      <v-btn variant="plain" class="link" :aria-label="`Strike: ${w.text}`" @click="without('wishes', i)"
        >strike</v-btn
      >
    </li>
  </ul>
  <v-form class="row" @submit.prevent="agreed">
    <v-text-field
      v-model="wish"
      label="Agreed today, or changed"
      maxlength="1000"
      density="compact"
      hide-details
    />
    <v-btn type="submit" :disabled="wish.trim() === ''">Add</v-btn>
  </v-form>
  <p class="sentence">
    It is with
    <NameField
      :value="record.has || 'nobody yet'"
      label="who has it"
      :max="160"
      @change="(has) => recording.edit({ has })"
    />.
  </p>
  <ul>
    <li v-for="(w, i) in record.wear" :key="i">
      {{ daySaid(w.day) }}: {{ w.text }}
      <v-btn variant="plain" class="link" :aria-label="`Strike: ${w.text}`" @click="without('wear', i)"
        >strike</v-btn
      >
    </li>
  </ul>
  <v-form v-if="record.finished" class="row" @submit.prevent="worn">
    <v-text-field v-model="wear" label="How it wears" maxlength="1000" density="compact" hide-details />
    <v-btn type="submit" :disabled="wear.trim() === ''">Add</v-btn>
  </v-form>
</template>

<style scoped>
ul {
  padding-left: 16px;
  margin: 6px 0;
}
.row {
  display: flex;
  gap: 8px;
  align-items: center;
}
.row > :first-child {
  flex: 1;
}
</style>
