<script setup lang="ts">
import { computed } from 'vue'
import { type DrawnPanel, layingsByMark, liesSo, turnedInPlace } from '@drumlin/core/drawn'
import { useJob } from '../job/job.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import FoldPart from '../parts/FoldPart.vue'

const props = defineProps<{ drawn: DrawnPanel }>()
const emit = defineEmits<{ change: [name: string, panel: DrawnPanel, gesture?: string] }>()
const set = (name: string, more: Partial<DrawnPanel>, gesture?: string): void =>
  emit('change', name, { ...props.drawn, ...more }, gesture)
const job = useJob()
/** Every mark of it with every mark that lies in the work. */
const layings = computed(() => {
  const { panels, master } = job.derived ?? {}
  return panels && master ? layingsByMark(props.drawn, { panels, layups: master.layups }) : []
})
const BY_ITSELF = { value: '', label: 'where it was put', why: 'by the two distances' }
const byMark = computed(() => layings.value.find((l) => liesSo(props.drawn, l))?.id ?? '')
const byMarks = computed(() => [
  BY_ITSELF,
  ...layings.value.map((l) => ({
    value: l.id,
    label: `with ${l.said}`,
    why: l.alike ? 'both marks have the same letters' : 'one mark comes to lie on the other',
  })),
])
function layBy(id: string): void {
  const laying = layings.value.find((l) => l.id === id)
  if (laying) set(`lay ${laying.said}`, { lies: laying.lies })
}
const LIES = [
  { value: 'down', label: 'grain side down', why: 'seen from inside, as one glues the layers on' },
  { value: 'up', label: 'grain side up', why: 'seen from outside' },
]
</script>

<template>
  <FoldPart title="Where it lies">
    <p class="sentence">
      In the work it lies
      <MeasureField
        :value="drawn.lies.x"
        label="lies across"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="1"
        drag
        @change="(x, g) => set('where it lies', { lies: { ...drawn.lies, x } }, g)"
      />
      across and
      <MeasureField
        :value="drawn.lies.y"
        label="lies down"
        sort="length"
        :min="-5000"
        :max="5000"
        :step="1"
        drag
        @change="(y, g) => set('where it lies', { lies: { ...drawn.lies, y } }, g)"
      />
      down, turned by
      <MeasureField
        :value="Math.round((drawn.lies.turn * 1800) / Math.PI) / 10"
        label="lies turned, degrees"
        sort="share"
        :min="-180"
        :max="180"
        :step="5"
        drag
        @change="(v, g) => set('how it lies', { lies: turnedInPlace(drawn, (v * Math.PI) / 180) }, g)"
      />°,
      <ChoiceField
        :value="drawn.lies.grainUp ? 'up' : 'down'"
        label="which side up"
        :options="LIES"
        then=";"
        @change="(v) => set('which side up', { lies: { ...drawn.lies, grainUp: v === 'up' } })"
      />
      <template v-if="layings.length > 0">
        laid
        <ChoiceField :value="byMark" label="laid by its marks" :options="byMarks" then=";" @change="layBy" />
      </template>
      its grain arrow points
      <MeasureField
        :value="Math.round((drawn.grain * 1800) / Math.PI) / 10"
        label="grain arrow in degrees"
        sort="share"
        :min="-180"
        :max="180"
        :step="5"
        @change="(v, g) => set('grain arrow', { grain: (v * Math.PI) / 180 }, g)"
      />° from level.
    </p>
  </FoldPart>
</template>

<style scoped>
@import './lists.css';
</style>
