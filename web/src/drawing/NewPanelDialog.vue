<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { addDrawn } from '@drumlin/core/design'
import { pathData } from '@drumlin/core/drawing'
import {
  type Outlined,
  type Reading,
  SHAPES,
  barePanel,
  fromPoints,
  fromReadings,
  outlineOf,
  readingsProblem,
  lieOf,
  type DrawnPanel,
} from '@drumlin/core/drawn'
import { boxHeight, boxWidth, pathBox, pathMoved } from '@drumlin/core/geometry'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import MeasureField from '../sentence/MeasureField.vue'
import FileOutline from './FileOutline.vue'
import PointBoard from './PointBoard.vue'
import ReadingList from './ReadingList.vue'
import { freshId, idOf } from './drawn.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import { returnFocus } from '../app/focus.js'

const open = defineModel<boolean>({ required: true })
returnFocus(open)
const emit = defineEmits<{ made: [id: string] }>()
const job = useJob()
const settings = useSettings()

const WAYS = [
  { id: 'shape', label: 'a shape with measures' },
  { id: 'readings', label: 'caliper readings' },
  { id: 'points', label: 'points' },
  { id: 'file', label: 'an SVG or DXF file' },
] as const
const way = ref<(typeof WAYS)[number]['id']>('shape')
const shape = ref(SHAPES[3]!)
const values = ref<Record<string, number>>({})
const readings = ref<Reading[]>([
  { down: 0, width: 120 },
  { down: 80, width: 140 },
])
const smooth = ref(false)
const points = ref<{ x: number; y: number }[]>([])
const half = ref(true)
const fromFile = shallowRef<Outlined>()
const name = ref('Panel')
const role = ref('')
const refusal = ref('')

watch(open, (now) => {
  if (!now) return
  refusal.value = ''
  name.value = job.design?.drawn.length ? 'Panel' : 'Flap'
  role.value = job.derived?.kind.roles[0]?.id ?? ''
})
const valueOf = (id: string): number =>
  values.value[`${shape.value.id} ${id}`] ?? shape.value.fields.find((f) => f.id === id)!.value
const problem = computed((): string | undefined => {
  if (way.value === 'readings') return readingsProblem(readings.value, settings.unit)
  if (way.value === 'points' && points.value.length < (half.value ? 2 : 3))
    return half.value
      ? 'A half needs at least two points: its upper and its lower end.'
      : 'An outline needs at least three points.'
  if (way.value === 'file' && !fromFile.value) return 'Choose a file with an outline in it.'
  return undefined
})
const outlined = computed((): Outlined | undefined => {
  if (problem.value) return undefined
  switch (way.value) {
    case 'shape':
      return shape.value.make(Object.fromEntries(shape.value.fields.map((f) => [f.id, valueOf(f.id)])))
    case 'readings':
      return fromReadings(readings.value, smooth.value)
    case 'points':
      return fromPoints(points.value, half.value ? points.value[0]!.x : null)
    case 'file':
      return fromFile.value
  }
  return undefined
})
const preview = computed(() => {
  if (!outlined.value) return undefined
  const { path } = outlineOf(
    barePanel({ id: 'preview', name: 'preview', role: 'outside', ...outlined.value }),
  )
  const box = pathBox(path)
  const grow = Math.max(boxWidth(box), boxHeight(box)) * 0.06
  return {
    d: pathData(path),
    box: `${box.left - grow} ${box.top - grow} ${boxWidth(box) + 2 * grow} ${boxHeight(box) + 2 * grow}`,
    size: `${printLength(boxWidth(box), settings.unit)} × ${printLength(boxHeight(box), settings.unit)}`,
  }
})

/** Beside what already lies there, so that nothing covers anything. */
function freePlace(): DrawnPanel['lies'] {
  const rights = (job.design?.drawn ?? []).map((d) => pathBox(pathMoved(outlineOf(d).path, lieOf(d))).right)
  const left = outlined.value
    ? pathBox(outlineOf(barePanel({ id: 'x', name: 'x', role: 'x', ...outlined.value })).path).left
    : 0
  return {
    x: rights.length > 0 ? Math.round(Math.max(...rights) + 20 - left) : 0,
    y: 0,
    turn: 0,
    grainUp: false,
  }
}
function make(): void {
  const { design, derived } = job
  if (!design || !derived || !outlined.value) return
  const taken = [...derived.pieces, ...derived.master.panels, ...design.drawn]
  const id = freshId(idOf(name.value), taken)
  const panel = {
    ...barePanel({ id, name: name.value.trim() || 'Panel', role: role.value, ...outlined.value }),
    lies: freePlace(),
  }
  const refused = job.edit(addDrawn(`draw the ${panel.name.toLowerCase()}`, design, panel))
  refusal.value = refused ? `${refused.where}: ${refused.why}` : ''
  if (refused) return
  open.value = false
  emit('made', id)
}
</script>

<template>
  <v-dialog v-model="open" aria-labelledby="new-panel" max-width="760">
    <v-card class="sheet">
      <h2 id="new-panel">Draw a panel</h2>
      <v-radio-group v-model="way" inline aria-label="What it is drawn from">
        <v-radio v-for="w in WAYS" :key="w.id" :value="w.id" :label="`from ${w.label}`" />
      </v-radio-group>
      <div class="two">
        <div>
          <template v-if="way === 'shape'">
            <p>
              Shape
              <ChoiceField
                :value="shape.id"
                label="Shape"
                :options="SHAPES.map((s) => ({ value: s.id, label: s.label }))"
                @change="(id) => (shape = SHAPES.find((s) => s.id === id)!)"
              />
            </p>
            <p v-for="f in shape.fields" :key="f.id">
              {{ f.label }}
              <MeasureField
                :value="valueOf(f.id)"
                :label="f.label"
                sort="length"
                :min="f.min"
                :max="f.max"
                :step="1"
                @change="(v) => (values[`${shape.id} ${f.id}`] = v)"
              />
            </p>
          </template>
          <ReadingList v-else-if="way === 'readings'" v-model="readings" v-model:smooth="smooth" />
          <PointBoard v-else-if="way === 'points'" v-model="points" v-model:half="half" />
          <FileOutline v-else @found="(o) => (fromFile = o)" />
        </div>
        <div>
          <svg v-if="preview" :viewBox="preview.box" role="img" aria-label="The finished outline">
            <path :d="preview.d" />
          </svg>
          <p v-if="preview" class="figure">{{ preview.size }}</p>
          <p v-if="problem" class="quiet">{{ problem }}</p>
        </div>
      </div>
      <p class="name">
        <v-text-field v-model="name" label="Name" maxlength="60" />
        <span
          >cut from the
          <ChoiceField
            :value="role"
            label="cut from the"
            :options="
              (job.derived?.kind.roles ?? []).map((r) => ({
                value: r.id,
                label: `${r.label.toLowerCase()} leather`,
              }))
            "
            @change="(id) => (role = id)"
        /></span>
      </p>
      <p v-if="refusal" role="alert" class="refusal">{{ refusal }}</p>
      <p class="row">
        <v-btn @click="open = false">Leave it</v-btn>
        <v-btn variant="flat" :disabled="!outlined" @click="make">Put it on the sheet</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.sheet {
  padding: 20px 24px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px;
}
svg {
  width: 100%;
  max-height: 250px;
}
path {
  fill: var(--heather-wash);
  stroke: var(--ink);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.name,
.row {
  display: flex;
  gap: 18px;
  margin: 12px 0 0;
}
.refusal {
  color: var(--rowan);
}
p {
  margin: 6px 0;
}
</style>
