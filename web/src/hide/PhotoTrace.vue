<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Point } from '@drumlin/core/geometry'
import { type Traced, tracedHide } from '@drumlin/core/hide'
import { FLAWS, type Hide, type HideFlaw } from '@drumlin/core/stores'
import { useDevices } from '../devices/devices.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import PhotoBoard from './PhotoBoard.vue'
import { type Photograph, type Places, readPhotograph } from './photograph.js'

/** A hide traced on a photograph: straightened by a sheet or a bar that lies on it, clicked round, backbone and flaws. */
const emit = defineEmits<{ change: [more: Partial<Hide>] }>()
const SHEETS = [
  { value: 'a4', label: 'an A4 sheet', long: 297, wide: 210 },
  { value: 'letter', label: 'a Letter sheet', long: 279.4, wide: 215.9 },
  { value: 'a3', label: 'an A3 sheet', long: 420, wide: 297 },
  { value: 'bar', label: 'a bar of known length', long: 0, wide: 0 },
] as const
const STEPS = [
  { value: 'scale', label: '1. sheet or bar' },
  { value: 'border', label: '2. round the hide' },
  { value: 'backbone', label: '3. backbone' },
  { value: 'flaws', label: '4. flaws' },
] as const
type Step = (typeof STEPS)[number]['value']
const step = ref<Step>('scale')
const by = ref<(typeof SHEETS)[number]['value']>('a4')
const barLength = ref(300)
const flaw = ref<HideFlaw['sort']>('scar')
const flawSize = ref(16)
const places = ref<Places>({ scale: [], border: [], backbone: [] })
const flaws = ref<{ at: Point; radius: number; sort: HideFlaw['sort'] }[]>([])

const photograph = shallowRef<Photograph>()
const why = ref('')
const reading = ref('')
onScopeDispose(() => photograph.value?.close())
const picker = useFileDialog({ accept: 'image/*', multiple: false, reset: true })
picker.onChange((files) => files?.[0] && take(files[0]))
const devices = useDevices()
async function shoot(): Promise<void> {
  const taken = await devices.photograph()
  if (typeof taken === 'string') why.value = `The camera gave no picture: ${taken}`
  else await take(taken)
}
async function take(file: File): Promise<void> {
  ;[why.value, reading.value] = ['', file.name]
  const read = await readPhotograph(file)
  reading.value = ''
  if (!read.ok) {
    why.value = `${file.name}: ${read.why}`
    return
  }
  photograph.value?.close()
  photograph.value = read.photograph
  places.value = { scale: [], border: [], backbone: [] }
  flaws.value = []
  step.value = 'scale'
}

const most = computed(() => ({ scale: by.value === 'bar' ? 2 : 4, border: 500, backbone: 2 }))
const traced = computed((): Traced => {
  const sheet = SHEETS.find((s) => s.value === by.value)!
  return {
    by:
      by.value === 'bar'
        ? { what: 'bar', ends: places.value.scale, length: barLength.value }
        : { what: 'sheet', corners: places.value.scale, long: sheet.long, wide: sheet.wide },
    outline: places.value.border,
    backbone: places.value.backbone,
    flaws: flaws.value,
  }
})
const made = computed(() => (photograph.value ? tracedHide(traced.value) : undefined))
watch(made, (now) => {
  if (now?.ok) emit('change', now.hide)
})

function place(at: Point): void {
  const now = step.value
  if (now === 'flaws') {
    flaws.value = [...flaws.value, { at, radius: flawSize.value / 2, sort: flaw.value }]
    return
  }
  if (places.value[now].length >= most.value[now]) return
  places.value = { ...places.value, [now]: [...places.value[now], at] }
  // Once all corners are there one goes on to the border.
  if (now === 'scale' && places.value.scale.length === most.value.scale) step.value = 'border'
}
function takeBack(): void {
  if (step.value === 'flaws') flaws.value = flaws.value.slice(0, -1)
  else places.value = { ...places.value, [step.value]: places.value[step.value].slice(0, -1) }
}
function move(of: keyof Places, i: number, at: Point): void {
  places.value = { ...places.value, [of]: places.value[of].map((p, k) => (k === i ? at : p)) }
}
const HELP: Readonly<Record<Step, string>> = {
  scale:
    'Click the corners of the sheet one after the other, beginning along a long side; or the two ends of the bar.',
  border: 'Click round the hide, one place after the other.',
  backbone: 'Click the backbone at the butt, then at the neck. A scrap without one goes without.',
  flaws: 'Click each flaw.',
}
const sheets = SHEETS.map(({ value, label }) => ({ value, label }))
const sorts = FLAWS.map((f) => ({ value: f, label: f }))
</script>

<template>
  <div>
    <p>
      <v-btn aria-label="Choose a photograph of the hide" @click="picker.open()">Choose a photograph</v-btn>
      <v-btn v-if="devices.camera" @click="shoot">Take one with the camera</v-btn>
      <span class="quiet"> It stays on this machine, and only what is traced is kept.</span>
    </p>
    <p v-if="reading" role="status">Reading {{ reading }} …</p>
    <p v-if="why" role="alert" class="why">{{ why }}</p>
    <template v-if="photograph">
      <p class="row">
        <v-btn-toggle v-model="step" mandatory divided aria-label="What is clicked">
          <v-btn v-for="s in STEPS" :key="s.value" :value="s.value">{{ s.label }}</v-btn>
        </v-btn-toggle>
        <v-btn @click="place({ x: photograph.width / 2, y: photograph.height / 2 })"
          >Place one in the middle</v-btn
        >
        <v-btn @click="takeBack">Take back the last</v-btn>
      </p>
      <p>
        <template v-if="step === 'scale'"
          >On the hide lies
          <ChoiceField
            :value="by"
            label="what lies on the hide"
            :options="sheets"
            @change="(v) => (by = v)"
          /><template v-if="by === 'bar'"
            >{{ ' ' }}of
            <MeasureField
              :value="barLength"
              label="length of the bar"
              sort="length"
              :min="20"
              :max="3000"
              :step="1"
              @change="(v) => (barLength = v)" /></template
          >.
        </template>
        <template v-if="step === 'flaws'"
          >A <ChoiceField :value="flaw" label="sort of flaw" :options="sorts" @change="(v) => (flaw = v)" />
          <MeasureField
            :value="flawSize"
            label="size of the flaw"
            sort="length"
            :min="1"
            :max="400"
            :step="1"
            @change="(v) => (flawSize = v)"
          />
          across.
        </template>
        {{ HELP[step] }}
      </p>
      <PhotoBoard
        :key="photograph.url"
        :photograph="photograph"
        :places="places"
        :now="step"
        :flaws="flaws"
        @place="place"
        @move="move"
      />
      <p v-if="made && !made.ok" class="quiet" role="status">Still to do: {{ made.why }}.</p>
    </template>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.why {
  color: var(--rowan);
}
</style>
