import { createPinia } from 'pinia'
import { createApp, h, ref, watch } from 'vue'
import App from './app/App.vue'
import { keepForOffline } from './app/offline.js'
import { reloadWhenOlder } from './app/older.js'
import { router } from './app/routes.js'
import { useSettings } from './app/settings.js'
import { vuetify } from './app/theme.js'
import './app/tokens.css'
import { useTrouble } from './app/trouble.js'
import { useBench } from './job/bench.js'
import { useStores } from './job/stores.js'
import { database } from './storage/db.js'
import { firstVisit } from './storage/firstVisit.js'
import { storageState } from './storage/state.js'

/** Whether the examples, the shelves and the person's own settings are there, so that a screen can show. */
const begun = ref(false)
const app = createApp({ render: () => h(App, { begun: begun.value }) })
  .use(createPinia())
  .use(vuetify)

async function begin(): Promise<void> {
  const { attempt } = useTrouble()
  await attempt('The examples could not be laid out', () => firstVisit(Date.now()))
  await attempt('Your settings could not be read', () => useSettings().load())
  await attempt('Your shelves could not be read', async () => {
    await useStores().load()
    begun.value = true
  })
}

/** As soon as there is a storage, and again where the first time could not read it. */
watch(
  storageState,
  ({ is }) => {
    if (is === 'ready' && !begun.value) void begin()
  },
  { immediate: true },
)
reloadWhenOlder(
  () => useBench().value?.waits ?? false,
  () =>
    useTrouble().tell({
      what: 'A part of this page could not be fetched',
      why: 'a newer Drumlin is served, or none',
      help: 'Keep what is not saved as a file, then load this page again.',
    }),
)
database().catch(() => undefined)
app.use(router)
await router.isReady()
app.mount('#app')
keepForOffline()
