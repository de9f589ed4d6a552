<script setup lang="ts">
import { systemOf } from '@drumlin/core/measure'
import { computed, ref, useTemplateRef } from 'vue'
import { useSettings } from '../app/settings.js'
import type { PrintedPage } from '@drumlin/core/devices'

/** A printed page as it lies there, with a rule that is laid from one place to another. */
const props = defineProps<{ page: PrintedPage }>()
interface Place {
  readonly x: number
  readonly y: number
}
const sheet = useTemplateRef<SVGSVGElement>('sheet')
const ends = ref<readonly Place[]>([])
/** A rule is laid to the end or the crossing of a line that lies so near, mm. */
const NEAR = 3

const corners = computed(() => props.page.lines.flatMap((l) => (l.points.length <= 3 ? l.points : [])))
function snapped(p: Place): Place {
  const near = corners.value
    .map((c) => ({ c, off: Math.hypot(c.x - p.x, c.y - p.y) }))
    .reduce<{ c: Place; off: number } | undefined>((a, b) => (a && a.off <= b.off ? a : b), undefined)
  return near && near.off < NEAR ? near.c : p
}
function lay(event: MouseEvent): void {
  const matrix = sheet.value?.getScreenCTM()
  if (!matrix) return
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  ends.value = [...(ends.value.length === 2 ? [] : ends.value), snapped(at)]
}
const read = computed(() => {
  const [a, b] = ends.value
  return a && b ? Math.hypot(a.x - b.x, a.y - b.y) : undefined
})
const settings = useSettings()
/** As fine as a good rule is read. */
const ruled = (mm: number): string =>
  systemOf(settings.unit) === 'mm'
    ? `${mm.toFixed(1)} mm`
    : `${(mm / 25.4).toFixed(3)} in, ${mm.toFixed(1)} mm`
/** The long lines of a page, for whoever lays the rule without a pointer. */
const bars = computed(() =>
  props.page.lines
    .flatMap(({ points }) => {
      const [a, b] = [points[0]!, points.at(-1)!]
      const length = Math.hypot(a.x - b.x, a.y - b.y)
      return points.length === 2 && length > 60
        ? [{ a, b, length, upright: Math.abs(a.x - b.x) < Math.abs(a.y - b.y) }]
        : []
    })
    .slice(0, 12),
)
</script>

<template>
  <div>
    <p class="row">
      <v-btn v-for="(bar, i) in bars" :key="i" size="small" @click="ends = [bar.a, bar.b]"
        >Rule along line {{ i + 1 }}, {{ bar.upright ? 'upright' : 'across' }}</v-btn
      >
    </p>
    <p role="status">
      {{
        read === undefined ? 'Lay the rule: click one end, then the other.' : `The rule reads ${ruled(read)}.`
      }}
    </p>
    <svg
      ref="sheet"
      class="sheet"
      :viewBox="`0 0 ${page.width} ${page.height}`"
      role="img"
      aria-label="The printed page"
      @click="lay"
    >
      <polyline
        v-for="(l, i) in page.lines"
        :key="i"
        :points="l.points.map((p) => `${p.x.toFixed(2)},${p.y.toFixed(2)}`).join(' ')"
        :stroke-width="l.weight"
      />
      <text v-for="(w, i) in page.words" :key="`w${i}`" :x="w.at.x" :y="w.at.y" :font-size="w.size">
        {{ w.text }}
      </text>
      <template v-if="ends.length > 0">
        <circle v-for="(e, i) in ends" :key="`e${i}`" class="rule" :cx="e.x" :cy="e.y" r="1.4" />
        <line
          v-if="ends.length === 2"
          class="rule"
          :x1="ends[0]!.x"
          :y1="ends[0]!.y"
          :x2="ends[1]!.x"
          :y2="ends[1]!.y"
        />
      </template>
    </svg>
  </div>
</template>

<style scoped>
.sheet {
  width: 100%;
  max-height: 560px;
  background: #fff;
  box-shadow: 0 0 0 1px var(--hairline);
  cursor: crosshair;
}
polyline {
  fill: none;
  stroke: #1f2d33;
}
text {
  fill: #1f2d33;
  font-family: var(--ui);
}
.rule {
  fill: none;
  stroke: #7a4e7e;
  stroke-width: 0.7;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
