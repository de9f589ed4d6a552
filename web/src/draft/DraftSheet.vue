<script setup lang="ts">
import { systemOf } from '@drumlin/core/measure'
import { computed, ref, watch } from 'vue'
import type { Finding } from '@drumlin/core/check'
import type { Derived } from '@drumlin/core/derived'
import { pathData } from '@drumlin/core/drawing'
import { type DrawnPanel, insertPoint } from '@drumlin/core/drawn'
import { type Point, moveBack, pathMoved, pathNearest, pointMoved } from '@drumlin/core/geometry'
import { laidUpOf } from '@drumlin/core/layup'
import { nearestPlace } from '@drumlin/core/reckon'
import { useSettings } from '../app/settings.js'
import DrawHandles from '../drawing/DrawHandles.vue'
import PieceDrawing from '../sheet/PieceDrawing.vue'
import RulerEdge from '../sheet/RulerEdge.vue'
import { useSheetView } from '../sheet/view.js'
import { ROOM, largestRows, sheetsOver } from './arrange.js'
import ChosenPiece from './ChosenPiece.vue'
import type { Cut } from './cut.js'
import FaintOutlines from './FaintOutlines.vue'
import { useLaid } from './laid.js'
import FindingRings from './FindingRings.vue'
import MoveHandle from './MoveHandle.vue'
import PartHandles from './PartHandles.vue'
import SheetActs from './SheetActs.vue'
import TapeMeasure from './TapeMeasure.vue'
import { described, ghostsOf, ringsOf } from './over.js'
import { useLettered, useSheetTools } from './tools.js'
import TransectHandles from './TransectHandles.vue'

const props = defineProps<{
  derived: Derived
  /** What it was before a fix that is only being looked at. */
  before: Derived | undefined
  findings: readonly Finding[]
  state: string
  /** The drawing of the chosen piece, where it is drawn by hand. */
  drawn: DrawnPanel | undefined
}>()
const emit = defineEmits<{
  change: [name: string, panel: DrawnPanel, gesture?: string]
  draw: []
  refused: [why: string]
}>()
const point = defineModel<number | undefined>('point', { required: true })
const piece = defineModel<string>('piece', { required: true })
const edge = defineModel<string | undefined>('edge', { required: true })
const cut = defineModel<Cut>('cut', { required: true })
const settings = useSettings()
const svg = ref<SVGSVGElement>()
/** Kept free for the width over the first row, and for what can be done with the sheet, pixels. */
const FREE = { head: 26, foot: 48 }

const view = useSheetView(
  svg,
  () => {
    const { left, top, right, bottom } = lies.value
    return {
      left: left - ROOM.left,
      top: top - ROOM.top,
      right: right + ROOM.right,
      bottom: bottom + ROOM.bottom,
    }
  },
  FREE,
)
const {
  arrangement,
  lies,
  held,
  laidByHand,
  move: lay,
  anew,
} = useLaid(
  () => props.derived.design.id,
  () => props.derived.pieces,
  () => largestRows(props.derived.pieces, props.derived.design, view.size.value),
)
watch(
  () => [arrangement.value.width, arrangement.value.height],
  // What was laid by hand stays under the hand.
  () => !laidByHand.value && view.follow(),
)
const pixel = computed(() => 1 / view.scale.value)

const placedOf = (id: string) => arrangement.value.placed.find((p) => p.item.id === id)
const chosen = computed(() => placedOf(piece.value))
const ghosts = computed(() => ghostsOf(props.before, placedOf))

/** The laid-up work lies in its carrier's coordinates, so it is drawn faintly over that piece. */
const work = computed(
  () =>
    props.derived.works.find((w) => w.layup.id === props.state) ??
    laidUpOf(props.derived.works, props.derived.works[0]!.layup.id),
)
const carrier = computed(() => placedOf(work.value.layup.carrier))
const lying = computed(() => {
  const move = carrier.value?.move
  const whole = sheetsOver(work.value)
  return move ? whole.map((s) => pathData(pathMoved(s.placed, move))) : []
})
const rings = computed(() => ringsOf(props.findings, placedOf))

