<script setup lang="ts">
import type { Writing } from './writing.js'

/** How the writing of a file stands: on its way and can be stopped, or failed and can be tried again. */
const props = defineProps<{ writing: Writing }>()
const { working, failed, again } = props.writing
</script>

<template>
  <p v-if="working" role="status">
    <v-progress-linear indeterminate color="primary" :aria-label="`Writing the ${working.label}`" />
    Writing the {{ working.label }} …
    <v-btn @click="working.stop()">Stop</v-btn>
  </p>
  <p v-if="failed" role="alert" class="failed">
    {{ failed }} <v-btn v-if="again" @click="again()">Try again</v-btn>
  </p>
</template>

<style scoped>
.failed {
  color: var(--rowan);
}
</style>
