<script setup lang="ts">
import { computed } from 'vue'
import { gathered, pathData, pieceDrawing } from '@drumlin/core/drawing'
import type { Piece } from '@drumlin/core/reckon'
import { useSettings } from '../app/settings.js'
import PieceStrokes from './PieceStrokes.vue'

const props = defineProps<{
  piece: Piece
  job: { name: string; draft: string }
  bare?: boolean
  /** mm a pixel takes: words are then kept large enough to read at arm's length. */
  pixel?: number
  /** Layers that are left off. */
  hidden?: ReadonlySet<string>
}>()
const settings = useSettings()
const tint = computed(() => pathData(props.piece.cut))
/** Type of so many pixels can be read at arm's length. */
const READABLE = 11
/** Type on the sheet is no smaller than that, in few steps, so that words stay where they are while one zooms a little. */
const min = computed(() => {
  if (props.pixel === undefined) return 0
  return 1.25 ** Math.round(Math.log(READABLE * props.pixel) / Math.log(1.25))
})
const drawn = computed(() => gathered(pieceDrawing(props.piece, props.job, settings.unit, min.value)))
const degrees = (angle: number): number => (angle * 180) / Math.PI
/** A bare piece shows what it is cut, folded and holed by. */
const BARE = new Set(['cut', 'fold', 'holes'])
const off = (layer: string): boolean => props.hidden?.has(layer) === true
const strokes = computed(() =>
  drawn.value.strokes.filter((s) => (props.bare ? BARE.has(s.layer) : !off(s.layer))),
)
const texts = computed(() => (off('label') ? [] : drawn.value.texts.filter((t) => !off(t.layer))))
</script>

<template>
  <g class="piece">
    <PieceStrokes :tint="tint" :swatch="piece.swatch" :strokes="strokes" />
    <template v-if="!bare">
      <text
        v-for="(t, i) in texts"
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
text {
  fill: var(--line);
  font-family: var(--ui);
}
</style>
