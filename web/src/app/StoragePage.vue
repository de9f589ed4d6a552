<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted } from 'vue'
import { shownOn } from '../job/desk.js'
import { useBench } from '../job/bench.js'
import { saveDesign } from '../output/save.js'
import { openAgain } from '../storage/db.js'
import { storageState } from '../storage/state.js'

/** How often a storage that could not be had is asked for again, ms. */
const AGAIN = 3000

const bench = useBench()
const said = computed(() => {
  const state = storageState.value
  switch (state.is) {
    case 'silent':
      return {
        what: 'The browser’s storage does not answer',
        helps:
          'Your work lies there and can’t be read yet. Waiting often helps; if not, close other tabs of Drumlin, then the browser, and open it again.',
      }
    case 'blocked':
      return {
        what: 'Drumlin is open in another tab, in an older form',
        helps: 'Close that tab, or load it again. This page goes on by itself as soon as it is closed.',
      }
    case 'newer':
      return {
        what: 'Your work was kept by a newer Drumlin than this page',
        helps:
          'Load this page again. If that does not help, the Drumlin that was started is older than the one you used before: start the newer one. Nothing was changed.',
      }
    case 'outdated':
      return {
        what: 'A newer Drumlin was opened in another tab',
        helps:
          'This page has let go of your work so that the newer one can have it. Load it again to go on here.',
      }
    case 'closed':
      return {
        what: 'The browser has closed its storage',
        helps:
          'That happens when its data are cleared, or the disk is full. It is asked again every few seconds.',
      }
    case 'unavailable':
      return {
        what: 'The browser gives this page no storage',
        helps: `It says: ${state.why}. Allow this page to keep data, leave a private window, or make room on the disk. It is asked again every few seconds.`,
      }
    default:
      return undefined
  }
})
const unsaved = computed(() =>
  [...(bench.value?.desk ? [bench.value.desk] : []), ...(bench.value?.leftBehind ?? [])].filter(
    (d) => d.waiting.length > 0,
  ),
)
const reload = (): void => location.reload()

let timer: ReturnType<typeof setInterval> | undefined
onMounted(() => {
  timer = setInterval(() => {
    if (storageState.value.is === 'closed' || storageState.value.is === 'unavailable') void openAgain()
  }, AGAIN)
})
onBeforeUnmount(() => clearInterval(timer))
</script>

<template>
  <section v-if="said" class="cover" role="alert">
    <div class="page">
      <h1>{{ said.what }}</h1>
      <p>{{ said.helps }}</p>
      <p v-for="d in unsaved" :key="d.id">
        “{{ shownOn(d).name }}” has changes that are only on this page.
        <v-btn @click="saveDesign(shownOn(d))">Keep the file</v-btn>
      </p>
      <p><v-btn variant="flat" @click="reload">Load this page again</v-btn></p>
    </div>
  </section>
</template>

<style scoped>
.cover {
  position: absolute;
  inset: 0;
  z-index: 5;
  overflow: auto;
  background: var(--surface);
}
.page {
  max-width: 62ch;
  margin: 12vh auto 0;
  padding: 24px;
}
h1 {
  font-size: 24px;
}
</style>
