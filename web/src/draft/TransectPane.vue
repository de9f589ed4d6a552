<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import type { Transect, TransectLayer } from '@drumlin/core/layup'
import { OUNCE, printWeight, trimmed, systemOf } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import TakeDrawing from '../parts/TakeDrawing.vue'
import TransectTry from './TransectTry.vue'
import WordHelp from '../help/WordHelp.vue'
import ChoiceField from '../sentence/ChoiceField.vue'

const props = defineProps<{ transect: Transect; derived: Derived; reach: number }>()
const state = defineModel<string>('state', { required: true })
const contents = defineModel<boolean>('contents', { required: true })
const folded = defineModel<boolean>('folded', { required: true })
const settings = useSettings()
const stretch = ref(8)
const drawing = ref<SVGSVGElement>()
const STRETCHES = [1, 2, 4, 8, 16].map((n) => ({ value: n, label: `up to ${n} ×` }))
const states = computed(() => props.derived.works.map((w) => ({ value: w.layup.id, label: w.layup.name })))

const WIDTH = 820
const HEIGHT = 96
const across = computed(() => WIDTH / Math.max(1, props.transect.length))
/** Pixels a millimetre of thickness takes; what is asked for, or as much as there is room for. */
const up = computed(() =>
  Math.min(stretch.value * across.value, (HEIGHT - 22) / Math.max(props.transect.thickest, props.reach, 0.5)),
)
const drawnAt = computed(() => trimmed(up.value / across.value, 1, settings.unit))
const y = (mm: number): number => HEIGHT - 16 - mm * up.value

/** Spans that follow each other are one stretch of the layer, drawn round once. */
function stretches(layer: TransectLayer): (typeof layer.spans)[] {
  return layer.spans.reduce<(typeof layer.spans)[]>((all, span) => {
    const last = all[all.length - 1]
    return last && Math.abs(last[last.length - 1]!.end - span.start) < 1e-6
      ? [...all.slice(0, -1), [...last, span]]
      : [...all, [span]]
  }, [])
}
const shape = (layer: TransectLayer): string =>
  stretches(layer)
    .map((spans) => {
      const over = spans.flatMap((s) => [
        `${s.start * across.value} ${y(s.top[0])}`,
        `${s.end * across.value} ${y(s.top[1])}`,
      ])
      const under = spans
        .flatMap((s) => [
          `${s.start * across.value} ${y(s.bottom[0])}`,
          `${s.end * across.value} ${y(s.bottom[1])}`,
        ])
        .reverse()
      return `M${[...over, ...under].join('L')}Z`
    })
    .join('')
const swatch = (layer: TransectLayer): string =>
  props.derived.pieces.find((p) => p.id === layer.panelId)?.swatch ?? 'var(--loch)'
const label = (layer: TransectLayer) => {
  const span = layer.spans.reduce((a, b) => (b.end - b.start > a.end - a.start ? b : a))
  return {
    x: ((span.start + span.end) / 2) * across.value,
    y: y((span.bottom[0] + span.top[1]) / 2) + 4,
    room: (span.end - span.start) * across.value,
    tall: (span.top[0] - span.bottom[0]) * up.value,
  }
}

const print = (mm: number): string =>
  systemOf(settings.unit, 'thickness') === 'mm'
    ? trimmed(mm, 2, settings.unit)
    : trimmed(mm / OUNCE, 1, settings.unit)

/** Layers going round folds and turned edges: half rings, true to thickness, as wide as the section makes them. */
const rings = computed(() =>
  props.transect.bends.flatMap((bend, i) =>
    bend.rings.map((ring) => {
      const half = ([low, high]: readonly [number, number], back: boolean): string => {
        const ry = ((high - low) / 2) * up.value
        const rx = ((high - low) / 2) * bend.stretch * across.value
        const sweep = bend.toward > 0 === back ? 0 : 1
        const [from, to] = back ? [low, high] : [high, low]
        return `${back ? 'L' : 'M'}${bend.at * across.value} ${y(from)}A${rx} ${ry} 0 0 ${sweep} ${bend.at * across.value} ${y(to)}`
      }
      const layer = props.transect.layers.find((l) => l.sheetId === ring.sheets[0])
      return {
        key: `${i} ${ring.sheets.join()}`,
        d: `${half(ring.outer, false)}${half(ring.inner, true)}Z`,
        fill: layer ? swatch(layer) : 'none',
      }
    }),
  ),
)

