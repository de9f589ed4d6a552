<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { numbersFor, pathData } from '@drumlin/core/drawing'
import { boxGrown, pathBox, pathMoved, pointMoved } from '@drumlin/core/geometry'
import type { FittedPiece } from '@drumlin/core/overview'
import { arrangeInRows } from '@drumlin/core/reckon'
import TakeDrawing from '../parts/TakeDrawing.vue'
import PieceDrawing from '../sheet/PieceDrawing.vue'

/** The pieces that carry hardware, each place ringed with the number of its row in the table. */
const props = defineProps<{ fitted: readonly FittedPiece[]; job: { name: string; draft: string } }>()
const chosen = defineModel<number | undefined>('row', { required: true })

const drawing = useTemplateRef<SVGSVGElement>('drawing')

/** What says nothing about hardware is left off. */
const LEFT_OFF: ReadonlySet<string> = new Set(['glue', 'skive', 'grain', 'notches', 'label'])
/** About as wide as the table, in pixels; higher only as far as the screen allows. */
const SCREEN = { width: 900, height: 260 } as const
/** Sheets of these widths are tried, mm; whichever shows the pieces largest is taken. */
const WIDTHS = [260, 420, 640, 900, 1300, 1900] as const
/** Round and between the pieces at the least, mm. */
const GAP = 30

/** Room for a name under each piece, pixels. */
const NAME = 20
const laid = computed(() => {
  const scale = (a: { width: number; height: number }): number =>
    Math.min(SCREEN.width / (a.width + 2 * GAP), SCREEN.height / (a.height + 2 * GAP))
  const rows = (width: number, gap: number) =>
    arrangeInRows(props.fitted, ({ piece }) => piece.cut, width, gap, 'lie')
  const tried = WIDTHS.map((width) => ({ width, shown: scale(rows(width, GAP)) }))
  const { width, shown } = tried.reduce((a, b) => (b.shown > a.shown ? b : a))
  return rows(width, Math.max(GAP, NAME / shown))
})
const box = computed(() =>
  boxGrown({ left: 0, top: 0, right: laid.value.width, bottom: laid.value.height }, GAP),
)
const pixel = computed(() =>
  Math.max(
    (box.value.right - box.value.left) / SCREEN.width,
    (box.value.bottom - box.value.top) / SCREEN.height,
  ),
)
/** A name stands in the middle of its piece, or under one that is too low or too narrow for it. */
const names = computed(() =>
  laid.value.placed.map(({ item: { piece }, move }) => {
    const { left, right, top, bottom } = pathBox(pathMoved(piece.cut, move))
    const low = bottom - top < 60 * pixel.value || right - left < 7 * piece.name.length * pixel.value
    return {
      name: piece.name,
      x: (left + right) / 2,
      y: low ? bottom + 13 * pixel.value : (top + bottom) / 2,
    }
  }),
)
const rings = computed(() => {
  const places = laid.value.placed.flatMap(({ item, move }) =>
    item.places.map((p) => ({ ...p, at: pointMoved(p.at, move) })),
  )
  // A number stands beside its place, so that the hole itself is seen.
  const numbers = numbersFor(
    places.map(({ at }) => [{ x: at.x + 15 * pixel.value, y: at.y - 15 * pixel.value }]),
    box.value,
    8 * pixel.value,
  )
  return places.map((p, i) => ({ ...p, number: numbers[i]!.at }))
})
</script>

<template>
  <p class="take"><TakeDrawing :drawing="() => drawing ?? undefined" name="where hardware is set" /></p>
  <svg
    ref="drawing"
    :viewBox="`${box.left} ${box.top} ${box.right - box.left} ${box.bottom - box.top}`"
    role="group"
    aria-label="The pieces that carry hardware, with the number of each place"
  >
    <g
      v-for="{ item, move } in laid.placed"
      :key="item.piece.id"
      :transform="`matrix(${move.a} ${move.b} ${move.c} ${move.d} ${move.e} ${move.f})`"
    >
      <PieceDrawing :piece="item.piece" :job="job" :hidden="LEFT_OFF" :pixel="pixel" />
      <path :d="pathData(item.piece.finished)" class="finished" :stroke-width="0.6 * pixel" />
    </g>
    <text
      v-for="n in names"
      :key="n.name"
      :x="n.x"
      :y="n.y"
      :font-size="12 * pixel"
      text-anchor="middle"
      class="name"
    >
      {{ n.name }}
    </text>
    <g
      v-for="(r, i) in rings"
      :key="i"
      class="ring"
      :class="{ chosen: chosen === r.row }"
      role="button"
      tabindex="0"
      :aria-label="`${r.row}: ${r.name}`"
      :aria-pressed="chosen === r.row"
      @click="chosen = chosen === r.row ? undefined : r.row"
      @keydown.enter="chosen = r.row"
      @keydown.space.prevent="chosen = r.row"
    >
      <circle :cx="r.at.x" :cy="r.at.y" :r="9 * pixel" class="place" :stroke-width="1.6 * pixel" />
      <line :x1="r.at.x" :y1="r.at.y" :x2="r.number.x" :y2="r.number.y" :stroke-width="pixel" />
      <circle :cx="r.number.x" :cy="r.number.y" :r="8 * pixel" class="number" :stroke-width="pixel" />
      <text :x="r.number.x" :y="r.number.y + 3.9 * pixel" :font-size="11 * pixel" text-anchor="middle">
        {{ r.row }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.take {
  display: flex;
  justify-content: flex-end;
  max-width: 1180px;
  margin: 0;
}
svg {
  display: block;
  width: 100%;
  max-width: 1180px;
  height: 260px;
  margin-bottom: 12px;
}
.finished {
  fill: none;
  stroke: var(--hairline);
}
.ring {
  cursor: pointer;
  outline: none;
}
.place {
  fill: transparent;
  stroke: var(--loch);
}
.ring line {
  stroke: var(--loch);
}
.number {
  fill: var(--surface);
  stroke: var(--loch);
}
.ring:is(.chosen, :focus-visible) .number {
  fill: var(--heather-wash);
  stroke: var(--heather);
}
.ring:is(.chosen, :focus-visible) .place {
  stroke: var(--heather);
}
text {
  fill: var(--ink);
  font-family: var(--mono);
}
.name {
  font-family: var(--ui);
}
</style>
