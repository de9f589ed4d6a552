<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { PieceChange } from '@drumlin/core/compare'
import type { Derived } from '@drumlin/core/derived'
import { pathData, pieceOutline } from '@drumlin/core/drawing'
import { pathBox, pathMoved, pointMoved } from '@drumlin/core/geometry'
import { arrangeInRows } from '@drumlin/core/reckon'
import TakeDrawing from '../parts/TakeDrawing.vue'
import ZoomButtons from '../sheet/ZoomButtons.vue'
import { useSheetView } from '../sheet/view.js'

const props = defineProps<{ before: Derived; now: Derived; changes: readonly PieceChange[] }>()
const pieces = computed(() => [
  ...props.now.pieces,
  ...props.before.pieces.filter((p) => !props.now.pieces.some((n) => n.id === p.id)),
])
const arrangement = computed(() => arrangeInRows(pieces.value, pieceOutline, 470, 16))
const drawn = computed(() =>
  arrangement.value.placed.map(({ item, move }) => {
    const [was, is] = [props.before, props.now].map((d) => d.pieces.find((p) => p.id === item.id))
    const change = props.changes.find((c) => c.panelId === item.id)
    const at = change?.change === 'both' && change.distance > 0 ? pointMoved(change.before, move) : undefined
    const { left, right, top, bottom } = pathBox(pathMoved(item.cut, move))
    return {
      id: item.id,
      name: item.name,
      middle: { x: (left + right) / 2, y: (top + bottom) / 2 },
      was: was && pathData(pathMoved(was.cut, move)),
      is: is && pathData(pathMoved(is.cut, move)),
      at,
    }
  }),
)
/** Round all of it, mm. */
const ROOM = 12
const svg = ref<SVGSVGElement>()
const view = useSheetView(svg, () => ({
  left: -ROOM,
  top: -ROOM,
  right: arrangement.value.width + ROOM,
  bottom: arrangement.value.height + ROOM,
}))
watch(arrangement, () => view.follow())
const pixel = computed(() => 1 / view.scale.value)
</script>

<template>
  <div class="overlay">
    <svg
      ref="svg"
      :viewBox="view.viewBox.value"
      tabindex="0"
      role="group"
      aria-label="Both drafts laid over each other: the earlier dashed, the later solid. Arrows move it, plus and minus zoom, 0 shows all."
      @keydown="view.pressed"
    >
      <g v-for="d in drawn" :key="d.id">
        <path v-if="d.is" :d="d.is" class="now" />
        <path v-if="d.was" :d="d.was" class="was" />
        <text :x="d.middle.x" :y="d.middle.y" :font-size="12 * pixel" text-anchor="middle">{{ d.name }}</text>
        <circle v-if="d.at" :cx="d.at.x" :cy="d.at.y" :r="9 * pixel" class="ring" />
      </g>
    </svg>
    <div class="acts" role="group" aria-label="The drawing">
      <v-btn @click="view.fit()">All</v-btn>
      <ZoomButtons @zoom="(by) => view.zoom(by)" />
      <TakeDrawing
        :drawing="() => svg"
        :name="`${now.design.name}, ${before.design.draft} and ${now.design.draft}`"
      />
    </div>
    <p class="key quiet" aria-hidden="true"><span class="was" /> earlier <span class="now" /> later</p>
  </div>
</template>

<style scoped>
.overlay {
  position: relative;
  border: 1px solid var(--hairline);
}
svg {
  display: block;
  width: 100%;
  height: min(52dvh, 620px);
  touch-action: none;
  cursor: grab;
}
.acts {
  position: absolute;
  right: 8px;
  bottom: 8px;
  display: flex;
  gap: 6px;
}
.acts :deep(.v-btn) {
  min-width: 34px;
  padding: 2px 10px;
  background: var(--surface);
}
.key {
  position: absolute;
  left: 10px;
  bottom: 6px;
  display: flex;
  gap: 6px;
  align-items: center;
  margin: 0;
  font-size: 13px;
}
.key span {
  width: 26px;
  border-top: 2px solid var(--line);
}
.key .was {
  border-top: 2px dashed var(--heather);
}
text {
  fill: var(--ink);
  font-family: var(--ui);
  pointer-events: none;
}
path,
circle {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.now {
  stroke: var(--line);
  stroke-width: 1.5px;
}
.was {
  stroke: var(--heather);
  stroke-width: 1.5px;
  stroke-dasharray: 6 4;
}
.ring {
  stroke: var(--gorse-mark);
  stroke-width: 2.5px;
}
</style>
