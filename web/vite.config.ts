import { createHash } from 'node:crypto'
import { readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import vuetify from 'vite-plugin-vuetify'

/** The demo is served beside the build: its files are kept for without the network as well, each by what it holds. */
function demoEntries(folder = 'demo/'): { url: string; revision: string }[] {
  const at = new URL(`../${folder}`, import.meta.url)
  return readdirSync(at, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory()) return demoEntries(`${folder}${entry.name}/`)
    if (!entry.name.endsWith('.json')) return []
    const revision = createHash('sha256')
      .update(readFileSync(new URL(entry.name, at)))
      .digest('hex')
    return [{ url: `/${folder}${entry.name}`, revision }]
  })
}

/** No part of the build is larger, bytes: the writer of PDF with its faces is the largest. */
const LARGEST = 6 * 1024 * 1024

/** What several screens share goes into few files: a first visit asked for 182, and 133 of all were smaller than 5 kB. */
const output = {
  codeSplitting: {
    groups: [{ name: 'shared', entriesAware: true, entriesAwareMergeThreshold: 24_000 }],
  },
  // `shared~A~B~…` says which parts share it: of several, only that.
  chunkFileNames: ({ name }: { name: string }): string => {
    const [first, ...of] = name.split('~')
    return `assets/${of.length === 1 ? of[0] : first}-[hash].js`
  },
}

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [
    vue(),
    vuetify({ autoImport: true }),
    VitePWA({
      // A newer Drumlin waits until it is asked for: two are never mixed in one page.
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Drumlin',
        short_name: 'Drumlin',
        description: 'Pattern drafting for leatherworkers: bags and wallets, true on paper.',
        display: 'standalone',
        start_url: '/',
        background_color: '#EEF0EA',
        theme_color: '#2F5D50',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff,woff2,ttf,png}'],
        maximumFileSizeToCacheInBytes: LARGEST,
        additionalManifestEntries: demoEntries(),
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/demo\//, /^\/device\//, /^\/assets\//, /\.json$/],
        cleanupOutdatedCaches: true,
        // Whether a first visit lays the examples out is the server’s to say, as long as it answers.
        runtimeCaching: [{ urlPattern: /\/start\.json$/, handler: 'NetworkFirst' }],
      },
    }),
  ],
  worker: { format: 'es', rolldownOptions: { output } },
  build: { target: 'es2023', chunkSizeWarningLimit: 900, assetsInlineLimit: 0, rolldownOptions: { output } },
  server: {
    proxy: {
      '/demo': 'http://localhost:4317',
      '/start.json': 'http://localhost:4317',
      '/device': { target: 'http://localhost:4317', ws: true },
    },
  },
})
