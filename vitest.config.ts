import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  test: {
    include: ['{core,cli,server,web}/test/**/*.test.ts'],
    benchmark: { include: ['{core,cli}/test/**/*.bench.ts'] },
    server: { deps: { inline: ['vuetify'] } },
    environment: 'node',
    testTimeout: 20_000,
  },
})
