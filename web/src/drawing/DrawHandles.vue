<script setup lang="ts">
import { computed, ref } from 'vue'
import { pathData } from '@drumlin/core/drawing'
import {
  type DrawnPanel,
  type Grip,
  drawnSegments,
  gripPlace,
  gripsAt,
  lieBeside,
  moveGrip,
  outlineOf,
  readingsAt,
  removePoint,
  snapPoint,
} from '@drumlin/core/drawn'
import { type Move, type Path, type Point, moveBack, pathMoved, pointMoved } from '@drumlin/core/geometry'
import { type Panel, placeOnPanel } from '@drumlin/core/master'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { arrowStep } from '../sheet/arrows.js'

const props = defineProps<{
  drawn: DrawnPanel
  panel: Panel
  /** From the panel's own coordinates to the sheet. */
  move: Move
  pixel: number
  toSheet: (x: number, y: number) => Point
}>()
const point = defineModel<number | undefined>('point', { required: true })
const emit = defineEmits<{
  change: [name: string, panel: DrawnPanel, gesture: string]
  /** A point is taken hold of, or let go. */
  hold: [on: boolean]
}>()
const settings = useSettings()
const job = useJob()

/** Within this many pixels a moved point is drawn to what lies near. */
const NEAR = 7
const onSheet = (p: Point): Point => pointMoved(placeOnPanel(props.panel, p), props.move)
const places = computed(() => props.drawn.nodes.map((n) => onSheet(n)))
const half = computed(() =>
  props.drawn.mirror && !props.panel.letIns?.some((l) => l.by !== 0)
    ? pathData({
        closed: false,
        segments: pathMoved({ segments: drawnSegments(props.drawn), closed: false }, props.move).segments,
      })
    : '',
)
const axis = computed(() => {
  const { mirror, nodes } = props.drawn
  if (!mirror) return undefined
  const upright = mirror.way === 'upright'
  const values = nodes.map((n) => (upright ? n.y : n.x))
  const ends = [Math.min(...values) - 8, Math.max(...values) + 8]
  return ends.map((v) => onSheet(upright ? { x: mirror.at, y: v } : { x: v, y: mirror.at })) as [Point, Point]
})

/** Handles of the curves beside the chosen point. */
const grips = computed(() =>
  (point.value === undefined ? [] : gripsAt(props.drawn, point.value)).map((g) => ({
    ...g,
    at: onSheet(g.at),
    from: onSheet(g.from),
  })),
)

function put(grip: Grip, to: Point, gesture: string): void {
  const name = `${grip.sort === 'node' ? 'move' : 'bend the edge at'} point ${grip.index + 1}`
  emit('change', name, moveGrip(props.drawn, grip, to), gesture)
}

/** Outlines of the other drawings, as they lie beside this one in the work. */
const neighbours = computed((): { name: string; path: Path }[] =>
  (job.design?.drawn ?? [])
    .filter((d) => d.id !== props.drawn.id)
    .map((d) => ({
      name: d.name,
      path: pathMoved(outlineOf(d).path, lieBeside(d, props.drawn)),
    })),
)
const said = ref<readonly string[]>([])
const held = ref<{ grip: Grip; offset: Point; gesture: string }>()
/** A place of the window in the drawing's own coordinates, as far as the folds have not moved it. */
const inDrawing = (event: PointerEvent): Point =>
  pointMoved(props.toSheet(event.clientX, event.clientY), moveBack(props.move))

function grab(event: PointerEvent, grip: Grip): void {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  if (grip.sort === 'node') point.value = grip.index
  const [at, here] = [inDrawing(event), gripPlace(props.drawn, grip)]
  held.value = { grip, offset: { x: here.x - at.x, y: here.y - at.y }, gesture: `draw ${event.timeStamp}` }
  said.value = []
  emit('hold', true)
}
function dragged(event: PointerEvent): void {
  const from = held.value
  if (!from) return
  const at = inDrawing(event)
  const wanted = {
    x: Math.round((at.x + from.offset.x) * 10) / 10,
    y: Math.round((at.y + from.offset.y) * 10) / 10,
  }
  if (from.grip.sort !== 'node' || event.altKey) return put(from.grip, wanted, from.gesture)
  const snapped = snapPoint(props.drawn, wanted, {
    index: from.grip.index,
    neighbours: neighbours.value,
    pitch: job.design!.iron.pitch,
    within: NEAR * props.pixel,
  })
  said.value = snapped.said
  put(from.grip, snapped.at, from.gesture)
}
function release(): void {
  if (held.value) emit('hold', false)
  held.value = undefined
  said.value = []
}

