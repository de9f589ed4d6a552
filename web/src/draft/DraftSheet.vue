<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { type Derived, type Finding, type Piece, type Point, type Transect, arrangeInRows, boxHeight, boxWidth, moveThen, pathBox, pathData, pathMoved, pieceOutline, pointMoved, moveBack, printLength, otherUnit, workOf } from '@drumlin/core'
import { useSettings } from '../app/settings.js'
import PieceDrawing from '../sheet/PieceDrawing.vue'
import RulerEdge from '../sheet/RulerEdge.vue'
import { useSheetView } from '../sheet/view.js'
import type { Cut } from './cut.js'

const props = defineProps<{ derived: Derived; before: Derived | undefined; findings: readonly Finding[]; transect: Transect; state: 'open' | 'closed' }>()
const piece = defineModel<string>('piece', { required: true })
const edge = defineModel<string | undefined>('edge', { required: true })
const cut = defineModel<Cut>('cut', { required: true })
const settings = useSettings()
const svg = ref<SVGSVGElement>()

const GAP = 16
/** Rows of that width at the most, mm; whichever shows the pieces largest on this screen is taken. */
const WIDTHS = [240, 330, 430, 560, 800]
const ROOM = { left: 16, top: 14, right: 14, bottom: 12 }
const arrangement = computed(() => {
  const { width, height } = view.size.value
  const shown = (a: { width: number; height: number }): number => Math.min(width / (a.width + ROOM.left + ROOM.right), height / (a.height + ROOM.top + ROOM.bottom))
  const tried = WIDTHS.map((w) => arrangeInRows(props.derived.pieces, pieceOutline, w, GAP))
  return tried.reduce((a, b) => (shown(b) > shown(a) * 1.02 ? b : a))
})
const view = useSheetView(svg, () => ({ left: -ROOM.left, top: -ROOM.top, right: arrangement.value.width + ROOM.right, bottom: arrangement.value.height + ROOM.bottom }))
watch(() => [arrangement.value.width, arrangement.value.height], () => view.follow())

const placedOf = (id: string) => arrangement.value.placed.find((p) => p.item.id === id)
const described = (p: Piece): string => {
  const box = pathBox(p.cut)
  return `${p.name}, cut ${p.count}, ${printLength(boxWidth(box), settings.unit)} by ${printLength(boxHeight(box), settings.unit)}`
}
const chosen = computed(() => placedOf(piece.value))
const chosenBox = computed(() => chosen.value && pathBox(pathMoved(chosen.value.item.cut, chosen.value.move)))
const chosenSize = computed(() => {
  const w = chosenBox.value ? boxWidth(chosenBox.value) : 0
  return `${printLength(w, settings.unit)} · ${printLength(w, otherUnit(settings.unit))}`
})

/** The outline before a fix that is only being looked at. */
const ghosts = computed(() =>
  (props.before?.pieces ?? []).flatMap((old) => {
    const placed = placedOf(old.id)
    return placed ? [pathData(pathMoved(old.cut, placed.move))] : []
  }),
)
const edges = computed(() => {
  const placed = chosen.value
  return placed ? placed.item.panel.edges.map((e) => ({ ...e, d: pathData({ segments: pathMoved(placed.item.finished, placed.move).segments.slice(e.first, e.last + 1), closed: false }) })) : []
})

/** The laid-up work lies in its carrier's coordinates, so it is drawn faintly over that piece. */
const work = computed(() => workOf(props.derived.works, props.state))
const carrier = computed(() => placedOf(work.value.layup.carrier))
const lying = computed(() => {
  const move = carrier.value?.move
  if (!move) return []
  return work.value.sheets.filter((s) => s.sheet.type === 'panel' && s.sheet.panelId !== work.value.layup.carrier && s.sheet.clips.length === 0).map((s) => pathData(pathMoved(s.placed, move)))
})
const ends = computed(() => {
  const move = carrier.value?.move
  return move ? { from: pointMoved(cut.value.from, move), to: pointMoved(cut.value.to, move) } : undefined
})
const rings = computed(() =>
  props.findings.flatMap((f) => f.places.flatMap((place, i) => {
    const placed = placedOf(place.panelId)
    return placed ? [{ key: `${f.key} ${i}`, rank: f.rank, at: pointMoved(place.at, placed.move) }] : []
  })),
)

