<script setup lang="ts">
import { CUTTER_LIMITS, type CutterWish } from '@drumlin/core/exchange/hpgl'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'

/** A cutter in two sentences: its bed and its tool. */
defineProps<{ how: CutterWish }>()
const emit = defineEmits<{ change: [more: Partial<CutterWish>] }>()
const TOOLS = [
  { value: 'blade' as const, label: 'a blade that trails' },
  { value: 'beam' as const, label: 'a beam' },
  { value: 'pen' as const, label: 'a pen only' },
]
const SIDES = [
  { value: 'grain' as const, label: 'grain side up' },
  { value: 'flesh' as const, label: 'flesh side up, mirrored' },
]
const [limits, fine] = [CUTTER_LIMITS, 0.05]
</script>

<template>
  <p>
    Its bed is
    <MeasureField
      :value="how.wide"
      label="width of the bed"
      sort="length"
      :min="limits.wide[0]"
      :max="limits.wide[1]"
      :step="10"
      @change="(wide) => emit('change', { wide })"
    />
    wide and
    <MeasureField
      :value="how.long"
      label="length of the bed"
      sort="length"
      :min="limits.long[0]"
      :max="limits.long[1]"
      :step="10"
      @change="(long) => emit('change', { long })"
    />
    long; leather lies
    <ChoiceField
      :value="how.mirrored ? 'flesh' : 'grain'"
      label="side up"
      :options="SIDES"
      @change="(side) => emit('change', { mirrored: side === 'flesh' })"
    />.
  </p>
  <p>
    It cuts with
    <ChoiceField
      :value="how.tool"
      label="tool"
      :options="TOOLS"
      @change="(tool) => emit('change', { tool })"
    /><template v-if="how.tool === 'blade'"
      >, its edge
      <MeasureField
        :value="how.trails"
        label="how far the edge trails"
        sort="pitch"
        :min="limits.trails[0]"
        :max="limits.trails[1]"
        :step="fine"
        @change="(trails) => emit('change', { trails })"
      />
      behind its axis</template
    ><template v-if="how.tool === 'beam'"
      >, which burns a slit of
      <MeasureField
        :value="how.slit"
        label="width of the slit"
        sort="pitch"
        :min="limits.slit[0]"
        :max="limits.slit[1]"
        :step="fine"
        @change="(slit) => emit('change', { slit })" /></template
    ><template v-if="how.tool !== 'pen'"
      >; outlines are cut
      <MeasureField
        :value="how.past"
        label="cut past the start"
        sort="length"
        :min="limits.past[0]"
        :max="limits.past[1]"
        :step="0.5"
        @change="(past) => emit('change', { past })"
      />
      past their start</template
    >.
  </p>
  <p v-if="how.tool !== 'pen'">
    Each outline keeps
    <MeasureField
      :value="how.tabs"
      label="bridges in each outline"
      sort="count"
      :min="limits.tabs[0]"
      :max="limits.tabs[1]"
      :step="1"
      @change="(tabs) => emit('change', { tabs })"
    />
    bridges<template v-if="how.tabs > 0"
      >, {{ ' '
      }}<MeasureField
        :value="how.tabWide"
        label="width of a bridge"
        sort="pitch"
        :min="limits.tabWide[0]"
        :max="limits.tabWide[1]"
        :step="0.1"
        @change="(tabWide) => emit('change', { tabWide })"
      />
      wide, which are cut by hand</template
    >.
    <template v-if="how.tool === 'blade'"
      >It is pressed with
      <MeasureField
        :value="how.force"
        label="grams on the blade"
        sort="count"
        :min="limits.force[0]"
        :max="limits.force[1]"
        :step="10"
        @change="(force) => emit('change', { force })"
      />
      g<template v-if="how.force === 0">: as it is set on the machine</template>.</template
    >
  </p>
</template>

<style scoped>
p {
  margin: 6px 0;
}
</style>
