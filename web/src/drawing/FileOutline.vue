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
import type { Path } from '@drumlin/core/geometry'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { readOutlineFile } from '../reading/read.js'
import MeasureField from '../sentence/MeasureField.vue'
import ChoiceField from '../sentence/ChoiceField.vue'
import { useFileDialog } from '@vueuse/core'

const emit = defineEmits<{ found: [outlined: Outlined | undefined]; path: [path: Path | undefined] }>()
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

const picker = useFileDialog({ accept: '.svg,.dxf,image/svg+xml', multiple: false, reset: true })
picker.onChange((files) => files?.[0] && void opened(files[0]))
async function opened(file: File): Promise<void> {
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
watch(thinned, (now) => {
  emit('found', now?.ok ? drawnFromPath(now.path) : undefined)
  emit('path', now?.ok ? now.path : undefined)
})
const wide = (mm: number): string =>
  printLength(widthIn(found.value!.closed[index.value]!, mm), settings.unit)
const outlines = computed(() =>
  (found.value?.closed ?? []).map((c, value) => ({
    value,
    label: c.name,
    why: perUnit.value ? `${printLength(widthIn(c, perUnit.value), settings.unit)} wide` : '',
  })),
)
const units = computed(() => [
  ...(found.value?.unit === undefined
    ? []
    : [{ value: 'file', label: 'as the file says', why: `${wide(found.value.unit)} wide` }]),
  ...UNITS.map((u) => ({ value: u.id as string, label: u.label, why: `${wide(u.mm)} wide` })),
  ...(found.value?.open.length ? [{ value: 'bar', label: 'set by a bar of known length' }] : []),
])
const bars = computed(() =>
  (found.value?.open ?? []).slice(0, 30).map((o, value) => ({ value, label: o.name })),
)
</script>

<template>
  <div>
    <p>
      <v-btn aria-label="Choose an outline file, SVG or DXF" @click="picker.open()">Choose a file</v-btn>
      {{ name }}
    </p>
    <p v-if="reading" role="status">Reading {{ name }} … <v-btn @click="reading.abort()">Stop</v-btn></p>
    <p v-if="why" role="alert" class="why">{{ why }}</p>
    <template v-if="found">
      <p>
        Outline
        <ChoiceField :value="index" label="Outline" :options="outlines" @change="(i) => (index = i)" />
      </p>
      <p v-if="found.unit === undefined" class="quiet">
        The file does not say what its units are. Choose what makes the outline as wide as it should be.
      </p>
      <p>
        Its units are
        <ChoiceField :value="unit" label="Its units are" :options="units" @change="(id) => (unit = id)" />
      </p>
      <p v-if="unit === 'bar'">
        The bar is
        <ChoiceField :value="bar" label="The bar is" :options="bars" @change="(i) => (bar = i)" />
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
</style>
