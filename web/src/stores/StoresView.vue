<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Leather, Shelf } from '@drumlin/core/stores'
import { useStores } from '../job/stores.js'
import SidePane from '../parts/SidePane.vue'
import HideParts from './HideParts.vue'
import LeatherMore from './LeatherMore.vue'
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
/** The leather of which more is laid out beside the shelves. */
const more = ref<string>()
const leather = computed(() => stores.own?.leathers.find((l) => l.id === more.value))
/** What sheets and scraps there are that are of no leather on the shelves: board, cloth, foam. */
const materials = computed(() => {
  const leathers = new Set(stores.all.leathers.map((l) => l.id))
  return [...new Set((stores.own?.hides ?? []).map((h) => h.of))].filter((of) => !leathers.has(of))
})
const refused = ref('')
async function change(to: Leather): Promise<void> {
  refused.value = (await stores.put('leathers', to)) ?? ''
}
const SHELVES: readonly Shelf[] = ['leathers', 'irons', 'awls', 'threads', 'machines', 'hardware', 'things']
</script>

<template>
  <div class="split">
    <div class="stores">
      <h1>Stores</h1>
      <p class="quiet">
        What lies on your shelves, offered wherever a job asks for it. A job keeps its own copy: changing
        something here changes no job.
      </p>
      <p v-if="stores.notice" role="status">{{ stores.notice }}</p>
      <ShelfTable v-for="s in SHELVES" :key="s" v-model:shown="more" :shelf="s" />
      <section v-if="materials.length > 0" aria-labelledby="sheets-title">
        <h2 id="sheets-title" class="sheets">Sheets</h2>
        <HideParts v-for="of in materials" :key="of" :of="of" :material="of" :leather="false" />
      </section>
    </div>
    <SidePane v-if="leather" :label="`More of ${leather.name}`">
      <div class="beside">
        <h2>{{ leather.name }}</h2>
        <p v-if="refused" role="alert" class="refused">{{ refused }}</p>
        <LeatherMore :leather="leather" @change="change" />
        <v-btn @click="more = undefined">Close</v-btn>
      </div>
    </SidePane>
  </div>
</template>

<style scoped>
.split {
  display: flex;
  flex: 1;
  min-height: 0;
}
.stores {
  flex: 1;
  min-width: 0;
  overflow-y: auto;
  padding: 22px 28px;
}
.beside {
  flex: 1;
  overflow-y: auto;
  padding: 14px 18px;
}
.refused {
  color: var(--rowan);
}
h1 {
  font-size: 22px;
}
h2 {
  margin-bottom: 8px;
  font-size: 17px;
}
.sheets {
  margin: 22px 0 8px;
}
@media (max-width: 900px) {
  .stores {
    padding: 14px;
  }
}
</style>
