<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { pathData } from '@drumlin/core/drawing'
import type { Path, Point } from '@drumlin/core/geometry'
import { type LaidUp, layersAt } from '@drumlin/core/layup'
import { printWeight, printWeightBare } from '@drumlin/core/measure'
import type { Survey } from '@drumlin/core/relief'
import { useSettings } from '../app/settings.js'
import TakeDrawing from '../parts/TakeDrawing.vue'
import { arrowStep } from '../sheet/arrows.js'
import MapLegend from './MapLegend.vue'
import { LEGEND_ROW, legendRows } from './legend.js'
import { colouredMap } from './coloured.js'
import { bandColour, bandCount, bandOf, inkOn } from './ramp.js'

const props = defineProps<{ survey: Survey; work: LaidUp; areas: readonly Path[] }>()
const settings = useSettings()
const drawing = useTemplateRef<SVGSVGElement>('drawing')
const thickest = computed(() => props.survey.spots[0]!)
const interval = computed(() => props.survey.asked.interval)
const bands = computed(() => bandCount(thickest.value.height, interval.value))
const box = computed(() => {
  const { left, top, step, columns, rows } = props.survey.map
  return { left, top, width: columns * step, height: rows * step }
})
const print = (mm: number): string => printWeightBare(mm, settings.unit)
const { width: shownWidth } = useElementSize(drawing, { width: 760, height: 400 })
/** A screen pixel in mm. */
const pixel = computed(() => box.value.width / Math.max(1, shownWidth.value))

const coloured = computed(() => colouredMap(props.survey.map, interval.value, bands.value))

/** The key to its colours stands below the map and is taken out with it. */
const key = computed(() => Array.from({ length: bands.value }, (_, i) => bandColour(i, bands.value)))
const keyHigh = computed(() => 12 + legendRows(bands.value, shownWidth.value) * LEGEND_ROW)
const taken = computed(() => {
  const { left, top, width, height } = box.value
  return { x: left, y: top, width, height: height + keyHigh.value * pixel.value }
})

