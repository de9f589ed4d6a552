<script setup lang="ts">
import { nextTick, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Shelf } from '@drumlin/core/stores'
import { useStores } from '../job/stores.js'
import ShelfTable from './ShelfTable.vue'

const stores = useStores()
const route = useRoute()
/** Whoever was led to one of the goods finds it in sight, its name ready to be written. */
watch(
  () => route.query.good,
  async (good) => {
    if (typeof good !== 'string') return
    await nextTick()
    const row = document.querySelector(`[data-good="${CSS.escape(good)}"]`)
    row?.scrollIntoView({ block: 'center' })
    row?.querySelector('input')?.focus()
  },
  { immediate: true, flush: 'post' },
)
const SHELVES: readonly Shelf[] = ['leathers', 'irons', 'awls', 'threads', 'machines', 'hardware', 'things']
</script>

<template>
  <div class="stores">
    <h1>Stores</h1>
    <p class="quiet">
      What lies on your shelves, offered wherever a job asks for it. A job keeps its own copy: changing
      something here changes no job.
    </p>
    <p v-if="stores.notice" role="status">{{ stores.notice }}</p>
    <ShelfTable v-for="s in SHELVES" :key="s" :shelf="s" />
  </div>
</template>

<style scoped>
.stores {
  flex: 1;
  overflow-y: auto;
  padding: 22px 28px;
}
h1 {
  font-size: 22px;
}
@media (max-width: 900px) {
  .stores {
    padding: 14px;
  }
}
</style>
