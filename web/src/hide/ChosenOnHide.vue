<script setup lang="ts">
import { computed } from 'vue'
import { laidThere, thicknessOver } from '@drumlin/core/hide'
import { printWeight } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { usePieceActs } from './acts.js'
import type { Laying } from './laying.js'

/** What can be done with the chosen piece, and how thick the hide is where it lies. */
const props = defineProps<{ laying: Laying; piece: string }>()
const emit = defineEmits<{ leave: [] }>()
const settings = useSettings()
const acts = usePieceActs(props.laying)
const group = computed(() => props.laying.group.value!)
const wanted = computed(() => group.value.wanted.find((w) => w.id === props.piece))
const lying = computed(() => acts.lyingOf(props.piece))
const locked = computed(() => acts.isLocked(props.piece))
const thick = computed(() => {
  const hide = group.value.hides.find((h) => h.id === lying.value?.hide)
  const one = wanted.value
  const is =
    hide && one && lying.value && thicknessOver(hide, laidThere(one.demand.outline, one.over, lying.value))
  return is && `${printWeight(is.min, settings.unit)} to ${printWeight(is.max, settings.unit)} thick there`
})
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