/** Totals at the steps, as many as can be read side by side. */
const totals = computed(() => {
  const found: { x: number; text: string; over: boolean }[] = []
  for (const s of props.transect.steps) {
    const total = Math.max(...s.total)
    const x = ((s.start + s.end) / 2) * across.value
    const last = found[found.length - 1]
    if (last?.text === print(total)) continue
    if (total > 0 && x - (last?.x ?? -99) > 40 && (s.end - s.start) * across.value > 4)
      found.push({ x, text: print(total), over: total > props.reach + 1e-9 })
  }
  return found
})
</script>

<template>
  <section class="pane" aria-labelledby="transect-title">
    <div class="head">
      <v-btn
        variant="plain"
        :aria-expanded="folded ? 'false' : 'true'"
        aria-controls="transect-body"
        @click="folded = !folded"
      >
        <h2 id="transect-title">
          <span aria-hidden="true">{{ folded ? '▸' : '▾' }}</span> Transect A–A′
        </h2>
      </v-btn>
      <WordHelp word="transect" />
      <template v-if="!folded">
        <span
          >work <ChoiceField :value="state" label="work" :options="states" @change="(id) => (state = id)"
        /></span>
        <v-checkbox-btn v-model="contents" label="with contents" />
        <span
          >thickness
          <ChoiceField :value="stretch" label="thickness" :options="STRETCHES" @change="(n) => (stretch = n)"
        /></span>
        <span class="quiet"
          >({{ drawnAt }} ×) · thickest
          <strong class="figure" data-thickest>{{
            printWeight(transect.thickest, settings.unit)
          }}</strong></span
        >
        <TransectTry :transect="transect" :derived="derived" />
      </template>
    </div>
    <svg
      v-if="!folded"
      id="transect-body"
      ref="drawing"
      :viewBox="`-10 0 ${WIDTH + 50} ${HEIGHT}`"
      role="img"
      :aria-label="`Section through the work, ${transect.layers.length} layers, at most ${printWeight(transect.thickest, settings.unit)}`"
    >
      <path
        v-for="layer in transect.layers"
        :key="layer.sheetId"
        :d="shape(layer)"
        :fill="swatch(layer)"
        class="layer"
        :class="{ carried: !layer.panelId }"
      />
      <path v-for="r in rings" :key="r.key" :d="r.d" :fill="r.fill" class="layer" data-bend />
      <line x1="0" :x2="WIDTH" :y1="y(reach)" :y2="y(reach)" class="reach" />
      <text :x="WIDTH + 4" :y="y(reach) + 4" class="figure reach">{{ print(reach) }}</text>
      <text :x="WIDTH" :y="y(reach) - 3" text-anchor="end" class="name quietly">reach of the iron</text>
      <template v-for="layer in transect.layers" :key="`t${layer.sheetId}`">
        <text
          v-if="label(layer).room > layer.name.length * 6 && label(layer).tall > 10"
          :x="label(layer).x"
          :y="label(layer).y"
          class="name"
          text-anchor="middle"
        >
          {{ layer.name }}
        </text>
      </template>
      <g v-for="(t, i) in totals" :key="i">
        <line :x1="t.x" :x2="t.x" :y1="HEIGHT - 15" :y2="HEIGHT - 11" class="tick" />
        <text :x="t.x" :y="HEIGHT - 1" class="figure total" :class="{ over: t.over }" text-anchor="middle">
          {{ t.text }}
        </text>
      </g>
    </svg>
    <p v-if="!folded" class="take">
      <TakeDrawing :drawing="() => drawing" :name="`transect of ${derived.design.name}`" />
    </p>
  </section>
</template>

<style scoped>
.take {
  position: absolute;
  right: 6px;
  bottom: 2px;
  margin: 0;
}
.pane {
  position: relative;
  border-top: 1px solid var(--hairline);
  padding: 6px 14px 4px;
  background: var(--surface);
}
.head {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 2px 12px;
  font-size: 14px;
  white-space: nowrap;
}
h2 {
  font-size: 15px;
}
svg {
  display: block;
  width: 100%;
  height: 112px;
}
.layer {
  stroke: #1f2d33;
  stroke-width: 0.8;
}
.carried {
  fill-opacity: 0.35;
  stroke-dasharray: 3 2;
}
line.reach {
  stroke: var(--gorse-mark);
  stroke-width: 1.5px;
  stroke-dasharray: 2 4;
}
text {
  font-size: 12px;
  fill: var(--ink);
}
text.quietly {
  fill: var(--quiet) !important;
}
text.name {
  fill: #1f2d33;
  font-size: 11px;
}
.tick {
  stroke: var(--quiet);
}
.total {
  font-weight: 650;
}
.total.over {
  fill: var(--rowan);
}
</style>
