<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { PackedRoom } from '@drumlin/core/derived'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import TakeDrawing from '../parts/TakeDrawing.vue'

/** One compartment with what stands in it, from the front and from above. */
const props = defineProps<{ packed: PackedRoom }>()
const settings = useSettings()
const drawing = useTemplateRef<SVGSVGElement>('drawing')
const room = computed(() => props.packed.room)
const packing = computed(() => props.packed.packing)
const mm = (value: number): string => printLength(value, settings.unit)
const said = computed(() => {
  const where = props.packed.name ? ` in the ${props.packed.name}` : ''
  if (packing.value.packed.length === 0) return `Nothing is${where}.`
  return packing.value.fits ? `It all fits${where}.` : `It does not fit${where}.`
})
const scale = computed(() => 150 / Math.max(room.value.high.value, room.value.deep.value + 20))
const picture = computed(
  () =>
    `How the things stand inside${props.packed.name && `, ${props.packed.name}`}, from the front and from above`,
)
</script>

<template>
  <div>
    <p>
      <strong>{{ said }}</strong>
      <template v-if="packing.packed.length > 0">
        With room round it, it needs
        <span class="figure"
          >{{ mm(packing.needs.wide) }} × {{ mm(packing.needs.high) }} × {{ mm(packing.needs.deep) }}</span
        >; inside there are
        <span class="figure"
          >{{ mm(room.wide.value) }} × {{ mm(room.high.value) }} × {{ mm(room.deep.value) }}</span
        ><template v-if="packing.walls.length > 0">, parted by its divider</template>.</template
      >
    </p>
    <p v-if="packing.packed.length > 0">
      <TakeDrawing :drawing="() => drawing ?? undefined" :name="`things inside ${packed.name}`.trim()" />
    </p>
    <svg
      v-if="packing.packed.length > 0"
      ref="drawing"
      :viewBox="`-4 -4 ${room.wide.value * scale * 2 + 40} 162`"
      role="img"
      :aria-label="picture"
    >
      <g
        v-for="(view, i) in ['front', 'above'] as const"
        :key="view"
        :transform="`translate(${i * (room.wide.value * scale + 30)} 0)`"
      >
        <rect
          class="room"
          :width="room.wide.value * scale"
          :height="(view === 'front' ? room.high.value : room.deep.value) * scale"
        />
        <template v-if="view === 'above'">
          <rect
            v-for="w in packing.walls"
            :key="w.z"
            class="wall"
            :y="(room.deep.value - w.deep - w.z) * scale"
            :width="room.wide.value * scale"
            :height="Math.max(1, w.deep * scale)"
          />
        </template>
        <rect
          v-for="(q, k) in packing.packed"
          :key="k"
          class="thing"
          :x="q.x * scale"
          :y="(view === 'front' ? room.high.value - q.high - q.y : room.deep.value - q.deep - q.z) * scale"
          :width="q.wide * scale"
          :height="(view === 'front' ? q.high : q.deep) * scale"
        />
      </g>
    </svg>
  </div>
</template>

<style scoped>
svg {
  max-height: 170px;
  width: 100%;
}
.room {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 1;
}
.wall {
  fill: var(--line);
}
.thing {
  fill: var(--loch);
  fill-opacity: 0.18;
  stroke: var(--loch);
  stroke-width: 1;
}
</style>
