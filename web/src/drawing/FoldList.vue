<script setup lang="ts">
import { type DrawnFold, type DrawnPanel, outlineOf } from '@drumlin/core/drawn'
import { boxCentre, pathBox } from '@drumlin/core/geometry'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import { freshId } from './drawn.js'

const props = defineProps<{ drawn: DrawnPanel }>()
const emit = defineEmits<{ change: [name: string, panel: DrawnPanel, gesture?: string] }>()

const TYPES = [
  { value: 'book', label: 'folded like a book', why: 'one round fold over what lies in it' },
  {
    value: 'wrapped',
    label: 'wrapped',
    why: 'folded the same way as the wraps before it, round all they hold',
  },
  { value: 'z', label: 'folded as a Z', why: 'back and forth; only its own contents lie in it' },
  {
    value: 'groove',
    label: 'folded at a groove',
    why: 'leather is cut away on the flesh side, so that the corner is sharp',
  },
] as const
const RISES = [
  { value: 'mountain', label: 'mountain', why: 'the grain is outside' },
  { value: 'valley', label: 'valley', why: 'the grain is inside' },
] as const
const DRAWN = [
  {
    value: 'flat',
    label: 'as it lies flat',
    why: 'nothing is let in: the drawing already is the flat leather',
  },
  {
    value: 'outside',
    label: 'to its outside when folded',
    why: 'closed sizes; what the bend needs beyond them is let in',
  },
  { value: 'bend', label: 'to where the bend begins', why: 'the flat parts only; the whole bend is let in' },
] as const
const SCHOOLS = [
  { value: 'figured', label: 'figured', why: 'cut to the number worked out' },
  {
    value: 'draped',
    label: 'cut long and marked on the work',
    why: 'laid on, folded round, marked and cut: no number is trusted',
  },
] as const
const SHAPES = [
  { value: 'v', label: 'a V', why: 'the halves pivot on the skin that is left' },
  { value: 'flat', label: 'a flat groove', why: 'for folding right over: wide enough that its lips clear' },
] as const

const degrees = (radians: number): number => Math.round((radians * 1800) / Math.PI) / 10
function set(fold: DrawnFold, more: Partial<DrawnFold>, gesture?: string): void {
  const next = { ...fold, ...more }
  if (next.type === 'groove' && !next.groove)
    Object.assign(next, { groove: { shape: 'v', depth: 0.6, opening: Math.PI / 2 }, turn: Math.PI / 2 })
  if (fold.type === 'groove' && next.type !== 'groove') Object.assign(next, { groove: null, turn: Math.PI })
  emit(
    'change',
    `${fold.name}`,
    { ...props.drawn, folds: props.drawn.folds.map((f) => (f.id === fold.id ? next : f)) },
    gesture,
  )
}
function add(upright: boolean): void {
  const centre = boxCentre(pathBox(outlineOf(props.drawn).path))
  const id = freshId('fold', props.drawn.folds)
  const fold: DrawnFold = {
    id,
    name: id.replace('-', ' '),
    at: { x: Math.round(centre.x * 10) / 10, y: Math.round(centre.y * 10) / 10 },
    angle: upright ? Math.PI / 2 : 0,
    type: 'book',
    gap: 2,
    turn: Math.PI,
    rises: 'mountain',
    drawn: 'outside',
    school: 'figured',
    groove: null,
  }
  emit('change', `add ${fold.name}`, { ...props.drawn, folds: [...props.drawn.folds, fold] })
}
const remove = (fold: DrawnFold): void =>
  emit('change', `take out ${fold.name}`, {
    ...props.drawn,
    folds: props.drawn.folds.filter((f) => f.id !== fold.id),
  })
const isUpright = (fold: DrawnFold): boolean => Math.abs(Math.cos(fold.angle)) < 1e-6
const isLevel = (fold: DrawnFold): boolean => Math.abs(Math.sin(fold.angle)) < 1e-6
</script>

