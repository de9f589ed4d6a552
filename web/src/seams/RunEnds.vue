<script setup lang="ts">
import { computed } from 'vue'
import type { Derived, SeamRow } from '@drumlin/core/derived'
import { setLengths } from '@drumlin/core/design'
import type { RunWish } from '@drumlin/core/sewing'
import type { Run } from '@drumlin/core/stitch'
import { useJob } from '../job/job.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import FoldPart from '../parts/FoldPart.vue'

/** Where a run starts and ends and how it is locked there, which side shows, and what it goes through. */
const props = defineProps<{
  derived: Derived
  row: SeamRow
  ids: readonly string[]
  /** Wishes that a part shares with its whole. */
  shape: RunWish
}>()
const emit = defineEmits<{
  want: [name: string, change: Partial<Record<keyof RunWish, unknown>>, gesture?: string]
}>()
const want = (name: string, change: Partial<Record<keyof RunWish, unknown>>, gesture?: string): void =>
  emit('want', name, change, gesture)
const job = useJob()
const run = computed(() => props.row.run)
/** Where a parted run starts and ends is said once it is whole again. */
const parted = computed(() => {
  const { splits } = props.derived.design.sewing
  return Object.hasOwn(splits, run.value.join.id.replace(/\/\d+$/, ''))
})
const faces = computed(() => {
  const { above, below } = props.row.faces
  const same = above === below
  return [
    { value: 'above', label: same ? 'the side above' : `the ${above}`, why: 'seen from above as it lies' },
    { value: 'below', label: same ? 'the side below' : `the ${below}`, why: 'seen from below as it lies' },
  ]
})
const hidden = computed(() => faces.value.find((f) => f.value !== props.row.faces.shows)!.label)
const back = computed(() => run.value.join.backstitches)
const over = computed(() => run.value.ways.over)
const backWord = computed(() => {
  const word = machine.value ? 'back-tack' : 'backstitch'
  return back.value.start > 0 && back.value.start <= 1 ? word : machine.value ? `${word}s` : `${word}es`
})
const machine = computed(() => run.value.ways.holes === 'machine')
const layers = computed(() => {
  const work = props.derived.works.find((w) => w.layup.id === run.value.join.layup)
  const join = props.derived.master.joins.find((j) => run.value.join.id.startsWith(j.id))
  return (join?.through ?? run.value.join.through).map((id) => ({
    id,
    name: work?.sheets.find((s) => s.sheet.id === id)?.sheet.name ?? id,
    sewn: run.value.join.through.includes(id),
  }))
})
function setLayer(id: string, sewn: boolean): void {
  const without = layers.value.filter((l) => (l.id === id ? !sewn : !l.sewn)).map((l) => l.id)
  want(sewn ? 'sew one layer more' : 'leave one layer out', {
    without: without.length > 0 ? without : undefined,
  })
}
function setCount(count: number): void {
  job.edit(
    setLengths(
      `sew it in ${count} ${count === 1 ? 'length' : 'lengths'}`,
      props.ids,
      count > 1 ? count : undefined,
    ),
  )
}
/** The run whose thread goes on here. */
const onward = computed(() => props.derived.runs.find((r) => r.join.id === run.value.join.onward)?.join.name)
const ofRun = (r: Run): string => `the ${r.join.name}`
</script>

<template>
  <p class="sentence">
    Start
    <template v-if="!parted">
      <MeasureField
        :value="shape.startBy ?? 0"
        label="start further in by"
        sort="fine"
        :min="-60"
        :max="600"
        :step="0.5"
        @change="(v, g) => want(`start of ${ofRun(run)}`, { startBy: v === 0 ? undefined : v }, g)"
      />
      further in,
    </template>
    with
    <MeasureField
      :value="back.start"
      :label="machine ? 'back-tacks at the start' : 'backstitches at the start'"
      :sort="machine ? 'count' : 'half'"
      :min="0"
      :max="6"
      :step="machine ? 1 : 0.5"
      @change="(v) => want('at the start', { back: { start: v, end: back.end } })"
    />
    {{ backWord
    }}<template v-if="!machine"
      >, over the edge
      <MeasureField
        :value="over.start"
        label="times over the edge at the start"
        sort="count"
        :min="0"
        :max="2"
        :step="1"
        then="×"
        @change="(v) => want('over the edge', { over: { start: v, end: over.end } })" /></template
    >; end
    <template v-if="!parted">
      <MeasureField
        :value="shape.endBy ?? 0"
        label="end further in by"
        sort="fine"
        :min="-60"
        :max="600"
        :step="0.5"
        @change="(v, g) => want(`end of ${ofRun(run)}`, { endBy: v === 0 ? undefined : v }, g)"
      />
      further in,
    </template>
    with
    <MeasureField
      :value="back.end"
      :label="machine ? 'back-tacks at the end' : 'backstitches at the end'"
      :sort="machine ? 'count' : 'half'"
      :min="0"
      :max="6"
      :step="machine ? 1 : 0.5"
      @change="(v) => want('at the end', { back: { start: back.start, end: v } })"
    /><template v-if="!machine"
      >, over it
      <MeasureField
        :value="over.end"
        label="times over the edge at the end"
        sort="count"
        :min="0"
        :max="2"
        :step="1"
        then="×"
        @change="(v) => want('over the edge', { over: { start: over.start, end: v } })" /></template
    >. The side that shows is
    <ChoiceField
      :value="row.faces.shows"
      label="side that shows"
      :options="faces"
      then=";"
      @change="(v) => want('side that shows', { shows: v })"
    />
    thread ends lie on {{ hidden }}.
    <template v-if="onward">Its thread goes on from the {{ onward }}, from the hole they share.</template>
    <template v-else-if="!machine"
      >Sewn in
      <MeasureField
        :value="run.lengths"
        label="lengths of thread"
        sort="count"
        :min="1"
        :max="20"
        :step="1"
        @change="setCount"
      />
      {{ run.lengths === 1 ? 'length' : 'lengths' }} of thread.</template
    >
  </p>
  <FoldPart :title="`Through ${layers.filter((l) => l.sewn).length} of ${layers.length} pieces`">
    <v-checkbox-btn
      v-for="l in layers"
      :key="l.id"
      :model-value="l.sewn"
      :label="l.name"
      :disabled="l.sewn && layers.filter((o) => o.sewn).length === 1"
      @update:model-value="(sewn) => setLayer(l.id, sewn === true)"
    />
  </FoldPart>
</template>

<style scoped>
.sentence {
  margin: 0 0 8px;
  line-height: 1.75;
}
</style>
