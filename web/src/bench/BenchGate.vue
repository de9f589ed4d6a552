<script setup lang="ts">
import { REASONS, type LastCall } from '@drumlin/core/steps'

/** What can't be reached once this step is done: each is done first, or answered for. */
defineProps<{ calls: readonly LastCall[] }>()
const emit = defineEmits<{ tick: [call: LastCall]; go: [step: string] }>()
</script>

<template>
  <section class="gate" role="alert" aria-label="For the last time">
    <h2>For the last time, before this:</h2>
    <ul>
      <li v-for="c in calls" :key="c.step">
        <span
          ><strong>{{ c.what }}</strong> is not done. {{ REASONS[c.why].says }}.</span
        >
        <v-btn size="large" variant="flat" :aria-label="`Do it now: ${c.what}`" @click="emit('go', c.step)"
          >Do it now</v-btn
        >
        <v-btn size="large" :aria-label="`It is done, or not needed: ${c.what}`" @click="emit('tick', c)"
          >It is done, or not needed</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.gate {
  border: 3px solid var(--gorse-mark);
  padding: 10px 14px;
  margin-bottom: 12px;
}
h2 {
  font-size: 20px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin: 8px 0;
}
li span {
  flex: 1;
  min-width: 14ch;
}
</style>
