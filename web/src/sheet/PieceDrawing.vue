<script setup lang="ts">
import { computed } from 'vue'
import { type Piece, pathBox, pathData, pieceDrawing } from '@drumlin/core'
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
/** Farther off than so many mm a pixel nothing but names can be read. */
const FAR = 1.1
const words = computed(() => {
  const { pixel } = props
  if (pixel === undefined) return drawn.value.texts
  const step = Math.max(4.4, 16 * pixel)
  const named = drawn.value.texts.filter((t) => t.layer === 'label')
  const upright = named.length > 0 && named[0]!.angle !== 0
  const box = pathBox(props.piece.cut)
  const room = Math.floor((upright ? box.right - box.left : box.bottom - box.top) / step)
  // From far off the name alone is left, and only where it goes on the piece.
  const long = upright ? box.bottom - box.top : box.right - box.left
  const goesOn = (t: (typeof named)[number]): boolean => t.text.length * 7 * pixel < long
  const label =
    pixel < FAR || named.slice(0, 1).every(goesOn) ? named.slice(0, Math.min(3, Math.max(1, room))) : []
  const rest = drawn.value.texts
    .filter((t) => t.layer !== 'label' && pixel < FAR)
    .map((t) => ({ ...t, size: Math.max(t.size, 10.5 * pixel) }))
  const lines = label.map((t, i) => ({
    ...t,
    at: upright
      ? { x: (box.left + box.right) / 2 + (i - (label.length - 1) / 2 + 0.3) * step, y: t.at.y }
      : { x: t.at.x, y: label[0]!.at.y + i * step },
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
