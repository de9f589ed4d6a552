<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { arrangeInRows, derive, findingsOf, overruledFor, pieceOutline, printLength } from '@drumlin/core'
import { useSettings } from '../app/settings.js'
import PieceDrawing from '../sheet/PieceDrawing.vue'
import type { JobRecord } from '../storage/db.js'

const props = defineProps<{ job: JobRecord }>()
const emit = defineEmits<{ remove: [] }>()
const settings = useSettings()
const derived = computed(() => derive(props.job.design))
const arrangement = computed(() => arrangeInRows(derived.value.pieces, pieceOutline, 430, 14))
const open = computed(
  () => findingsOf(derived.value).filter((f) => overruledFor(derived.value, f) === undefined).length,
)
const size = computed(() => {
  const outside = derived.value.master.sizes
    .slice(0, 2)
    .map(({ size: s }) => printLength(s.value, settings.unit))
  return outside.join(' × ')
})
</script>

<template>
  <li class="card">
    <RouterLink :to="{ name: 'draft', params: { id: job.id } }" class="open">
      <svg
        v-if="derived.pieces.length > 0"
        :viewBox="`-6 -6 ${arrangement.width + 12} ${arrangement.height + 12}`"
        aria-hidden="true"
      >
        <g
          v-for="{ item, move } in arrangement.placed"
          :key="item.id"
          :transform="`matrix(${move.a} ${move.b} ${move.c} ${move.d} ${move.e} ${move.f})`"
        >
          <PieceDrawing :piece="item" :job="job.design" bare />
        </g>
      </svg>
      <strong>{{ job.design.name }}</strong>
    </RouterLink>
    <p class="quiet">
      {{ derived.kind.name }} · {{ size }} · {{ open === 0 ? 'nothing to look at' : `${open} to look at` }}
      <span v-if="job.example" class="mark">example</span>
    </p>
    <button class="plain link quiet" :aria-label="`Remove ${job.design.name}`" @click="emit('remove')">
      Remove
    </button>
  </li>
</template>

<style scoped>
.card {
  border: 1px solid var(--hairline);
  border-radius: 6px;
  background: var(--ground);
  padding: 12px 14px;
}
.open {
  display: block;
  color: var(--ink);
  text-decoration: none;
}
svg {
  display: block;
  width: 100%;
  max-height: 200px;
  margin-bottom: 8px;
}
p {
  margin: 2px 0 6px;
}
.mark {
  border: 1px solid var(--loch);
  color: var(--loch);
  border-radius: 6px;
  padding: 0 6px;
  font-size: 13px;
}
.link {
  text-decoration: underline;
  text-underline-offset: 3px;
  font-size: 14px;
}
</style>
