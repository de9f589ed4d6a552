<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { printLength, printWeight } from '@drumlin/core/measure'
import type { Run, Zip, ZipSide } from '@drumlin/core/stitch'
import TakeDrawing from '../parts/TakeDrawing.vue'
import WordHelp from '../help/WordHelp.vue'
import { useSettings } from '../app/settings.js'

const props = defineProps<{ zip: Zip; run: Run }>()
/** The hole of the front edge that is looked at. */
const chosen = defineModel<number | undefined>('chosen', { required: true })
const settings = useSettings()
const box = ref<HTMLElement>()
const drawing = ref<SVGSVGElement>()

/** Heights of the two edges and what stands above and below them, px. */
const [LEFT, TOP, BAND, GAP] = [6, 56, 36, 54]
const room = ref(780)
let watcher: ResizeObserver | undefined
onMounted(() => {
  watcher = new ResizeObserver(([entry]) => (room.value = Math.floor(entry!.contentRect.width)))
  watcher.observe(box.value!)
})
onBeforeUnmount(() => watcher?.disconnect())
/** So near holes can still be told apart and clicked. */
const PITCH = 8
const width = computed(() => Math.max(room.value, props.zip.front.holes.length * PITCH))
const longest = computed(() => Math.max(props.zip.front.length, props.zip.back?.length ?? 0, 1e-9))
const x = (distance: number): number => LEFT + 8 + (distance / longest.value) * (width.value - 2 * LEFT - 16)
const height = computed(() => (props.zip.back ? TOP + 2 * BAND + GAP + 22 : TOP + BAND + 8))
const backTop = TOP + BAND + GAP
/** Where the rows of holes lie, near the edges that meet. */
const frontRow = TOP + BAND - 9
const backRow = backTop + 9

const slant = computed(() => {
  const { iron } = props.run.ways
  const angle = (iron.slant * Math.PI) / 180
  return { dx: 5 * Math.cos(angle), dy: 5 * Math.sin(angle) }
})
const slots = (side: ZipSide, row: number, mirrored: boolean): string =>
  side.holes
    .map((h) => {
      const dx = mirrored ? -slant.value.dx : slant.value.dx
      return `M${(x(h.distance) - dx).toFixed(1)} ${row + slant.value.dy}l${(2 * dx).toFixed(1)} ${-2 * slant.value.dy}`
    })
    .join('')
const teeth = computed(() => {
  const lines = { meets: '', slanted: '' }
  for (const t of props.zip.teeth) {
    const [a, b] = [props.zip.front.holes[t.front]!, props.zip.back!.holes[t.back]!]
    const d = `M${x(a.distance).toFixed(1)} ${frontRow + 6}L${x(b.distance).toFixed(1)} ${backRow - 6}`
    if (t.slanted) lines.slanted += d
    else lines.meets += d
  }
  return lines
})
const rings = computed(() =>
  props.zip.extra.map(({ on, hole }) => ({
    x: x((on === 'front' ? props.zip.front : props.zip.back!).holes[hole]!.distance),
    y: on === 'front' ? frontRow : backRow,
  })),
)
/** Names in two rows, where one has no room; those without room in either are left out. */
function labelled(side: ZipSide) {
  const ends = [-Infinity, -Infinity]
  return side.marks.map((mark) => {
    const at = x(mark.distance)
    const half = mark.label.length * 3.3
    const centred = mark.sort === 'end' ? at - 2 * half : mark.sort === 'start' ? at : at - half
    const left = Math.max(LEFT, Math.min(centred, width.value - 2 * half - LEFT))
    const row = ends.findIndex((end) => left > end + 6)
    if (row >= 0) ends[row] = left + 2 * half
    return { ...mark, at, left, row }
  })
}
const frontMarks = computed(() => labelled(props.zip.front))
const backMarks = computed(() =>
  props.zip.back ? labelled(props.zip.back).filter((m) => m.sort === 'corner') : [],
)
const counted = (n: number): string => `${n} ${n === 1 ? 'hole' : 'holes'}`

const hole = computed(() => (chosen.value === undefined ? undefined : props.run.holes[chosen.value]))
const said = computed(() => {
  const { front, back, teeth: all, extra } = props.zip
  const off = all.filter((t) => t.slanted).length
  return [
    `${front.name}, ${counted(front.holes.length)}`,
    back ? `against ${back.name}, ${counted(back.holes.length)}` : 'alone',
    off > 0 ? `${off} do not meet squarely` : back ? 'all meet' : '',
    extra.length > 0 ? `${extra.length} without a mate` : '',
  ]
    .filter(Boolean)
    .join('; ')
})
const mate = computed(() => {
  const tooth = props.zip.teeth.find((t) => t.front === chosen.value)
  return tooth && Math.abs(tooth.off) > 0.05
    ? ` Its mate lies ${printLength(Math.abs(tooth.off), settings.unit)} ${tooth.off > 0 ? 'further on' : 'back'}.`
    : ''
})

