<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, toRaw, watch } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import {
  CUTTER_LIMITS,
  type CutPreview,
  type CutterWish,
  type Pass,
  USUAL_CUTTER,
  cutterProblem,
} from '@drumlin/core/exchange/hpgl'
import { useSettings } from '../app/settings.js'
import { useTrouble } from '../app/trouble.js'
import { cutToSee, saveHpgl } from '../output/save.js'
import { useWriting } from '../output/writing.js'
import WritingState from '../output/WritingState.vue'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import PieceTicks from './PieceTicks.vue'
import CutterWays from './CutterWays.vue'
import { minutesSaid } from '../parts/time.js'
import { readSetting, writeSetting } from '../storage/settings.js'

/** The pieces for a machine that cuts: its bed, its tool, and the way it will go. */
const props = defineProps<{ derived: Derived }>()
const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const writing = useWriting()
const looking = useWriting()
const how = ref<CutterWish>(USUAL_CUTTER)
const without = ref<readonly string[]>([])
const seen = shallowRef<CutPreview>()
const air = ref(false)

onMounted(async () => {
  const kept = await readSetting<Partial<CutterWish>>('cutter').catch(() => undefined)
  const mine = { ...USUAL_CUTTER, ...(typeof kept === 'object' ? kept : {}) }
  if (cutterProblem(mine) === undefined) how.value = mine
})
function set(more: Partial<CutterWish>): void {
  how.value = { ...how.value, ...more }
  void useTrouble().attempt('How you cut holds only until this page is closed', () =>
    writeSetting('cutter', { ...how.value }),
  )
}
const PASS_WORDS: Readonly<Record<Pass, string>> = {
  marks: 'marks drawn',
  holes: 'holes',
  inside: 'cuts inside pieces',
  outline: 'outlines, small before large',
}
/** One leather lies on the bed at a time. */
const materials = computed(() => [...new Set(props.derived.pieces.map((p) => p.material))])
const wanted = ref<string>()
const material = computed(() => materials.value.find((m) => m === wanted.value) ?? materials.value[0] ?? '')
const pieces = computed(() => props.derived.pieces.filter((p) => p.material === material.value))
const wish = computed((): CutterWish => ({
  ...how.value,
  pieces: pieces.value.filter((p) => !without.value.includes(p.id)).map((p) => p.id),
}))
const problem = computed(() => cutterProblem(wish.value))
const options = () => ({ cutter: JSON.parse(JSON.stringify(wish.value)) as CutterWish, unit: settings.unit })
async function look(): Promise<void> {
  if (!open.value || problem.value !== undefined) return
  await looking.write('way of the tool', async (signal) => {
    seen.value = await cutToSee(toRaw(props.derived.design), options(), signal)
  })
}
watch([open, wish, () => props.derived.design, () => settings.unit], () => void look(), { immediate: true })
const save = (): Promise<void> =>
  writing.write('HPGL', (signal) => saveHpgl(toRaw(props.derived.design), options(), signal))
const limits = CUTTER_LIMITS
</script>

<template>
  <v-dialog v-model="open" aria-labelledby="cutter-title" max-width="1180" scrollable>
    <v-card class="cutter">
      <h2 id="cutter-title">The pieces for a cutter</h2>
      <div class="two">
        <div class="how">
          <CutterWays :how="how" @change="set" />
          <p>
            On it lies
            <ChoiceField
              :value="material"
              label="leather on the bed"
              :options="materials.map((m) => ({ value: m, label: m }))"
              @change="(m) => (wanted = m)"
            />.
          </p>
          <PieceTicks v-model="without" :pieces="pieces" />
          <p v-if="problem" role="alert" class="refused">{{ problem }}</p>
          <template v-else-if="seen">
            <p v-for="l in seen.left" :key="l.name" role="alert" class="refused">
              No room on the bed for {{ l.count }} × {{ l.name }}: cut it apart, or on a longer bed.
            </p>
            <ol role="list" aria-label="Passes">
              <li v-for="p in seen.passes" :key="p.pass">{{ PASS_WORDS[p.pass] }}: {{ p.lines }}</li>
            </ol>
            <p>
              <span role="status">About {{ minutesSaid(Math.max(1, seen.seconds / 60)) }}</span
              >, cutting
              <MeasureField
                :value="how.cuts"
                label="mm a second, cutting"
                sort="count"
                :min="limits.cuts[0]"
                :max="limits.cuts[1]"
                :step="10"
                @change="(cuts) => set({ cuts })"
              />
              and moving
              <MeasureField
                :value="how.moves"
                label="mm a second, moving"
                sort="count"
                :min="limits.moves[0]"
                :max="limits.moves[1]"
                :step="10"
                @change="(moves) => set({ moves })"
              />
              mm a second.
            </p>
          </template>
          <p class="quiet">
            Knives and presses: hands off while it moves. Lasers: never chrome-tanned leather, whose fumes are
            poisonous; air drawn off, eyes covered, the maker’s instructions and your local rules first.
          </p>
          <p class="row">
            <v-btn
              variant="flat"
              :disabled="problem !== undefined || writing.working.value !== undefined"
              @click="save"
              >Save as HPGL</v-btn
            >
            <v-btn @click="open = false">Leave it</v-btn>
          </p>
          <WritingState :writing="writing" />
        </div>
        <section aria-label="Way of the tool">
          <WritingState :writing="looking" />
          <template v-if="seen && !problem">
            <v-checkbox-btn v-model="air" label="way through the air" />
            <svg
              class="bed"
              :viewBox="`0 0 ${how.wide} ${Math.max(100, seen.long)}`"
              role="img"
              aria-label="The bed with the lines that are cut"
            >
              <path v-if="air" class="air" :d="seen.air" />
              <path v-for="p in seen.passes" :key="p.pass" :class="p.pass" :d="p.d" />
            </svg>
          </template>
        </section>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.cutter {
  padding: 20px 24px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 24px;
}
@media (max-width: 800px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
.how {
  line-height: 1.8;
}
p {
  margin: 6px 0;
}
.row {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
.refused {
  color: var(--rowan);
}
.bed {
  width: 100%;
  max-height: 62vh;
  background: var(--chalk);
  box-shadow: 0 0 0 1px var(--hairline);
}
.bed path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
.bed .marks {
  stroke: var(--loch);
}
.bed .holes {
  stroke: var(--heather);
}
.bed .inside {
  stroke: var(--rowan);
}
.bed .air {
  stroke: var(--quiet);
  stroke-dasharray: 2 3;
}
</style>
