<script setup lang="ts">
import { computed } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { type DrawnPanel, wholeDrawn } from '@drumlin/core/drawn'
import { withLengths } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'

const props = defineProps<{ drawn: DrawnPanel; derived: Derived }>()
const settings = useSettings()
const emit = defineEmits<{ change: [name: string, panel: DrawnPanel, gesture?: string] }>()
const set = (name: string, more: Partial<DrawnPanel>, gesture?: string): void =>
  emit('change', name, { ...props.drawn, ...more }, gesture)
const thickness = computed(() => props.derived.pieces.find((p) => p.id === props.drawn.id)?.thickness ?? 1)
const leather = computed(() => props.derived.design.leathers[props.drawn.role])
const roles = computed(() =>
  props.derived.kind.roles.map((r) => ({
    value: r.id,
    label: r.label.toLowerCase(),
    why: withLengths(r.why, settings.unit),
  })),
)
const SPLITS = [
  { value: 'no', label: 'not split', why: 'used at the thickness it has' },
  { value: 'split', label: 'split to', why: 'the whole piece thinned; cut it as a block first' },
]
const PULLS = [
  { value: 'none', label: 'not pulled', why: 'nothing hangs on it' },
  { value: 'down', label: 'pulled up and down', why: 'a strap or handle: no stitch line should go across' },
  { value: 'across', label: 'pulled from side to side', why: 'a strap or handle lying on its side' },
]
const pulled = computed(() => {
  const { pull } = props.drawn
  return pull === undefined ? 'none' : Math.abs(Math.sin(pull)) > 0.5 ? 'down' : 'across'
})
function setPull(to: string): void {
  const { pull: _, ...rest } = props.drawn
  const name = PULLS.find((p) => p.value === to)!.label
  emit('change', name, to === 'none' ? rest : { ...rest, pull: to === 'down' ? Math.PI / 2 : 0 })
}
const HALVES = [
  { value: 'half', label: 'a half, mirrored', why: 'both sides stay alike' },
  { value: 'whole', label: 'whole', why: 'both sides drawn on their own' },
]
const unmirror = (): void => emit('change', 'draw it whole', wholeDrawn(props.drawn))
</script>

<template>
  <p class="sentence">
    Cut
    <MeasureField
      :value="drawn.count"
      label="how many are cut"
      sort="count"
      :min="1"
      :max="99"
      :step="1"
      @change="(count) => set(`cut ${count}`, { count })"
    />
    from the
    <ChoiceField
      :value="drawn.role"
      label="which leather"
      :options="roles"
      @change="(role) => set(`from the ${role} leather`, { role })"
    />
    leather ({{ leather?.name }}),
    <MeasureField
      :value="drawn.flipped"
      label="how many are turned over"
      sort="count"
      :min="0"
      :max="drawn.count"
      :step="1"
      @change="(flipped) => set(`${flipped} turned over`, { flipped })"
    />
    turned over,
    <ChoiceField
      :value="drawn.split === null ? 'no' : 'split'"
      label="split or not"
      :options="SPLITS"
      @change="
        (v) =>
          set(
            'split',
            v === 'no'
              ? { split: null }
              : { split: Math.round(thickness * 8) / 10, block: Math.max(5, drawn.block) },
          )
      "
    />
    <MeasureField
      v-if="drawn.split !== null"
      :value="drawn.split"
      label="split to"
      sort="thickness"
      :min="0.2"
      :max="8"
      :step="0.05"
      drag
      then=","
      @change="(split, g) => set('split', { split }, g)"
    />
    cut first as a block
    <MeasureField
      :value="drawn.block"
      label="rough block bigger by"
      sort="length"
      :min="0"
      :max="60"
      :step="1"
      @change="(block, g) => set('rough block', { block }, g)"
    />
    bigger. Drawn
    <ChoiceField
      v-if="drawn.mirror"
      value="half"
      label="half or whole"
      :options="HALVES"
      @change="unmirror"
    /><template v-else>whole</template>; it is
    <ChoiceField :value="pulled" label="which way it is pulled" :options="PULLS" then="." @change="setPull" />
  </p>
</template>

<style scoped>
@import './lists.css';
</style>
