<script setup lang="ts">
import { FLAWS, type Hide, type HideFlaw, ZONES } from '@drumlin/core/stores'
import type { Held } from './held.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'

/** Everything marked on a hide, one after the other: changed, taken out. */
const props = defineProps<{ hide: Hide }>()
const emit = defineEmits<{ change: [more: Partial<Hide>] }>()
/** Whose corners can be taken hold of on the map. */
const held = defineModel<Held | undefined>('held')
const hold = (of: Held['of'], i: number): void => void (held.value = isHeld(of, i) ? undefined : { of, i })
const isHeld = (of: Held['of'], i: number): boolean => held.value?.of === of && held.value.i === i
const flaws = FLAWS.map((f) => ({ value: f, label: f }))
const zones = ZONES.map((z) => ({ value: z, label: z }))
const replaced = <T,>(list: readonly T[], i: number, one: T): T[] => list.map((x, k) => (k === i ? one : x))
const without = <T,>(list: readonly T[], i: number): T[] => list.filter((_, k) => k !== i)
const setFlaw = (i: number, one: HideFlaw): void =>
  emit('change', { flaws: replaced(props.hide.flaws, i, one) })
function sized(i: number, size: number): void {
  const one = props.hide.flaws[i]!
  if (one.shape.type === 'circle') setFlaw(i, { ...one, shape: { ...one.shape, radius: size / 2 } })
  if (one.shape.type === 'line') setFlaw(i, { ...one, shape: { ...one.shape, width: size } })
}
const sizeOf = ({ shape }: HideFlaw): number | undefined =>
  shape.type === 'circle' ? 2 * shape.radius : shape.type === 'line' ? shape.width : undefined
const setSpot = (i: number, more: Partial<Hide['spots'][number]>): void =>
  emit('change', { spots: replaced(props.hide.spots, i, { ...props.hide.spots[i]!, ...more }) })
</script>

<template>
  <div class="marks">
    <p>
      The edge that is rarely used is
      <MeasureField
        :value="hide.band"
        label="width of the edge that is rarely used"
        sort="length"
        :min="0"
        :max="200"
        :step="1"
        @change="(band) => emit('change', { band })"
      />
      wide<template v-if="hide.backbone !== null"
        >; the backbone lies
        <MeasureField
          :value="hide.backbone"
          label="where the backbone lies"
          sort="length"
          :min="-5000"
          :max="5000"
          :step="5"
          @change="(backbone) => emit('change', { backbone })"
        />
        from the top</template
      >.
    </p>
    <p v-for="(f, i) in hide.flaws" :key="`f${i}`">
      <ChoiceField
        :value="f.sort"
        :label="`sort of flaw ${i + 1}`"
        :options="flaws"
        @change="(sort) => setFlaw(i, { ...f, sort })"
      />{{ ' '
      }}<template v-if="sizeOf(f) !== undefined">
        <MeasureField
          :value="sizeOf(f)!"
          :label="`size of flaw ${i + 1}`"
          sort="length"
          :min="1"
          :max="400"
          :step="1"
          @change="(v) => sized(i, v)"
        />
        {{ f.shape.type === 'circle' ? 'across' : 'wide' }}</template
      >
      <v-btn
        variant="plain"
        :aria-label="`Move flaw ${i + 1}`"
        :aria-pressed="isHeld('flaw', i)"
        @click="hold('flaw', i)"
        >move</v-btn
      >
      <v-btn
        variant="plain"
        :aria-label="`Take out flaw ${i + 1}`"
        @click="emit('change', { flaws: without(hide.flaws, i) })"
        >take out</v-btn
      >
    </p>
    <p v-for="(z, i) in hide.zones" :key="`z${i}`">
      Zone:
      <ChoiceField
        :value="z.sort"
        :label="`sort of zone ${i + 1}`"
        :options="zones"
        @change="(sort) => emit('change', { zones: replaced(hide.zones, i, { ...z, sort }) })"
      />
      <v-btn
        variant="plain"
        :aria-label="`Move zone ${i + 1}`"
        :aria-pressed="isHeld('zone', i)"
        @click="hold('zone', i)"
        >move</v-btn
      >
      <v-btn
        variant="plain"
        :aria-label="`Take out zone ${i + 1}`"
        @click="emit('change', { zones: without(hide.zones, i) })"
        >take out</v-btn
      >
    </p>
    <p v-for="(s, i) in hide.spots" :key="`s${i}`">
      <MeasureField
        :value="s.thickness"
        :label="`thickness at spot ${i + 1}`"
        sort="thickness"
        :min="0.2"
        :max="10"
        :step="0.1"
        @change="(thickness) => setSpot(i, { thickness })"
      />
      thick at
      <MeasureField
        :value="s.at.x"
        :label="`spot ${i + 1}, along the backbone`"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="10"
        @change="(x) => setSpot(i, { at: { ...s.at, x } })"
      />
      along,
      <MeasureField
        :value="s.at.y"
        :label="`spot ${i + 1}, across`"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="10"
        @change="(y) => setSpot(i, { at: { ...s.at, y } })"
      />
      across
      <v-btn
        variant="plain"
        :aria-label="`Take out spot ${i + 1}`"
        @click="emit('change', { spots: without(hide.spots, i) })"
        >take out</v-btn
      >
    </p>
  </div>
</template>

<style scoped>
.marks {
  max-height: 440px;
  overflow-y: auto;
}
p {
  display: flex;
  flex-wrap: wrap;
  column-gap: 6px;
  align-items: baseline;
  margin: 0 0 6px;
}
button[aria-pressed='true'] {
  background: var(--heather-wash);
}
</style>
