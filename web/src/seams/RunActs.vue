<script setup lang="ts">
import { computed } from 'vue'
import { type Derived, type SeamRow, mergesFor } from '@drumlin/core/derived'
import {
  mergeRuns,
  orderRuns,
  removeLine,
  splitRuns,
  unmergeRun,
  unsplitRuns,
  wishRuns,
} from '@drumlin/core/design'
import { useJob } from '../job/job.js'

const props = defineProps<{
  derived: Derived
  row: SeamRow
  rows: readonly SeamRow[]
  /** The runs that are changed together. */
  ids: readonly string[]
  hole: number | undefined
}>()
const job = useJob()
const run = computed(() => props.row.run)
const id = computed(() => run.value.join.id)
const design = computed(() => props.derived.design)
/** The run a part came from. */
const whole = (one: string): string => one.replace(/\/\d+$/, '')
const split = computed(() => Object.hasOwn(design.value.sewing.splits, whole(id.value)))
const merged = computed(() => design.value.sewing.merges.some((m) => m.first === id.value))
const merges = computed(() => mergesFor(props.derived, run.value))
const canSplit = computed(
  () =>
    props.hole !== undefined &&
    props.hole > 0 &&
    props.hole < run.value.holes.length - 1 &&
    !id.value.includes('/') &&
    !split.value &&
    !run.value.round,
)
const isLine = computed(() => run.value.join.decor === true)

function parted(): void {
  const at = run.value.holes[props.hole!]!.distance / run.value.length
  job.edit(splitRuns(design.value, `part the ${run.value.join.name}`, props.ids, at))
}
const wish = (name: string, change: Parameters<typeof wishRuns>[2]): void =>
  void job.edit(wishRuns(name, props.ids, change))
function earlier(by: -1 | 1): void {
  const order = props.rows.map((r) => r.run.join.id)
  const from = order.indexOf(id.value)
  const to = from + by
  if (to < 0 || to >= order.length) return
  ;[order[from], order[to]] = [order[to]!, order[from]!]
  job.edit(orderRuns(`sew the ${run.value.join.name} ${by < 0 ? 'earlier' : 'later'}`, order))
}
</script>

<template>
  <div class="acts" role="group" aria-label="What can be done with this run">
    <v-btn
      variant="plain"
      class="link"
      @click="wish('turn the run round', { reversed: run.ways.wish.reversed ? undefined : true })"
    >
      {{ run.ways.wish.reversed ? 'sew it the way it was' : 'sew it the other way' }}
    </v-btn>
    <v-btn v-if="canSplit" variant="plain" class="link" @click="parted"
      >part it at hole {{ hole! + 1 }}</v-btn
    >
    <v-btn
      v-if="split"
      variant="plain"
      class="link"
      @click="job.edit(unsplitRuns(`sew the ${whole(id)} in one`, ids.map(whole)))"
    >
      sew its parts in one
    </v-btn>
    <v-btn
      v-for="m in merges"
      :key="m.join.id"
      variant="plain"
      class="link"
      @click="job.edit(mergeRuns(design, `go on into the ${m.join.name}`, id, m.join.id))"
    >
      go on into the {{ m.join.name }}
    </v-btn>
    <v-btn
      v-if="merged"
      variant="plain"
      class="link"
      @click="job.edit(unmergeRun(design, 'sew them apart', id))"
    >
      sew them apart again
    </v-btn>
    <v-btn v-if="row.number > 1" variant="plain" class="link" @click="earlier(-1)">sooner</v-btn>
    <v-btn v-if="row.number < rows.length" variant="plain" class="link" @click="earlier(1)">later</v-btn>
    <v-btn
      v-if="run.ways.holes !== 'machine'"
      variant="plain"
      class="link"
      @click="
        wish(run.ways.wish.template ? 'no hole template' : 'a hole template', {
          template: run.ways.wish.template ? undefined : true,
        })
      "
    >
      {{ run.ways.wish.template ? 'no template of it' : 'make a hole template' }}
    </v-btn>
    <v-btn v-if="isLine" variant="plain" class="link" @click="job.edit(removeLine(design, id))">
      take this line away
    </v-btn>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin: 4px 0 10px;
}
.link {
  color: var(--quiet);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 26px;
}
</style>
