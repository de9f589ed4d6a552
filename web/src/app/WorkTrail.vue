<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useBench } from '../job/bench.js'
import { SCREENS, type Screen, WAYPOINTS } from './screens.js'

const HOUSE = SCREENS.filter((s) => s.of === 'house')

const props = defineProps<{ jobId: string | undefined }>()
const route = useRoute()
const bench = useBench()
const here = computed(() => props.jobId !== undefined && bench.value?.record?.id === props.jobId)
/** The job on the bench can be walked back to from the pages of the house, the shelf aside. */
const left = computed(() =>
  route.name !== 'shelf' && HOUSE.some((s) => s.name === route.name) ? bench.value?.record : undefined,
)

const countOf = ({ settles }: Screen): number => (here.value && settles && bench.value?.countOf(settles)) || 0
/** Findings that could not be looked for leave a waypoint unknown, not settled. */
const unknown = computed(() => bench.value?.looking.is === 'failed')
function said(waypoint: Screen): string {
  if (unknown.value) return 'could not be looked at'
  const count = countOf(waypoint)
  return count === 0 ? 'settled' : `${count} ${count === 1 ? 'needs' : 'need'} a look`
}
</script>

<template>
  <nav aria-label="Trail">
    <ol v-if="here">
      <li v-for="w in WAYPOINTS" :key="w.name">
        <v-btn
          variant="plain"
          :to="{ name: w.name, params: { id: jobId } }"
          :aria-current="route.name === w.name ? 'step' : undefined"
        >
          <span
            class="dot"
            :class="{ here: route.name === w.name, caution: countOf(w) > 0, unknown }"
            aria-hidden="true"
            >{{ countOf(w) || '' }}</span
          >
          <span class="label">{{ w.label }}</span><span class="visually-hidden">, {{ said(w) }}</span>
        </v-btn>
      </li>
    </ol>
    <hr v-if="here" />
    <v-btn v-if="left" variant="plain" class="below" :to="{ name: 'draft', params: { id: left.id } }"
      >Back to the job</v-btn
    >
    <v-btn
      v-for="s in HOUSE"
      :key="s.name"
      variant="plain"
      :to="{ name: s.name }"
      class="below"
      :aria-current="route.name === s.name ? 'page' : undefined"
      >{{ s.label }}</v-btn
    >
  </nav>
</template>

<style scoped>
nav {
  padding: 10px 0;
  display: flex;
  flex-direction: column;
  align-items: center;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  position: relative;
}
ol::before {
  content: '';
  position: absolute;
  left: 50%;
  top: 12px;
  bottom: 34px;
  border-left: 4px solid var(--hairline);
}
li {
  position: relative;
  margin-bottom: 1px;
}
.v-btn {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 4px;
  min-width: 76px;
  max-width: 86px;
  text-align: center;
  padding: 4px 0;
  color: var(--ink);
  text-decoration: none;
  border-radius: 6px;
}
.v-btn[aria-current] {
  font-weight: 700;
}
.dot {
  display: grid;
  place-items: center;
  width: 18px;
  height: 18px;
  border-radius: 50%;
  background: var(--fern);
  font: 700 12px/1 var(--mono);
  color: var(--ink);
  box-sizing: border-box;
}
.dot.caution {
  background: var(--surface);
  border: 3px solid var(--gorse-mark);
}
.dot.here {
  width: 26px;
  height: 26px;
}
.dot.here:not(.caution) {
  background: var(--moss);
}
.dot.unknown,
.dot.here.unknown {
  background: var(--hairline);
}
.label {
  background: var(--ground);
  padding: 0 4px;
}
hr {
  width: 64px;
  border: 0;
  border-top: 1px solid var(--hairline);
  margin: 6px 0 8px;
}
</style>
