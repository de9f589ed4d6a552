<script setup lang="ts">
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { DIE_LIMITS, type DiePreview, type DieWish, USUAL_DIE, dieProblem } from '@drumlin/core/exchange/die'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { diesToSee, saveDies } from '../output/save.js'
import { useWriting } from '../output/writing.js'
import WritingState from '../output/WritingState.vue'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import InkedDrawing from '../sheet/InkedDrawing.vue'
import { useKeptWays } from './keptWays.js'
import PieceTicks from './PieceTicks.vue'
import TwoSides from './TwoSides.vue'

/** Steel-rule dies to order: the rule, its board, and what can’t be made so. */
const props = defineProps<{ derived: Derived }>()
const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const writing = useWriting()
const looking = useWriting()
const { how, set } = useKeptWays(
  'die',
  USUAL_DIE,
  (ways) => dieProblem(ways) === undefined,
  'How you order dies',
)
const without = ref<readonly string[]>([])
const seen = shallowRef<DiePreview>()
const EDGES = [
  { value: 'middle' as const, label: 'in the middle of the rule', why: 'ground from both sides' },
  {
    value: 'inside' as const,
    label: 'at its inner face',
    why: 'ground from outside: the edge of what is cut stands upright',
  },
]
const pieces = computed(() => props.derived.pieces.filter((p) => p.panel.role !== 'guide'))
const wish = computed((): DieWish => ({
  ...how.value,
  pieces: pieces.value.filter((p) => !without.value.includes(p.id)).map((p) => p.id),
}))
const problem = computed(() => dieProblem(wish.value, settings.unit) ?? '')
const options = () => ({ die: JSON.parse(JSON.stringify(wish.value)) as DieWish, unit: settings.unit })
async function look(): Promise<void> {
  if (!open.value || problem.value !== '') return
  await looking.write('dies', async (signal) => {
    seen.value = await diesToSee(toRaw(props.derived.design), options(), signal)
  })
}
watch([open, wish, () => props.derived.design, () => settings.unit], () => void look(), { immediate: true })
const save = (as: 'dxf' | 'svg'): Promise<void> =>
  writing.write(as.toUpperCase(), (signal) => saveDies(toRaw(props.derived.design), options(), as, signal))
const limits = DIE_LIMITS
</script>

<template>
  <TwoSides id="die-title" v-model="open" title="Dies for a press" :problem :writing>
    <template #how>
      <p>
        Of rule
        <MeasureField
          :value="how.rule"
          label="thickness of the rule"
          sort="fine"
          :min="limits.rule[0]"
          :max="limits.rule[1]"
          :step="0.05"
          @change="(rule) => set({ rule })"
        />
        thick, its edge
        <ChoiceField
          :value="how.edge"
          label="edge of the rule"
          :options="EDGES"
          then="."
          @change="(edge) => set({ edge })"
        />
      </p>
      <p>
        Each slot of the board keeps
        <MeasureField
          :value="how.gaps"
          label="gaps in each slot"
          sort="count"
          :min="limits.gaps[0]"
          :max="limits.gaps[1]"
          :step="1"
          @change="(gaps) => set({ gaps })"
        />
        gaps,
        <MeasureField
          :value="how.gapWide"
          label="width of a gap"
          sort="length"
          :min="limits.gapWide[0]"
          :max="limits.gapWide[1]"
          :step="1"
          @change="(gapWide) => set({ gapWide })"
        />
        wide, where the rule is notched; rules stand
        <MeasureField
          :value="how.room"
          label="room between two rules"
          sort="length"
          :min="limits.room[0]"
          :max="limits.room[1]"
          :step="1"
          @change="(room) => set({ room })"
        />
        apart at least.
      </p>
      <PieceTicks v-model="without" :pieces="pieces" />
      <p class="quiet">
        A press crushes what lies under it: guards on, both hands on the switch, the die carried with its edge
        covered, the press maker’s instructions and your local rules first.
      </p>
    </template>
    <template #comes>
      <ol v-if="seen" role="list" aria-label="Dies">
        <li v-for="d in seen.dies" :key="d.id">
          {{ d.name }}: {{ printLength(d.rule, settings.unit) }} of rule<template v-if="d.punches > 0"
            >, {{ d.punches }} {{ d.punches === 1 ? 'punch' : 'punches' }}</template
          >
          <p v-for="trouble in d.troubles" :key="trouble" class="refused">{{ trouble }}</p>
        </li>
      </ol>
    </template>
    <template #acts="{ off }">
      <v-btn variant="flat" :disabled="off" @click="save('dxf')">Save as DXF</v-btn>
      <v-btn :disabled="off" @click="save('svg')">Save as SVG</v-btn>
    </template>
    <template #seen>
      <section aria-label="Dies as they are ordered">
        <WritingState :writing="looking" />
        <svg
          v-if="seen && problem === ''"
          class="board"
          :viewBox="`0 0 ${seen.width} ${seen.height}`"
          role="img"
          aria-label="Cutting edges and slots of the board"
        >
          <InkedDrawing :strokes="seen.strokes" :texts="seen.texts" thin />
        </svg>
      </section>
    </template>
  </TwoSides>
</template>

<style scoped>
.board {
  display: block;
  width: 100%;
  max-height: 62vh;
  background: #fff;
  box-shadow: 0 0 0 1px var(--hairline);
}
</style>
