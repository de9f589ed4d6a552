<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed } from 'vue'
import type { Derived, SeamPlan } from '@drumlin/core/derived'
import { trimmed } from '@drumlin/core/measure'
import { diameterOf, needleFor, suitsPitch, threadSizes } from '@drumlin/core/stores'
import WorkingBox from '../sentence/WorkingBox.vue'
import FoldPart from '../parts/FoldPart.vue'

const figure = useFigures()
const props = defineProps<{ derived: Derived; plan: SeamPlan }>()
const thread = computed(() => props.derived.design.thread)
const sizes = computed(() => threadSizes(thread.value))
const diameter = computed(() => diameterOf(thread.value))
const suits = computed(() => suitsPitch(diameter.value, props.derived.design.iron.pitch, false))
const plies = computed(() =>
  thread.value.fibre === 'linen' ? [2, 3, 4, 5].map((n) => `${Math.round(sizes.value.lea * n)}/${n}`) : [],
)
const nameOf = (id: string): string => props.plan.rows.find((r) => r.run.join.id === id)?.run.join.name ?? id
</script>

<template>
  <FoldPart data-thread title="Thread and needles">
    <p class="colour">
      <span class="dot" :style="{ background: thread.colour }" aria-hidden="true" />{{ thread.name }},
      {{ thread.fibre }}, {{ figure(diameter, 2) }} mm.
    </p>
    <p class="figure small">
      Tex {{ trimmed(sizes.tex, 1) }} · {{ Math.round(sizes.denier) }} den · Nm {{ trimmed(sizes.nm, 2) }} ·
      ticket {{ Math.round(sizes.ticket)
      }}<template v-if="thread.fibre === 'cotton'">
        · cotton ticket {{ Math.round(sizes.cottonTicket) }}</template
      ><template v-if="plies.length > 0"> · as {{ plies.join(', ') }} linen</template>
    </p>
    <p>
      At {{ trimmed(derived.design.iron.pitch, 2) }} mm from hole to hole {{ figure(suits.min, 2) }} to
      {{ figure(suits.max, 2) }} mm suits. By hand a needle no thicker than the doubled thread,
      {{ figure(2 * diameter, 1) }} mm; by machine a needle {{ needleFor(diameter) }}.
    </p>
    <WorkingBox :reckoned="plan.supplies.thread" />
    <WorkingBox :reckoned="plan.supplies.spools" />
    <template v-if="plan.supplies.bobbins">
      <WorkingBox :reckoned="plan.supplies.bobbins.thread" />
      <WorkingBox :reckoned="plan.supplies.bobbins.holds" />
      <p>
        {{ plan.supplies.bobbins.count }} {{ plan.supplies.bobbins.count === 1 ? 'bobbin' : 'bobbins' }},
        wound full.
        <template v-for="r in plan.supplies.bobbins.runsOut" :key="`${r.run} ${r.stitch}`">
          One runs out at stitch {{ r.stitch }} of the {{ nameOf(r.run) }}.
        </template>
      </p>
    </template>
  </FoldPart>
</template>

<style scoped>
p {
  margin: 0 0 6px;
}
.small {
  font-size: 13px;
}
.dot {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 1px solid var(--quiet);
  border-radius: 50%;
  margin-right: 6px;
  vertical-align: -2px;
}
</style>
