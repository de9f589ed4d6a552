<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { useTold } from '../price/told.js'
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue'
import { hideArea } from '@drumlin/core/hide'
import { printArea } from '@drumlin/core/measure'
import type { Hide } from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import { useStores } from '../job/stores.js'

const figure = useFigures()
const { told } = useTold()
/** Fetched when a hide is described: most only look. */
const HideDialog = defineAsyncComponent(() => import('../hide/HideDialog.vue'))

/** What there is on the shelf of a leather, or of another material, one by one. */
const props = defineProps<{ of: string; material: string; leather: boolean }>()
const stores = useStores()
const settings = useSettings()
const hides = computed(() => (stores.own?.hides ?? []).filter((h) => h.of === props.of))
const open = ref(false)
const subject = shallowRef<Hide>()
const refused = ref('')
const removed = shallowRef<Hide>()
function describe(hide?: Hide): void {
  subject.value = hide
  open.value = true
}
async function keep(hide: Hide): Promise<void> {
  refused.value = (await stores.putHides([hide])) ?? ''
}
async function remove(hide: Hide): Promise<void> {
  refused.value = (await stores.putHides([], [hide.id])) ?? ''
  if (refused.value === '') removed.value = hide
}
async function putBack(): Promise<void> {
  if (removed.value) await keep(removed.value)
  removed.value = undefined
}
const byArea = (h: Hide): string => {
  const { scale, word } = told('dm²')
  return h.price > 0
    ? `${figure((h.price * scale) / (hideArea(h) / 10_000), 2)} ${h.currency} per ${word}`
    : ''
}
</script>

<template>
  <h3>{{ leather ? 'On the shelf' : material }}</h3>
  <p v-for="h in hides" :key="h.id" class="row">
    <span
      ><strong>{{ h.name }}</strong
      >, {{ h.part }} of {{ printArea(hideArea(h), settings.unit) }}</span
    >
    <span class="quiet">{{ byArea(h) }}</span>
    <v-btn variant="plain" class="link" :aria-label="`Change ${h.name}`" @click="describe(h)">change</v-btn>
    <v-btn variant="plain" class="link" :aria-label="`Remove ${h.name}`" @click="remove(h)">remove</v-btn>
  </p>
  <p v-if="hides.length === 0" class="quiet">Nothing of it is on your shelf.</p>
  <p v-if="removed" role="status">
    “{{ removed.name }}” was removed; jobs that are cut from it keep their own copy.
    <v-btn @click="putBack">Put it back</v-btn>
  </p>
  <p v-if="refused" role="alert" class="refused">{{ refused }}</p>
  <p>
    <v-btn @click="describe()">{{ leather ? 'Add a hide or a part of one' : 'Add a sheet' }}</v-btn>
  </p>
  <HideDialog
    v-if="open"
    v-model="open"
    :of="of"
    :material="material"
    :leather="leather"
    :hide="subject"
    @keep="keep"
  />
</template>

<style scoped>
h3 {
  font-size: 15px;
  margin: 6px 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: baseline;
  margin: 4px 0 8px;
}
.link {
  text-decoration: underline;
  color: var(--quiet);
}
.refused {
  color: var(--rowan);
}
</style>
