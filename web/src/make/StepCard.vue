<script setup lang="ts">
import { computed } from 'vue'
import { supplySaid } from '@drumlin/core/exchange/work'
import { REASONS, type Step, type Steps, lastCalls } from '@drumlin/core/steps'
import type { Drawn } from '@drumlin/core/drawing'
import { useSettings } from '../app/settings.js'
import WorkingBox from '../sentence/WorkingBox.vue'
import DrawnPicture from './DrawnPicture.vue'
import { minutesSaid } from '../parts/time.js'

/** All about one step: its picture, what it is done to, with what, how long, after what and before what, and why. */
const props = defineProps<{ step: Step; all: Steps; picture: readonly Drawn[] }>()
const emit = defineEmits<{ choose: [id: string] }>()
const settings = useSettings()
const saysOf = (id: string): string => props.all.steps.find((s) => s.id === id)?.says ?? id
const why = (pairs: Steps['reasons'][number]['pairs']): string =>
  [...new Set(pairs.map((p) => REASONS[p.why].says))].join('; ')
const after = computed(() => props.all.reasons.filter((r) => r.then === props.step.id))
const before = computed(() => props.all.reasons.filter((r) => r.first === props.step.id))
const calls = computed(() => lastCalls(props.step.id, props.all))
</script>

<template>
  <section class="card" :aria-label="step.says">
    <h2>{{ step.says }}</h2>
    <div v-if="picture.length > 0" class="drawing">
      <DrawnPicture :drawn="picture" :label="`What it touches: ${step.says}`" />
    </div>
    <p v-for="c in step.cautions" :key="c" class="caution">{{ c }}</p>
    <ul v-if="step.rows.length > 1">
      <li v-for="r in step.rows" :key="r.task">{{ r.times > 1 ? `${r.times} × ` : '' }}{{ r.what }}</li>
    </ul>
    <dl>
      <template v-if="step.tools.length > 0"
        ><dt>Lay out</dt>
        <dd>{{ step.tools.join(', ') }}</dd></template
      >
      <template v-if="step.materials.length > 0"
        ><dt>Have ready</dt>
        <dd>{{ step.materials.map((m) => supplySaid(m, settings.unit)).join(', ') }}</dd></template
      >
      <template v-if="step.wait > 0"
        ><dt>Then leave it</dt>
        <dd>{{ minutesSaid(step.wait) }}</dd></template
      >
    </dl>
    <h3 v-if="step.looks.length > 0">Looked at first</h3>
    <ul v-if="step.looks.length > 0">
      <li v-for="l in step.looks" :key="l">{{ l }}</li>
    </ul>
    <p v-if="step.then">{{ step.then }}</p>
    <WorkingBox :key="step.id" :reckoned="step.minutes" />
    <template v-if="calls.length > 0">
      <h3>For the last time before it</h3>
      <ul>
        <li v-for="c in calls" :key="c.step">
          <v-btn variant="plain" class="link" @click="emit('choose', c.step)">{{ c.what }}</v-btn>:
          {{ REASONS[c.why].says }}
        </li>
      </ul>
    </template>
    <template v-if="after.length > 0">
      <h3>Comes after</h3>
      <ul>
        <li v-for="r in after" :key="r.first">
          <v-btn variant="plain" class="link" @click="emit('choose', r.first)">{{ saysOf(r.first) }}</v-btn>:
          {{ why(r.pairs) }}
        </li>
      </ul>
    </template>
    <template v-if="before.length > 0">
      <h3>Comes before</h3>
      <ul>
        <li v-for="r in before" :key="r.then">
          <v-btn variant="plain" class="link" @click="emit('choose', r.then)">{{ saysOf(r.then) }}</v-btn>:
          {{ why(r.pairs) }}
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.card {
  margin-bottom: 14px;
}
h2 {
  font-size: 17px;
  margin-bottom: 6px;
}
h3 {
  font-size: 14px;
  margin: 10px 0 2px;
}
.drawing {
  max-height: 210px;
  border: 1px solid var(--hairline);
  background: var(--paper);
  padding: 6px;
}
.drawing :deep(svg) {
  max-height: 196px;
}
.caution {
  border-left: 3px solid var(--rowan);
  padding-left: 8px;
  margin: 6px 0;
}
ul {
  margin: 4px 0;
  padding-left: 18px;
}
dl {
  margin: 6px 0;
}
dt {
  float: left;
  margin-right: 6px;
  color: var(--quiet);
}
dd {
  margin: 0 0 2px;
}
</style>
