<script setup lang="ts">
import { computed } from 'vue'
import { type Drawn, drawnSpan, gathered } from '@drumlin/core/drawing'
import { PICTURE } from './pictureSize.js'

/** The pieces a step touches, what is touched of them drawn heavy. */
const props = defineProps<{ drawn: readonly Drawn[]; label: string }>()
const shown = computed(() => gathered(props.drawn))
/** No higher than what is drawn. */
const height = computed(() => drawnSpan(props.drawn).bottom)
</script>

<template>
  <svg
    v-if="drawn.length > 0"
    class="picture"
    :viewBox="`-4 -2 ${PICTURE.width + 8} ${height + 3}`"
    role="img"
    :aria-label="label"
    preserveAspectRatio="xMinYMid meet"
  >
    <path
      v-for="s in shown.strokes"
      :key="s.key"
      :d="s.d"
      fill="none"
      :class="s.layer"
      :stroke-width="s.weight"
      :stroke-dasharray="s.dash"
      stroke-linejoin="round"
      :stroke-linecap="s.round ? 'round' : 'butt'"
    />
    <text
      v-for="(t, i) in shown.texts"
      :key="`t${i}`"
      :x="t.at.x"
      :y="t.at.y"
      :font-size="t.size"
      text-anchor="middle"
    >
      {{ t.text }}
    </text>
  </svg>
</template>

<style scoped>
.picture {
  display: block;
  width: 100%;
  max-height: 100%;
}
path {
  stroke: var(--line);
}
path.cut,
path.holes,
path.skive {
  stroke: var(--heather);
}
path.fold {
  stroke: var(--loch);
}
text {
  fill: var(--quiet);
}
</style>
