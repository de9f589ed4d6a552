<script setup lang="ts">
import type { Figures } from '@drumlin/core/overview'
import { explainLine } from '@drumlin/core/working'
import { useSettings } from '../app/settings.js'

defineProps<{ time: Figures['time'] }>()
const settings = useSettings()
</script>

<template>
  <details>
    <summary>by a plain pace, minutes</summary>
    <ul class="figure">
      <li v-for="part in time.parts" :key="part.key">{{ explainLine(part, settings.unit) }}</li>
    </ul>
  </details>
</template>

<style scoped>
details {
  font-size: 13px;
}
summary {
  cursor: pointer;
  min-height: 24px;
}
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
li {
  margin-bottom: 4px;
}
</style>
