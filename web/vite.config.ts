import { createHash } from 'node:crypto'
import { readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { constants } from 'node:zlib'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { compression, defineAlgorithm } from 'vite-plugin-compression2'
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
  strictExecutionOrder: true,
  codeSplitting: {
    groups: [
      { name: 'shared', test: /^(?!.*\.worker\.ts)/, entriesAware: true, entriesAwareMergeThreshold: 60_000 },
    ],
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
    // Made small once, here, and not at every request.
    compression({
      include: /\.(js|css|html|svg)$/,
      threshold: 1024,
      algorithms: [
        defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
        'gzip',
      ],
    }),
    VitePWA({
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
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'sw.ts',
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,svg,woff,woff2,ttf,png}'],
        maximumFileSizeToCacheInBytes: LARGEST,
        additionalManifestEntries: demoEntries(),
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
