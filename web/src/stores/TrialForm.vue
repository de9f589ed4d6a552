<script setup lang="ts">
import { computed, ref } from 'vue'
import { couponPlan } from '@drumlin/core/coupons'
import { type Leather, type Trial, trialProblem } from '@drumlin/core/stores'
import { printLength, printWeight } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { useStores } from '../job/stores.js'
import MeasureField from '../sentence/MeasureField.vue'
import type { MeasureSort } from '../sentence/measures.js'
import ChoiceField from '../sentence/ChoiceField.vue'

const props = defineProps<{ leather: Leather }>()
const emit = defineEmits<{ change: [trials: Trial[]] }>()
const stores = useStores()
const settings = useSettings()
const mm = (value: number): string => printLength(value, settings.unit)
type Sort = Trial['type']

interface Ask {
  readonly key: string
  readonly label: string
  readonly sort: MeasureSort
  readonly min: number
  readonly max: number
  readonly step: number
}
const ask = (key: string, label: string, sort: MeasureSort, min: number, max: number, step: number): Ask => ({
  key,
  label,
  sort,
  min,
  max,
  step,
})
/** What each test piece asks for, in the order it is measured. Angles are written in degrees. */
const ASKS: Readonly<Record<Sort, readonly Ask[]>> = {
  fold: [
    ask('degrees', 'folded, degrees', 'share', 20, 360, 5),
    ask('radius', 'round a radius of', 'fine', 0, 60, 0.5),
    ask('used', 'used up', 'fine', 0.1, 400, 0.1),
  ],
  turn: [
    ask('added', 'cut beyond the edge', 'fine', 1, 80, 0.1),
    ask('core', 'over a core of', 'thickness', 0, 10, 0.1),
    ask('landed', 'landed at', 'fine', 0.5, 80, 0.1),
  ],
  skive: [
    ask('wanted', 'wanted at the edge', 'thickness', 0, 6, 0.05),
    ask('left', 'left at the edge', 'thickness', 0, 6, 0.05),
  ],
  thread: [
    ask('stitches', 'stitches', 'count', 2, 400, 1),
    ask('pitch', 'pitch', 'pitch', 1.5, 12, 0.01),
    ask('stack', 'thickness sewn', 'thickness', 0.2, 30, 0.05),
    ask('used', 'thread used', 'length', 10, 20000, 1),
  ],
}
const NAMES: Readonly<Record<Sort, string>> = {
  fold: 'fold strip',
  turn: 'turned-edge strip',
  skive: 'skive strip',
  thread: 'row of holes',
}
const SORTS = (Object.keys(NAMES) as Sort[]).map((value) => ({ value, label: NAMES[value] }))
const plan = computed(() => couponPlan(props.leather, stores.all.irons[1] ?? stores.all.irons[0]!))
const sort = ref<Sort>('fold')
const written = ref<Record<string, number>>({})
const problem = ref('')

/** What the printed sheet asks for, until something else is written. */
const usual = computed((): Record<string, number> => {
  const p = plan.value
  const round = (v: number): number => Math.round(v * 10) / 10
  return {
    'fold degrees': 180,
    'fold radius': p.rod,
    'fold used': round(p.foldUses),
    'turn added': round(p.turnAdded),
    'turn core': 0,
    'turn landed': p.turnWidth,
    'skive wanted': 0,
    'skive left': props.leather.atEdge,
    'thread stitches': p.stitches,
    'thread pitch': p.pitch,
    'thread stack': 2 * props.leather.thickness,
    'thread used': Math.round(p.thread),
  }
})
const valueOf = (key: string): number =>
  written.value[`${sort.value} ${key}`] ?? usual.value[`${sort.value} ${key}`]!
function trial(): Trial {
  const v = (key: string): number => valueOf(key)
  switch (sort.value) {
    case 'fold':
      return { type: 'fold', angle: (v('degrees') * Math.PI) / 180, radius: v('radius'), used: v('used') }
    case 'turn':
      return { type: 'turn', added: v('added'), core: v('core'), landed: v('landed') }
    case 'skive':
      return { type: 'skive', wanted: v('wanted'), left: v('left') }
    case 'thread':
      return {
        type: 'thread',
        stitches: v('stitches'),
        pitch: v('pitch'),
        stack: v('stack'),
        used: v('used'),
      }
  }
}
function add(): void {
  const one = trial()
  problem.value = trialProblem(props.leather, one, settings.unit) ?? ''
  if (problem.value === '') emit('change', [...props.leather.trials, one])
}
const said = (t: Trial): string =>
  t.type === 'fold'
    ? `${Math.round((t.angle * 180) / Math.PI)}° round ${mm(t.radius)}: ${mm(t.used)} used up`
    : t.type === 'turn'
      ? `cut ${mm(t.added)} beyond, landed at ${mm(t.landed)}`
      : t.type === 'skive'
        ? `${printWeight(t.left, settings.unit)} left where ${printWeight(t.wanted, settings.unit)} was wanted`
        : `${t.stitches} stitches took ${mm(t.used)}`
</script>

<template>
  <p>
    Measured on the
    <ChoiceField
      :value="sort"
      label="which test piece"
      :options="SORTS"
      then=":"
      @change="(one) => (sort = one)"
    />{{ ' ' }}
    <template v-for="a in ASKS[sort]" :key="`${sort} ${a.key}`">
      {{ a.label }}
      <MeasureField
        v-bind="{ sort: a.sort, min: a.min, max: a.max, step: a.step }"
        :value="valueOf(a.key)"
        :label="`${NAMES[sort]}: ${a.label}`"
        @change="(v) => (written[`${sort} ${a.key}`] = v)"
      />{{ ' ' }}
    </template>
    <v-btn @click="add">Write it down</v-btn>
  </p>
  <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
  <ul v-if="leather.trials.length > 0">
    <li v-for="(t, i) in leather.trials" :key="i">
      {{ NAMES[t.type] }}: {{ said(t) }}
      <v-btn
        variant="plain"
        class="link"
        :aria-label="`Take out test ${i + 1}`"
        @click="
          emit(
            'change',
            leather.trials.filter((_, k) => k !== i),
          )
        "
      >
        take out
      </v-btn>
    </li>
  </ul>
</template>

<style scoped>
.problem {
  color: var(--rowan);
}
.link {
  text-decoration: underline;
  color: var(--quiet);
}
ul {
  padding-left: 20px;
  margin: 4px 0 10px;
}
</style>
