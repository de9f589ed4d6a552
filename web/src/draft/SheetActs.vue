<script setup lang="ts">
const emit = defineEmits<{ draw: []; zoom: [factor: number]; fit: [] }>()
</script>

<template>
  <div class="zoom" role="group" aria-label="Zoom">
    <button class="act" @click="emit('draw')">Draw a panel</button>
    <button class="act" aria-label="Nearer" @click="emit('zoom', 1.25)">+</button>
    <button class="act" aria-label="Farther" @click="emit('zoom', 0.8)">−</button>
    <button class="act" @click="emit('fit')">All</button>
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
.zoom .act {
  background: var(--surface);
  min-width: 34px;
  justify-content: center;
}
</style>
