import { everyDesign } from '../../core/test/support/all.js'
import { attackBrowser } from './browser.js'
import { attackEdits } from './edits.js'
import { anyFile, readWrong } from './files/index.js'
import { chance } from './random.js'

/**
 * Tries to break Drumlin: `npm run attack -- [edits N] [files N] [browser N] [seed S]`. Without numbers everything, as many as
 * docs/reliability.md tells of. Seeded: the same numbers do the same. Ends with 1 where something broke.
 */
const words = process.argv.slice(2)
const given = (name: string, otherwise: number): number => {
  const at = words.indexOf(name)
  const value = at < 0 ? otherwise : Number(words[at + 1])
  if (!Number.isInteger(value) || value < 0) throw new Error(`${name} wants a whole number`)
  return at < 0 && words.some((w) => ['edits', 'files', 'browser'].includes(w)) ? 0 : value
}
const seedAt = words.indexOf('seed')
const seed = seedAt < 0 ? 1 : Number(words[seedAt + 1])
const designs = everyDesign().map((d) => d.design)
let bad = 0

function told(what: string, done: number, of: number, failures: readonly string[]): void {
  console.log(`${what}: ${done} of ${of} tried, ${failures.length} broke`)
  for (const failure of failures.slice(0, 20)) console.log(`  ${failure}`)
  bad += failures.length
}

const edits = given('edits', 5000)
if (edits > 0) {
  const { tried, accepted, refused, broken, unsaid } = attackEdits(chance(seed), designs, edits, {
    told: (i) => i % 500 === 0 && process.stderr.write(`${i} edits\n`),
  })
  console.log(`${accepted} accepted, ${refused} refused`)
  told('edits', tried, edits, [...broken.map((b) => `${b.edit}: ${b.what}: ${b.why}`), ...unsaid])
}

const files = given('files', 10_000)
if (files > 0) {
  const failures: string[] = []
  for (let i = 0; i < files; i += 1) {
    const file = anyFile(chance(seed * 1_000_000 + i), designs)
    const why = readWrong(file)
    if (why !== undefined) failures.push(`${file.form}, ${file.how}, seed ${seed * 1_000_000 + i}: ${why}`)
    if (i % 1000 === 999) process.stderr.write(`${i + 1} files\n`)
  }
  told('files', files, files, failures)
}

const browser = given('browser', 20)
if (browser > 0) {
  const failures = await attackBrowser(chance(seed), browser)
  told('browser', browser, browser, failures)
}
process.exit(bad > 0 ? 1 : 0)
