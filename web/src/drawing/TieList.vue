<script setup lang="ts">
import { computed, ref } from 'vue'
import { tieEdges, untie } from '@drumlin/core/design'
import { type DrawnPanel, type Tie, drawnEdgeLength, tieNames } from '@drumlin/core/drawn'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import { freshId } from './drawn.js'

const props = defineProps<{ drawn: DrawnPanel; edge: string | undefined }>()
const job = useJob()
const settings = useSettings()
const TYPES = [
  { value: 'equal', label: 'as long as', why: 'only its length is held' },
  { value: 'same', label: 'drawn as', why: 'the same points and curves' },
]
const WHEN = [
  { value: 'move', label: 'follows it', why: 'when the other is changed, this one is brought to it' },
  { value: 'warn', label: 'is checked against it', why: 'nothing moves; a difference is found and said' },
]
const own = computed(
  () => props.drawn.edges.find((e) => e.id === props.edge?.replace(/-m$/, '')) ?? props.drawn.edges[0]!,
)
const ties = computed(() =>
  (job.design?.ties ?? []).filter(
    (t) => t.first.panel === props.drawn.id || t.second.panel === props.drawn.id,
  ),
)
/** Every other edge there is, as `panel edge`. */
const others = computed(() =>
  (job.design?.drawn ?? []).flatMap((p) =>
    p.edges
      .filter((e) => p.id !== props.drawn.id || e.id !== own.value.id)
      .map((e) => ({ value: `${p.id} ${e.id}`, label: `${e.name} of the ${p.name.toLowerCase()}`, why: '' })),
  ),
)
const chosen = ref('')
const first = computed(() => others.value.find((o) => o.value === chosen.value) ?? others.value[0])
function add(): void {
  const { design } = job
  if (!design || !first.value) return
  const [panel, edge] = first.value.value.split(' ') as [string, string]
  const tie: Tie = {
    id: freshId('tie', design.ties),
    type: 'equal',
    first: { panel, edge },
    second: { panel: props.drawn.id, edge: own.value.id },
    when: 'move',
  }
  job.edit(tieEdges('tie two edges', design, tie))
}
const set = (tie: Tie, more: Partial<Tie>): void =>
  void (job.design && job.edit(tieEdges('change a tie', job.design, { ...tie, ...more })))
const remove = (tie: Tie): void => void (job.design && job.edit(untie('untie two edges', job.design, tie.id)))
const names = (tie: Tie) =>
  tieNames(job.design?.drawn ?? [], tie) ?? { first: 'an edge that is gone', second: 'an edge that is gone' }
const lengths = (tie: Tie): string => {
  const [a, b] = [
    drawnEdgeLength(job.design?.drawn ?? [], tie.first),
    drawnEdgeLength(job.design?.drawn ?? [], tie.second),
  ]
  return a === undefined || b === undefined
    ? ''
    : `${printLength(b, settings.unit)} and ${printLength(a, settings.unit)}`
}
</script>

<template>
  <p v-for="t in ties" :key="t.id" class="sentence" :data-tie="t.id">
    The {{ names(t).second }} is
    <ChoiceField
      :value="t.type"
      label="what is held"
      :options="TYPES"
      @change="(v) => set(t, { type: v as Tie['type'] })"
    />
    the {{ names(t).first }} and
    <ChoiceField
      :value="t.when"
      label="what happens when the other changes"
      :options="WHEN"
      then=":"
      @change="(v) => set(t, { when: v as Tie['when'] })"
    />
    {{ lengths(t) }}.
    <v-btn variant="plain" class="link" @click="remove(t)">untie them</v-btn>
  </p>
  <p v-if="first" class="sentence">
    The {{ own.name }} has to match
    <ChoiceField
      :value="first.value"
      label="the edge it has to match"
      :options="others"
      then="."
      @change="(v) => (chosen = v)"
    />{{ ' ' }}
    <v-btn @click="add">Tie them</v-btn>
  </p>
</template>

<style scoped>
@import './lists.css';
</style>
