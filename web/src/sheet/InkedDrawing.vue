<script setup lang="ts">
import { INKS, type StrokeGroup, type TextDrawn, wordInk } from '@drumlin/core/drawing'

/** Strokes and words in the inks they have on paper. */
defineProps<{
  strokes: readonly StrokeGroup[]
  texts: readonly TextDrawn[]
  /** Lines stay a pixel wide, however small the drawing is shown. */
  thin?: boolean
}>()
</script>

<template>
  <path
    v-for="s in strokes"
    :key="s.key"
    :d="s.d"
    fill="none"
    :stroke="INKS[s.layer]"
    :stroke-width="thin ? 1 : s.weight"
    :stroke-dasharray="s.dash"
    :stroke-linecap="s.round ? 'round' : 'butt'"
    :vector-effect="thin ? 'non-scaling-stroke' : undefined"
  />
  <text
    v-for="(t, i) in texts"
    :key="i"
    :transform="`translate(${t.at.x} ${t.at.y}) rotate(${(t.angle * 180) / Math.PI})`"
    :font-size="t.size"
    :font-weight="t.bold ? 700 : 400"
    :text-anchor="t.anchor"
    :fill="wordInk(t.layer)"
  >
    {{ t.text }}
  </text>
</template>