function keyed(event: KeyboardEvent, grip: Grip): void {
  if (grip.sort === 'node' && (event.key === 'Delete' || event.key === 'Backspace')) {
    const left = removePoint(props.drawn, grip.index)
    event.preventDefault()
    if (left) emit('change', `take out point ${grip.index + 1}`, left, `remove ${event.timeStamp}`)
    return
  }
  const way = arrowStep(event)
  if (!way) return
  event.preventDefault()
  event.stopPropagation()
  const at = gripPlace(props.drawn, grip)
  put(
    grip,
    { x: at.x + way.x, y: at.y + way.y },
    `keys ${grip.sort} ${grip.index} ${Math.floor(Date.now() / 1500)}`,
  )
}

const readings = computed(() => {
  const i = point.value
  if (i === undefined || !props.drawn.nodes[i]) return undefined
  const { before, after, angle } = readingsAt(props.drawn, i)
  const words = [
    before === undefined ? '' : `${printLength(before, settings.unit)} back`,
    after === undefined ? '' : `${printLength(after, settings.unit)} on`,
    angle === undefined ? '' : `${Math.round((angle * 1800) / Math.PI) / 10}°`,
  ].filter(Boolean)
  // Beside the point, towards the middle of the drawing, where there is room.
  const at = places.value[i]!
  const middle = places.value.reduce((sum, p) => sum + p.x, 0) / places.value.length
  return { at, words: words.join(' · '), aside: at.x > middle ? -1 : 1 }
})
const label = (i: number): string => {
  const n = props.drawn.nodes[i]!
  return `Point ${i + 1} of ${props.drawn.nodes.length}: ${printLength(n.x, settings.unit)} across, ${printLength(n.y, settings.unit)} down`
}
</script>

<template>
  <g class="handles" @pointermove="dragged" @pointerup="release" @pointercancel="release">
    <line v-if="axis" class="axis" :x1="axis[0].x" :y1="axis[0].y" :x2="axis[1].x" :y2="axis[1].y" />
    <path v-if="half" :d="half" class="half" />
    <g v-for="g in grips" :key="`${g.sort}${g.index}`">
      <line class="arm" :x1="g.from.x" :y1="g.from.y" :x2="g.at.x" :y2="g.at.y" />
      <rect
        data-handle
        :data-grip="`${g.sort}-${g.index}`"
        class="grip"
        :x="g.at.x - 4.5 * pixel"
        :y="g.at.y - 4.5 * pixel"
        :width="9 * pixel"
        :height="9 * pixel"
        tabindex="0"
        role="button"
        :aria-label="`${g.name}; arrows move it`"
        @pointerdown.stop="grab($event, g)"
        @keydown="keyed($event, g)"
      />
    </g>
    <circle
      v-for="(p, i) in places"
      :key="i"
      data-handle
      :data-point="i"
      class="node"
      :class="{ on: point === i }"
      :cx="p.x"
      :cy="p.y"
      :r="6 * pixel"
      tabindex="0"
      role="button"
      :aria-label="label(i)"
      :aria-pressed="point === i"
      @pointerdown.stop="grab($event, { sort: 'node', index: i })"
      @click.stop="point = i"
      @focus="point = i"
      @keydown="keyed($event, { sort: 'node', index: i })"
    />
    <g v-if="readings && held" aria-hidden="true">
      <text
        :x="readings.at.x + readings.aside * 10 * pixel"
        :text-anchor="readings.aside < 0 ? 'end' : 'start'"
        :y="readings.at.y - 10 * pixel"
        :font-size="13 * pixel"
        >{{ readings.words }}</text
      >
      <text
        v-for="(s, k) in said"
        :key="s"
        class="said"
        :x="readings.at.x + readings.aside * 10 * pixel"
        :text-anchor="readings.aside < 0 ? 'end' : 'start'"
        :y="readings.at.y + (8 + 16 * k) * pixel"
        :font-size="13 * pixel"
        >{{ s }}</text
      >
    </g>
  </g>
</template>

<style scoped>
.axis {
  stroke: var(--loch);
  stroke-dasharray: 8 4 2 4;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.half {
  fill: none;
  stroke: var(--heather);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.arm {
  stroke: var(--heather);
  vector-effect: non-scaling-stroke;
}
.node,
.grip {
  fill: var(--surface);
  stroke: var(--heather);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  cursor: move;
}
.node:focus-visible,
.grip:focus-visible {
  outline: 2px solid var(--heather);
  outline-offset: 2px;
}
.node.on {
  fill: var(--heather);
}
text {
  fill: var(--heather);
  font-family: var(--mono);
  font-weight: 650;
  paint-order: stroke;
  stroke: var(--surface);
  stroke-width: 3px;
  vector-effect: non-scaling-stroke;
}
.said {
  fill: var(--loch);
}
</style>
