<script setup lang="ts">
import { computed, ref } from 'vue'
import {
  type DrawnPanel,
  type Going,
  drawnSegments,
  insertPoint,
  movePoint,
  partEdge,
  readingsAt,
  removePoint,
  setGoing,
  setRadius,
  setRise,
} from '@drumlin/core/drawn'
import { printBare } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'

const props = defineProps<{ drawn: DrawnPanel }>()
const point = defineModel<number | undefined>('point', { required: true })
const emit = defineEmits<{ change: [name: string, panel: DrawnPanel, gesture?: string] }>()
const refusal = ref('')

const GOINGS = [
  { value: 'line', label: 'straight', why: 'a straight line to the next point' },
  { value: 'arc', label: 'round an arc', why: 'a true arc, by its rise over the straight line' },
  { value: 'curve', label: 'along a curve', why: 'a smooth curve with a handle at each end' },
]
const index = computed(() => point.value ?? -1)
const node = computed(() => props.drawn.nodes[index.value])
/** The last point of a half drawing has nothing after it. */
const goes = computed(() => !(props.drawn.mirror && index.value === props.drawn.nodes.length - 1))
const name = computed(() => `point ${index.value + 1}`)
const parts = computed(() => {
  const before = props.drawn.nodes[(index.value + props.drawn.nodes.length - 1) % props.drawn.nodes.length]
  const first = props.drawn.mirror && index.value === 0
  return goes.value && !first && before?.edge === node.value?.edge
})

const settings = useSettings()
const readings = computed(() => {
  const { before, after, angle } = readingsAt(props.drawn, index.value)
  const mm = (v: number): string => printBare(v, settings.unit)
  return [
    before === undefined ? '' : `${mm(before)} back`,
    after === undefined ? '' : `${mm(after)} on`,
    angle === undefined ? '' : `${Math.round((angle * 1800) / Math.PI) / 10}°`,
  ]
    .filter(Boolean)
    .join(' · ')
})

function putAfter(): void {
  const segment = drawnSegments(props.drawn)[index.value]
  if (!segment) return
  const [a, b] = [segment.from, segment.to]
  const { panel, index: at } = insertPoint(
    props.drawn,
    middleOf(segment) ?? { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 },
  )
  emit('change', `put a point after ${name.value}`, panel)
  point.value = at
}
function middleOf(segment: ReturnType<typeof drawnSegments>[number]) {
  if (segment.type !== 'arc') return undefined
  const angle =
    Math.atan2(segment.from.y - segment.centre.y, segment.from.x - segment.centre.x) + segment.sweep / 2
  const radius = Math.hypot(segment.from.x - segment.centre.x, segment.from.y - segment.centre.y)
  return { x: segment.centre.x + radius * Math.cos(angle), y: segment.centre.y + radius * Math.sin(angle) }
}
function takeOut(): void {
  const left = removePoint(props.drawn, index.value)
  refusal.value = left ? '' : 'This point has to stay: an outline needs it.'
  if (!left) return
  emit('change', `take out ${name.value}`, left)
  point.value = undefined
}
</script>

<template>
  <p v-if="!node" class="bar quiet">
    Take a point to move it; twice on the outline puts one in. Arrows move by 1 mm, with Shift 0.1, with Alt
    10.
  </p>
  <div v-else class="bar" role="group" :aria-label="`Point ${index + 1}`" tabindex="0">
    <strong>Point {{ index + 1 }}</strong>
    <MeasureField
      :value="node.x"
      label="across"
      sort="length"
      :min="-5000"
      :max="5000"
      :step="1"
      @change="(x, g) => emit('change', `move ${name}`, movePoint(drawn, index, { x, y: node!.y }), g)"
    />
    across,
    <MeasureField
      :value="node.y"
      label="down"
      sort="length"
      :min="-5000"
      :max="5000"
      :step="1"
      @change="(y, g) => emit('change', `move ${name}`, movePoint(drawn, index, { x: node!.x, y }), g)"
    />
    down, rounded
    <MeasureField
      :value="node.radius"
      label="corner radius"
      sort="length"
      :min="0"
      :max="1000"
      :step="1"
      drag
      @change="(r, g) => emit('change', `round ${name}`, setRadius(drawn, index, r), g)"
    />
    <template v-if="goes">
      then
      <ChoiceField
        :value="node.going.type"
        label="how it goes on"
        :options="GOINGS"
        @change="(to) => emit('change', `${name} goes on ${to}`, setGoing(drawn, index, to as Going['type']))"
      />
      <template v-if="node.going.type === 'arc'">
        rising
        <MeasureField
          :value="node.going.rise"
          label="rise of the arc"
          sort="length"
          :min="-2000"
          :max="2000"
          :step="1"
          @change="(r, g) => emit('change', `rise after ${name}`, setRise(drawn, index, r), g)"
        />
      </template>
      <v-btn aria-label="Put a point after it" @click="putAfter">+ point</v-btn>
    </template>
    <v-btn
      v-if="parts"
      aria-label="Part the edge here"
      @click="emit('change', `part the edge at ${name}`, partEdge(drawn, index))"
    >
      Part edge
    </v-btn>
    <v-btn aria-label="Take it out" @click="takeOut">− point</v-btn>
    <span class="readings quiet">{{ readings }}</span>
    <span v-if="refusal" role="alert" class="refusal">{{ refusal }}</span>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 7px;
  align-items: center;
  /* Of one height whatever it says: the sheet must not move under a hand that drags a point. */
  height: 38px;
  box-sizing: border-box;
  margin: 0;
  white-space: nowrap;
  overflow-x: auto;
  background: var(--heather-wash);
  border-bottom: 1px solid var(--hairline);
  padding: 5px 14px;
}
.bar .v-btn {
  min-height: 26px;
  padding: 1px 9px;
  font-size: 14px;
}
.bar :deep(.choice) {
  white-space: nowrap;
}
.readings {
  font-size: 13px;
}
.refusal {
  color: var(--rowan);
}
</style>
