<script setup lang="ts">
import { computed } from 'vue'
import { type Piece, pathData, pieceDrawing } from '@drumlin/core'
import { useSettings } from '../app/settings.js'
import { gathered } from './paths.js'

const props = defineProps<{
  piece: Piece
  job: { name: string; draft: string }
  bare?: boolean
  /** mm a pixel takes: words are then kept large enough to read at arm's length. */ pixel?: number
}>()
const settings = useSettings()
const tint = computed(() => pathData(props.piece.cut))
const drawn = computed(() => gathered(pieceDrawing(props.piece, props.job, settings.unit)))
const words = computed(() => {
  const { pixel } = props
  if (pixel === undefined) return drawn.value.texts
  const label = drawn.value.texts.filter((t) => t.layer === 'label').slice(0, 3)
  const rest = drawn.value.texts
    .filter((t) => t.layer !== 'label')
    .map((t) => ({ ...t, size: Math.max(t.size, 10.5 * pixel) }))
  const lines = label.map((t, i) => ({
    ...t,
    at: { x: t.at.x, y: label[0]!.at.y + i * Math.max(4.4, 16 * pixel) },
    size: Math.max(t.size, (i === 0 ? 14 : 12) * pixel),
  }))
  return [...rest.filter((t) => t.layer !== 'grain'), ...lines]
})
const degrees = (angle: number): number => (angle * 180) / Math.PI
/** Outlines keep their weight on the screen at any distance; everything else is true to size. */
const fixed = (layer: string): boolean => layer === 'cut' || layer === 'finished'
</script>

<template>
  <g class="piece">
    <path :d="tint" :fill="piece.swatch" class="tint" />
    <template v-for="s in drawn.strokes" :key="s.key">
      <path
        v-if="!bare || s.layer === 'cut' || s.layer === 'fold' || s.layer === 'holes'"
        :d="s.d"
        fill="none"
        class="stroke"
        :stroke-width="fixed(s.layer) ? s.weight * 4 : s.weight"
        :stroke-dasharray="s.dash"
        :stroke-linecap="s.round ? 'round' : 'butt'"
        :vector-effect="fixed(s.layer) ? 'non-scaling-stroke' : undefined"
      />
    </template>
    <template v-if="!bare">
      <text
        v-for="(t, i) in words"
        :key="i"
        :x="t.at.x"
        :y="t.at.y"
        :font-size="t.size"
        :text-anchor="t.anchor"
        :font-weight="t.bold ? 700 : 400"
        :transform="t.angle ? `rotate(${degrees(t.angle)} ${t.at.x} ${t.at.y})` : undefined"
        >{{ t.text }}</text
      >
    </template>
  </g>
</template>

<style scoped>
.stroke {
  stroke: var(--line);
}
.tint {
  fill-opacity: 0.92;
}
[data-light='lamp'] .tint {
  fill-opacity: 0.2;
}
text {
  fill: var(--line);
  font-family: var(--ui);
}
</style>
