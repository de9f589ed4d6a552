import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['{core,cli,server,web}/test/**/*.test.ts'],
    benchmark: { include: ['core/test/**/*.bench.ts'] },
    testTimeout: 20_000,
  },
})
