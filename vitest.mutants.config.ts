import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const core = (file: string): string => fileURLToPath(new URL(`./core/src/${file}`, import.meta.url))

/** Names of test files, where a folder has its own: MUTANT_TESTS=expression,maths-cases. */
const own = (process.env.MUTANT_TESTS ?? '').split(',').filter(Boolean)

/** For mutation runs: the core's own tests, of which those over hundreds of random designs take longer than they notice more. */
export default defineConfig({
  resolve: {
    // In the copy that is changed, the package is that copy.
    alias: [
      { find: '@drumlin/core/exchange/svg-read', replacement: core('exchange/svg/read.ts') },
      { find: /^@drumlin\/core\/(.*)$/, replacement: core('$1/index.ts') },
    ],
  },
  test: {
    include: own.length > 0 ? own.map((name) => `core/test/${name}.test.ts`) : ['core/test/**/*.test.ts'],
    exclude:
      own.length > 0
        ? []
        : [
            'core/test/**/*-any.test.ts',
            'core/test/{print,reading-dxf,bag-out,workings,by-machine,slips,kinds,smallest-takes,start,lettering,demos,added-first,part-pictures,cutter-other,choices,holes-on-paper,other-ways}.test.ts',
          ],
    testTimeout: 60_000,
    isolate: false,
  },
})
