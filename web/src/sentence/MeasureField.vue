<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import { useSettings } from '../app/settings.js'
import { type MeasureSort, printMeasure, printOther, readWithin } from './measures.js'
import { useWaiting } from './waiting.js'

const props = withDefaults(
  defineProps<{
    value: number
    label: string
    sort: MeasureSort
    min: number
    max: number
    step: number
    drag?: boolean
    refusal?: string
    /** A sign that stays on its line. */
    then?: string
    /** No device writes into it. */
    deaf?: boolean
  }>(),
  { refusal: '', then: '' },
)
const emit = defineEmits<{ change: [value: number, gesture?: string] }>()
const settings = useSettings()
const id = useId()
/** What goes by its own step and nothing between. */
const WHOLE: ReadonlySet<MeasureSort> = new Set(['count', 'half'])
const editing = ref<string>()
const error = ref('')
const printed = computed(() => printMeasure(props.value, props.sort, settings.unit))
const other = computed(() => printOther(props.value, props.sort, settings.unit))
const text = computed(() => editing.value ?? printed.value)
watch(
  () => props.value,
  () => {
    if (editing.value === undefined) error.value = ''
  },
)

const within = (v: number): number => Math.min(props.max, Math.max(props.min, Math.round(v * 1000) / 1000))

function take(): void {
  if (editing.value === undefined) return
  const written = editing.value
  if (written === printed.value) return leave()
  const reading = readWithin(written, props.sort, settings.unit, props.label, props.min, props.max)
  if (!reading.ok) {
    error.value = reading.why
    return
  }
  leave()
  if (reading.value !== props.value) emit('change', reading.value)
}
function leave(): void {
  editing.value = undefined
  error.value = ''
}
/** Lengths of every sort can come from a caliper or a gauge. */
const LENGTHS: ReadonlySet<MeasureSort> = new Set(['length', 'long', 'fine', 'pitch', 'thickness'])
const wait = useWaiting(
  props.deaf || !LENGTHS.has(props.sort)
    ? undefined
    : {
        label: props.label,
        what: 'length',
        write: (written) => {
          editing.value = written
          take()
          return error.value === ''
        },
      },
)
function stepped(event: KeyboardEvent, way: 1 | -1): void {
  event.preventDefault()
  const size = WHOLE.has(props.sort)
    ? props.step
    : props.step * (event.shiftKey ? 0.1 : event.altKey ? 10 : 1)
  leave()
  const next = within(props.value + way * size)
  if (next !== props.value) emit('change', next, `keys ${id} ${Math.floor(Date.now() / 1500)}`)
}

const held = ref<{ x: number; value: number; gesture: string }>()
function grab(event: PointerEvent): void {
  ;(event.target as HTMLElement).setPointerCapture(event.pointerId)
  held.value = { x: event.clientX, value: props.value, gesture: `drag ${id} ${event.timeStamp}` }
}
function dragged(event: PointerEvent): void {
  const from = held.value
  if (!from) return
  const next = within(from.value + Math.round((event.clientX - from.x) / 4) * props.step)
  if (next !== props.value) emit('change', next, from.gesture)
}
</script>

<template>
  <span class="measure">
    <input
      :id="id"
      :value="text"
      :size="Math.max(1, text.length - 1)"
      type="text"
      :inputmode="sort === 'count' ? 'numeric' : 'text'"
      autocomplete="off"
      spellcheck="false"
      :aria-label="label"
      :aria-invalid="error || refusal ? true : undefined"
      :aria-describedby="error || refusal ? `${id}-error` : undefined"
      @input="editing = ($event.target as HTMLInputElement).value"
      @focus="(wait.enter(), ($event.target as HTMLInputElement).select())"
      @blur="(take(), wait.leave($event))"
      @keydown.enter="take"
      @keydown.escape.stop="leave"
      @keydown.up="stepped($event, 1)"
      @keydown.down="stepped($event, -1)"
    />
    <span
      v-if="drag"
      class="grip"
      title="Drag to change"
      aria-hidden="true"
      @pointerdown="grab"
      @pointermove="dragged"
      @pointerup="held = undefined"
      @pointercancel="held = undefined"
      >↔</span
    >
    <template v-if="then">{{ then }}</template>
    <span v-if="editing !== undefined && other" class="other quiet" aria-hidden="true">{{ other }}</span>
    <span v-if="error || refusal" :id="`${id}-error`" class="error" role="alert">{{ error || refusal }}</span>
  </span>
</template>

<style scoped>
.measure {
  position: relative;
  white-space: nowrap;
}
input {
  border: 0;
  border-bottom: 2px solid color-mix(in srgb, var(--moss) 45%, transparent);
  background: none;
  color: var(--ink);
  font: 650 1em/1.3 var(--ui);
  font-variant-numeric: tabular-nums;
  padding: 0 1px;
  field-sizing: content;
  min-width: 0.7em;
}
input:hover {
  border-bottom-color: var(--moss);
}
input[aria-invalid] {
  border-bottom-color: var(--rowan);
}
.grip {
  display: inline-block;
  margin-left: 3px;
  padding: 0 4px;
  cursor: ew-resize;
  color: var(--moss);
  touch-action: none;
  user-select: none;
}
.other {
  margin-left: 6px;
  font-size: 13px;
}
.error {
  display: block;
  white-space: normal;
  color: var(--rowan);
  font-size: 14px;
}
</style>
