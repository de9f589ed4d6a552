<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import type { useRinging } from './ringing.js'

const figure = useFigures()
/** Waits that run on while other steps are done; what is over rings until it is heard. */
defineProps<{
  waits: readonly { readonly says: string; readonly left: number; readonly of: string }[]
  ringing: ReturnType<typeof useRinging>
}>()
const said = (seconds: number): string =>
  seconds >= 5400
    ? `${figure(seconds / 3600, 1)} h`
    : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
</script>

<template>
  <div v-if="ringing.rings.value.length > 0" class="rings" role="alert">
    <span v-for="(r, i) in ringing.rings.value" :key="i">The wait is over: {{ r }}.</span>
    <v-btn size="large" variant="flat" @click="ringing.heard()">Heard</v-btn>
  </div>
  <ul v-if="waits.length > 0" class="waits" aria-label="Waits">
    <li v-for="w in waits" :key="`${w.of} ${w.says}`">
      <span class="left">{{ said(w.left) }}</span> {{ w.says }}
    </li>
    <li v-if="ringing.asks.value"><v-btn @click="ringing.allow()">Tell me outside this page too</v-btn></li>
  </ul>
</template>

<style scoped>
.rings {
  background: var(--rowan);
  color: var(--surface);
  padding: 10px 14px;
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
  font-weight: 700;
}
.waits {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  padding: 6px 0;
  margin: 0;
  font-size: 16px;
}
.left {
  font-family: var(--mono);
  color: var(--heather);
}
</style>
