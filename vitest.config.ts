import { defineConfig } from 'vitest/config'

// Several times what the longest takes on a quiet machine: a loaded one is slow, not wrong.
const testTimeout = 120_000

export default defineConfig({
  test: {
    // A machine of two cores runs two files at once.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'core',
          include: ['{core,cli,server,attack}/test/**/*.test.ts'],
          benchmark: { include: ['core/test/**/*.bench.ts'] },
          testTimeout,
          // The core is pure: files may share what they have loaded.
          isolate: false,
        },
      },
      { test: { name: 'web', include: ['web/test/**/*.test.ts'], benchmark: { include: [] }, testTimeout } },
    ],
  },
})
