// `npm run mutants -- core/src/formulas [core/src/edges …]`: changes the code of those folders, one small change at a time, and tells
// which changes no test notices. Not part of `npm test`: it takes minutes to hours. Figures stand in docs/testing.md.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { Stryker } from '@stryker-mutator/core'

const folders = process.argv.slice(2)
if (folders.length === 0 && process.env.MUTANT_AGAIN !== '1') {
  console.error('Say which folders: npm run mutants -- core/src/formulas')
  process.exit(2)
}
/** A share of the lines, drawn by a seed, when a room has more changes than an evening has minutes: MUTANT_SHARE=0.2. */
const share = Number(process.env.MUTANT_SHARE ?? 1)
let seed = Number(process.env.MUTANT_SEED ?? 1)
const drawn = () => {
  seed = (seed * 1103515245 + 12345) % 2147483648
  return seed / 2147483648 < share
}
const files = folders
  .flatMap((folder) => readdirSync(folder, { recursive: true }).map((name) => `${folder}/${name}`))
  .filter((name) => name.endsWith('.ts') && !name.endsWith('/index.ts'))
  .sort()
/** What the last run left unnoticed, asked again of other tests: MUTANT_AGAIN=1. What those notice counts as noticed. */
const again = process.env.MUTANT_AGAIN === '1'
const report = '.cache/mutants.json'
const before = again ? JSON.parse(readFileSync(report, 'utf8')).files : undefined
const left = Object.entries(before ?? {}).flatMap(([name, { mutants }]) =>
  mutants
    .filter(({ status }) => ['Survived', 'NoCoverage'].includes(status))
    .map(
      ({ location: { start, end } }) =>
        `${name}:${start.line}:${start.column - 1}-${end.line}:${end.column - 1}`,
    ),
)
/** A file whole, or the lines of it that were drawn. */
const mutate = again
  ? [...new Set(left)]
  : share >= 1
    ? files
    : files.flatMap((name) =>
        readFileSync(name, 'utf8')
          .split('\n')
          .flatMap((_, at) => (drawn() ? [`${name}:${at + 1}-${at + 1}`] : [])),
      )

await new Stryker({
  mutate,
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutants.config.ts' },
  coverageAnalysis: 'perTest',
  // What is worked out as a module is loaded would be tried against every test there is.
  ignoreStatic: true,
  // Words of a finding or a hint are pinned by the golden summaries; that each letter of them is, is not asked.
  mutator: { excludedMutations: ['StringLiteral', 'Regex'] },
  ignorePatterns: ['dist', 'web', 'docs/screenshots', 'e2e', '.cache'],
  concurrency: Number(process.env.MUTANT_WORKERS ?? 2),
  timeoutMS: 20_000,
  dryRunTimeoutMinutes: 30,
  tempDirName: '.cache/mutants',
  reporters: ['json', 'progress-append-only'],
  jsonReporter: { fileName: report },
  allowConsoleColors: false,
}).runMutationTest()

const changeOf = (name, { location: { start }, mutatorName, replacement }) =>
  `${name}:${start.line}:${start.column}:${mutatorName}:${replacement}`
const isLeft = ({ status }) => ['Survived', 'NoCoverage'].includes(status)
let { files: results } = JSON.parse(readFileSync(report, 'utf8'))
if (before) {
  const noticed = new Set(
    Object.entries(results).flatMap(([name, { mutants }]) =>
      mutants.filter(({ status }) => ['Killed', 'Timeout'].includes(status)).map((m) => changeOf(name, m)),
    ),
  )
  for (const [name, { mutants }] of Object.entries(before))
    for (const m of mutants.filter(isLeft)) if (noticed.has(changeOf(name, m))) m.status = 'Killed'
  results = before
  writeFileSync(report, JSON.stringify({ files: before }))
}
const count = (mutants, ...statuses) => mutants.filter((m) => statuses.includes(m.status)).length
let [killed, all] = [0, 0]
for (const [name, { mutants }] of Object.entries(results).sort()) {
  const [dead, total] = [
    count(mutants, 'Killed', 'Timeout'),
    count(mutants, 'Killed', 'Timeout', 'Survived', 'NoCoverage'),
  ]
  killed += dead
  all += total
  if (total > 0)
    console.log(`${String(Math.round((100 * dead) / total)).padStart(4)} %  ${dead} of ${total}  ${name}`)
  for (const m of mutants.filter(isLeft))
    console.log(
      `          line ${m.location.start.line}: ${m.mutatorName} → ${String(m.replacement ?? '').slice(0, 70)}`,
    )
}
console.log(`${((100 * killed) / Math.max(1, all)).toFixed(1)} % of ${all} changes were noticed.`)