function at(event: MouseEvent): void {
  const frame = (event.currentTarget as SVGElement).getBoundingClientRect()
  const px = ((event.clientX - frame.left) / frame.width) * width.value
  const { holes } = props.zip.front
  let best = 0
  holes.forEach((h, i) => {
    if (Math.abs(x(h.distance) - px) < Math.abs(x(holes[best]!.distance) - px)) best = i
  })
  chosen.value = best
}
function step(by: number): void {
  const last = props.zip.front.holes.length - 1
  chosen.value = Math.min(last, Math.max(0, (chosen.value ?? (by > 0 ? -1 : last + 1)) + by))
}
function pressed(event: KeyboardEvent): void {
  const last = props.zip.front.holes.length - 1
  const moves: Record<string, () => void> = {
    ArrowRight: () => step(event.altKey ? 10 : 1),
    ArrowLeft: () => step(event.altKey ? -10 : -1),
    Home: () => void (chosen.value = 0),
    End: () => void (chosen.value = last),
  }
  const move = moves[event.key]
  if (!move) return
  event.preventDefault()
  move()
}
watch(chosen, async (now) => {
  if (now === undefined || !box.value) return
  await nextTick()
  const px = x(props.zip.front.holes[now]?.distance ?? 0)
  if (px < box.value.scrollLeft || px > box.value.scrollLeft + box.value.clientWidth)
    box.value.scrollLeft = px - box.value.clientWidth / 2
})
</script>

<template>
  <div
    ref="box"
    class="box"
    tabindex="0"
    role="group"
    :aria-label="`The seam unrolled: ${said}. Arrows go from hole to hole.`"
    data-zip
    @keydown="pressed"
  >
    <svg
      ref="drawing"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      aria-hidden="true"
      @click="at"
    >
      <text :x="LEFT" y="13" class="name">{{ zip.front.name }} · {{ counted(zip.front.holes.length) }}</text>
      <g v-for="(m, i) in frontMarks" :key="`f${i}`" class="mark">
        <line
          :x1="m.at"
          :x2="m.at"
          :y1="TOP - 7 - 13 * Math.max(0, m.row)"
          :y2="m.sort === 'step' ? TOP + BAND : TOP"
        />
        <text v-if="m.row >= 0" :x="m.left" :y="TOP - 10 - 13 * m.row">
          {{ m.label }}
        </text>
      </g>
      <rect
        :x="LEFT"
        :y="TOP"
        :width="x(zip.front.length) + 8 - LEFT"
        :height="BAND"
        class="edge"
        :fill="zip.front.swatch"
      />
      <path :d="slots(zip.front, frontRow, false)" class="slot" />
      <template v-if="zip.back">
        <path :d="teeth.meets" class="tooth" />
        <path :d="teeth.slanted" class="tooth off" />
        <rect
          :x="LEFT"
          :y="backTop"
          :width="x(zip.back.length) + 8 - LEFT"
          :height="BAND"
          class="edge"
          :fill="zip.back.swatch"
        />
        <path :d="slots(zip.back, backRow, run.other !== undefined)" class="slot" />
        <g v-for="(m, i) in backMarks" :key="`b${i}`" class="mark">
          <line :x1="m.at" :x2="m.at" :y1="backTop + BAND" :y2="backTop + BAND + 6" />
        </g>
        <text :x="LEFT" :y="height - 4" class="name">
          {{ zip.back.name }} · {{ counted(zip.back.holes.length) }}
        </text>
        <circle v-for="(r, i) in rings" :key="`r${i}`" :cx="r.x" :cy="r.y" r="11" class="ring" />
      </template>
      <circle v-if="hole" :cx="x(hole.distance)" :cy="frontRow" r="8" class="here" />
    </svg>
  </div>
  <p class="said quiet" aria-live="polite" data-hole>
    <template v-if="hole && chosen !== undefined">
      Hole {{ chosen + 1 }} of {{ zip.front.holes.length }},
      {{ printLength(hole.distance, settings.unit) }} from the start, through
      {{ printWeight(hole.stack, settings.unit) }}.{{ mate }}
    </template>
    <template v-else>{{ said.charAt(0).toUpperCase() + said.slice(1) }}.</template>
    <WordHelp word="zip of a seam" />
    <TakeDrawing :drawing="() => drawing" :name="`${run.join.name}, unrolled`" />
  </p>
</template>

<style scoped>
.box {
  overflow-x: auto;
  border-radius: 6px;
}
svg {
  display: block;
  cursor: pointer;
}
.name {
  font-weight: 650;
  font-size: 13px;
  fill: var(--ink);
}
.mark text {
  font-size: 12px;
  fill: var(--ink);
}
.mark line {
  stroke: var(--ink);
}
.edge {
  stroke: var(--quiet);
}
[data-light='lamp'] .edge {
  fill-opacity: 0.2;
}
.slot {
  stroke: var(--ink);
  stroke-width: 1.6;
  fill: none;
}
.tooth {
  stroke: var(--quiet);
  stroke-width: 0.8;
  fill: none;
}
.tooth.off {
  stroke: var(--rowan);
  stroke-width: 1.6;
}
.ring {
  fill: none;
  stroke: var(--rowan);
  stroke-width: 2.6;
}
.here {
  fill: none;
  stroke: var(--heather);
  stroke-width: 2.6;
}
.said {
  margin: 4px 0 0;
  min-height: 22px;
}
</style>
