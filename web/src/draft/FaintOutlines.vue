<script setup lang="ts">
/** Behind the pieces: what they were before a fix that is looked at, and what else lies in the work over its carrier. */
defineProps<{ before: readonly string[]; lying: readonly string[] }>()
</script>

<template>
  <g aria-hidden="true">
    <path v-for="(d, i) in before" :key="`b${i}`" :d="d" class="before" />
    <path v-for="(d, i) in lying" :key="`l${i}`" :d="d" class="lying" />
  </g>
</template>

<style scoped>
path {
  fill: none;
  pointer-events: none;
}
.before {
  stroke: var(--heather);
  stroke-dasharray: 1.5 1;
  stroke-width: 0.35;
}
.lying {
  stroke: var(--line);
  stroke-opacity: 0.45;
  stroke-width: 0.2;
}
</style>
