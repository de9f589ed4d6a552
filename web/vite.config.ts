import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [vue(), vuetify({ autoImport: true })],
  worker: { format: 'es' },
  build: { target: 'es2023', chunkSizeWarningLimit: 900, assetsInlineLimit: 0 },
  server: { proxy: { '/demo': 'http://localhost:4317', '/start.json': 'http://localhost:4317' } },
})
