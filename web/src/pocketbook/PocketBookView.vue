<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { overrideNumber } from '@drumlin/core/design'
import { ENTRIES, GROUPS, entryMaybe, prefilled, usedFor } from '@drumlin/core/pocketbook'
import type { Reckoned, Term } from '@drumlin/core/working'
import { useJob } from '../job/job.js'
import EntryPanel from './EntryPanel.vue'

const props = defineProps<{ entry?: string }>()
const route = useRoute()
const router = useRouter()
const job = useJob()
const sought = ref('')
const shown = computed(() => entryMaybe(props.entry ?? '') ?? ENTRIES[0]!)
/** Groups in the order of the work, with what is sought in them. */
const found = computed(() => {
  const words = sought.value.toLowerCase().split(/\s+/).filter(Boolean)
  return GROUPS.map(({ title, entries }) => ({
    title,
    entries: entries.filter((e) =>
      words.every((w) => `${e.title} ${e.says} ${title}`.toLowerCase().includes(w)),
    ),
  })).filter((g) => g.entries.length > 0)
})

/** A number of the open job that asked the pocket book, by the key of its working. */
const asking = computed(() => {
  const key = typeof route.query.for === 'string' ? route.query.for : undefined
  const use = key === undefined ? undefined : usedFor(key)
  const label = typeof route.query.label === 'string' ? route.query.label : key
  return key && use && job.record ? { key, label: label!, answer: use.answer } : undefined
})
/** The job's own numbers for what the reckoner asks, from the working that asked. */
const filled = computed((): Readonly<Record<string, number>> => {
  const key = asking.value?.key
  const sizes = job.derived?.master.sizes.map((s) => s.size) ?? []
  const found = key === undefined ? undefined : sizes.flatMap(within).find((r) => r.key === key)
  return found && usedFor(found.key)?.entry === shown.value.id ? prefilled(found) : {}
})
/** A number and every number that was worked out on the way to it. */
function within(reckoned: Reckoned): Reckoned[] {
  const inner = (term: Term): Reckoned[] => (term.kind === 'reckoned' ? within(term) : [])
  return [reckoned, ...Object.values(reckoned.inputs).flatMap(inner)]
}
async function use(value: number): Promise<void> {
  const { record } = job
  if (!asking.value || !record) return
  job.edit(overrideNumber(asking.value.label, asking.value.key, Math.round(value * 100) / 100))
  await router.push({ name: 'draft', params: { id: record.id } })
}
</script>

<template>
  <div class="book">
    <nav aria-label="Quick reckoners">
      <v-text-field v-model="sought" label="Find a reckoner" />
      <v-list
        role="group"
        :border="false"
        bg-color="transparent"
        aria-label="Reckoners, in the order of the work"
      >
        <template v-for="g in found" :key="g.title">
          <v-list-subheader>{{ g.title }}</v-list-subheader>
          <v-list-item
            v-for="e in g.entries"
            :key="e.id"
            :to="{ name: 'pocket-book', params: { entry: e.id }, query: route.query }"
            :active="shown.id === e.id"
            :aria-current="shown.id === e.id ? 'page' : undefined"
            color="primary"
            :title="e.title"
          />
        </template>
      </v-list>
      <p v-if="found.length === 0" class="quiet" role="status">Nothing of that name here.</p>
    </nav>
    <EntryPanel :key="shown.id" :entry="shown" :wanted="asking" :filled="filled" @use="use" />
  </div>
</template>

<style scoped>
.book {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
}
.book > * {
  overflow-y: auto;
  padding: 20px 24px;
}
nav {
  border-right: 1px solid var(--hairline);
}
.v-list-item {
  min-height: 30px;
}
@media (max-width: 900px) {
  .book {
    grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  }
  .book > nav {
    max-height: 34vh;
    border-right: 0;
    border-bottom: 1px solid var(--hairline);
  }
}
</style>
