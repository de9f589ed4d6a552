<script setup lang="ts">
import { ref } from 'vue'
import { parseLength, measureSentence } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'

/** Points set by clicking on a board of whole millimetres, or by writing them. */
const points = defineModel<{ x: number; y: number }[]>({ required: true })
const half = defineModel<boolean>('half', { required: true })
const settings = useSettings()
const WIDTH = 300
const HEIGHT = 220
const written = ref('')
const error = ref('')

function clicked(event: MouseEvent): void {
  const frame = (event.currentTarget as SVGSVGElement).getBoundingClientRect()
  const [x, y] = [
    ((event.clientX - frame.left) / frame.width) * WIDTH,
    ((event.clientY - frame.top) / frame.height) * HEIGHT,
  ]
  points.value = [...points.value, { x: Math.round(x), y: Math.round(y) }]
}
function write(): void {
  const parts = written.value
    .split(/[;,\s]\s*(?=[-+\d.])/)
    .map((p) => p.trim())
    .filter(Boolean)
  const lengths = parts.map((p) => parseLength(p, settings.unit))
  const bad = lengths.find((l) => !l.ok)
  if (parts.length !== 2 || bad) {
    error.value = bad && !bad.ok ? measureSentence(bad.error) : 'Write two lengths, across and down: 60, 0.'
    return
  }
  error.value = ''
  points.value = [
    ...points.value,
    { x: (lengths[0] as { value: number }).value, y: (lengths[1] as { value: number }).value },
  ]
  written.value = ''
}
</script>

<template>
  <div>
    <p>
      <v-checkbox-btn v-model="half" label="a half, mirrored at its first point" />
    </p>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      data-board
      role="img"
      :aria-label="`Board of ${WIDTH} by ${HEIGHT} mm with ${points.length} points; points can also be written below`"
      @click="clicked"
    >
      <path
        class="grid"
        :d="
          Array.from({ length: WIDTH / 10 + 1 }, (_, i) => `M${i * 10} 0V${HEIGHT}`).join('') +
          Array.from({ length: HEIGHT / 10 + 1 }, (_, i) => `M0 ${i * 10}H${WIDTH}`).join('')
        "
      />
      <line v-if="half && points[0]" class="axis" :x1="points[0].x" :x2="points[0].x" y1="0" :y2="HEIGHT" />
      <polyline :points="points.map((p) => `${p.x},${p.y}`).join(' ')" />
      <circle v-for="(p, i) in points" :key="i" :cx="p.x" :cy="p.y" r="3" />
    </svg>
    <p class="row">
      <v-text-field
        v-model="written"
        label="Point, across and down"
        placeholder="60, 0"
        @keydown.enter.prevent="write"
      />
      <v-btn @click="write">Add it</v-btn>
      <v-btn :disabled="points.length === 0" @click="points = points.slice(0, -1)">
        Take back the last
      </v-btn>
    </p>
    <p v-if="error" role="alert" class="error">{{ error }}</p>
  </div>
</template>

<style scoped>
.row .v-text-field {
  flex: 1 1 100%;
}
svg {
  width: 100%;
  background: var(--paper);
  border: 1px solid var(--hairline);
  cursor: crosshair;
}
.grid {
  stroke: var(--hairline);
  stroke-width: 0.3;
}
.axis {
  stroke: var(--loch);
  stroke-dasharray: 6 3 2 3;
}
polyline {
  fill: none;
  stroke: var(--ink);
}
circle {
  fill: var(--heather);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.error {
  color: var(--rowan);
}
</style>