function choose(id: string): void {
  if (piece.value !== id) edge.value = undefined
  piece.value = id
}
function moveEnd(end: 'from' | 'to', at: Point): void {
  cut.value = { ...cut.value, [end]: { x: Math.round(at.x * 10) / 10, y: Math.round(at.y * 10) / 10 } }
}
function keyed(event: KeyboardEvent, end: 'from' | 'to' | 'both'): void {
  const size = event.shiftKey ? 0.1 : event.altKey ? 10 : 1
  const ways: Record<string, [number, number]> = { ArrowLeft: [-size, 0], ArrowRight: [size, 0], ArrowUp: [0, -size], ArrowDown: [0, size] }
  const way = ways[event.key]
  if (!way) return
  event.preventDefault()
  event.stopPropagation()
  shiftBy(end, way[0], way[1])
}
function shiftBy(end: 'from' | 'to' | 'both', dx: number, dy: number): void {
  const { from, to } = cut.value
  if (end !== 'to') moveEnd('from', { x: from.x + dx, y: from.y + dy })
  if (end !== 'from') moveEnd('to', { x: to.x + dx, y: to.y + dy })
}
let grabbed: { end: 'from' | 'to' | 'both'; last: Point } | undefined
function grab(event: PointerEvent, end: 'from' | 'to' | 'both'): void {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  grabbed = { end, last: view.toSheet(event.clientX, event.clientY) }
}
function drag(event: PointerEvent): void {
  if (!grabbed || !carrier.value) return
  const now = view.toSheet(event.clientX, event.clientY)
  if (grabbed.end !== 'both') return moveEnd(grabbed.end, pointMoved(now, moveBack(carrier.value.move)))
  shiftBy('both', now.x - grabbed.last.x, now.y - grabbed.last.y)
  grabbed.last = now
}
defineExpose({ showPlace: (panelId: string, at: Point) => { const placed = placedOf(panelId); if (placed) { const p = pointMoved(at, moveThen(placed.move, { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 })); view.show(p.x, p.y) } } })
const r = (px: number): number => px / view.scale.value
</script>

