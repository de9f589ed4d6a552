<script setup lang="ts">
import type { Figures } from '@drumlin/core/overview'
import { explainLine } from '@drumlin/core/working'
import { useSettings } from '../app/settings.js'
import FoldPart from '../parts/FoldPart.vue'

defineProps<{ time: Figures['time'] }>()
const settings = useSettings()
</script>

<template>
  <FoldPart title="minute by minute">
    <ul class="figure">
      <li v-for="part in time.parts" :key="part.key">{{ explainLine(part, settings.unit) }}</li>
    </ul>
  </FoldPart>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
li {
  margin-bottom: 4px;
}
</style>