/** Twice on the outline of a drawing puts a point there. */
function twice(event: MouseEvent): void {
  const [placed, drawing] = [chosen.value, props.drawn]
  if (!placed || !drawing) return
  const at = pointMoved(view.toSheet(event.clientX, event.clientY), moveBack(placed.move))
  if (pathNearest(placed.item.finished, at).distance > 10 * pixel.value) return
  const { panel, index } = insertPoint(drawing, at)
  emit('change', 'put a point in', panel)
  point.value = index
}
function choose(id: string): void {
  if (piece.value !== id) edge.value = undefined
  piece.value = id
}
/** Brings a place of a piece to the middle. */
function showPlace(panelId: string, at: Point): void {
  const placed = placedOf(panelId)
  if (placed) view.showAt(pointMoved(at, placed.move))
}
defineExpose({ showPlace })

const { shown, hidden, toPiece, tape, measure } = useSheetTools(chosen, view.showBox)
const lettered = useLettered(() => props.derived.design)
</script>

<template>
  <div class="frame">
    <div class="corner quiet" aria-hidden="true">{{ systemOf(settings.unit) }}</div>
    <RulerEdge
      way="across"
      :start="view.left.value"
      :scale="view.scale.value"
      :length="view.size.value.width"
      :unit="settings.unit"
    />
    <RulerEdge
      way="down"
      :start="view.top.value"
      :scale="view.scale.value"
      :length="view.size.value.height"
      :unit="settings.unit"
    />
    <svg
      ref="svg"
      class="sheet"
      :viewBox="view.viewBox.value"
      tabindex="0"
      role="group"
      aria-label="Sheet with all pieces, true to size. Arrows move it, plus and minus zoom, 0 shows all."
      @keydown="view.pressed"
      @dblclick="twice"
    >
      <g
        v-for="{ item, move } in arrangement.placed"
        :key="item.id"
        class="hold"
        role="button"
        tabindex="0"
        :data-piece="item.id"
        :aria-label="described(item, settings.unit)"
        :aria-pressed="piece === item.id"
        :transform="`matrix(${move.a} ${move.b} ${move.c} ${move.d} ${move.e} ${move.f})`"
        @click="choose(item.id)"
        @keydown.enter="choose(item.id)"
        @keydown.space.prevent="choose(item.id)"
      >
        <PieceDrawing :piece="item" :job="lettered" :pixel="pixel" :hidden="hidden" />
      </g>
      <FaintOutlines :before="ghosts" :lying="lying" />
      <ChosenPiece
        v-if="chosen"
        v-model:edge="edge"
        :piece="chosen.item"
        :move="chosen.move"
        :pixel="pixel"
      />
      <MoveHandle
        v-if="chosen"
        :placed="chosen"
        :pixel="pixel"
        :to-sheet="view.toSheet"
        @move="(by) => lay(piece, by)"
      />
      <PartHandles
        v-if="chosen && !before"
        :placed="chosen"
        :pixel="pixel"
        :to-sheet="view.toSheet"
        @hold="(on) => (held = on)"
        @refused="(why) => emit('refused', why)"
      />
      <DrawHandles
        v-if="chosen && drawn"
        v-model:point="point"
        :drawn="drawn"
        :panel="chosen.item.panel"
        :move="chosen.move"
        :pixel="pixel"
        :to-sheet="view.toSheet"
        @hold="(on) => (held = on)"
        @change="(name, panel, gesture) => emit('change', name, panel, gesture)"
      />
      <TransectHandles
        v-if="carrier"
        v-model="cut"
        :move="carrier.move"
        :pixel="pixel"
        :to-sheet="view.toSheet"
      />
      <TapeMeasure
        v-if="tape"
        v-model="tape"
        :pixel="pixel"
        :to-sheet="view.toSheet"
        :hold="(at) => nearestPlace(arrangement.placed, at, 9 * pixel)"
      />
      <FindingRings :rings="rings" :pixel="pixel" />
    </svg>
    <SheetActs
      v-model:shown="shown"
      :measuring="tape !== undefined"
      :by-hand="laidByHand"
      @draw="emit('draw')"
      @zoom="(factor) => view.zoom(factor)"
      @fit="view.fit()"
      @piece="toPiece"
      @measure="measure"
      @anew="anew"
    />
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
</style>
