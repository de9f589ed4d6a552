import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './app/App.vue'
import { router } from './app/routes.js'
import { useSettings } from './app/settings.js'
import { vuetify } from './app/theme.js'
import './app/tokens.css'
import { useStores } from './job/stores.js'
import { firstVisit } from './storage/examples.js'

const app = createApp(App).use(createPinia()).use(vuetify)

/** The examples, the shelves and the person's own settings are there before the first screen shows. */
async function begin(): Promise<void> {
  await firstVisit(Date.now()).catch((error: unknown) => console.error(error))
  await Promise.all([useSettings().load(), useStores().load()])
}

await begin()
app.use(router)
await router.isReady()
app.mount('#app')
