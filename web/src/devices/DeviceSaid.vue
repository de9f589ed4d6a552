<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useDevices } from './devices.js'

/** What a device told last and where it went, on whatever screen one is. */
const devices = useDevices()
const shown = ref(false)
// What was connected when the page was closed is so again.
onMounted(() => void devices.load())
watch(
  () => devices.said,
  (now) => (shown.value = now !== undefined),
)
const wrong = computed(() => devices.said?.wrong === true)
</script>

<template>
  <v-snackbar v-model="shown" :timeout="wrong ? 12000 : 4000" location="bottom start">
    {{ devices.said?.text }}
    <template #actions><v-btn variant="text" @click="shown = false">Good</v-btn></template>
  </v-snackbar>
</template>
