<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { sayFinding } from '@drumlin/core/check'
import { fieldsInPlay } from '@drumlin/core/kinds'
import { useJob } from '../job/job.js'
import { SCREENS } from './screens.js'
import { useSettings } from './settings.js'

const props = defineProps<{ jobId: string | undefined }>()
const open = defineModel<boolean>({ required: true })
const job = useJob()
const settings = useSettings()
const router = useRouter()
const sought = ref('')
watch(open, () => (sought.value = ''))

interface Hit {
  readonly title: string
  readonly sort: string
  /** Other words it is found by. */
  readonly words?: string
  readonly to: { name: string; params?: Record<string, string>; query?: Record<string, string> }
}

const all = computed<Hit[]>(() => {
  const { derived } = job
  const params: Record<string, string> = props.jobId ? { id: props.jobId } : {}
  const screens = SCREENS.filter((s) => props.jobId || s.of === 'house').map((s) => ({
    title: s.label,
    sort: 'screen',
    words: s.words,
    to: { name: s.name, params: s.of === 'house' ? {} : params },
  }))
  if (!props.jobId || !derived) return screens
  const draft = (query: Record<string, string>) => ({ name: 'draft', params, query })
  // A setting stands in the sentences of a piece, or else on the Brief.
  const said = derived.pieces.flatMap((p) => derived.kind.sentences[p.id] ?? []).join(' ')
  const setting = (id: string) =>
    said.includes(`{${id}}`) ? draft({ field: id }) : { name: 'brief', params }
  return [
    ...derived.pieces.map((p) => ({ title: p.name, sort: 'piece', to: draft({ piece: p.id }) })),
    ...fieldsInPlay(derived.kind, derived.design.params).map((f) => ({
      title: f.label,
      sort: 'setting',
      to: setting(f.id),
    })),
    ...job.findings.map((f) => ({
      title: sayFinding(f, settings.unit).what,
      sort: 'finding',
      to: draft({ finding: f.key }),
    })),
    ...derived.runs.map((r) => ({
      title: r.join.name,
      sort: 'run',
      to: { name: 'seams', params, query: { run: r.join.id } },
    })),
    ...screens,
  ]
})
const hits = computed(() => {
  const words = sought.value.toLowerCase().split(/\s+/).filter(Boolean)
  return all.value
    .filter((h) => words.every((w) => `${h.title} ${h.sort} ${h.words ?? ''}`.toLowerCase().includes(w)))
    .slice(0, 8)
})
async function go(hit: Hit | undefined): Promise<void> {
  if (!hit) return
  open.value = false
  await router.push(hit.to)
}
</script>

<template>
  <v-dialog v-model="open" aria-label="Find">
    <v-card class="sheet">
      <v-text-field
        v-model="sought"
        label="Find a piece, a setting or a finding"
        autofocus
        @keydown.enter="go(hits[0])"
      />
      <ul>
        <li v-for="h in hits" :key="h.sort + h.title">
          <v-btn variant="plain" class="hit" @click="go(h)">
            <span>{{ h.title }}</span><span class="quiet">{{ h.sort }}</span>
          </v-btn>
        </li>
        <li v-if="hits.length === 0" class="quiet">Nothing of that name here.</li>
      </ul>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.sheet {
  padding: 20px;
}
ul {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
}
.hit {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  width: 100%;
  padding: 7px 8px;
  border-radius: 6px;
}
.hit:hover,
.hit:focus-visible {
  background: var(--heather-wash);
}
</style>
