<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { PagePreview } from '@drumlin/core/exchange/pdf'
import type { Writing } from '../output/writing.js'
import WritingState from '../output/WritingState.vue'
import ZoomButtons from '../sheet/ZoomButtons.vue'
import PageSheet from './PageSheet.vue'

/** The pages one by one, as near as one likes, and what lies on which. */
const props = defineProps<{ pages: readonly PagePreview[]; looking: Writing }>()
const at = ref(0)
const zoom = ref(1)
const lines = ref(true)
const page = computed(() => props.pages[Math.min(at.value, props.pages.length - 1)])
watch(
  () => props.pages.length,
  (count) => void (at.value = Math.max(0, Math.min(at.value, count - 1))),
)
/** The whole page is seen until one comes nearer. */
const wide = computed(
  () => `calc(min(100%, 45vh * ${(page.value?.width ?? 1) / (page.value?.height ?? 1)}) * ${zoom.value})`,
)
const closer = (factor: number): void => void (zoom.value = Math.min(8, Math.max(1, zoom.value * factor)))
</script>

<template>
  <section aria-label="Pages" class="pages">
    <WritingState :writing="looking" />
    <template v-if="page">
      <p class="row">
        <v-btn :disabled="at === 0" aria-label="Page before" @click="at -= 1">‹</v-btn>
        <span role="status">page {{ page.number }} of {{ pages.length }}</span>
        <v-btn :disabled="at >= pages.length - 1" aria-label="Next page" @click="at += 1">›</v-btn>
        <ZoomButtons @zoom="closer" />
        <v-checkbox-btn v-model="lines" label="all lines" class="lines" />
      </p>
      <div class="window" tabindex="0" aria-label="The page; scroll to move over it">
        <PageSheet :page="page" :lines="lines" :style="{ width: wide }" />
      </div>
      <ol class="list">
        <li v-for="(p, i) in pages" :key="p.number">
          <v-btn variant="plain" class="link" :aria-current="i === at ? 'page' : undefined" @click="at = i">{{
            p.names
          }}</v-btn>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 0 0 8px;
}
.lines {
  flex: 0 1 auto;
}
.window {
  overflow: auto;
  max-height: 46vh;
  background: var(--loch-wash, var(--chalk));
  padding: 4px;
}
.list {
  max-height: 16vh;
  overflow: auto;
  margin: 8px 0 0;
  padding-left: 28px;
}
.link {
  padding: 0;
  height: auto;
  white-space: normal;
  text-align: left;
  color: var(--loch);
  text-decoration: underline;
}
.link[aria-current] {
  font-weight: 700;
}
</style>