const lines = computed(() =>
  props.survey.contours.map(({ level, points }) => ({
    level,
    whole: Math.abs(level / (2 * interval.value) - Math.round(level / (2 * interval.value))) < 1e-6,
    d: `M${points.map((p) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`).join('L')}Z`,
  })),
)
const spots = computed(() =>
  props.survey.spots.map((s) => ({
    ...s,
    text: print(s.height),
    ink: inkOn(bandOf(s.height, interval.value), bands.value),
    // Where a figure is wider than its place, a rim of its own ground keeps it readable on what lies beside.
    ground: bandColour(bandOf(s.height, interval.value), bands.value),
    // Near the right border the figure stands on the other side of its dot.
    left: s.at.x > box.value.left + box.value.width - 56 * pixel.value,
  })),
)

/** The place that is read, in mm of the laid-up work. */
const place = ref<Point>()
const reading = computed(() => {
  const at = place.value
  if (!at) return undefined
  const layers = layersAt(props.work, at, props.survey.asked.contents)
  const total = layers.reduce((sum, l) => sum + l.thickness, 0)
  return { at, total, layers: layers.map((l) => `${l.laid.sheet.name} ${print(l.thickness)}`).toReversed() }
})
watch(
  () => props.survey.asked.state,
  () => (place.value = undefined),
)

function pointed(event: PointerEvent): void {
  const frame = (event.currentTarget as HTMLElement).getBoundingClientRect()
  place.value = {
    x: box.value.left + ((event.clientX - frame.left) / frame.width) * box.value.width,
    y: box.value.top + ((event.clientY - frame.top) / frame.height) * box.value.height,
  }
}
function pressed(event: KeyboardEvent): void {
  if (event.key === 'Escape') place.value = undefined
  const step = arrowStep(event)
  if (!step) return
  event.preventDefault()
  const { left, top, width, height } = box.value
  const from = place.value ?? thickest.value.at
  place.value = {
    x: Math.min(left + width, Math.max(left, from.x + step.x)),
    y: Math.min(top + height, Math.max(top, from.y + step.y)),
  }
}
</script>

<template>
  <div class="whole">
    <div
      class="map"
      tabindex="0"
      role="group"
      aria-roledescription="thickness map"
      :aria-label="`Thickness map, at most ${printWeight(thickest.height, settings.unit)}; arrow keys read a place`"
      :style="{
        aspectRatio: `${box.width} / ${box.height}`,
        maxWidth: `calc(max(400px, 52dvh) * ${box.width / box.height})`,
        marginBottom: `${keyHigh}px`,
      }"
      @pointermove="pointed"
      @pointerdown="pointed"
      @keydown="pressed"
    >
      <svg ref="drawing" :viewBox="`${box.left} ${box.top} ${box.width} ${box.height}`" aria-hidden="true">
        <image
          :href="coloured"
          :x="box.left"
          :y="box.top"
          :width="box.width"
          :height="box.height"
          preserveAspectRatio="none"
        />
        <path
          v-for="(line, i) in lines"
          :key="i"
          :d="line.d"
          class="contour"
          :class="{ whole: line.whole }"
          :stroke-width="(line.whole ? 1.4 : 0.7) * pixel"
        />
        <path
          v-for="(area, i) in areas"
          :key="`a${i}`"
          :d="pathData(area)"
          class="area"
          :stroke-width="2 * pixel"
        />
        <g v-for="(s, i) in spots" :key="`s${i}`" :fill="s.ink">
          <path
            v-if="s.thickest"
            :d="`M${s.at.x} ${s.at.y - 8 * pixel}l${8 * pixel} ${13 * pixel}h${-16 * pixel}Z`"
            fill="none"
            :stroke="s.ink"
            :stroke-width="2 * pixel"
          />
          <circle v-else :cx="s.at.x" :cy="s.at.y" :r="2.2 * pixel" />
          <text
            :x="s.at.x + (s.left ? -1 : 1) * (s.thickest ? 12 : 6) * pixel"
            :y="s.at.y + 5 * pixel"
            :font-size="13 * pixel"
            :text-anchor="s.left ? 'end' : 'start'"
            :stroke="s.ground"
            :stroke-width="4 * pixel"
            stroke-linejoin="round"
            paint-order="stroke"
          >
            {{ s.text }}
          </text>
        </g>
        <g v-if="reading" class="cross" :stroke-width="1.5 * pixel">
          <circle :cx="reading.at.x" :cy="reading.at.y" :r="7 * pixel" />
          <path
            :d="`M${reading.at.x - 12 * pixel} ${reading.at.y}h${24 * pixel}M${reading.at.x} ${reading.at.y - 12 * pixel}v${24 * pixel}`"
          />
        </g>
        <MapLegend :colours="key" :interval="interval" :under="box" :pixel="pixel" />
      </svg>
    </div>
    <div class="below">
      <p class="reading" role="status" data-reading>
        <template v-if="reading">
          <strong class="figure">{{ printWeight(reading.total, settings.unit) }}</strong>
          <span v-if="reading.layers.length > 0"> from the top: {{ reading.layers.join(' · ') }}</span>
          <span v-else class="quiet"> nothing lies here</span>
        </template>
        <span v-else class="quiet"
          >Point at the map, or give it the focus and use the arrow keys, to read any place.</span
        >
      </p>
      <TakeDrawing
        :drawing="() => drawing ?? undefined"
        :name="`relief, ${work.layup.name}`"
        :taken="taken"
      />
    </div>
  </div>
</template>

<style scoped>
.whole {
  min-width: 0;
}
.below {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 14px;
}
.map {
  position: relative;
  width: 100%;
  cursor: crosshair;
  touch-action: none;
  background: var(--surface);
}
svg {
  overflow: visible;
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.contour {
  fill: none;
  stroke: #1f2d33;
  stroke-opacity: 0.45;
}
.contour.whole {
  stroke-opacity: 0.85;
}
.area {
  fill: #7a4e7e;
  fill-opacity: 0.28;
  stroke: #7a4e7e;
}
text {
  font-family: var(--mono);
  font-weight: 600;
}
.cross {
  fill: none;
  stroke: #7a4e7e;
}
.reading {
  margin: 8px 0 0;
  min-height: 24px;
  font-size: 14px;
}
</style>
