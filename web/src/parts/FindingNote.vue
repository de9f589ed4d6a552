<script setup lang="ts">
import { RouterLink, useRoute } from 'vue-router'
import { type Finding, sayFinding } from '@drumlin/core/check'
import { useSettings } from '../app/settings.js'
import { RANKS } from './ranks.js'

/** A finding as a screen tells it that is not the Draft: what it is, and where something can be done about it. */
defineProps<{ finding: Finding }>()
const settings = useSettings()
const route = useRoute()
</script>

<template>
  <p class="note" :class="finding.rank" role="alert">
    <strong>{{ RANKS[finding.rank] }}</strong> {{ sayFinding(finding, settings.unit).what }}
    <RouterLink :to="{ name: 'draft', params: { id: route.params.id }, query: { finding: finding.key } }"
      >What can be done</RouterLink
    >
  </p>
</template>

<style scoped>
.note {
  margin: 10px 0;
  padding-left: 10px;
  border-left: 4px solid var(--gorse-mark);
}
.note.stop {
  border-color: var(--rowan);
}
.note.tip {
  border-color: var(--hairline);
}
a {
  color: var(--loch);
}
</style>
