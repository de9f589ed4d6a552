<script setup lang="ts">
import { computed } from 'vue'
import { type DrawnMark, type DrawnPanel, type MarkPlace, outlineOf } from '@drumlin/core/drawn'
import { boxCentre, pathBox } from '@drumlin/core/geometry'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import NameField from '../sentence/NameField.vue'
import { freshId } from './drawn.js'

const props = defineProps<{ drawn: DrawnPanel; edge: string | undefined }>()
const emit = defineEmits<{ change: [name: string, panel: DrawnPanel, gesture?: string] }>()

const TYPES = [
  { value: 'notch', label: 'notch', usual: { text: 'a' } },
  { value: 'centre', label: 'centre mark', usual: {} },
  { value: 'slot', label: 'slot', usual: { length: 22, punch: 3 } },
  { value: 'hole', label: 'hole', usual: { punch: 4 } },
  { value: 'text', label: 'text', usual: { text: 'grain side' } },
  { value: 'up', label: 'which way is up', usual: { angle: -Math.PI / 2 } },
  { value: 'grain', label: 'grain arrow', usual: {} },
  { value: 'window', label: 'glue window', usual: { length: 20, width: 4 } },
] as const
const PLACES = [
  { value: 'distance', label: 'by distance along', why: 'so far from the start of the edge' },
  { value: 'share', label: 'by share of', why: 'a half is its middle' },
  { value: 'opposite', label: 'facing another mark, on', why: 'where the edge comes nearest to that mark' },
  { value: 'place', label: 'at a place', why: 'anywhere on the panel' },
]
const own = computed(() => props.edge?.replace(/-m$/, '') ?? props.drawn.edges[0]!.id)
const edges = computed(() => props.drawn.edges.map((e) => ({ value: e.id, label: e.name, why: '' })))
const onEdge = (type: string): boolean => type === 'notch' || type === 'centre' || type === 'window'

function add(type: (typeof TYPES)[number]): void {
  const centre = boxCentre(pathBox(outlineOf(props.drawn).path))
  const where: MarkPlace = onEdge(type.value)
    ? { type: 'share', edge: own.value, share: 0.5, inset: 0 }
    : { type: 'place', x: centre.x, y: centre.y }
  const letters = props.drawn.marks.filter((m) => m.type === 'notch').length
  const mark: DrawnMark = {
    id: freshId(type.value, props.drawn.marks),
    type: type.value,
    where,
    text: '',
    angle: 0,
    length: 0,
    width: 0,
    punch: 0,
    ...type.usual,
  }
  const named = type.value === 'notch' ? { ...mark, text: String.fromCharCode(97 + (letters % 26)) } : mark
  emit('change', `add a ${type.label}`, { ...props.drawn, marks: [...props.drawn.marks, named] })
}
const set = (mark: DrawnMark, more: Partial<DrawnMark>, gesture?: string): void =>
  emit(
    'change',
    `${mark.type} mark`,
    { ...props.drawn, marks: props.drawn.marks.map((m) => (m.id === mark.id ? { ...m, ...more } : m)) },
    gesture,
  )
const remove = (mark: DrawnMark): void =>
  emit('change', `take out a ${mark.type}`, {
    ...props.drawn,
    marks: props.drawn.marks.filter((m) => m.id !== mark.id),
  })
function placed(mark: DrawnMark, type: string): void {
  const edge = 'edge' in mark.where ? mark.where.edge : own.value
  const other = props.drawn.marks.find((m) => m.id !== mark.id)
  const centre = boxCentre(pathBox(outlineOf(props.drawn).path))
  if (type === 'distance') return set(mark, { where: { type, edge, mm: 20, inset: 0 } })
  if (type === 'share') return set(mark, { where: { type, edge, share: 0.5, inset: 0 } })
  if (type === 'opposite') return other ? set(mark, { where: { type, edge, mark: other.id } }) : undefined
  return set(mark, { where: { type: 'place', x: centre.x, y: centre.y } })
}
const others = (mark: DrawnMark) =>
  props.drawn.marks
    .filter((m) => m.id !== mark.id)
    .map((m) => ({ value: m.id, label: `${m.type}${m.text ? ` ${m.text}` : ''}`, why: '' }))
const offered = (mark: DrawnMark) => PLACES.filter((p) => p.value !== 'opposite' || others(mark).length > 0)
const labelOf = (mark: DrawnMark): string => TYPES.find((t) => t.value === mark.type)!.label
</script>

