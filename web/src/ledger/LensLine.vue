<script setup lang="ts">
import { computed } from 'vue'
import ChoiceField from '../sentence/ChoiceField.vue'
import { useBooks } from './books.js'
import { useLens } from './lens.js'

/** Which makings are looked at, in one sentence. */
const books = useBooks()
const { lens, seen, years, kinds, leathers, kindName } = useLens()
const any = (label: string) => ({ value: '', label })
const yearOptions = computed(() => [
  any('of all years'),
  ...years.value.map((y) => ({ value: y, label: `of ${y}` })),
])
const kindOptions = computed(() => [
  any('of any kind'),
  ...kinds.value.map((k) => ({ value: k, label: kindName(k) })),
])
const leatherOptions = computed(() => [
  any('of any leather'),
  ...leathers.value.map((l) => ({ value: l, label: `of ${l}` })),
])
const clientOptions = computed(() => [
  any('anybody'),
  ...books.clients.map((c) => ({ value: c.id, label: c.name })),
])
</script>

<template>
  <p class="sentence">
    {{ seen.length }} {{ seen.length === 1 ? 'making' : 'makings' }}
    <ChoiceField :value="lens.year" label="year" :options="yearOptions" @change="(v) => (lens.year = v)" />,
    <ChoiceField :value="lens.kind" label="kind" :options="kindOptions" @change="(v) => (lens.kind = v)" />,
    <ChoiceField
      :value="lens.leather"
      label="leather"
      :options="leatherOptions"
      @change="(v) => (lens.leather = v)"
    />, for
    <ChoiceField
      :value="lens.client"
      label="client"
      :options="clientOptions"
      @change="(v) => (lens.client = v)"
    />.
  </p>
</template>
