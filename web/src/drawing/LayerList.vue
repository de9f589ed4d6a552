<script setup lang="ts">
import { printWeight } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { addLayer, removeLayer, setField } from '@drumlin/core/design'
import { type DrawnLayer, type DrawnPanel, layerRole } from '@drumlin/core/drawn'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import { freshId } from './drawn.js'

const settings = useSettings()
const props = defineProps<{ drawn: DrawnPanel }>()
const emit = defineEmits<{ change: [name: string, panel: DrawnPanel, gesture?: string] }>()
const job = useJob()
const stores = useStores()

/** What may lie behind a panel; board and foam are not leather and say how thick they are, mm (J). */
const SORTS = [
  { sort: 'lining', label: 'lining', usual: undefined },
  { sort: 'reinforcement', label: 'reinforcement', usual: undefined },
  { sort: 'board', label: 'board', usual: 1 },
  { sort: 'foam', label: 'foam', usual: 2 },
  { sort: 'interlining', label: 'interlining', usual: 0.3 },
] as const

const leathers = () =>
  stores.all.leathers.map((l) => ({
    value: l.id,
    label: l.name,
    why: `${l.tannage} tanned, ${l.temper}, ${printWeight(l.thickness, settings.unit)}`,
  }))
const leatherOf = (layer: DrawnLayer) => job.design?.leathers[layerRole(props.drawn, layer)]

function add(kind: (typeof SORTS)[number]): void {
  const { design } = job
  if (!design) return
  const id = freshId(kind.sort, props.drawn.layers)
  const layer: DrawnLayer = {
    id,
    name: id.replace('-', ' '),
    sort: kind.sort,
    inset: null,
    turn: 0,
    block: 0,
    stock: kind.usual === undefined ? null : { name: kind.label, thickness: kind.usual },
  }
  const thinnest = stores.all.leathers.toSorted((a, b) => a.thickness - b.thickness)[0]
  job.edit(
    addLayer(
      `put a ${kind.label} behind the ${props.drawn.name.toLowerCase()}`,
      design,
      props.drawn,
      layer,
      layer.stock ? undefined : thinnest,
    ),
  )
}
const set = (layer: DrawnLayer, more: Partial<DrawnLayer>, gesture?: string): void =>
  emit(
    'change',
    `${layer.name} of the ${props.drawn.name.toLowerCase()}`,
    { ...props.drawn, layers: props.drawn.layers.map((l) => (l.id === layer.id ? { ...l, ...more } : l)) },
    gesture,
  )
function cutFrom(layer: DrawnLayer, id: string): void {
  const leather = stores.all.leathers.find((l) => l.id === id)
  if (leather)
    job.edit(setField(`${layer.name}: ${leather.name}`, ['leathers', layerRole(props.drawn, layer)], leather))
}
const take = (layer: DrawnLayer): void =>
  void (job.design && job.edit(removeLayer(`take out the ${layer.name}`, job.design, props.drawn, layer.id)))
const INSETS = [
  { value: 'worked', label: 'as its sort asks for', why: 'edge by edge, with its working under the piece' },
  { value: 'own', label: 'all round alike', why: 'one distance inside every edge' },
]
</script>

<template>
  <p v-for="l in drawn.layers" :key="l.id" class="sentence" :data-layer="l.id">
    <strong>{{ l.name }}</strong>
    <template v-if="l.stock">
      <MeasureField
        :value="l.stock.thickness"
        :label="`thickness of the ${l.name}`"
        sort="thickness"
        :min="0.05"
        :max="20"
        :step="0.1"
        @change="(v, g) => set(l, { stock: { ...l.stock!, thickness: v } }, g)"
      />
      thick,
    </template>
    <template v-else>
      from
      <ChoiceField
        :value="leatherOf(l)?.id ?? ''"
        :label="`leather of the ${l.name}`"
        :options="leathers()"
        then=","
        @change="(id) => cutFrom(l, id)"
      />
    </template>
    inset
    <ChoiceField
      :value="l.inset === null ? 'worked' : 'own'"
      :label="`inset of the ${l.name}`"
      :options="INSETS"
      @change="(v) => set(l, { inset: v === 'own' ? 3 : null })"
    />
    <template v-if="l.inset !== null"
      ><MeasureField
        :value="l.inset"
        :label="`inset of the ${l.name} all round`"
        sort="length"
        :min="-60"
        :max="200"
        :step="0.5"
        drag
        @change="(v, g) => set(l, { inset: v }, g)" /></template
    ><template v-if="!l.stock"
      >, its own edges turned
      <MeasureField
        :value="l.turn"
        :label="`turned edge of the ${l.name}`"
        sort="length"
        :min="0"
        :max="60"
        :step="1"
        @change="(v, g) => set(l, { turn: v }, g)" /></template
    >, cut first as a block
    <MeasureField
      :value="l.block"
      :label="`block of the ${l.name}`"
      sort="length"
      :min="0"
      :max="60"
      :step="1"
      @change="(v, g) => set(l, { block: v }, g)"
    />
    bigger.
    <v-btn variant="plain" class="link" @click="take(l)">take it out</v-btn>
  </p>
  <p class="row">
    <v-btn v-for="s in SORTS" :key="s.sort" :aria-label="`Put a ${s.label} behind it`" @click="add(s)">
      + {{ s.label }}
    </v-btn>
  </p>
</template>

<style scoped>
@import './lists.css';
</style>
