<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { type Remembered, hoursBy, remembered } from '@drumlin/core/ledger'
import { setField } from '@drumlin/core/design'
import { moneySaid } from '@drumlin/core/money'
import { useJob } from '../job/job.js'
import { useBooks } from '../ledger/books.js'
import { daySaid } from '../make/words.js'
import { minutesSaid } from '../parts/time.js'

/** Makings of this design as they went, and what was noted for next time with it, its kind or its leather. */
const props = withDefaults(defineProps<{ most?: number; makings?: boolean }>(), { most: 12, makings: true })
const job = useJob()
const books = useBooks()
const mine = computed(() => hoursBy(books.all.filter((e) => e.job === job.design?.id)))
const notes = computed((): readonly Remembered[] => {
  const { design } = job
  if (!design) return []
  const example = job.record?.example ?? false
  return remembered(
    books.all.filter((e) => e.example === example),
    {
      job: design.id,
      kind: design.kind,
      leathers: Object.values(design.leathers).map((l) => l.name),
    },
  ).slice(0, props.most)
})
const NEAR = { design: 'of this design', kind: 'of this kind', leather: 'with this leather' } as const
/** The note becomes what it says: the setting is changed, and the note is done. */
async function take(note: Remembered): Promise<void> {
  const { next, entry } = note
  if (!next?.set) return
  const refused = job.edit(setField(`as noted: ${next.set.says}`, next.set.path, next.set.value))
  if (!refused) await done(entry.id, next.id)
}
const done = (making: string, id: string): Promise<unknown> =>
  books.record(making, (r) => ({ ...r, next: r.next.map((n) => (n.id === id ? { ...n, done: true } : n)) }))
</script>

<template>
  <section aria-label="Made before">
    <template v-if="makings">
      <p v-if="mine.length === 0">It was not made yet.</p>
      <ul v-else aria-label="Makings of it">
        <li v-for="{ entry: e, planned, actual } in mine" :key="e.id">
          <RouterLink :to="{ name: 'record', params: { making: e.id } }"
            >{{ e.count }} × {{ daySaid(e.finished ?? e.begun) }}</RouterLink
          >{{ e.forWhom ? `, for ${e.forWhom}` : ''
          }}{{ actual > 0 ? `: ${minutesSaid(actual)} instead of ${minutesSaid(planned)}` : ''
          }}{{
            e.record.paid !== undefined && e.record.currency
              ? `, paid ${moneySaid(e.record.paid, e.record.currency)}`
              : ''
          }}{{ e.finished ? '' : ' (being made)' }}
        </li>
      </ul>
    </template>
    <template v-if="notes.length > 0">
      <h2>Noted before</h2>
      <ul aria-label="Noted before">
        <li v-for="(n, i) in notes" :key="i">
          {{ n.text }}
          <span class="quiet"
            >({{ n.near === 'design' ? '' : `${n.entry.name}, ` }}{{ NEAR[n.near] }},
            {{ daySaid(n.entry.finished ?? n.entry.begun) }})</span
          >{{ ' ' }}
          <v-btn v-if="n.next?.set && n.near === 'design'" class="small" @click="take(n)">Do it now</v-btn>
          <v-btn
            v-if="n.next"
            variant="plain"
            class="link"
            :aria-label="`Done: ${n.text}`"
            @click="done(n.entry.id, n.next.id)"
            >done</v-btn
          >
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
ul {
  padding-left: 16px;
}
h2 {
  font-size: 15px;
  margin-top: 6px;
}
.quiet {
  color: var(--quiet);
}
a {
  color: var(--loch);
}
</style>
