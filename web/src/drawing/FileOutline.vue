<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import {
  type Found,
  type Outlined,
  UNITS,
  drawnFromPath,
  outlineProblem,
  printLength,
  scaledPath,
  unitFromBar,
  widthIn,
} from '@drumlin/core'
import { useSettings } from '../app/settings.js'
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

async function opened(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  ;[found.value, why.value, index.value, name.value] = [undefined, '', 0, file.name]
  if (file.size > 5_000_000) {
    why.value = `${file.name} is ${(file.size / 1e6).toFixed(1)} MB; up to 5 MB are read. Keep only the outline in it and save it again.`
    return
  }
  const text = await file.text()
  const result = /\.dxf$/i.test(file.name)
    ? (await import('@drumlin/core/dxf')).readDxfPaths(text)
    : (await import('@drumlin/core/svg-read')).readSvgPaths(text)
  if (!result.ok) {
    why.value = `${file.name}: ${result.why}`
    return
  }
  const problem = outlineProblem(result.found)
  if (problem) why.value = `${file.name}: ${problem}`
  else {
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
watch([found, index, perUnit], () => {
  const path = found.value?.closed[index.value]
  emit('found', path && perUnit.value ? drawnFromPath(scaledPath(path, perUnit.value)) : undefined)
})
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
          :least="1"
          :most="3000"
          :step="1"
          @change="(v) => (barLength = v)"
        />
      </p>
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
