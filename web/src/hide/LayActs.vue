<script setup lang="ts">
import { computed, ref } from 'vue'
import { setField } from '@drumlin/core/design'
import { useJob } from '../job/job.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import type { EffortName, Laying } from './laying.js'

/** How many are cut, how much room the knife has, and the button that lays them out. */
const props = defineProps<{ laying: Laying }>()
const job = useJob()
const cutting = computed(() => job.design!.cutting)
const group = computed(() => props.laying.group.value!)
const set = (words: string, key: string, value: unknown): void =>
  props.laying.edit(setField(words, ['cutting', key], value))
const EFFORT_WORDS = [
  { value: 'short', label: 'at once', why: 'a first layout, a little bettered' },
  { value: 'usual', label: 'with some patience', why: 'some seconds' },
  { value: 'long', label: 'as well as can be found', why: 'up to a few minutes; can be stopped' },
] as const
const effort = ref<EffortName>('usual')
const ANGLES = [
  { value: 'straight', label: 'straight to the backbone', why: 'as leather should be cut' },
  { value: 'any', label: 'at any angle', why: 'more comes out; what lies at an angle may twist' },
] as const
const locked = computed(() => group.value.asked.locked.length)
const seeking = computed(() => props.laying.spent.value !== undefined)
const lay = (): Promise<void> =>
  props.laying.lay(locked.value > 0 ? 'lay the rest round what is locked' : 'lay it out', effort.value)
const laid = computed(() => group.value.asked.lying.length)
const waiting = computed(
  () => group.value.wanted.filter((w) => !group.value.asked.aside.includes(w.id)).length - laid.value,
)
</script>

<template>
  <p class="sentence">
    <MeasureField
      :value="cutting.copies"
      label="how many are made"
      sort="count"
      :min="1"
      :max="100"
      :step="1"
      @change="(n) => set(`make ${n}`, 'copies', n)"
    />
    of this design,
    <template v-if="group.leather"
      >laid
      <ChoiceField
        :value="cutting.angles"
        label="how pieces lie to the backbone"
        :options="ANGLES"
        then=","
        @change="(v) => set(`lay ${v === 'any' ? 'at any angle' : 'straight'}`, 'angles', v)"
      />{{ ' ' }}</template
    >
    <MeasureField
      :value="cutting.gap"
      label="room for the knife"
      sort="length"
      :min="0"
      :max="20"
      :step="0.5"
      @change="(v) => set('room for the knife', 'gap', v)"
    />
    between two pieces for the knife.
  </p>
  <p v-if="cutting.angles === 'any' && group.leather" class="quiet">
    Leather stretches least along the backbone: what is cut at an angle may twist.
  </p>
  <template v-if="group.hides.length > 0">
    <p v-if="!seeking" class="row">
      <v-btn variant="flat" @click="lay">{{
        locked > 0 ? 'Lay the rest round it' : laid > 0 ? 'Lay out anew' : 'Lay it out'
      }}</v-btn>
      <ChoiceField
        :value="effort"
        label="how long a layout is sought"
        :options="EFFORT_WORDS"
        @change="(e) => (effort = e)"
      />
    </p>
    <div v-else role="status">
      <v-progress-linear
        :model-value="100 * (laying.spent.value ?? 0)"
        color="primary"
        aria-label="Laying out"
      />
      <p class="row">
        <v-btn @click="laying.stop()">Stop and keep the best</v-btn>
        <span>{{ laying.trying.value?.lying.length ?? 0 }} of {{ group.wanted.length }} laid</span>
      </p>
    </div>
    <p v-if="laying.failed.value" role="alert" class="failed">
      It could not be laid out: {{ laying.failed.value }}. <v-btn @click="lay">Try again</v-btn>
    </p>
    <p v-if="!seeking && laid > 0 && waiting <= 0"><strong>It all comes out.</strong></p>
  </template>
</template>

<style scoped>
.sentence {
  margin: 0 0 8px;
  line-height: 1.7;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin: 8px 0;
}
.failed {
  color: var(--rowan);
}
</style>
