<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Derived, SeamRow } from '@drumlin/core/derived'
import { numbersFor, pathData } from '@drumlin/core/drawing'
import { boxGrown, boxUnion, boxesMeet } from '@drumlin/core/geometry'
import type { Run } from '@drumlin/core/stitch'

/** The state of the work a run lies in, with all its runs: where each goes, and the hole that is looked at. */
const props = defineProps<{
  derived: Derived
  rows: readonly SeamRow[]
  run: Run
  hole: number | undefined
}>()
const emit = defineEmits<{ choose: [id: string] }>()

const work = computed(() => props.derived.works.find((w) => w.layup.id === props.run.join.layup)!)
/** What the run holds, and all that lies over or under it; pieces laid out elsewhere are left out. */
const sheets = computed(() => {
  const all = work.value.sheets.filter((s) => s.part === 'whole' && s.sheet.type === 'panel')
  const held = all.filter((s) => props.run.join.through.includes(s.sheet.id))
  return all.filter((s) => held.some((h) => boxesMeet(h.box, s.box)))
})
const box = computed(() => {
  const all = boxUnion(sheets.value.map((s) => s.box))
  // Numbers of runs along an edge have room beside it.
  return boxGrown(all, 7 + 0.04 * Math.max(all.right - all.left, all.bottom - all.top))
})
/** What stands higher than the drawing has room for is laid on its side. */
const tall = computed(() => box.value.bottom - box.value.top > 1.2 * (box.value.right - box.value.left))
const lie = computed(() => (tall.value ? 'rotate(-90)' : undefined))
const lying = (p: { x: number; y: number }): { x: number; y: number } =>
  tall.value ? { x: p.y, y: -p.x } : p
const view = computed(() => {
  const { left, top, right, bottom } = box.value
  return tall.value
    ? `${top} ${-right} ${bottom - top} ${right - left}`
    : `${left} ${top} ${right - left} ${bottom - top}`
})
const drawing = useTemplateRef<SVGSVGElement>('drawing')
const { width: shownWidth, height: shownHeight } = useElementSize(drawing, { width: 380, height: 210 })
/** A screen pixel in mm. */
const pixel = computed(() => {
  const { left, top, right, bottom } = box.value
  const [wide, high] = tall.value ? [bottom - top, right - left] : [right - left, bottom - top]
  return Math.max(wide / Math.max(1, shownWidth.value), high / Math.max(1, shownHeight.value))
})
const outlines = computed(() =>
  sheets.value.map((s) => ({ d: pathData(s.placed), through: props.run.join.through.includes(s.sheet.id) })),
)
const shown = computed(() =>
  props.rows
    .filter((r) => r.run.join.layup === props.run.join.layup)
    .filter((r) => sheets.value.some((s) => s.sheet.id === r.run.join.course.sheet)),
)
const places = computed(() =>
  numbersFor(
    shown.value.map((r) => r.run.holes.map((h) => h.at)),
    box.value,
    8 * pixel.value,
  ),
)
const runs = computed(() =>
  shown.value.map((r, i) => ({
    id: r.run.join.id,
    number: r.number,
    name: r.run.join.name,
    d: pathData(r.run.path),
    chosen: r.run.join.id === props.run.join.id,
    at: lying(places.value[i]!.at),
    from: places.value[i]!.from && lying(places.value[i]!.from!),
  })),
)
const chosen = computed(() => runs.value.find((r) => r.chosen))
const here = computed(() => {
  const hole = props.hole === undefined ? undefined : props.run.holes[props.hole]
  return hole && lying(hole.at)
})
defineExpose({ drawing })
</script>

<template>
  <svg ref="drawing" :viewBox="view" class="map" role="group" aria-label="Where the runs go">
    <path
      v-for="(o, i) in outlines"
      :key="i"
      :transform="lie"
      :d="o.d"
      class="sheet"
      :class="{ through: o.through }"
      :stroke-width="pixel"
    />
    <g
      v-for="r in runs"
      :key="r.id"
      :transform="lie"
      class="run"
      :class="{ chosen: r.chosen }"
      role="button"
      tabindex="0"
      :aria-label="`Run ${r.number}, ${r.name}`"
      :aria-pressed="r.chosen"
      @click="emit('choose', r.id)"
      @keydown.enter="emit('choose', r.id)"
      @keydown.space.prevent="emit('choose', r.id)"
    >
      <path :d="r.d" class="reach" :stroke-width="10 * pixel" />
      <path
        :d="r.d"
        class="line"
        :stroke-width="(r.chosen ? 2.6 : 1.4) * pixel"
        :stroke-dasharray="`${3 * pixel} ${2 * pixel}`"
      />
    </g>
    <g v-for="r in runs" :key="`n${r.id}`" class="number" :class="{ chosen: r.chosen }" aria-hidden="true">
      <line v-if="r.from" :x1="r.from.x" :y1="r.from.y" :x2="r.at.x" :y2="r.at.y" :stroke-width="pixel" />
      <circle :cx="r.at.x" :cy="r.at.y" :r="8 * pixel" :stroke-width="pixel" />
      <text :x="r.at.x" :y="r.at.y + 3.8 * pixel" :font-size="11 * pixel" text-anchor="middle">
        {{ r.number }}
      </text>
    </g>
    <circle
      v-if="here && chosen"
      :cx="here.x"
      :cy="here.y"
      :r="7 * pixel"
      class="here"
      :stroke-width="2.6 * pixel"
      data-ring
    />
  </svg>
</template>

<style scoped>
.map {
  display: block;
  width: 100%;
  height: clamp(210px, 36dvh, 560px);
}
.sheet {
  fill: none;
  stroke: var(--hairline);
}
.sheet.through {
  fill: var(--moss);
  fill-opacity: 0.07;
  stroke: var(--quiet);
}
.reach {
  stroke: transparent;
  fill: none;
  pointer-events: stroke;
}
.run {
  cursor: pointer;
}
.line {
  fill: none;
  stroke: var(--ink);
}
.chosen .line {
  stroke: var(--heather);
}
.number line {
  stroke: var(--quiet);
}
.number circle {
  fill: var(--surface);
  stroke: var(--ink);
}
.number text {
  fill: var(--ink);
  font-weight: 650;
}
.number {
  pointer-events: none;
}
.number.chosen circle {
  fill: var(--heather);
  stroke: var(--heather);
}
.number.chosen text {
  fill: var(--surface);
}
.here {
  fill: none;
  stroke: var(--rowan);
}
</style>
