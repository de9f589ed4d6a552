<script setup lang="ts">
import { onMounted, shallowRef } from 'vue'
import { type Room, scarceRoom } from '../storage/room.js'

/** Said before the browser’s room is used up, with what takes it. */
const room = shallowRef<Room>()
onMounted(async () => (room.value = await scarceRoom()))
const size = (bytes: number): string =>
  bytes >= 1e9 ? `${(bytes / 1e9).toFixed(1)} GB` : `${Math.round(bytes / 1e6)} MB`
</script>

<template>
  <p v-if="room" role="alert" class="room">
    {{ size(room.used) }} of the {{ size(room.all) }} that the browser gives are used: photographs take
    {{ size(room.photographs) }}, their originals {{ size(room.originals) }}. Remove some in the records
    before nothing more can be kept.
  </p>
</template>

<style scoped>
.room {
  border-left: 4px solid var(--gorse-mark);
  padding-left: 10px;
  margin-bottom: 8px;
}
</style>
