import { anyFile, readWrong } from './files.js'
import { chance } from './random.js'
import { everyDesign } from '../core/test/support/all.js'
import { appendFileSync, writeFileSync } from 'node:fs'
const n = Number(process.argv[2] ?? 500),
  seed = Number(process.argv[3] ?? 1)
const ds = everyDesign().map((d) => d.design)
const by = new Map<string, number>()
let bad = 0
for (let i = 0; i < n; i++) {
  const f = anyFile(chance(seed * 1e6 + i), ds)
  writeFileSync('/tmp/last.txt', JSON.stringify({ i, form: f.form, how: f.how, len: f.text.length }))
  const w = readWrong(f)
  if (w) {
    bad++
    const k =
      f.form +
      ' ' +
      w
        .split('\n')
        .slice(0, 3)
        .join(' | ')
        .slice(0, 300)
        .replace(/\d+ ms/, 'N ms')
    if (!by.has(k)) appendFileSync('/tmp/bad.out', `${i} ${f.how} ${f.text.length}: ${k}\n`)
    by.set(k, (by.get(k) ?? 0) + 1)
  }
}
console.log('bad', bad, 'of', n)
for (const [k, v] of by) console.log(v, k)
