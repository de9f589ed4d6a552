<script setup lang="ts">
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import {
  CUTTER_LIMITS,
  type CutPreview,
  type CutterWish,
  type Pass,
  USUAL_CUTTER,
  cutterProblem,
} from '@drumlin/core/exchange/hpgl'
import { groupsOf } from '@drumlin/core/hide'
import { useSettings } from '../app/settings.js'
import { useDevices } from '../devices/devices.js'
import { cutToSee, hpglText, saveHpgl } from '../output/save.js'
import { useWriting } from '../output/writing.js'
import WritingState from '../output/WritingState.vue'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import PieceTicks from './PieceTicks.vue'
import TwoSides from './TwoSides.vue'
import CutterWays from './CutterWays.vue'
import { minutesSaid } from '../parts/time.js'
import { useKeptWays } from './keptWays.js'

/** The pieces for a machine that cuts: its bed, its tool, and the way it will go. */
const props = defineProps<{ derived: Derived }>()
const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const writing = useWriting()
const looking = useWriting()
const { how, set } = useKeptWays(
  'cutter',
  USUAL_CUTTER,
  (ways) => cutterProblem(ways) === undefined,
  'How you cut',
)
const without = ref<readonly string[]>([])
const seen = shallowRef<CutPreview>()
const air = ref(false)
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
/** Hides that something is laid out on: one of them can be cut as it lies there. */
const hides = computed(() =>
  groupsOf(props.derived).flatMap(({ hides, asked }) =>
    hides.filter((h) => asked.lying.some((l) => l.hide === h.id)),
  ),
)
const ROWS = 'rows'
const layout = ref<string>(ROWS)
const hide = computed(() => hides.value.find((h) => h.id === layout.value)?.id)
const layouts = computed(() => [
  { value: ROWS, label: 'in rows on the bed' },
  ...hides.value.map((h) => ({ value: h.id, label: `as they are laid out on ${h.name}` })),
])
const wish = computed((): CutterWish => ({
  ...how.value,
  ...(hide.value === undefined
    ? { pieces: pieces.value.filter((p) => !without.value.includes(p.id)).map((p) => p.id) }
    : { hide: hide.value }),
}))
const problem = computed(() => cutterProblem(wish.value, settings.unit) ?? '')
const options = () => ({ cutter: JSON.parse(JSON.stringify(wish.value)) as CutterWish, unit: settings.unit })
async function look(): Promise<void> {
  if (!open.value || problem.value !== '') return
  await looking.write('way of the tool', async (signal) => {
    seen.value = await cutToSee(toRaw(props.derived.design), options(), signal)
  })
}
watch([open, wish, () => props.derived.design, () => settings.unit], () => void look(), { immediate: true })
const devices = useDevices()
const save = (): Promise<void> =>
  writing.write('HPGL', async (signal) =>
    saveHpgl(props.derived.design, await hpglText(toRaw(props.derived.design), options(), signal)),
  )
/** Once it was sent and the cutter had nothing to say against it. */
const sent = ref(false)
const send = (): Promise<void> =>
  writing.write('cut', async (signal) => {
    sent.value = false
    await devices.cut(await hpglText(toRaw(props.derived.design), options(), signal))
    sent.value = true
  })
watch(wish, () => (sent.value = false))
const limits = CUTTER_LIMITS
</script>

<template>
  <TwoSides id="cutter-title" v-model="open" title="The pieces for a cutter" :problem :writing>
    <template #how>
      <CutterWays :how="how" @change="set" />
      <p v-if="hides.length > 0">
        Pieces lie
        <ChoiceField
          :value="hide ?? ROWS"
          label="how pieces lie on the bed"
          :options="layouts"
          @change="(way) => (layout = way)"
        />.
      </p>
      <p v-if="hide === undefined">
        On it lies
        <ChoiceField
          :value="material"
          label="leather on the bed"
          :options="materials.map((m) => ({ value: m, label: m }))"
          @change="(m) => (wanted = m)"
        />.
      </p>
      <PieceTicks v-if="hide === undefined" v-model="without" :pieces="pieces" />
      <p class="quiet">
        Knives and presses: hands off while it moves. Lasers: never chrome-tanned leather, whose fumes are
        poisonous; air drawn off, eyes covered, the maker’s instructions and your local rules first.
      </p>
    </template>
    <template #comes>
      <template v-if="seen">
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
    </template>
    <template #acts="{ off }">
      <v-btn v-if="devices.cutter" variant="flat" :disabled="off" @click="send">Send to the cutter</v-btn>
      <v-btn :variant="devices.cutter ? undefined : 'flat'" :disabled="off" @click="save">Save as HPGL</v-btn>
    </template>
    <template #after>
      <p v-if="sent" role="status">It was sent, and the cutter has no complaint.</p>
      <p v-else-if="!devices.cutter" class="quiet">
        A cutter that is connected under Devices is sent to from here.
      </p>
    </template>
    <template #seen>
      <section aria-label="Way of the tool">
        <WritingState :writing="looking" />
        <template v-if="seen && problem === ''">
          <v-checkbox-btn v-model="air" label="way through the air" />
          <svg
            class="bed"
            :style="{ aspectRatio: `${how.wide} / ${Math.max(100, seen.long)}` }"
            :viewBox="`0 0 ${how.wide} ${Math.max(100, seen.long)}`"
            role="img"
            aria-label="The bed with the lines that are cut"
          >
            <path v-if="air" class="air" :d="seen.air" />
            <path v-for="p in seen.passes" :key="p.pass" :class="p.pass" :d="p.d" />
          </svg>
        </template>
      </section>
    </template>
  </TwoSides>
</template>

<style scoped>
.bed {
  display: block;
  max-width: 100%;
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
