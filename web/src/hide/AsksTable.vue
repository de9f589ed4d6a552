<script setup lang="ts">
import { computed } from 'vue'
import { type Asks, type Demand, type Lies, askOf } from '@drumlin/core/design'
import { useJob } from '../job/job.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import type { Laying } from './laying.js'

/** What each piece asks of the hide, as it follows from the design and as the maker wants it. */
const props = defineProps<{ laying: Laying }>()
const job = useJob()
interface Row {
  readonly key: string
  readonly design: string
  readonly demand: Demand
  readonly count: number
}
const rows = computed((): readonly Row[] => {
  const found = new Map<string, Row>()
  for (const { id, demand } of props.laying.group.value?.wanted ?? []) {
    const key = id.replace(/#\d+$/, '')
    const before = found.get(key)
    found.set(key, { key, design: key.replace(/\/.*$/, ''), demand, count: (before?.count ?? 0) + 1 })
  }
  return [...found.values()]
})
const LIES_WORDS: readonly { value: Lies; label: string; why: string }[] = [
  { value: 'along', label: 'along the backbone', why: 'its arrow along it: what bears a pull' },
  { value: 'across', label: 'across the backbone', why: 'its arrow square to it' },
  { value: 'either', label: 'along or across', why: 'straight, one way or the other' },
  { value: 'any', label: 'at any angle', why: 'small things, which do not twist' },
]
const USES = [
  { value: 'shows', label: 'shows', why: 'clean grain where it is seen; off the wrinkled and the stretchy' },
  { value: 'bears', label: 'bears a pull', why: 'from the firm, without a scar anywhere' },
  { value: 'both', label: 'shows and bears', why: 'both' },
  { value: 'hidden', label: 'is hidden', why: 'may lie over flaws, and keeps off the best' },
] as const
const useOf = ({ shows, bears }: Demand): (typeof USES)[number]['value'] =>
  shows && bears ? 'both' : shows ? 'shows' : bears ? 'bears' : 'hidden'
const own = (key: string): Asks | undefined => job.design!.cutting.asks[key]
function ask({ key, design, demand }: Row, more: Asks, words: string): void {
  props.laying.edit(askOf(`${demand.name}: ${words}`, design, demand.key, { ...own(key), ...more }))
}
const back = ({ design, demand }: Row): void =>
  props.laying.edit(askOf(`${demand.name} as it follows`, design, demand.key, undefined))
const also = (design: string): string => job.design!.cutting.also.find((a) => a.design === design)?.name ?? ''
</script>

<template>
  <p v-for="r in rows" :key="r.key" class="row">
    <strong>{{ r.count > 1 ? `${r.count} × ` : '' }}{{ r.demand.name }}</strong
    ><span v-if="also(r.design)" class="quiet"> ({{ also(r.design) }})</span>
    <template v-if="r.demand.leather">
      {{ ' ' }}lies
      <ChoiceField
        :value="r.demand.lies"
        :label="`how the ${r.demand.name} lies`"
        :options="LIES_WORDS"
        @change="(v) => ask(r, { lies: v }, LIES_WORDS.find((o) => o.value === v)!.label)"
      />
      and
      <ChoiceField
        :value="useOf(r.demand)"
        :label="`what the ${r.demand.name} is for`"
        :options="USES"
        then="."
        @change="
          (v) =>
            ask(
              r,
              { shows: v === 'shows' || v === 'both', bears: v === 'bears' || v === 'both' },
              USES.find((o) => o.value === v)!.label,
            )
        "
      />
      <template v-if="r.demand.block">{{ ' ' }}Cut as a rough block first.</template>
      <template v-if="r.demand.flipped > 0"
        >{{ ' ' }}{{ r.demand.flipped }} of {{ r.demand.count }} turned over.</template
      >
      <v-btn
        v-if="own(r.key)"
        variant="plain"
        :aria-label="`Give back what the ${r.demand.name} asks`"
        @click="back(r)"
        >give back</v-btn
      >
    </template>
  </p>
</template>

<style scoped>
.row {
  margin: 0 0 8px;
  line-height: 1.6;
}
</style>
