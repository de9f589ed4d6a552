<script setup lang="ts">
import { computed, onScopeDispose, toRef, watch } from 'vue'
import type { Edit } from '@drumlin/core/design'
import { printWeight, printWeightBare } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { type Sought, useProposals } from './proposals.js'

const props = defineProps<{ sought: Sought }>()
const job = useJob()
const settings = useSettings()
const { proposal, ways, seeking, failed, stop } = useProposals(toRef(props, 'sought'))

const trying = (edit: Edit | undefined): boolean => edit !== undefined && job.preview === edit
/** The proposal is what is being looked at. */
const shown = computed(() => trying(proposal.value?.edit))
/** Where its skives lie, while they are shown. */
defineExpose({ areas: computed(() => (shown.value ? proposal.value!.skives.flatMap((s) => s.areas) : [])) })

const look = (edit: Edit | undefined): void => void (job.preview = trying(edit) ? undefined : edit)
// What was looked at belongs to the question it answered.
const forget = (): void => void (job.preview = undefined)
watch(() => props.sought, forget)
onScopeDispose(forget)

const print = (mm: number): string => printWeight(mm, settings.unit)
const bare = (mm: number): string => printWeightBare(mm, settings.unit)
const minutes = computed(() => proposal.value?.skives.reduce((sum, s) => sum + s.minutes, 0) ?? 0)
const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine']
const counted = (n: number): string => `${NUMBERS[n] ?? n} ${n === 1 ? 'skive' : 'skives'}`
</script>

<template>
  <section aria-label="Ways to get there" data-proposals>
    <p v-if="seeking" role="status" class="quiet">
      {{ seeking === 'skives' ? 'Looking for skives …' : 'Trying what else would help …' }}
      <v-btn variant="plain" class="link" @click="stop">Stop</v-btn>
    </p>
    <p v-if="failed" role="alert" class="failed">That could not be worked out: {{ failed }}</p>
    <template v-if="proposal">
      <p v-if="proposal.skives.length === 0 && proposal.reachable" data-reached>
        It is {{ print(proposal.now) }} at most: nothing has to be skived.
      </p>
      <template v-else-if="proposal.skives.length > 0">
        <p v-if="proposal.reachable" data-reached>
          {{ counted(proposal.skives.length) }} {{ proposal.skives.length === 1 ? 'reaches' : 'reach' }} it,
          {{ Math.round(minutes) }} min in all:
        </p>
        <p v-else class="short" data-reached>
          Skiving alone comes to <strong>{{ print(proposal.reached) }}</strong>, each leather as thin as it
          bears under a stitch:
        </p>
        <ul class="skives figure">
          <li v-for="s in proposal.skives" :key="s.key">
            <span>{{ s.name }}</span>
            <span class="right">{{ bare(s.from) }} → {{ bare(s.to) }}</span>
            <span class="right quiet">{{ Math.round(s.minutes) }} min</span>
          </li>
        </ul>
        <p class="row">
          <v-btn :aria-pressed="shown" @click="look(proposal.edit)">
            {{ shown ? 'As it was' : 'Show on the map' }}
          </v-btn>
          <v-btn v-if="proposal.edit" variant="flat" @click="job.edit(proposal.edit)">
            Take {{ proposal.skives.length === 1 ? 'it' : 'them all' }}
          </v-btn>
        </p>
      </template>
      <p v-else class="short" data-reached>Nothing under this seam can be skived.</p>
    </template>
    <template v-if="ways && ways.length > 0">
      <h2>Or</h2>
      <ul class="ways">
        <li v-for="w in ways.slice(0, 8)" :key="w.label">
          <span>
            {{ w.label }} <strong class="figure">−{{ bare(w.saves) }}</strong>
            <span v-if="w.enough" class="quiet"> reaches it</span>
          </span>
          <span class="row">
            <v-btn class="small" :aria-pressed="trying(w.edit)" @click="look(w.edit)">
              {{ trying(w.edit) ? 'Leave it' : 'Try it' }}
            </v-btn>
            <v-btn v-if="trying(w.edit)" variant="flat" class="small" @click="job.edit(w.edit)"
              >Take it</v-btn
            >
          </span>
        </li>
      </ul>
    </template>
    <p v-else-if="ways && proposal && !proposal.reachable" class="quiet">
      No other single choice makes this seam thinner.
    </p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 15px;
  margin: 10px 0 4px;
}
.skives,
.ways {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
}
.skives {
  background: var(--working);
  border-left: 3px solid var(--hairline);
  padding: 8px 10px;
  font-size: 13px;
}
.skives li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 48px;
  gap: 8px;
  padding: 2px 0;
}
.right {
  text-align: right;
  white-space: nowrap;
}
.ways li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  padding: 3px 0;
  border-bottom: 1px solid var(--hairline);
  font-size: 14px;
}
.row {
  display: flex;
  flex: none;
  gap: 8px;
  margin: 0;
}
.small {
  min-height: 26px;
  padding: 1px 8px;
  font-size: 14px;
  white-space: nowrap;
}
.short {
  border-left: 4px solid var(--gorse-mark);
  padding-left: 10px;
}
.failed {
  color: var(--rowan);
}
.link {
  color: var(--loch);
  text-decoration: underline;
}
p {
  margin: 0 0 10px;
}
</style>
