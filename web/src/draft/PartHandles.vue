<script setup lang="ts">
import { computed, ref } from 'vue'
import { type PartHandle, handlesOf, placeSaid } from '@drumlin/core/added'
import { layPart } from '@drumlin/core/design'
import { type Point, moveBack, pointMoved } from '@drumlin/core/geometry'
import { systemOf } from '@drumlin/core/measure'
import type { Piece, Placed } from '@drumlin/core/reckon'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import SheetHandle from '../sheet/SheetHandle.vue'
import { placedBox } from './laid.js'

/** Takes hold of what is put on the chosen piece, to lay it elsewhere on that. */
const props = defineProps<{
  placed: Placed<Piece>
  pixel: number
  toSheet: (x: number, y: number) => Point
}>()
const emit = defineEmits<{ hold: [on: boolean]; refused: [why: string] }>()
const settings = useSettings()
const job = useJob()

/** Within this many pixels a part is drawn to the middle of its edge. */
const NEAR = 7
/** A dragged part lies at whole steps of this, mm: half a millimetre, or 1/32 in; freely where Alt is held. */
const step = computed(() => (systemOf(settings.unit, 'length') === 'mm' ? 0.5 : 25.4 / 32))
const FREE = 0.1

const panel = computed(() => props.placed.item.panel)
const handles = computed(() =>
  handlesOf(job.design?.added ?? {}, panel.value).map((handle) => ({
    ...handle,
    on: pointMoved(handle.at, props.placed.move),
    says: said(handle),
  })),
)
function said({ id, where }: PartHandle): string {
  const part = job.design?.added[id]
  return part ? placeSaid(part, panel.value, where, settings.unit) : ''
}

const held = ref<{ id: string; which: 0 | 1; gesture: string }>()
const reading = computed(() =>
  handles.value.find((h) => h.id === held.value?.id && h.which === held.value.which),
)
/** Over the middle of the piece, where it has the most room. */
const middle = computed(() => {
  const { left, right } = placedBox(props.placed)
  return (left + right) / 2
})
function hold(on: boolean, { id, which }: PartHandle): void {
  held.value = on ? { id, which, gesture: `lay ${id} ${Date.now()}` } : undefined
  emit('hold', on)
}
function lay({ id, which }: PartHandle, to: Point, by: number, middle: number, gesture: string): void {
  if (!job.design) return
  const place = pointMoved(to, moveBack(props.placed.move))
  const edit = layPart(job.design, id, panel.value, place, { which, step: by, middle })
  emit('refused', job.edit(edit, gesture)?.why ?? '')
}
const dragged = (handle: PartHandle, to: Point, freely: boolean): void =>
  lay(handle, to, freely ? FREE : step.value, freely ? 0 : NEAR * props.pixel, held.value?.gesture ?? '')
const stepped = (handle: PartHandle & { on: Point }, by: Point): void =>
  lay(
    handle,
    { x: handle.on.x + by.x, y: handle.on.y + by.y },
    FREE,
    0,
    `keys ${handle.id} ${Math.floor(Date.now() / 1500)}`,
  )
</script>

<template>
  <g class="parts">
    <SheetHandle
      v-for="handle in handles"
      :key="`${handle.id}${handle.which}`"
      :data-part="handle.id"
      :at="handle.on"
      :label="`${handle.name}${handle.which === 1 ? ', the other one' : ''}: drag it, or move it by the arrows`"
      :says="handle.says"
      :pixel="pixel"
      :mark="5"
      :to-sheet="toSheet"
      @hold="(on) => hold(on, handle)"
      @drag="(to, freely) => dragged(handle, to, freely)"
      @step="(by) => stepped(handle, by)"
    />
    <text
      v-if="reading"
      aria-hidden="true"
      text-anchor="middle"
      :x="middle"
      :y="reading.on.y - 16 * pixel"
      :font-size="13 * pixel"
      >{{ reading.says }}</text
    >
  </g>
</template>

<style scoped>
.parts {
  color: var(--loch);
}
text {
  fill: currentcolor;
  font-family: var(--mono);
  font-weight: 650;
  paint-order: stroke;
  stroke: var(--surface);
  stroke-width: 3px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
</style>
