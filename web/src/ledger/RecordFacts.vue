<script setup lang="ts">
import { computed } from 'vue'
import { printLong } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { useTrouble } from '../app/trouble.js'
import NameField from '../sentence/NameField.vue'
import TakenField from '../sentence/TakenField.vue'
import TakenList from '../sentence/TakenList.vue'
import { useTold } from '../price/told.js'
import { askRecord } from './asks.js'
import { useBooks } from './books.js'
import type { Recording } from './recording.js'

/** Leather as it really was, edges, block, thread cut and left, hides used. */
const props = defineProps<{ recording: Recording }>()
const books = useBooks()
const trouble = useTrouble()
const settings = useSettings()
const { said } = useTold()
const making = computed(() => props.recording.making.value!)
const record = computed(() => making.value.record)
type Leathers = typeof record.value.leathers
const setLeather = (role: string, to: Partial<Leathers[number]>): void =>
  void props.recording.edit({
    leathers: record.value.leathers.map((l) => (l.role === role ? { ...l, ...to } : l)),
  })
const setThread = (i: number, to: { cut?: number; left?: number }): void =>
  void props.recording.edit({
    threads: record.value.threads.map((t, k) => (k === i ? { ...t, ...to } : t)),
  })
/** Where it was laid out, what it used of each hide. */
async function asLaid(): Promise<void> {
  await trouble.attempt('What it uses of its hides could not be worked out', async () => {
    const trade = books.tradeOf(making.value.example ? 'examples' : 'own')
    const { hides } = await askRecord(making.value, trade)
    await props.recording.edit({ hides })
  })
}
const isLaid = computed(() => Object.keys(making.value.design.cutting.lying).length > 0)
</script>

<template>
  <p v-for="l in record.leathers" :key="l.role" class="sentence">
    {{ making.design.leathers[l.role]?.name ?? l.role }} ({{ l.role }}): batch
    <NameField
      :value="l.batch || 'not noted'"
      :label="`batch of the ${l.role}`"
      :max="80"
      @change="(batch) => setLeather(l.role, { batch })"
    />, thick
    <TakenList
      :values="l.measured"
      :label="`thickness of the ${l.role} as measured`"
      sort="thickness"
      :min="0.2"
      :max="10"
      :most="24"
      @change="(measured) => setLeather(l.role, { measured })"
    />.
  </p>
  <p class="sentence">
    Edges:
    <NameField
      :value="record.edge || 'not noted'"
      label="edges"
      :max="400"
      @change="(edge) => recording.edit({ edge })"
    />. Block or mould:
    <NameField
      :value="record.form || 'none'"
      label="block or mould"
      :max="200"
      @change="(form) => recording.edit({ form })"
    />.
  </p>
  <p v-for="(t, i) in record.threads" :key="i" class="sentence">
    {{ t.name }}: reckoned {{ printLong(t.reckoned, settings.unit, 2) }}, cut
    <TakenField
      :value="t.cut"
      :label="`thread cut, ${t.name}`"
      sort="long"
      :min="0"
      :max="10000000"
      @change="(cut) => setThread(i, { cut })"
    />, left over
    <TakenField
      :value="t.left"
      :label="`thread left over, ${t.name}`"
      sort="long"
      :min="0"
      :max="10000000"
      @change="(left) => setThread(i, { left })"
    />.
  </p>
  <p v-for="h in record.hides" :key="h.hide">
    {{ h.name }}: {{ said(h.used / 10000, 'dm²') }} used up, {{ Math.round(100 * (1 - h.pieces / h.used)) }} %
    of it waste.
  </p>
  <v-btn v-if="isLaid" @click="asLaid">{{
    record.hides.length > 0 ? 'Anew as it was laid out' : 'Hides as it was laid out'
  }}</v-btn>
</template>
