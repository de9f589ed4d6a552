<script setup lang="ts">
import type { PagePreview } from '@drumlin/core/exchange/pdf'
import { INKS, wordInk } from '@drumlin/core/drawing'

/** A page as it will come out of the printer. */
defineProps<{ page: PagePreview; lines: boolean }>()
</script>

<template>
  <svg
    class="page"
    :viewBox="`0 0 ${page.width} ${page.height}`"
    role="img"
    :aria-label="`Page ${page.number}: ${page.names}`"
  >
    <template v-for="s in page.strokes" :key="s.key">
      <path
        v-if="lines || s.layer === 'cut' || s.layer === 'notches'"
        :d="s.d"
        fill="none"
        :stroke="INKS[s.layer]"
        :stroke-width="s.weight"
        :stroke-dasharray="s.dash"
        :stroke-linecap="s.round ? 'round' : 'butt'"
      />
    </template>
    <text
      v-for="(t, i) in page.texts"
      :key="i"
      :transform="`translate(${t.at.x} ${t.at.y}) rotate(${(t.angle * 180) / Math.PI})`"
      :font-size="t.size"
      :font-weight="t.bold ? 700 : 400"
      :text-anchor="t.anchor"
      :fill="wordInk(t.layer)"
    >
      {{ t.text }}
    </text>
  </svg>
</template>

<style scoped>
.page {
  display: block;
  background: #fff;
  box-shadow: 0 0 0 1px var(--hairline);
  font-family: inherit;
}
</style>