<template>
  <div class="frame">
    <div class="corner quiet" aria-hidden="true">{{ settings.unit }}</div>
    <RulerEdge way="across" :start="view.left.value" :scale="view.scale.value" :length="view.size.value.width" :unit="settings.unit" />
    <RulerEdge way="down" :start="view.top.value" :scale="view.scale.value" :length="view.size.value.height" :unit="settings.unit" />
    <svg ref="svg" class="sheet" :viewBox="view.viewBox.value" tabindex="0" role="group" aria-label="Sheet with all pieces, true to size. Arrows move it, plus and minus zoom, 0 shows all." @keydown="view.pressed">
      <path v-for="(d, i) in ghosts" :key="`g${i}`" :d="d" class="ghost" />
      <g
        v-for="{ item, move } in arrangement.placed" :key="item.id" class="hold" role="button" tabindex="0" :data-piece="item.id" :aria-label="described(item)" :aria-pressed="piece === item.id"
        :transform="`matrix(${move.a} ${move.b} ${move.c} ${move.d} ${move.e} ${move.f})`" @click="choose(item.id)" @keydown.enter="choose(item.id)" @keydown.space.prevent="choose(item.id)"
      >
        <PieceDrawing :piece="item" :job="derived.design.name" :pixel="r(1)" />
      </g>
      <path v-for="(d, i) in lying" :key="`l${i}`" :d="d" class="lying" />
      <template v-if="chosen && chosenBox">
        <path :d="pathData(pathMoved(chosen.item.cut, chosen.move))" class="chosen" />
        <path v-for="e in edges" :key="e.id" :d="e.d" class="edge" :class="{ on: edge === e.id }" :data-edge="e.id" @click="edge = edge === e.id ? undefined : e.id" />
        <g class="size" aria-hidden="true">
          <path :d="`M${chosenBox.left} ${chosenBox.top - r(13)}H${(chosenBox.left + chosenBox.right) / 2 - r(chosenSize.length * 4.2)}M${(chosenBox.left + chosenBox.right) / 2 + r(chosenSize.length * 4.2)} ${chosenBox.top - r(13)}H${chosenBox.right}M${chosenBox.left} ${chosenBox.top - r(18)}v${r(10)}M${chosenBox.right} ${chosenBox.top - r(18)}v${r(10)}`" />
          <text :x="(chosenBox.left + chosenBox.right) / 2" :y="chosenBox.top - r(9)" text-anchor="middle" :font-size="r(13)">{{ chosenSize }}</text>
        </g>
      </template>
      <g v-if="ends" class="transect">
        <line data-handle :x1="ends.from.x" :y1="ends.from.y" :x2="ends.to.x" :y2="ends.to.y" class="reach" @pointerdown="grab($event, 'both')" @pointermove="drag" @pointerup="grabbed = undefined" />
        <line :x1="ends.from.x" :y1="ends.from.y" :x2="ends.to.x" :y2="ends.to.y" />
        <circle
          v-for="(name, end) in { from: 'A', to: 'A′' }" :key="end" data-handle :cx="ends[end].x" :cy="ends[end].y" :r="r(6)" tabindex="0" role="slider" :aria-label="`Transect end ${name}`"
          :aria-valuetext="`${printLength(cut[end].x, settings.unit)} across, ${printLength(cut[end].y, settings.unit)} down`" :aria-valuenow="cut[end].x"
          @keydown="keyed($event, end)" @pointerdown="grab($event, end)" @pointermove="drag" @pointerup="grabbed = undefined"
        />
        <text :x="ends.from.x + r(9)" :y="ends.from.y + r(4)" :font-size="r(13)">A</text><text :x="ends.to.x + r(9)" :y="ends.to.y + r(4)" :font-size="r(13)">A′</text>
      </g>
      <circle v-for="ring in rings" :key="ring.key" :cx="ring.at.x" :cy="ring.at.y" :r="r(11)" class="ring" :class="ring.rank" :data-ring="ring.rank" />
    </svg>
    <div class="zoom" role="group" aria-label="Zoom">
      <button class="act" aria-label="Nearer" @click="view.zoom(1.25)">+</button><button class="act" aria-label="Farther" @click="view.zoom(0.8)">−</button><button class="act" @click="view.fit()">All</button>
    </div>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  display: grid;
  grid-template: 18px minmax(0, 1fr) / 30px minmax(0, 1fr);
  min-height: 0;
}
.corner {
  font: 11px/18px var(--mono);
  text-align: center;
}
.sheet {
  width: 100%;
  height: 100%;
  display: block;
  touch-action: none;
  cursor: grab;
}
.sheet:focus-visible {
  outline-offset: -2px;
}
.hold {
  cursor: pointer;
  outline: none;
}
.hold:focus-visible {
  outline: 2px solid var(--heather);
  outline-offset: 3px;
}
.ghost {
  fill: none;
  stroke: var(--quiet);
  stroke-dasharray: 1.5 1;
  stroke-width: 0.3;
}
.lying {
  fill: none;
  stroke: var(--line);
  stroke-opacity: 0.45;
  stroke-width: 0.2;
  pointer-events: none;
}
.chosen {
  fill: none;
  stroke: var(--heather);
  stroke-width: 3px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.edge {
  fill: none;
  stroke: transparent;
  stroke-width: 12px;
  vector-effect: non-scaling-stroke;
  pointer-events: stroke;
  cursor: pointer;
}
.edge.on {
  stroke: color-mix(in srgb, var(--heather) 55%, transparent);
}
.size path {
  stroke: var(--heather);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
  fill: none;
}
.size text {
  fill: var(--heather);
  font-family: var(--mono);
  font-weight: 650;
}
.transect line {
  stroke: var(--loch);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.transect .reach {
  stroke: transparent;
  stroke-width: 14px;
  cursor: move;
}
.transect circle {
  fill: var(--loch);
  cursor: move;
}
.transect text {
  fill: var(--loch);
  font-family: var(--mono);
  font-weight: 650;
}
.ring {
  fill: none;
  stroke: var(--gorse-mark);
  stroke-width: 2.500px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.ring.stop {
  stroke: var(--rowan);
}
.zoom {
  position: absolute;
  right: 10px;
  bottom: 10px;
  display: flex;
  gap: 6px;
}
.zoom .act {
  background: var(--surface);
  min-width: 34px;
  justify-content: center;
}
</style>
