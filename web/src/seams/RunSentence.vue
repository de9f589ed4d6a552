<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Derived, SeamRow } from '@drumlin/core/derived'
import { wishRuns } from '@drumlin/core/design'
import type { RunWish } from '@drumlin/core/sewing'
import type { Run } from '@drumlin/core/stitch'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import RunEnds from './RunEnds.vue'

const props = defineProps<{
  derived: Derived
  row: SeamRow
  /** The runs that are changed together. */
  ids: readonly string[]
}>()
/** A seam and the one that mirrors it are decided together, unless the maker wants otherwise. */
const both = defineModel<boolean>('both', { required: true })
const job = useJob()
const stores = useStores()
const refusal = ref('')
const run = computed(() => props.row.run)
const wish = computed(() => run.value.ways.wish)
const twin = computed(() => run.value.join.twin)
/** Parts of a run, and rows beside one another, share their line and holes: those are said of the whole. */
const wholeOf = (id: string): string => id.replace(/~2$|\/\d+$/, '')
const shape = computed(
  () => props.derived.runs.find((r) => r.join.id === wholeOf(run.value.join.id))?.ways.wish ?? wish.value,
)
const OF_PART: readonly (keyof RunWish)[] = ['back', 'over', 'shows', 'without']

function want(name: string, change: Partial<Record<keyof RunWish, unknown>>, gesture?: string): void {
  const ofPart = Object.keys(change).every((key) => OF_PART.includes(key as keyof RunWish))
  const owners = props.ids.map(ofPart ? (id) => id.replace(/~2$/, '') : wholeOf)
  const refused = job.edit(wishRuns(name, owners, change as Partial<RunWish>), gesture)
  refusal.value = refused ? `${refused.where}: ${refused.why}` : ''
}
const irons = computed(() => {
  const { iron } = run.value.ways
  const all = stores.all.irons.some((i) => i.id === iron.id) ? stores.all.irons : [iron, ...stores.all.irons]
  return all.map((i) => ({ value: i.id, label: i.name, why: `${i.prongs} prongs` }))
})
function takeIron(id: string): void {
  const iron = stores.all.irons.find((i) => i.id === id)
  if (iron)
    want(`${iron.name} for the ${run.value.join.name}`, {
      iron: iron.id === props.derived.design.iron.id ? undefined : iron,
      pitch: undefined,
    })
}
const SCHOOLS = [
  { value: 'through', label: 'through all layers at once', why: 'fast, and they always meet' },
  { value: 'apart', label: 'each side apart', why: 'both faces perfect; counts must agree' },
  { value: 'machine', label: 'by the machine', why: 'only the line is drawn' },
]
const EASES = [
  { value: 'none', label: 'each side stepped on its own', why: 'as two pieces lying apart are' },
  { value: 'spread', label: 'hole for hole, the ease spread', why: 'the longer edge is eased in evenly' },
  {
    value: 'corners',
    label: 'hole for hole, the ease in the corners',
    why: 'straights stay true; curves take it up',
  },
]
const ROWS = [
  { value: 'one', label: 'one row', why: 'a single line of stitches' },
  { value: 'two', label: 'two rows', why: 'a second one beside it' },
  { value: 'along', label: 'two rows along the pull', why: 'in place of one across it, on a strap' },
]
const EVERY = [
  { value: '1', label: 'every hole', why: '' },
  { value: '2', label: 'every other hole', why: 'long stitches at twice the pitch' },
]
/** Rows along the pull are for what is pulled. */
const rowChoices = computed(() =>
  ROWS.filter((r) => r.value !== 'along' || props.row.pulled || shape.value.along),
)
const rows = computed(() => (shape.value.along ? 'along' : shape.value.second ? 'two' : 'one'))
const setRows = (to: string): void =>
  want(to === 'one' ? 'one row' : to === 'two' ? 'two rows' : 'two rows along the pull', {
    along: to === 'along' ? true : undefined,
    second: to === 'two' ? Math.round(run.value.ways.pitch * 10) / 10 : undefined,
  })
const machine = computed(() => run.value.ways.holes === 'machine')
const ofRun = (r: Run): string => `the ${r.join.name}`
</script>

<template>
  <p class="sentence">
    Holes
    <ChoiceField
      :value="run.ways.holes"
      label="how the holes of this run are made"
      :options="SCHOOLS"
      @change="
        (v) => want(`holes of ${ofRun(run)}`, { holes: v === derived.design.sewing.holes ? undefined : v })
      "
    />
    <template v-if="!machine">
      with the
      <ChoiceField
        :value="run.ways.iron.id"
        label="iron for this run"
        :options="irons"
        @change="takeIron"
      /> </template
    >,
    <MeasureField
      :value="run.ways.pitch / run.ways.every"
      label="pitch of this run"
      sort="pitch"
      :min="1"
      :max="12"
      :step="0.05"
      then=","
      @change="(v, g) => want(`pitch of ${ofRun(run)}`, { pitch: v }, g)"
    />{{ ' ' }}
    <ChoiceField
      :value="String(run.ways.every)"
      label="which holes are sewn"
      :options="EVERY"
      @change="
        (v) => want(v === '2' ? 'every other hole' : 'every hole', { every: v === '2' ? 2 : undefined })
      "
    />
    <template v-if="run.ways.holes === 'apart'"
      >,
      <ChoiceField
        :value="shape.ease ?? 'none'"
        label="how the sides meet"
        :options="EASES"
        @change="(v) => want('how the sides meet', { ease: v === 'none' ? undefined : v })" /></template
    >. In <ChoiceField :value="rows" label="rows" :options="rowChoices" @change="setRows" /><template
      v-if="shape.second"
      >, the second
      <MeasureField
        :value="shape.second"
        label="second row further in"
        sort="fine"
        :min="-40"
        :max="40"
        :step="0.5"
        @change="(v, g) => want('second row', { second: v === 0 ? undefined : v }, g)"
      />
      further in</template
    >.
  </p>
  <RunEnds :derived="derived" :row="row" :ids="ids" :shape="shape" @want="want" />
  <v-checkbox-btn v-if="twin" v-model="both" label="the other side alike" />
  <p v-if="refusal" role="alert" class="refused">{{ refusal }}</p>
</template>

<style scoped>
.sentence {
  margin: 0 0 8px;
  line-height: 1.75;
}
label {
  display: block;
  min-height: 26px;
}
.refused {
  color: var(--rowan);
}
</style>
