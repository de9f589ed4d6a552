<script setup lang="ts">
import { computed } from 'vue'
import { asGauged, leatherAsMeasured } from '@drumlin/core/design'
import { laidThere, thicknessOver } from '@drumlin/core/hide'
import { printWeight } from '@drumlin/core/measure'
import { useJob } from '../job/job.js'
import { useSettings } from '../app/settings.js'
import { usePieceActs } from './acts.js'
import type { Laying } from './laying.js'

/** What can be done with the chosen piece, and how thick the hide is where it lies. */
const props = defineProps<{ laying: Laying; piece: string }>()
const emit = defineEmits<{ leave: [] }>()
const settings = useSettings()
const job = useJob()
const acts = usePieceActs(props.laying)
const group = computed(() => props.laying.group.value!)
const wanted = computed(() => group.value.wanted.find((w) => w.id === props.piece))
const lying = computed(() => acts.lyingOf(props.piece))
const locked = computed(() => acts.isLocked(props.piece))
const over = computed(() => {
  const hide = group.value.hides.find((h) => h.id === lying.value?.hide)
  const one = wanted.value
  return hide && one && lying.value
    ? thicknessOver(hide, laidThere(one.demand.outline, one.over, lying.value))
    : undefined
})
const thick = computed(
  () =>
    over.value &&
    `${printWeight(over.value.min, settings.unit)} to ${printWeight(over.value.max, settings.unit)} thick there`,
)
/** The part that its leather plays in the design, where it is one of the design’s own pieces. */
const role = computed(
  () => job.derived!.panels.find((p) => props.piece.startsWith(`${job.design!.id}/${p.id}#`))?.role,
)
const measured = computed(() => over.value && asGauged(over.value.mean))
function reckonWith(): void {
  const edit =
    role.value !== undefined && over.value
      ? leatherAsMeasured(job.design!, role.value, over.value.mean)
      : undefined
  if (edit) props.laying.edit(edit)
}
</script>

<template>
  <section v-if="wanted" class="chosen" aria-label="The chosen piece">
    <p>
      <strong>{{ acts.named(wanted) }}</strong>{{ wanted.over ? ', cut turned over' : ''
      }}<template v-if="thick">, {{ thick }}</template>
    </p>
    <p v-if="lying" class="row">
      <v-btn :disabled="locked" @click="acts.turn(wanted)">Turn</v-btn>
      <v-btn :aria-pressed="locked" @click="acts.lock(wanted)">{{ locked ? 'Unlock' : 'Lock' }}</v-btn>
      <v-btn @click="acts.off(wanted)">Take it off</v-btn>
      <v-btn @click="acts.aside(wanted)">Put it aside</v-btn>
      <v-btn @click="emit('leave')">Done</v-btn>
    </p>
    <p v-if="measured !== undefined && role !== undefined && measured !== wanted.demand.thickness">
      <v-btn @click="reckonWith">Reckon with {{ printWeight(measured, settings.unit) }}</v-btn>
    </p>
    <p class="quiet">
      Drag it, or use the arrows: 1 mm, with Shift 0.1, with Alt 10. R turns, L locks, Delete puts it aside.
    </p>
  </section>
</template>

<style scoped>
.chosen {
  margin: 10px 0;
  padding: 8px 12px;
  background: var(--heather-wash);
}
.chosen p {
  margin: 0 0 6px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
