<script setup lang="ts">
import type { Writing } from '../output/writing.js'
import WritingState from '../output/WritingState.vue'

/** The frame of a dialog that puts pieces out: how on one side with what is done with it under, what comes of it beside. */
defineProps<{
  /** For its heading. */
  id: string
  title: string
  /** Why nothing can be put out as it is asked for; empty where it can. */
  problem: string
  writing: Writing
}>()
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <v-dialog v-model="open" :aria-labelledby="id" max-width="1180" scrollable>
    <v-card class="frame">
      <h2 :id>{{ title }}</h2>
      <div class="two">
        <div class="how">
          <slot name="how" />
          <p v-if="problem" role="alert" class="refused">{{ problem }}</p>
          <slot v-else name="comes" />
          <p class="row">
            <slot name="acts" :off="problem !== '' || writing.working.value !== undefined" />
            <v-btn @click="open = false">Leave it</v-btn>
          </p>
          <WritingState :writing="writing" />
          <slot name="after" />
        </div>
        <slot name="seen" />
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.frame {
  padding: 20px 24px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 24px;
}
@media (max-width: 800px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
.how {
  line-height: 1.8;
}
.how :slotted(p),
p {
  margin: 6px 0;
}
.row {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
.refused,
.how :slotted(.refused) {
  color: var(--rowan);
}
</style>
