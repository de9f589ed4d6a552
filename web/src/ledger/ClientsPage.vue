<script setup lang="ts">
import { computed, ref } from 'vue'
import { clientJson } from '@drumlin/core/exchange/books'
import { type Client, dayOfEntry } from '@drumlin/core/ledger'
import { saveText } from '../output/save.js'
import { today } from '../make/makings.js'
import { daySaid } from '../make/words.js'
import { freeId } from '../shelf/ids.js'
import NameField from '../sentence/NameField.vue'
import TakenField from '../sentence/TakenField.vue'
import { useBooks } from './books.js'

/** Who things are made for: name, wishes, sizes, past works. All of it stays here; it is deleted wholly when asked. */
const books = useBooks()
const name = ref('')
const chosen = ref<string>()
const client = computed(() => books.clients.find((c) => c.id === chosen.value))
const works = computed(() =>
  books.entries.filter(
    (e) => e.client === client.value?.id || (client.value && e.forWhom === client.value.name),
  ),
)
async function add(): Promise<void> {
  const said = name.value.trim()
  if (said === '') return
  const id = freeId(
    `client-${Date.now().toString(36)}`,
    books.clientsAll.map((c) => c.id),
  )
  await books.keepClient({
    id,
    name: said,
    wishes: '',
    sizes: {},
    note: '',
    since: today(),
    example: books.whose === 'examples',
  })
  ;[name.value, chosen.value] = ['', id]
}
const change = (to: Partial<Client>): void =>
  void (client.value && books.keepClient({ ...client.value, ...to }))
const SIZES = [
  { key: 'wrist', label: 'wrist' },
  { key: 'hand', label: 'hand, across' },
  { key: 'belt', label: 'belt' },
] as const
const setSize = (key: 'wrist' | 'hand' | 'belt', value: number): void =>
  void (client.value && change({ sizes: { ...client.value.sizes, [key]: value } }))
/** Asked for before they are deleted. */
const deleting = ref(false)
async function forget(): Promise<void> {
  const gone = client.value
  deleting.value = false
  chosen.value = undefined
  if (gone) await books.forgetClient(gone)
}
</script>

<template>
  <v-form class="add" aria-label="A new client" @submit.prevent="add">
    <v-text-field v-model="name" label="Name" maxlength="120" density="compact" hide-details />
    <v-btn variant="flat" type="submit" :disabled="name.trim() === ''">Add a client</v-btn>
  </v-form>
  <p v-if="books.clients.length === 0">
    Nobody stands here yet. What is written of a client never leaves this machine.
  </p>
  <div class="two">
    <v-list density="compact" aria-label="Clients">
      <v-list-item
        v-for="c in books.clients"
        :key="c.id"
        :active="c.id === chosen"
        :title="c.name"
        @click="chosen = c.id"
      />
    </v-list>
    <section v-if="client" class="one" :aria-label="client.name">
      <h2>
        <NameField :value="client.name" label="name" :max="120" @change="(v) => change({ name: v })" />
      </h2>
      <v-textarea
        :model-value="client.wishes"
        label="Wishes, in their own words"
        rows="3"
        auto-grow
        maxlength="2000"
        density="compact"
        hide-details
        @change="(e: Event) => change({ wishes: (e.target as HTMLTextAreaElement).value })"
      />
      <p class="sentence">
        <template v-for="(s, i) in SIZES" :key="s.key"
          >{{ i > 0 ? ', ' : '' }}{{ s.label }}
          <TakenField
            :value="client.sizes[s.key]"
            :label="s.label"
            sort="length"
            :min="10"
            :max="3000"
            @change="(v) => setSize(s.key, v)" /></template
        >.
      </p>
      <v-textarea
        :model-value="client.note"
        label="Notes"
        rows="2"
        auto-grow
        maxlength="2000"
        density="compact"
        hide-details
        @change="(e: Event) => change({ note: (e.target as HTMLTextAreaElement).value })"
      />
      <p v-if="works.length === 0">Nothing was made for them yet.</p>
      <ul v-else aria-label="Past works">
        <li v-for="e in works" :key="e.id">
          <v-btn variant="plain" class="link" :to="{ name: 'record', params: { making: e.id } }"
            >{{ e.count > 1 ? `${e.count} × ` : '' }}{{ e.name }}</v-btn
          >, {{ daySaid(dayOfEntry(e)) }}
        </li>
      </ul>
      <p class="acts">
        <v-btn @click="saveText(clientJson(client, works), `client-${client.name}`, 'json')"
          >All that is kept of them</v-btn
        >
        <template v-if="deleting">
          Name, wishes, sizes and quotes are deleted; the makings stay without them.
          <v-btn @click="forget">Delete it all</v-btn>
          <v-btn @click="deleting = false">Keep them</v-btn>
        </template>
        <v-btn v-else @click="deleting = true">Delete {{ client.name }}</v-btn>
      </p>
    </section>
  </div>
</template>

<style scoped>
.add,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.add {
  max-width: 460px;
  margin-bottom: 10px;
}
.two {
  display: grid;
  grid-template-columns: minmax(180px, 260px) 1fr;
  gap: 24px;
}
.one {
  display: grid;
  gap: 10px;
  align-content: start;
}
h2 {
  font-size: 18px;
}
ul {
  padding-left: 18px;
}
@media (width <= 700px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
