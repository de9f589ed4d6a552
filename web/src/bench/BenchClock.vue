<script setup lang="ts">
import { computed } from 'vue'
import MeasureField from '../sentence/MeasureField.vue'

/** Minutes really spent on the step; the clock starts, stands, and is put right. */
const props = defineProps<{ minutes: number; running: boolean }>()
const emit = defineEmits<{ start: []; pause: []; correct: [minutes: number] }>()
const shown = computed(() => {
  const seconds = Math.floor(props.minutes * 60)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
})
</script>

<template>
  <div class="clock" role="group" aria-label="Clock of this step">
    <span v-if="running" class="time" role="timer">{{ shown }}</span>
    <span v-else class="time"
      ><MeasureField
        :value="Math.round(minutes)"
        label="minutes this step took"
        sort="count"
        :min="0"
        :max="2160"
        :step="1"
        @change="(v) => emit('correct', v)"
      />
      min</span
    >
    <v-btn v-if="running" size="large" @click="emit('pause')">Pause</v-btn>
    <v-btn v-else size="large" @click="emit('start')">Start the clock</v-btn>
  </div>
</template>

<style scoped>
.clock {
  display: flex;
  align-items: center;
  gap: 10px;
}
.time {
  font-family: var(--mono);
  font-size: 22px;
}
</style>
