<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { Point } from '@drumlin/core/geometry'
import { extentOf } from '@drumlin/core/hide'
import { FLAWS, type Hide, type HideFlaw, type HideZone, ZONES } from '@drumlin/core/stores'
import { useSheetView } from '../sheet/view.js'
import { useClicks } from '../sheet/clicks.js'
import SheetHandle from '../sheet/SheetHandle.vue'
import HideGround from './HideGround.vue'
import HideMarks from './HideMarks.vue'
import { type Held, placesHeld, withPlace } from './held.js'

/** The hide as it is described so far; flaws, zones and spots are marked on it by clicking. */
const props = defineProps<{ hide: Hide; marking: boolean }>()
const emit = defineEmits<{ change: [more: Partial<Hide>] }>()
type Tool = 'look' | 'spot' | 'round' | 'line' | 'around' | 'zone'
const tool = ref<Tool>('look')
const flaw = ref<HideFlaw['sort']>('scar')
const zone = ref<HideZone['sort']>('stretchy')
/** Places clicked so far of a line, an outline or a zone. */
const places = ref<Point[]>([])
watch(tool, () => (places.value = []))
/** A zone or a flaw that was marked before, whose places are moved. */
const held = ref<Held>()
const corners = computed(() => (held.value ? placesHeld(props.hide, held.value) : []))
function carry(k: number, to: Point): void {
  if (held.value) emit('change', withPlace(props.hide, held.value, k, fine(to)))
}

const svg = useTemplateRef<SVGSVGElement>('svg')
const view = useSheetView(
  computed(() => svg.value ?? undefined),
  () => {
    const { left, top, right, bottom } = extentOf(props.hide.outline)
    return { left: left - 20, top: top - 20, right: right + 20, bottom: bottom + 20 }
  },
)
watch(
  () => props.hide.outline,
  () => view.fit(),
)
const pixel = computed(() => 1 / view.scale.value)
const fine = ({ x, y }: Point): Point => ({ x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 })

/** As large as most flaws are, mm; changed beside. */
const USUAL = { radius: 8, width: 4, thickness: 2 } as const
const addFlaw = (shape: HideFlaw['shape']): void =>
  emit('change', { flaws: [...props.hide.flaws, { sort: flaw.value, shape }] })
function place(at: Point): void {
  if (tool.value === 'spot') {
    const thickness = props.hide.spots.at(-1)?.thickness ?? USUAL.thickness
    emit('change', { spots: [...props.hide.spots, { at, thickness }] })
  } else if (tool.value === 'round') addFlaw({ type: 'circle', at, radius: USUAL.radius })
  else if (tool.value !== 'look') {
    places.value = [...places.value, at]
    if (tool.value === 'line' && places.value.length === 2) closed()
  }
}
function closed(): void {
  const [from, to] = places.value
  if (tool.value === 'line' && from && to) addFlaw({ type: 'line', from, to, width: USUAL.width })
  else if (places.value.length >= 3 && tool.value === 'around')
    addFlaw({ type: 'outline', outline: places.value })
  else if (places.value.length >= 3)
    emit('change', { zones: [...props.hide.zones, { sort: zone.value, outline: places.value }] })
  places.value = []
}
const { pressed, clicked } = useClicks(view.toSheet, (at) => place(fine(at)))
const middle = (): Point => {
  const { left, top, right, bottom } = extentOf(props.hide.outline)
  return fine({ x: (left + right) / 2, y: (top + bottom) / 2 })
}
const TOOLS: readonly { value: Tool; label: string }[] = [
  { value: 'look', label: 'Look' },
  { value: 'round', label: 'Round flaw' },
  { value: 'line', label: 'Flaw along a line' },
  { value: 'around', label: 'Flaw, round its border' },
  { value: 'zone', label: 'Zone' },
  { value: 'spot', label: 'Thickness' },
]
const move = (i: number, to: Point): void =>
  void (places.value = places.value.map((p, k) => (k === i ? fine(to) : p)))
</script>

<template>
  <div class="editor" :class="{ marking }">
    <div class="board">
      <div v-if="marking" class="row">
        <v-btn-toggle v-model="tool" mandatory divided aria-label="What is marked">
          <v-btn v-for="t in TOOLS" :key="t.value" :value="t.value">{{ t.label }}</v-btn>
        </v-btn-toggle>
        <v-select
          v-if="tool === 'round' || tool === 'line' || tool === 'around'"
          v-model="flaw"
          class="sort"
          density="compact"
          hide-details
          label="Sort of flaw"
          :items="[...FLAWS]"
        />
        <v-select
          v-if="tool === 'zone'"
          v-model="zone"
          class="sort"
          density="compact"
          hide-details
          label="Sort of zone"
          :items="[...ZONES]"
        />
        <v-btn v-if="tool !== 'look'" @click="place(middle())">Place one in the middle</v-btn>
        <v-btn v-if="places.length >= 3" @click="closed">Close it</v-btn>
        <v-btn v-if="places.length > 0" @click="places = places.slice(0, -1)">Take back the last</v-btn>
      </div>
      <svg
        ref="svg"
        :viewBox="view.viewBox.value"
        tabindex="0"
        role="group"
        :aria-label="`The hide ${hide.name}`"
        :class="{ placing: marking && tool !== 'look' }"
        @keydown="view.pressed"
        @pointerdown="pressed"
        @click="clicked"
      >
        <HideGround :hide="hide" :pixel="pixel" spots />
        <polyline
          v-if="places.length > 1"
          :points="places.map((p) => `${p.x},${p.y}`).join(' ')"
          class="places"
        />
        <g class="handles">
          <SheetHandle
            v-for="(p, i) in places"
            :key="i"
            :at="p"
            :label="`Place ${i + 1}`"
            :says="`${p.x} along, ${p.y} across`"
            :pixel="pixel"
            :mark="8"
            :to-sheet="view.toSheet"
            @step="(by) => move(i, { x: p.x + by.x, y: p.y + by.y })"
            @drag="(to) => move(i, to)"
          />
          <SheetHandle
            v-for="(p, k) in corners"
            :key="`h${k}`"
            :at="p"
            :label="`Corner ${k + 1}`"
            :says="`${p.x} along, ${p.y} across`"
            :pixel="pixel"
            :mark="8"
            :to-sheet="view.toSheet"
            @step="(by) => carry(k, { x: p.x + by.x, y: p.y + by.y })"
            @drag="(to) => carry(k, to)"
          />
        </g>
      </svg>
    </div>
    <HideMarks v-if="marking" v-model:held="held" :hide="hide" @change="(more) => emit('change', more)" />
  </div>
</template>

<style scoped>
.editor.marking {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 16px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-bottom: 8px;
}
.sort {
  max-width: 190px;
}
svg {
  display: block;
  width: 100%;
  height: 340px;
  background: var(--ground);
  touch-action: none;
}
.marking svg {
  height: 400px;
}
svg.placing {
  cursor: crosshair;
}
.places {
  fill: none;
  stroke: var(--heather);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.handles {
  color: var(--heather);
}
@media (max-width: 900px) {
  .editor.marking {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
