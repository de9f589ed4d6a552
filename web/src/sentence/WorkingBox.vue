<script setup lang="ts">
import { computed, ref, watchEffect } from 'vue'
import { RouterLink } from 'vue-router'
import { giveBack, overrideNumber } from '@drumlin/core/design'
import { usedFor } from '@drumlin/core/pocketbook'
import { type Reckoned, explainSteps, ownRange, printQuantity } from '@drumlin/core/working'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import MeasureField from './MeasureField.vue'
import { printMeasure } from './measures.js'

const props = defineProps<{ reckoned: Reckoned; open?: boolean }>()
const job = useJob()
const settings = useSettings()
const shown = ref(props.open)
const steps = computed(() => explainSteps(props.reckoned, settings.unit, 3))
/** The term that is followed to its own working, by its key. */
const followed = ref<string>()
watchEffect(() => {
  if (shown.value) job.wantRanges()
})
const range = computed(() => {
  const found = shown.value ? job.ranges[props.reckoned.key] : undefined
  return found && found.to - found.from > 0.05 ? found : undefined
})
const use = computed(() => usedFor(props.reckoned.key))
const print = (v: number): string =>
  props.reckoned.quantity === 'length'
    ? printMeasure(v, 'length', settings.unit)
    : printQuantity(v, props.reckoned.quantity, settings.unit)

/** By what sort of field a number is written over, and by what step; a share or an angle in a working is read, not set. */
const WRITABLE = {
  length: { sort: 'length', step: 1 },
  long: { sort: 'long', step: 100 },
  thickness: { sort: 'thickness', step: 0.05 },
  count: { sort: 'count', step: 1 },
} as const
const writable = computed(() => {
  const { measured, quantity } = props.reckoned
  return measured || quantity === 'share' || quantity === 'angle' || quantity === 'money'
    ? undefined
    : { ...WRITABLE[quantity], ...ownRange(props.reckoned) }
})
const printed = computed(() => print(props.reckoned.value))
const refusal = ref('')
function writeOver(value: number, gesture?: string): void {
  const refused = job.edit(overrideNumber(props.reckoned.label, props.reckoned.key, value), gesture)
  refusal.value = refused?.why ?? ''
}
const takeBack = (): void => void job.edit(giveBack(props.reckoned.label, [props.reckoned.key]))
</script>

<template>
  <div class="one" :data-size="reckoned.key">
    <div class="line">
      <v-btn variant="plain" class="label" :aria-expanded="shown ? 'true' : 'false'" @click="shown = !shown">
        <span aria-hidden="true" class="turn">{{ shown ? '▾' : '▸' }}</span>{{ reckoned.label }}
      </v-btn>
      <span class="value">
        <span v-if="!writable" class="figure">{{ printed }}</span>
        <MeasureField
          v-else
          :value="reckoned.value"
          :label="reckoned.label"
          v-bind="writable"
          :refusal="refusal"
          @change="writeOver"
        />
      </span>
    </div>
    <div v-if="reckoned.overridden" class="own">
      <span>yours; the working says {{ print(reckoned.figured) }}</span>
      <v-btn @click="takeBack">Give it back</v-btn>
    </div>
    <div v-if="shown" class="working figure" role="group" :aria-label="`Working of ${reckoned.label}`">
      <template v-for="(step, i) in steps" :key="step.reckoned.key">
        <p v-if="i === 0">{{ step.line }}</p>
        <template v-else>
          <p>
            <v-btn
              variant="plain"
              class="term"
              :aria-label="`Follow: ${step.reckoned.label}`"
              :aria-expanded="followed === step.reckoned.key ? 'true' : 'false'"
              @click="followed = followed === step.reckoned.key ? undefined : step.reckoned.key"
              >{{ step.reckoned.label }}</v-btn>{{ step.line.slice(step.reckoned.label.length) }}
          </p>
          <WorkingBox
            v-if="followed === step.reckoned.key"
            class="own-working"
            :reckoned="step.reckoned"
            open
          />
        </template>
      </template>
    </div>
    <p v-if="range" class="range quiet" data-range>
      {{ print(range.from) }} to {{ print(range.to) }} as the leathers come, thin or thick
    </p>
    <RouterLink
      v-if="shown && use"
      class="book"
      :to="{
        name: 'pocket-book',
        params: { entry: use.entry },
        query: { for: reckoned.key, label: reckoned.label },
      }"
    >
      reckon it in the pocket book
    </RouterLink>
  </div>
</template>

<style scoped>
.one {
  margin-bottom: 4px;
}
.line {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
}
.label {
  flex: 0 1 auto;
  min-height: 26px;
}
.turn {
  display: inline-block;
  width: 16px;
  color: var(--moss);
}
.value {
  white-space: nowrap;
}
.own {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  color: var(--heather);
  font-size: 14px;
  padding-left: 16px;
}
.range {
  margin: 0 0 4px;
  font-size: 14px;
}
.book {
  font-size: 14px;
  color: var(--loch);
}
.working {
  margin: 4px 0 8px;
  padding: 8px 10px;
  background: var(--working);
  border-left: 3px solid var(--hairline);
  font-size: 13px;
  line-height: 1.5;
  overflow-wrap: anywhere;
}
.working > p {
  margin: 0;
}
.v-btn.term {
  display: inline;
  min-height: 24px;
  padding: 0;
  color: var(--loch);
  font: inherit;
  text-align: left;
  text-decoration: underline;
  text-decoration-style: dotted;
  text-underline-offset: 3px;
}
.own-working {
  margin: 4px 0 8px;
  padding-left: 8px;
  border-left: 3px solid var(--heather);
  font-family: var(--ui);
  font-size: 14px;
}
</style>