<template>
  <p v-for="m in drawn.marks" :key="m.id" class="sentence" :data-mark="m.id">
    <strong>{{ labelOf(m) }}</strong>
    <NameField
      v-if="m.type === 'notch' || m.type === 'text'"
      :value="m.text"
      :label="m.type === 'notch' ? 'letters of the notch' : 'what the text says'"
      :max="60"
      @change="(text) => set(m, { text })"
    />
    <ChoiceField
      :value="m.where.type"
      :label="`${m.id}, how it is placed`"
      :options="offered(m)"
      @change="(v) => placed(m, v)"
    />
    <template v-if="m.where.type !== 'place'">
      the
      <ChoiceField
        :value="m.where.edge"
        :label="`${m.id}, edge`"
        :options="edges"
        @change="(edge) => m.where.type !== 'place' && set(m, { where: { ...m.where, edge } })"
      />
    </template>
    <template v-if="m.where.type === 'distance'">
      ,
      <MeasureField
        :value="m.where.mm"
        :label="`${m.id}, distance along`"
        sort="length"
        :min="0"
        :max="5000"
        :step="1"
        drag
        @change="(v, g) => m.where.type === 'distance' && set(m, { where: { ...m.where, mm: v } }, g)"
      />
    </template>
    <template v-else-if="m.where.type === 'share'">
      ,
      <MeasureField
        :value="m.where.share"
        :label="`${m.id}, share along`"
        sort="share"
        :min="0"
        :max="1"
        :step="0.05"
        @change="(v, g) => m.where.type === 'share' && set(m, { where: { ...m.where, share: v } }, g)"
      />
    </template>
    <template v-else-if="m.where.type === 'opposite'">
      facing
      <ChoiceField
        :value="m.where.mark"
        :label="`${m.id}, faces`"
        :options="others(m)"
        @change="(mark) => m.where.type === 'opposite' && set(m, { where: { ...m.where, mark } })"
      />
    </template>
    <template v-else>
      <MeasureField
        :value="m.where.x"
        :label="`${m.id}, across`"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="1"
        drag
        @change="(v, g) => m.where.type === 'place' && set(m, { where: { ...m.where, x: v } }, g)"
      />
      across,
      <MeasureField
        :value="m.where.y"
        :label="`${m.id}, down`"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="1"
        drag
        @change="(v, g) => m.where.type === 'place' && set(m, { where: { ...m.where, y: v } }, g)"
      />
      down
    </template>
    <template
      v-if="
        (m.where.type === 'distance' || m.where.type === 'share') && m.type !== 'notch' && m.type !== 'centre'
      "
    >
      ,
      <MeasureField
        :value="m.where.inset"
        :label="`${m.id}, inside the edge`"
        sort="length"
        :min="-60"
        :max="500"
        :step="1"
        @change="
          (v, g) =>
            (m.where.type === 'distance' || m.where.type === 'share') &&
            set(m, { where: { ...m.where, inset: v } }, g)
        "
      />
      inside
    </template>
    <template v-if="m.type === 'slot' || m.type === 'window'">
      ,
      <MeasureField
        :value="m.length"
        :label="`${m.id}, length`"
        sort="length"
        :min="0"
        :max="500"
        :step="1"
        @change="(v, g) => set(m, { length: v }, g)"
      />
      long
    </template>
    <template v-if="m.type === 'window'"
      >,
      <MeasureField
        :value="m.width"
        :label="`${m.id}, width`"
        sort="length"
        :min="0"
        :max="200"
        :step="0.5"
        @change="(v, g) => set(m, { width: v }, g)"
      />
      wide</template
    >
    <template v-if="m.type === 'slot' || m.type === 'hole'"
      >, punch
      <MeasureField
        :value="m.punch"
        :label="`${m.id}, punch`"
        sort="length"
        :min="0"
        :max="40"
        :step="0.5"
        @change="(v, g) => set(m, { punch: v }, g)" /></template
    ><template v-if="m.type !== 'notch' && m.type !== 'centre' && m.type !== 'hole' && m.type !== 'text'"
      >, turned
      <MeasureField
        :value="Math.round((m.angle * 1800) / Math.PI) / 10"
        :label="`${m.id}, direction in degrees`"
        sort="share"
        :min="-180"
        :max="180"
        :step="5"
        @change="(v, g) => set(m, { angle: (v * Math.PI) / 180 }, g)"
      />°</template
    >.
    <v-btn variant="plain" class="link" @click="remove(m)">take it out</v-btn>
  </p>
  <p class="row">
    <v-btn v-for="t in TYPES" :key="t.value" :aria-label="`Add a ${t.label}`" @click="add(t)">
      + {{ t.label }}
    </v-btn>
  </p>
</template>

<style scoped>
@import './lists.css';
</style>
