<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import {
  GROUND_PARTS,
  type GroundPart,
  type Half,
  type Hide,
  sheetGround,
  typicalGround,
} from '@drumlin/core/stores'
import { roundTo } from '@drumlin/core/measure'
import { useTold } from '../price/told.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'

/** The outline of a part as it usually comes, of an area; or a rectangle, measured with a rule. */
const props = defineProps<{ draft: Hide }>()
const emit = defineEmits<{ change: [more: Partial<Hide>] }>()
const part = ref<GroundPart>(props.draft.part)
const area = ref(200)
const { told } = useTold()
/** As areas of hides are told: square decimetres, or square feet. */
const asked = computed(() => told('dm²'))
const half = ref<Half>('left')
const [long, wide] = [ref(900), ref(600)]
const isRectangle = computed(() => part.value === 'sheet' || part.value === 'scrap')
watch([part, area, half, long, wide], () =>
  emit('change', {
    part: part.value,
    ...(isRectangle.value
      ? sheetGround(long.value, wide.value)
      : typicalGround(part.value, area.value, half.value)),
    flaws: [],
    spots: [],
  }),
)
const parts = GROUND_PARTS.map((p) => ({ value: p, label: p === 'scrap' ? 'rectangular scrap' : p }))
const HALVES = [
  { value: 'left', label: 'left', why: 'seen on the grain, the belly below the backbone' },
  { value: 'right', label: 'right', why: 'seen on the grain, the belly above the backbone' },
] as const
const hasHalves = computed(() => ['side', 'back', 'butt', 'bend', 'shoulder', 'belly'].includes(part.value))
</script>

<template>
  <p class="sentence">
    A <ChoiceField :value="part" label="part of the hide" :options="parts" @change="(p) => (part = p)" />
    <template v-if="isRectangle">
      of
      <MeasureField
        :value="long"
        label="its length"
        sort="length"
        :min="20"
        :max="4000"
        :step="10"
        @change="(v) => (long = v)"
      />
      by
      <MeasureField
        :value="wide"
        label="its width"
        sort="length"
        :min="20"
        :max="3000"
        :step="10"
        @change="(v) => (wide = v)"
      />.
    </template>
    <template v-else>
      of
      <MeasureField
        :value="roundTo(area / asked.scale, 2)"
        :label="`its area in ${asked.word}`"
        sort="share"
        :min="2 / asked.scale"
        :max="600 / asked.scale"
        :step="1"
        @change="(v) => (area = v * asked.scale)"
      />
      {{ asked.word
      }}<template v-if="hasHalves"
        >, the
        <ChoiceField :value="half" label="which half" :options="HALVES" @change="(h) => (half = h)" />
        one</template
      >.
    </template>
  </p>
</template>

<style scoped>
.sentence {
  line-height: 1.8;
}
</style>
