<script setup lang="ts">
import { computed } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { type DrawnPanel, type DrawnSkive, outlineOf } from '@drumlin/core/drawn'
import { skivingsOf } from '@drumlin/core/edges'
import { type Point, boxCentre, pathBox } from '@drumlin/core/geometry'
import { printLength, printWeight } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import MeasureField from '../sentence/MeasureField.vue'
import { freshId } from './drawn.js'

const props = defineProps<{
  drawn: DrawnPanel
  derived: Derived
  edge: string | undefined
  thickness: number
}>()
const emit = defineEmits<{ change: [name: string, panel: DrawnPanel, gesture?: string] }>()
const settings = useSettings()
const set = (skive: DrawnSkive, more: Partial<DrawnSkive>, gesture?: string): void =>
  emit(
    'change',
    skive.name,
    { ...props.drawn, skives: props.drawn.skives.map((s) => (s.id === skive.id ? { ...s, ...more } : s)) },
    gesture,
  )
const edgeName = (id: string): string => props.drawn.edges.find((e) => e.id === id)?.name ?? id
const own = computed(
  () => props.drawn.edges.find((e) => e.id === props.edge?.replace(/-m$/, '')) ?? props.drawn.edges[0]!,
)
function addEdge(): void {
  const id = freshId('skive', props.drawn.skives)
  const skive: DrawnSkive = {
    id,
    name: `skive along the ${own.value.name}`.slice(0, 60),
    where: { type: 'edge', edge: own.value.id },
    width: 8,
    start: Math.round(props.thickness * 50) / 100,
    end: props.thickness,
  }
  emit('change', `skive the ${own.value.name}`, { ...props.drawn, skives: [...props.drawn.skives, skive] })
}
function addBand(): void {
  const box = pathBox(outlineOf(props.drawn).path)
  const { x } = boxCentre(box)
  const id = freshId('skive', props.drawn.skives)
  const thin = Math.round(props.thickness * 50) / 100
  const skive: DrawnSkive = {
    id,
    name: id.replace('-', ' '),
    where: { type: 'band', from: { x, y: box.bottom }, to: { x, y: box.top } },
    width: 12,
    start: thin,
    end: thin,
  }
  emit('change', 'skive a band', { ...props.drawn, skives: [...props.drawn.skives, skive] })
}
const remove = (skive: DrawnSkive): void =>
  emit('change', `leave out the ${skive.name}`, {
    ...props.drawn,
    skives: props.drawn.skives.filter((s) => s.id !== skive.id),
  })
const made = computed(() => {
  const work = props.derived.edges.find((w) => w.panel.id === props.drawn.id)
  return work ? skivingsOf(work) : []
})
/** A band runs from one place to another. */
const ENDS = { from: 'start', to: 'end' } as const
function put(skive: DrawnSkive, end: keyof typeof ENDS, to: Partial<Point>, gesture?: string): void {
  const { where } = skive
  if (where.type === 'band') set(skive, { where: { ...where, [end]: { ...where[end], ...to } } }, gesture)
}
const degrees = (radians: number): string => `${Math.round((radians * 1800) / Math.PI) / 10}°`
</script>

<template>
  <p v-for="s in drawn.skives" :key="s.id" class="sentence" :data-skive="s.id">
    <strong>{{ s.where.type === 'edge' ? `Along the ${edgeName(s.where.edge)}` : s.name }}</strong>
    <template v-if="s.where.type === 'band'">
      <template v-for="(end, name) in ENDS" :key="name">
        {{ name === 'from' ? ' from' : ' to' }}
        <template v-for="(way, axis) in { x: 'across', y: 'down' } as const" :key="axis">
          <MeasureField
            :value="s.where[name][axis]"
            :label="`${s.name}, ${way} at its ${end}`"
            sort="length"
            :min="-5000"
            :max="5000"
            :step="1"
            @change="(v, g) => put(s, name, { [axis]: v }, g)"
          />{{ axis === 'x' ? ', ' : '' }}
        </template> </template
      >,
    </template>
    <MeasureField
      :value="s.width"
      :label="`width of the ${s.name}`"
      sort="length"
      :min="0.5"
      :max="300"
      :step="0.5"
      drag
      @change="(v, g) => set(s, { width: v }, g)"
    />
    wide, from
    <MeasureField
      :value="s.start"
      :label="`${s.name}, thickness at the edge`"
      sort="thickness"
      :min="0"
      :max="thickness"
      :step="0.05"
      @change="(v, g) => set(s, { start: v }, g)"
    />
    to
    <MeasureField
      :value="s.end"
      :label="`${s.name}, thickness at its inner side`"
      sort="thickness"
      :min="0"
      :max="thickness"
      :step="0.05"
      then="."
      @change="(v, g) => set(s, { end: v }, g)"
    />{{ ' ' }}
    <v-btn variant="plain" class="link" @click="remove(s)">leave it out</v-btn>
  </p>
  <ul v-if="made.length > 0" class="made">
    <li v-for="s in made" :key="s.key">
      {{ s.name }}: {{ printWeight(Math.min(s.start, s.end), settings.unit) }} to
      {{ printWeight(Math.max(s.start, s.end), settings.unit) }} over
      {{ printLength(s.width, settings.unit) }}, {{ degrees(s.slope) }}.
      <span v-for="t in s.tools" :key="t.tool" class="tool" :class="{ not: t.not }"
        ><span aria-hidden="true">{{ t.not ? '✕' : '✓' }}</span> {{ t.tool }}{{ t.not ? `: ${t.not}` : '' }}
      </span>
    </li>
  </ul>
  <p class="row">
    <v-btn @click="addEdge">Skive along the {{ own.name }}</v-btn>
    <v-btn @click="addBand">Skive a band</v-btn>
  </p>
</template>

<style scoped>
@import './lists.css';
.made {
  list-style: none;
  padding: 0;
  margin: 0 0 8px;
  font-size: 14px;
}
.tool {
  display: block;
  padding-left: 12px;
}
.tool.not {
  color: var(--quiet);
}
</style>
