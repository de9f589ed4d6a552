<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useOpenFindings } from '../job/about.js'
import { useJob } from '../job/job.js'
import FindingNote from '../parts/FindingNote.vue'
import FoldPart from '../parts/FoldPart.vue'
import WorkAndSide from '../parts/WorkAndSide.vue'
import ChoiceField from '../sentence/ChoiceField.vue'
import AlsoCut from './AlsoCut.vue'
import AsksTable from './AsksTable.vue'
import ChosenOnHide from './ChosenOnHide.vue'
import CutOrder from './CutOrder.vue'
import HideFigures from './HideFigures.vue'
import HideMap from './HideMap.vue'
import HideQuestions from './HideQuestions.vue'
import HidesChosen from './HidesChosen.vue'
import LayActs from './LayActs.vue'
import PlanOut from './PlanOut.vue'
import WaitingPieces from './WaitingPieces.vue'
import { useLaying } from './laying.js'

defineProps<{ id: string }>()
const job = useJob()
const laying = useLaying()
const group = computed(() => laying.group.value)
const chosen = ref<string>()
watch(group, (now) => {
  if (chosen.value && !now?.wanted.some((w) => w.id === chosen.value)) chosen.value = undefined
})
const found = useOpenFindings('hide')
const materials = computed(() =>
  laying.groups.value.map((g) => ({
    value: g.of,
    label: g.material,
    why: `${g.wanted.length} ${g.wanted.length === 1 ? 'piece' : 'pieces'}, ${g.hides.length} ${g.leather ? (g.hides.length === 1 ? 'hide' : 'hides') : 'to cut from'}`,
  })),
)
</script>

<template>
  <WorkAndSide label="The hide" side="Laying out" title="Hide">
    <p v-if="!group" class="none">Nothing is drawn yet; the Draft is where panels are drawn.</p>
    <template v-else-if="group.hides.length > 0">
      <HideMap v-model:chosen="chosen" :laying="laying" />
      <WaitingPieces :laying="laying" />
    </template>
    <div v-else class="none">
      <h2>What is it cut from?</h2>
      <p>
        {{ group.wanted.length }} {{ group.wanted.length === 1 ? 'piece' : 'pieces' }} of {{ group.material }}
        {{ group.wanted.length === 1 ? 'waits' : 'wait' }} to be laid out. Take a hide from the shelf, or
        describe the one that lies before you.
      </p>
      <HidesChosen :laying="laying" />
    </div>
    <template #side>
      <template v-if="group">
        <p>
          Laying out
          <ChoiceField
            :value="group.of"
            label="material that is laid out"
            :options="materials"
            then="."
            @change="(of) => (laying.of.value = of)"
          />
        </p>
        <LayActs :laying="laying" />
        <ChosenOnHide v-if="chosen" :laying="laying" :piece="chosen" @leave="chosen = undefined" />
        <FindingNote v-for="f in found" :key="f.key" :finding="f" />
        <template v-if="group.hides.length > 0">
          <HideFigures :laying="laying" />
          <FoldPart title="Hides it is cut from" open><HidesChosen :laying="laying" /></FoldPart>
        </template>
        <FoldPart title="What each piece asks of the hide">
          <AsksTable :laying="laying" />
        </FoldPart>
        <FoldPart title="Cut along with it"><AlsoCut /></FoldPart>
        <FoldPart title="How many come out, what to buy"><HideQuestions :laying="laying" /></FoldPart>
        <FoldPart v-if="group.asked.lying.length > 0" title="Order of cutting">
          <CutOrder :laying="laying" @choose="(id) => (chosen = id)" />
        </FoldPart>
        <PlanOut v-if="group.hides.length > 0" :derived="job.derived!" :laying="laying" />
      </template>
    </template>
  </WorkAndSide>
</template>

<style scoped>
.none {
  padding: 28px;
  max-width: 70ch;
  overflow-y: auto;
}
h2 {
  font-size: 17px;
  margin-bottom: 8px;
}
</style>
