<script setup lang="ts">
import { useDocumentVisibility, useDropZone, useEventListener, useTitle } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDisplay, useTheme } from 'vuetify'
import { fetchBench, useBench } from '../job/bench.js'
import { dropped } from '../shelf/dropped.js'
import { storageState } from '../storage/state.js'
import NotOpened from './NotOpened.vue'
import SaveBar from './SaveBar.vue'
import { SCREENS } from './screens.js'
import { useSettings } from './settings.js'
import StoragePage from './StoragePage.vue'
import TopStrip from './TopStrip.vue'
import WorkTrail from './WorkTrail.vue'
import { keepFocus } from './focus.js'
import { wasRenewed } from './older.js'
import { useKeys } from './keys.js'
import { keepFolderUpToDate } from '../backup/folder.js'

/** `begun`: the shelves and the person's settings have been read. */
const props = defineProps<{ begun: boolean }>()
const settings = useSettings()
const bench = useBench()
const route = useRoute()
const router = useRouter()
const theme = useTheme()
const { smAndDown } = useDisplay()
watch(
  () => settings.light,
  (light) => theme.change(light),
  { immediate: true },
)

// Fetched when they are first asked for.
const FindDialog = defineAsyncComponent(() => import('./FindDialog.vue'))
const FindingsSaid = defineAsyncComponent(() => import('./FindingsSaid.vue'))
const DeviceSaid = defineAsyncComponent(() => import('../devices/DeviceSaid.vue'))
const KeysDialog = defineAsyncComponent(() => import('./KeysDialog.vue'))
const finding = ref(false)
const showingKeys = ref(false)
const [sought, keysAsked] = [ref(false), ref(false)]
watch(finding, (now) => now && (sought.value = true))
watch(showingKeys, (now) => now && (keysAsked.value = true))
const renewed = ref(wasRenewed())
/** Whether the trail is drawn out where there is no room for it. */
const trail = ref(false)
const jobId = computed(() => (typeof route.params.id === 'string' ? route.params.id : undefined))
/** At a step of a making the whole screen is the bench’s. */
const atBench = computed(() => route.name === 'bench' && Boolean(route.params.making))
const here = computed(() => SCREENS.find((s) => s.name === route.name))
useTitle(
  computed(() =>
    [jobId.value ? bench.value?.design?.name : undefined, here.value?.label, 'Drumlin']
      .filter(Boolean)
      .join(' · '),
  ),
)

/** Whether there is a storage to work with; while there is not, a page says why. */
const stored = computed(() => storageState.value.is === 'ready')
/** Puts the job of the address on the bench; one that is not there any more leads to the shelf. */
async function openJob(id: string): Promise<void> {
  const job = await fetchBench()
  if (!(await job.open(id)) && jobId.value === id)
    await router.replace({ name: 'shelf', query: { gone: id } })
}
watch(
  [jobId, stored, () => props.begun],
  async ([id]) => {
    if (props.begun && id !== undefined && !(bench.value?.current === id && bench.value.desk))
      await openJob(id)
  },
  { immediate: true },
)
watch(stored, (now) => now && void bench.value?.tryAgain())
/** An old page gives way to a newer Drumlin: at once, unless something of the maker's is only here. */
watch(storageState, ({ is }) => is === 'outdated' && !bench.value?.waits && location.reload())
watch(
  () => route.fullPath,
  () => (trail.value = false),
)

useEventListener('beforeunload', (event) => {
  if (bench.value?.waits) event.preventDefault()
})
/** A file dropped anywhere is opened on the shelf. */
useDropZone(document.body, {
  onDrop: async (files) => {
    if (!files?.[0]) return
    dropped.value = files[0]
    if (route.name !== 'shelf') await router.push({ name: 'shelf' })
  },
})
const visibility = useDocumentVisibility()
watch(visibility, (now) => now === 'visible' && bench.value?.awake())

keepFolderUpToDate()
keepFocus('main')
useKeys({
  '/': () => (finding.value = true),
  '?': () => (showingKeys.value = true),
  ...Object.fromEntries(
    SCREENS.flatMap((s) => (s.key ? [[s.key, () => void router.push({ name: s.name })] as const] : [])),
  ),
  // The browser would print the screen; the pattern is what is meant.
  'mod+p': () =>
    jobId.value
      ? void router.push({ name: 'draft', params: { id: jobId.value }, query: { out: 'pdf' } })
      : window.print(),
  'mod+z': () => void (jobId.value && bench.value?.undo()),
  'mod+shift+z': () => void (jobId.value && bench.value?.redo()),
  'mod+y': () => void (jobId.value && bench.value?.redo()),
})
</script>

<template>
  <v-app>
    <a class="skip" href="#main">To the work</a>
    <v-app-bar v-if="!atBench" :height="44" flat tag="header" class="strip">
      <TopStrip :job-id="jobId" @find="finding = true" @keys="showingKeys = true" @trail="trail = !trail" />
    </v-app-bar>
    <v-navigation-drawer
      v-if="smAndDown && !atBench"
      v-model="trail"
      class="trail"
      temporary
      :width="120"
      aria-label="The trail"
    >
      <WorkTrail :job-id="jobId" />
    </v-navigation-drawer>
    <v-navigation-drawer v-else-if="!atBench" class="trail" permanent :width="92" tag="div">
      <WorkTrail :job-id="jobId" />
    </v-navigation-drawer>
    <v-main id="main" tabindex="-1" class="work">
      <SaveBar :job-id="jobId" />
      <StoragePage />
      <template v-if="begun">
        <RouterView v-if="!jobId || (bench?.desk?.id === jobId && bench.design)" :key="jobId ?? 'shelf'" />
        <NotOpened
          v-else-if="bench?.notOpened?.id === jobId"
          :failed="bench.notOpened"
          @again="openJob(jobId)"
        />
        <p v-else-if="stored" class="opening" role="status">
          <v-progress-linear indeterminate color="primary" aria-label="Opening the job" /> Opening the job …
        </p>
      </template>
      <p v-else-if="storageState.is === 'opening' || stored" class="opening" role="status">
        <v-progress-linear indeterminate color="primary" aria-label="Fetching what is kept" /> Fetching what
        is kept …
      </p>
    </v-main>
    <FindingsSaid v-if="jobId && bench?.desk?.id === jobId" :key="jobId" />
    <p v-if="jobId" class="paper-only">
      This page is not the pattern. In Drumlin, press Print on the Draft: that gives the pattern at 1:1.
    </p>
    <FindDialog v-if="sought" v-model="finding" :job-id="jobId" @keys="showingKeys = true" />
    <v-snackbar v-if="renewed" v-model="renewed" :timeout="-1" role="status">
      A newer Drumlin is served: it has just been loaded. Your work is as it was.
      <template #actions><v-btn variant="text" @click="renewed = false">Good</v-btn></template>
    </v-snackbar>
    <DeviceSaid v-if="begun" />
    <KeysDialog v-if="keysAsked" v-model="showingKeys" />
  </v-app>
</template>

<style scoped>
.work {
  position: relative;
  display: flex;
  flex-direction: column;
  height: 100dvh;
  min-width: 0;
  background: var(--surface);
  outline: none;
}
.opening {
  padding: 24px;
}
</style>
