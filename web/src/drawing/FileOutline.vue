<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { type Outlined, drawnFromPath } from '@drumlin/core/drawn'
import {
  type Found,
  UNITS,
  outlineProblem,
  scaledPath,
  thinnedOutline,
  unitFromBar,
  widthIn,
} from '@drumlin/core/exchange/outlines'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { readOutlineFile } from '../reading/read.js'
import MeasureField from '../sentence/MeasureField.vue'

const emit = defineEmits<{ found: [outlined: Outlined | undefined] }>()
const settings = useSettings()
const found = shallowRef<Found>()
const name = ref('')
const why = ref('')
/** Which closed outline, and how many mm a unit of the file is: what it says, a unit chosen, or a bar of known length. */
const index = ref(0)
const unit = ref<string>('mm')
const bar = ref(0)
const barLength = ref(100)

/** What stops the file that is being read. */
const reading = shallowRef<AbortController>()
onScopeDispose(() => reading.value?.abort())

async function opened(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  reading.value?.abort()
  const stop = new AbortController()
  reading.value = stop
  ;[found.value, why.value, index.value, name.value] = [undefined, '', 0, file.name]
  const result = await readOutlineFile(file, stop.signal)
  if (reading.value !== stop) return
  reading.value = undefined
  const problem = result.ok ? outlineProblem(result.found) : result.why
  if (problem !== undefined) why.value = `${file.name}: ${problem}`
  else if (result.ok) {
    found.value = result.found
    unit.value = result.found.unit === undefined ? 'mm' : 'file'
  }
}
const perUnit = computed(() => {
  const { value } = found
  if (!value) return undefined
  if (unit.value === 'file') return value.unit
  if (unit.value === 'bar')
    return value.open[bar.value] && unitFromBar(value.open[bar.value]!, barLength.value)
  return UNITS.find((u) => u.id === unit.value)?.mm
})
/** The chosen outline in mm, with no more points than can be worked with. */
const thinned = computed(() => {
  const path = found.value?.closed[index.value]
  return path && perUnit.value ? thinnedOutline(scaledPath(path, perUnit.value)) : undefined
})
watch(thinned, (now) => emit('found', now?.ok ? drawnFromPath(now.path) : undefined))
const wide = (mm: number): string =>
  printLength(widthIn(found.value!.closed[index.value]!, mm), settings.unit)
</script>

<template>
  <div>
    <p>
      <label class="act"
        >Choose a file
        <input
          type="file"
          accept=".svg,.dxf,image/svg+xml"
          class="visually-hidden"
          aria-label="Outline file, SVG or DXF"
          @change="opened"
      /></label>
      {{ name }}
    </p>
    <p v-if="reading" role="status">Reading {{ name }} … <v-btn @click="reading.abort()">Stop</v-btn></p>
    <p v-if="why" role="alert" class="why">{{ why }}</p>
    <template v-if="found">
      <p>
        <label
          >Outline
          <select v-model.number="index">
            <option v-for="(c, i) in found.closed" :key="i" :value="i">
              {{ c.name }}{{ perUnit ? `, ${printLength(widthIn(c, perUnit), settings.unit)} wide` : '' }}
            </option>
          </select>
        </label>
      </p>
      <p v-if="found.unit === undefined" class="quiet">
        The file does not say what its units are. Choose what makes the outline as wide as it should be.
      </p>
      <p>
        <label
          >Its units are
          <select v-model="unit">
            <option v-if="found.unit !== undefined" value="file">
              as the file says: {{ wide(found.unit) }} wide
            </option>
            <option v-for="u in UNITS" :key="u.id" :value="u.id">{{ u.label }}: {{ wide(u.mm) }} wide</option>
            <option v-if="found.open.length > 0" value="bar">set by a bar of known length</option>
          </select>
        </label>
      </p>
      <p v-if="unit === 'bar'">
        <label
          >The bar is
          <select v-model.number="bar">
            <option v-for="(o, i) in found.open.slice(0, 30)" :key="i" :value="i">{{ o.name }}</option>
          </select>
        </label>
        and measures
        <MeasureField
          :value="barLength"
          label="true length of the bar"
          sort="length"
          :min="1"
          :max="3000"
          :step="1"
          @change="(v) => (barLength = v)"
        />
      </p>
      <p v-if="thinned && !thinned.ok" role="alert" class="why">{{ thinned.why }}</p>
      <p v-else-if="thinned?.note" class="quiet">{{ thinned.note }}</p>
      <p v-for="n in found.notes" :key="n" class="quiet">{{ n }}</p>
    </template>
  </div>
</template>

<style scoped>
.why {
  color: var(--rowan);
}
select {
  font: 600 15px var(--ui);
  max-width: 100%;
  color: var(--ink);
  background: var(--surface);
  border: 0;
  border-bottom: 2px solid color-mix(in srgb, var(--moss) 45%, transparent);
}
</style>
