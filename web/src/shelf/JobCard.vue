<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { printLength } from '@drumlin/core/measure'
import { reasonOf } from '../app/reason.js'
import { useSettings } from '../app/settings.js'
import type { Listed } from '../storage/records.js'
import CardDrawing from './CardDrawing.vue'
import { type Carded, cardFor, knownCard } from './cards.js'

const props = defineProps<{ job: Listed }>()
const emit = defineEmits<{ remove: []; keep: []; copy: []; away: []; rename: [name: string] }>()
const renaming = ref(false)
const name = ref(props.job.name)
function named(): void {
  renaming.value = false
  if (name.value.trim() !== props.job.name) emit('rename', name.value.trim())
}
const settings = useSettings()
const place = ref<HTMLElement>()
const carded = shallowRef<Carded | undefined>(knownCard(props.job))
const failed = ref('')
const card = computed(() => (carded.value && 'card' in carded.value ? carded.value.card : undefined))
const unreadable = computed(() =>
  carded.value && 'unreadable' in carded.value ? carded.value.unreadable : undefined,
)
const size = computed(() => card.value?.sizes.map((s) => printLength(s, settings.unit)).join(' × ') ?? '')

let near = false
let gone = false
async function draw(): Promise<void> {
  failed.value = ''
  const { job } = props
  try {
    const done = await cardFor(job, () => near && !gone)
    if (props.job === job) carded.value = done
  } catch (error) {
    if (props.job === job) failed.value = reasonOf(error)
  }
}
/** Drawn when it comes into view, not before. */
const watcher = new IntersectionObserver(
  ([entry]) => {
    near = entry?.isIntersecting === true
    if (near && !carded.value && failed.value === '') void draw()
  },
  { rootMargin: '300px' },
)
onMounted(() => watcher.observe(place.value!))
onBeforeUnmount(() => {
  gone = true
  watcher.disconnect()
})
watch(
  () => props.job,
  (job) => {
    carded.value = knownCard(job)
    if (near && !carded.value) void draw()
  },
)
</script>

<template>
  <li ref="place" class="card" :class="{ broken: unreadable }">
    <template v-if="unreadable">
      <strong>{{ job.name }}</strong>
      <p role="status">This job can’t be read. {{ unreadable }}</p>
      <p class="acts">
        <v-btn :aria-label="`Keep the raw file of ${job.name}`" @click="emit('keep')">
          Keep the raw file
        </v-btn>
        <v-btn :aria-label="`Remove ${job.name}`" @click="emit('remove')">Remove</v-btn>
      </p>
    </template>
    <template v-else>
      <RouterLink :to="{ name: 'draft', params: { id: job.id } }" class="open">
        <span class="picture"><CardDrawing v-if="card && card.pieces.length > 0" :card="card" /></span>
        <strong>{{ job.name }}</strong>
      </RouterLink>
      <p class="quiet">
        <template v-if="card"
          >{{ card.kind }} · {{ size }} ·
          {{ card.open === 0 ? 'nothing to look at' : `${card.open} to look at` }}
        </template>
        <template v-else-if="failed"
          >No picture: {{ failed }}.
          <v-btn variant="plain" class="link" @click="draw">Try again</v-btn></template
        >
        <template v-else>…</template>
        <span v-if="job.example" class="mark">example</span>
      </p>
      <p class="acts">
        <v-btn variant="plain" class="link" :aria-label="`Rename ${job.name}`" @click="renaming = true"
          >rename</v-btn
        >
        <v-btn variant="plain" class="link" :aria-label="`Copy ${job.name}`" @click="emit('copy')"
          >copy</v-btn
        >
        <v-btn
          variant="plain"
          class="link"
          :aria-label="`${job.away ? 'Take out' : 'Put away'} ${job.name}`"
          @click="emit('away')"
        >
          {{ job.away ? 'take out' : 'put away' }}
        </v-btn>
        <v-btn variant="plain" class="link" :aria-label="`Remove ${job.name}`" @click="emit('remove')"
          >remove</v-btn
        >
      </p>
      <v-form v-if="renaming" class="acts" @submit.prevent="named">
        <v-text-field
          v-model="name"
          :label="`Name of ${job.name}`"
          maxlength="80"
          autofocus
          @keydown.escape="renaming = false"
        />
        <v-btn type="submit" :disabled="name.trim() === ''">Take it</v-btn>
      </v-form>
    </template>
  </li>
</template>

<style scoped>
.card {
  border: 1px solid var(--hairline);
  border-radius: 6px;
  background: var(--ground);
  padding: 12px 14px;
}
.broken {
  border-left: 4px solid var(--rowan);
}
.open {
  display: block;
  color: var(--ink);
  text-decoration: none;
}
.picture {
  display: block;
  height: 200px;
  margin-bottom: 8px;
}
.acts {
  display: flex;
  gap: 8px;
}
p {
  margin: 2px 0 6px;
}
.mark {
  margin-left: 6px;
  border: 1px solid var(--loch);
  color: var(--loch);
  border-radius: 6px;
  padding: 0 6px;
  font-size: 13px;
}
.link {
  text-decoration: underline;
  text-underline-offset: 3px;
  font-size: 14px;
}
</style>
