<script setup lang="ts">
/** How the picture is looked at: how far open, with or without straps, and through the leather. */
defineProps<{ hasStraps: boolean; carries: boolean; ready: boolean }>()
defineEmits<{ all: []; png: [] }>()
const opened = defineModel<number>('opened', { required: true })
const straps = defineModel<boolean>('straps', { required: true })
const through = defineModel<boolean>('through', { required: true })
</script>

<template>
  <div class="bar" role="group" aria-label="The picture">
    <span>shut</span>
    <v-slider
      v-model="opened"
      class="opened"
      :min="0"
      :max="1"
      :step="0.02"
      aria-label="how far it is open"
    />
    <span>open</span>
    <v-checkbox-btn v-if="hasStraps" v-model="straps" label="straps and handles" />
    <v-checkbox-btn v-if="carries" v-model="through" label="what is inside" />
    <v-btn :disabled="!ready" @click="$emit('all')">All of it</v-btn>
    <v-btn :disabled="!ready" @click="$emit('png')">PNG</v-btn>
  </div>
</template>

<style scoped>
.bar {
  position: absolute;
  left: 14px;
  bottom: 12px;
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 6px 12px;
  background: var(--surface);
  border: 1px solid var(--hairline);
  border-radius: 6px;
}
.opened {
  width: 120px;
}
@media (max-width: 900px) {
  .bar {
    right: 14px;
    bottom: 64px;
    flex-wrap: wrap;
  }
}
</style>
