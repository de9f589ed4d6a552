<script setup lang="ts">
import { ref } from 'vue'

/** A line of words that is taken when it is left or Enter is pressed; what is being written is never overwritten meanwhile. */
const props = defineProps<{ value: string; label: string; max: number; invalid?: boolean }>()
const emit = defineEmits<{ change: [value: string] }>()
const editing = ref<string>()

function take(): void {
  const written = editing.value?.trim()
  editing.value = undefined
  if (written !== undefined && written !== '' && written !== props.value) emit('change', written)
}
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
    @blur="take"
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
