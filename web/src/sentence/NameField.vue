<script setup lang="ts">
import { ref } from 'vue'
import { type Waits, useWaiting } from './waiting.js'

/** A line of words that is taken when it is left or Enter is pressed; what is being written is never overwritten meanwhile. */
const props = defineProps<{
  value: string
  label: string
  max: number
  invalid?: boolean
  /** What a device may write into it. */
  waits?: Waits['what']
}>()
const emit = defineEmits<{ change: [value: string] }>()
const editing = ref<string>()

function take(): void {
  const written = editing.value?.trim()
  editing.value = undefined
  if (written !== undefined && written !== '' && written !== props.value) emit('change', written)
}
const wait = useWaiting(
  props.waits && {
    label: props.label,
    what: props.waits,
    write: (written) => {
      editing.value = written
      take()
      return true
    },
  },
)
</script>

<template>
  <input
    :value="editing ?? value"
    :size="Math.max(8, (editing ?? value).length)"
    type="text"
    :aria-label="label"
    :aria-invalid="invalid ? true : undefined"
    :maxlength="max"
    autocomplete="off"
    @input="editing = ($event.target as HTMLInputElement).value"
    @focus="wait.enter"
    @blur="(take(), wait.leave($event))"
    @keydown.enter="($event.target as HTMLInputElement).blur()"
    @keydown.escape.stop="editing = undefined"
  />
</template>

<style scoped>
input {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
  field-sizing: content;
  min-width: 60px;
}
input:hover,
input:focus {
  border-bottom-color: var(--hairline);
}
</style>
