<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { useBooks } from './books.js'
import ClientsPage from './ClientsPage.vue'
import LookingBack from './LookingBack.vue'
import MakingsPage from './MakingsPage.vue'
import PacesPage from './PacesPage.vue'
import RoomNote from './RoomNote.vue'
import StockPage from './StockPage.vue'

/** The workshop’s books: what was made, what it took and earned, what was learnt, what lies on the shelf, and for whom. */
const props = defineProps<{ page?: string | undefined }>()
const books = useBooks()
onMounted(() => void books.load())
const PAGES = [
  { name: 'makings', label: 'Makings', component: MakingsPage },
  { name: 'looking-back', label: 'Looking back', component: LookingBack },
  { name: 'learnt', label: 'Learnt', component: PacesPage },
  { name: 'stock', label: 'Stock', component: StockPage },
  { name: 'clients', label: 'Clients', component: ClientsPage },
] as const
const here = computed(() => PAGES.find((p) => p.name === props.page) ?? PAGES[0])
const hasBoth = computed(() => books.all.some((e) => e.example))
</script>

<template>
  <section class="ledger" aria-labelledby="ledger-title">
    <header>
      <h1 id="ledger-title">Ledger</h1>
      <v-tabs :model-value="here.name" density="compact" aria-label="Pages of the ledger">
        <v-tab
          v-for="p in PAGES"
          :key="p.name"
          :value="p.name"
          :to="{ name: 'ledger', params: { page: p.name } }"
          >{{ p.label }}</v-tab
        >
      </v-tabs>
      <p v-if="hasBoth" class="whose">
        {{ books.whose === 'examples' ? 'The examples’ books lie open.' : 'Your own books lie open.' }}
        <v-btn
          variant="plain"
          class="link"
          @click="books.chosen = books.whose === 'examples' ? 'own' : 'examples'"
          >{{ books.whose === 'examples' ? 'open your own' : 'open the examples’' }}</v-btn
        >
      </p>
    </header>
    <p v-if="!books.read" role="status" class="page">Opening the books …</p>
    <div v-else class="page">
      <RoomNote />
      <p v-for="u in books.unreadable" :key="u.id" role="alert">A making can’t be read: {{ u.why }}.</p>
      <component :is="here.component" />
    </div>
  </section>
</template>

<style scoped>
.ledger {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 22px;
  padding: 12px 28px 0;
  border-bottom: 1px solid var(--hairline);
}
h1 {
  font-size: 22px;
}
/* On a phone its pages stand in two rows: none is hidden behind an arrow. */
:deep(.v-tabs) {
  height: auto;
  max-width: 100%;
}
:deep(.v-slide-group__container) {
  contain: none;
}
:deep(.v-slide-group__content) {
  flex: 0 1 100%;
  flex-wrap: wrap;
  min-width: 0;
}
.whose {
  margin-left: auto;
  color: var(--quiet);
}
.page {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 16px 28px 28px;
}
@media (width <= 700px) {
  header,
  .page {
    padding-left: 14px;
    padding-right: 14px;
  }
}
</style>
