<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useTheme } from 'vuetify'
import { useJob } from '../job/job.js'
import FindDialog from './FindDialog.vue'
import KeysDialog from './KeysDialog.vue'
import SaveBar from './SaveBar.vue'
import { useSettings } from './settings.js'
import TopStrip from './TopStrip.vue'
import WorkTrail from './WorkTrail.vue'
import { useKeys } from './keys.js'

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

watch(
  jobId,
  async (id) => {
    if (id !== undefined && job.record?.id !== id && !(await job.open(id)))
      await router.replace({ name: 'shelf', query: { gone: id } })
  },
  { immediate: true },
)

useKeys({
  '/': () => (finding.value = true),
  '?': () => (showingKeys.value = true),
  b: () => void router.push({ name: 'pocket-book' }),
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
        <SaveBar />
        <RouterView v-if="!jobId || job.record?.id === jobId" :key="jobId ?? 'shelf'" />
        <p v-else class="opening" role="status">Opening the job …</p>
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
