<script setup lang="ts">
import SidePane from './SidePane.vue'

/** A page with the work on the left and what is said of it beside: both scroll for themselves. */
defineProps<{
  /** What the work is. */
  label: string
  /** What stands beside it, as its pane is named. */
  side: string
  /** The heading of the side; the head of the work has its own where left out. */
  title?: string
}>()
</script>

<template>
  <div class="split">
    <section class="ground" :aria-label="label">
      <div v-if="$slots.head" class="head"><slot name="head" /></div>
      <slot />
    </section>
    <SidePane :label="side">
      <div class="side" :class="{ untitled: !title }">
        <h1 v-if="title">{{ title }}</h1>
        <slot name="side" />
      </div>
    </SidePane>
  </div>
</template>

<style scoped>
.split {
  flex: 1;
  min-height: 0;
  display: flex;
}
.ground {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  min-height: 51px;
  padding: 10px 20px;
  border-bottom: 1px solid var(--hairline);
}
.side {
  overflow-y: auto;
  padding: 14px 18px;
}
/* Clear of what folds the pane away. */
.untitled {
  padding-top: 40px;
}
h1 {
  font-size: 20px;
  margin-bottom: 8px;
}
</style>
