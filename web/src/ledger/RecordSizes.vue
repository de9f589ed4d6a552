<script setup lang="ts">
import { computed, ref } from 'vue'
import { printLength, printWeight } from '@drumlin/core/measure'
import type { Trial } from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import FoldPart from '../parts/FoldPart.vue'
import TrialForm from '../stores/TrialForm.vue'
import TakenField from '../sentence/TakenField.vue'
import type { Recording } from './recording.js'

/** Sizes of the finished work beside the reckoned ones, and the test bar as it was read. */
const props = defineProps<{ recording: Recording }>()
const settings = useSettings()
const record = computed(() => props.recording.making.value!.record)
type Size = (typeof record.value.sizes)[number]
const SORTS = { length: 'fine', thickness: 'thickness', grams: 'share' } as const
const said = (s: Size, value: number): string =>
  s.quantity === 'grams'
    ? `${Math.round(value)} g`
    : s.quantity === 'thickness'
      ? printWeight(value, settings.unit)
      : printLength(value, settings.unit)
const off = (s: Size): string =>
  s.measured === undefined || s.measured === s.reckoned
    ? ''
    : `, ${said(s, Math.abs(s.measured - s.reckoned))} ${s.measured > s.reckoned ? 'more' : 'less'}`
const set = (i: number, measured: number): void =>
  void props.recording.edit({ sizes: record.value.sizes.map((s, k) => (k === i ? { ...s, measured } : s)) })
/** The leathers of it, each once, with what was measured of them on this work: learning takes both with test pieces. */
const leathers = computed(() => [
  ...new Map(
    Object.values(props.recording.making.value!.design.leathers).map((l) => [l.name, l] as const),
  ).values(),
])
const trialsOf = (name: string): Trial[] =>
  record.value.trials.filter((t) => t.leather === name).map((t) => t.trial)
const setTrials = (leather: string, trials: readonly Trial[]): void =>
  void props.recording.edit({
    trials: [
      ...record.value.trials.filter((t) => t.leather !== leather),
      ...trials.map((trial) => ({ leather, trial })),
    ],
  })
/** Both ways are read before the bar says anything of the printer. */
const along = ref<number>()
const across = ref<number>()
function bar(a: number | undefined, b: number | undefined): void {
  if (a === undefined || b === undefined) [along.value, across.value] = [a, b]
  else {
    ;[along.value, across.value] = [undefined, undefined]
    void props.recording.edit({ bar: { along: a, across: b } })
  }
}
</script>

<template>
  <p v-for="(s, i) in record.sizes" :key="s.what" class="sentence">
    {{ s.what }}: reckoned {{ said(s, s.reckoned) }}, measured
    <TakenField
      :value="s.measured"
      :label="`${s.what}, measured`"
      :sort="SORTS[s.quantity]"
      :grams="s.quantity === 'grams'"
      :min="0"
      :max="100000"
      @change="(v) => set(i, v)"
    />{{ off(s) }}.
  </p>
  <p class="sentence">
    The test bar of the print read
    <TakenField
      :value="along ?? record.bar?.along"
      label="test bar along, of 100 mm"
      sort="fine"
      :min="50"
      :max="150"
      @change="(v) => bar(v, record.bar?.across ?? across)"
    />
    along and
    <TakenField
      :value="across ?? record.bar?.across"
      label="test bar across, of 100 mm"
      sort="fine"
      :min="50"
      :max="150"
      @change="(v) => bar(record.bar?.along ?? along, v)"
    />
    across, of 100 mm.
  </p>
  <FoldPart v-if="leathers.length > 0" title="Pieces of leather measured on the work" quiet>
    <section v-for="l in leathers" :key="l.name" :aria-label="l.name">
      <h2>{{ l.name }}</h2>
      <TrialForm :leather="{ ...l, trials: trialsOf(l.name) }" @change="(t) => setTrials(l.name, t)" />
    </section>
  </FoldPart>
</template>