<template>
  <p v-for="f in drawn.folds" :key="f.id" class="sentence" :data-fold="f.id">
    <strong>{{ f.name }}</strong>
    <template v-if="isUpright(f)">
      upright at
      <MeasureField
        :value="f.at.x"
        :label="`${f.name}, across`"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="1"
        drag
        then=","
        @change="(x, g) => set(f, { at: { ...f.at, x } }, g)"
      />
    </template>
    <template v-else-if="isLevel(f)">
      level at
      <MeasureField
        :value="f.at.y"
        :label="`${f.name}, down`"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="1"
        drag
        then=","
        @change="(y, g) => set(f, { at: { ...f.at, y } }, g)"
      />
    </template>
    <template v-else> at {{ f.at.x }}, {{ f.at.y }}, </template>
    turned
    <MeasureField
      :value="degrees(f.angle)"
      :label="`${f.name}, direction in degrees`"
      sort="share"
      :min="-180"
      :max="180"
      :step="1"
      @change="(v, g) => set(f, { angle: (v * Math.PI) / 180 }, g)"
    />°;
    <ChoiceField
      :value="f.type"
      :label="`${f.name}, how it is folded`"
      :options="[...TYPES]"
      then=","
      @change="(v) => set(f, { type: v as DrawnFold['type'] })"
    />
    a
    <ChoiceField
      :value="f.rises"
      :label="`${f.name}, mountain or valley`"
      :options="[...RISES]"
      then=","
      @change="(v) => set(f, { rises: v as DrawnFold['rises'] })"
    />{{ ' ' }}
    <MeasureField
      :value="degrees(f.turn)"
      :label="`${f.name}, how far in degrees`"
      sort="share"
      :min="10"
      :max="180"
      :step="5"
      @change="(v, g) => set(f, { turn: Math.min(Math.PI, (v * Math.PI) / 180) }, g)"
    />° over
    <MeasureField
      :value="f.gap"
      :label="`${f.name}, what lies in it`"
      sort="thickness"
      :min="0"
      :max="200"
      :step="0.1"
      drag
      then="."
      @change="(v, g) => set(f, { gap: v }, g)"
    />
    Drawn
    <ChoiceField
      :value="f.drawn"
      :label="`${f.name}, what the drawing shows`"
      :options="[...DRAWN]"
      then=","
      @change="(v) => set(f, { drawn: v as DrawnFold['drawn'] })"
    />{{ ' ' }}
    <ChoiceField
      :value="f.school"
      :label="`${f.name}, figured or draped`"
      :options="[...SCHOOLS]"
      then="."
      @change="(v) => set(f, { school: v as DrawnFold['school'] })"
    />
    <template v-if="f.groove">
      The groove is
      <ChoiceField
        :value="f.groove.shape"
        :label="`${f.name}, shape of the groove`"
        :options="[...SHAPES]"
        @change="(v) => set(f, { groove: { ...f.groove!, shape: v as 'v' | 'flat' } })"
      />
      <MeasureField
        :value="f.groove.depth"
        :label="`${f.name}, depth of the groove`"
        sort="thickness"
        :min="0"
        :max="6"
        :step="0.05"
        @change="(v, g) => set(f, { groove: { ...f.groove!, depth: v } }, g)"
      />
      deep<template v-if="f.groove.shape === 'v'"
        >, opening
        <MeasureField
          :value="degrees(f.groove.opening)"
          :label="`${f.name}, opening of the V in degrees`"
          sort="share"
          :min="12"
          :max="180"
          :step="5"
          @change="(v, g) => set(f, { groove: { ...f.groove!, opening: (v * Math.PI) / 180 } }, g)"
        />°</template
      >.
    </template>
    <v-btn variant="plain" class="link" @click="remove(f)">take it out</v-btn>
  </p>
  <p class="row">
    <v-btn @click="add(true)">Add an upright fold</v-btn>
    <v-btn @click="add(false)">Add a level fold</v-btn>
  </p>
</template>

<style scoped>
@import './lists.css';
</style>
