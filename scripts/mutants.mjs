// `npm run mutants -- core/src/formulas [core/src/edges …]`: changes the code of those folders, one small change at a time, and tells
// which changes no test notices. Not part of `npm test`: it takes minutes to hours. Figures stand in docs/testing.md.
import { readFileSync } from 'node:fs'
import { Stryker } from '@stryker-mutator/core'

const folders = process.argv.slice(2)
if (folders.length === 0) {
  console.error('Say which folders: npm run mutants -- core/src/formulas')
  process.exit(2)
}
const report = '.cache/mutants.json'
await new Stryker({
  mutate: folders.flatMap((f) => [`${f}/**/*.ts`, `!${f}/**/index.ts`]),
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutants.config.ts' },
  coverageAnalysis: 'perTest',
  // What is worked out as a module is loaded would be tried against every test there is.
  ignoreStatic: true,
  // Words of a finding or a hint are pinned by the golden summaries; that each letter of them is, is not asked.
  mutator: { excludedMutations: ['StringLiteral', 'Regex'] },
  ignorePatterns: ['dist', 'web', 'docs', 'e2e', '.cache'],
  concurrency: Number(process.env.MUTANT_WORKERS ?? 2),
  timeoutMS: 20_000,
  tempDirName: '.cache/mutants',
  reporters: ['json', 'progress-append-only'],
  jsonReporter: { fileName: report },
  allowConsoleColors: false,
}).runMutationTest()

const { files } = JSON.parse(readFileSync(report, 'utf8'))
const count = (mutants, ...statuses) => mutants.filter((m) => statuses.includes(m.status)).length
let [killed, all] = [0, 0]
for (const [name, { mutants }] of Object.entries(files).sort()) {
  const [dead, total] = [
    count(mutants, 'Killed', 'Timeout'),
    count(mutants, 'Killed', 'Timeout', 'Survived', 'NoCoverage'),
  ]
  killed += dead
  all += total
  if (total > 0)
    console.log(`${String(Math.round((100 * dead) / total)).padStart(4)} %  ${dead} of ${total}  ${name}`)
  for (const m of mutants.filter((one) => ['Survived', 'NoCoverage'].includes(one.status)))
    console.log(
      `          line ${m.location.start.line}: ${m.mutatorName} → ${String(m.replacement ?? '').slice(0, 70)}`,
    )
}
console.log(`${((100 * killed) / Math.max(1, all)).toFixed(1)} % of ${all} changes were noticed.`)
