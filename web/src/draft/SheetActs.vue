<script setup lang="ts">
const emit = defineEmits<{ draw: []; zoom: [factor: number]; fit: [] }>()
</script>

<template>
  <div class="zoom" role="group" aria-label="Zoom">
    <v-btn @click="emit('draw')">Draw a panel</v-btn>
    <v-btn aria-label="Nearer" @click="emit('zoom', 1.25)">+</v-btn>
    <v-btn aria-label="Farther" @click="emit('zoom', 0.8)">−</v-btn>
    <v-btn @click="emit('fit')">All</v-btn>
  </div>
</template>

<style scoped>
.zoom {
  position: absolute;
  right: 10px;
  bottom: 10px;
  display: flex;
  gap: 6px;
}
.zoom .v-btn {
  background: var(--surface);
  min-width: 34px;
  justify-content: center;
}
</style>
