<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useTheme } from 'vuetify'
import { useJob } from '../job/job.js'
import { storageState } from '../storage/state.js'
import FindDialog from './FindDialog.vue'
import KeysDialog from './KeysDialog.vue'
import NotOpened from './NotOpened.vue'
import SaveBar from './SaveBar.vue'
import { SCREENS } from './screens.js'
import { useSettings } from './settings.js'
import StoragePage from './StoragePage.vue'
import TopStrip from './TopStrip.vue'
import WorkTrail from './WorkTrail.vue'
import { useKeys } from './keys.js'

/** `begun`: the shelves and the person's settings have been read. */
const props = defineProps<{ begun: boolean }>()
const settings = useSettings()
const job = useJob()
const route = useRoute()
const router = useRouter()
const theme = useTheme()
watch(
  () => settings.light,
  (light) => theme.change(light),
  { immediate: true },
)

const finding = ref(false)
const showingKeys = ref(false)
const jobId = computed(() => (typeof route.params.id === 'string' ? route.params.id : undefined))

/** Whether there is a storage to work with; while there is not, a page says why. */
const stored = computed(() => storageState.value.is === 'ready')
/** Puts the job of the address on the bench; one that is not there any more leads to the shelf. */
async function openJob(id: string): Promise<void> {
  if (!(await job.open(id)) && jobId.value === id)
    await router.replace({ name: 'shelf', query: { gone: id } })
}
watch(
  [jobId, stored, () => props.begun],
  async ([id]) => {
    if (props.begun && id !== undefined && !(job.current === id && job.desk)) await openJob(id)
  },
  { immediate: true },
)
watch(stored, (now) => now && void job.tryAgain())
/** An old page gives way to a newer Drumlin: at once, unless something of the maker's is only here. */
watch(storageState, ({ is }) => is === 'outdated' && !job.waits && location.reload())

const asks = (event: BeforeUnloadEvent): void => {
  if (job.waits) event.preventDefault()
}
const seen = (): void => {
  if (document.visibilityState === 'visible') job.awake()
}
onMounted(() => {
  addEventListener('beforeunload', asks)
  document.addEventListener('visibilitychange', seen)
})
onBeforeUnmount(() => {
  removeEventListener('beforeunload', asks)
  document.removeEventListener('visibilitychange', seen)
})

useKeys({
  '/': () => (finding.value = true),
  '?': () => (showingKeys.value = true),
  ...Object.fromEntries(
    SCREENS.flatMap((s) => (s.key ? [[s.key, () => void router.push({ name: s.name })] as const] : [])),
  ),
  'mod+z': () => void (jobId.value && job.undo()),
  'mod+shift+z': () => void (jobId.value && job.redo()),
  'mod+y': () => void (jobId.value && job.redo()),
})
</script>

<template>
  <v-app>
    <a class="skip act main" href="#main">To the work</a>
    <div class="house">
      <TopStrip :job-id="jobId" @find="finding = true" @keys="showingKeys = true" />
      <WorkTrail :job-id="jobId" />
      <main id="main" tabindex="-1">
        <SaveBar :job-id="jobId" />
        <StoragePage />
        <template v-if="begun">
          <RouterView v-if="!jobId || (job.desk?.id === jobId && job.design)" :key="jobId ?? 'shelf'" />
          <NotOpened
            v-else-if="job.notOpened?.id === jobId"
            :failed="job.notOpened"
            @again="openJob(jobId)"
          />
          <p v-else-if="stored" class="opening" role="status">Opening the job …</p>
        </template>
        <p v-else-if="storageState.is === 'opening' || stored" class="opening" role="status">
          Fetching what is kept …
        </p>
      </main>
    </div>
    <FindDialog v-model="finding" :job-id="jobId" />
    <KeysDialog v-model="showingKeys" />
  </v-app>
</template>

<style scoped>
.house {
  display: grid;
  grid-template: 44px minmax(0, 1fr) / 92px minmax(0, 1fr);
  height: 100vh;
}
main {
  position: relative;
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  background: var(--surface);
  outline: none;
}
.skip {
  position: absolute;
  left: 100px;
  top: -60px;
  z-index: 10;
}
.skip:focus {
  top: 6px;
}
.opening {
  padding: 24px;
}
</style>
