import { attackEdits } from './edits.js'
import { chance } from './random.js'
import { everyDesign } from '../core/test/support/all.js'
const n = Number(process.argv[2] ?? 500), seed = Number(process.argv[3] ?? 1)
const r = attackEdits(chance(seed), everyDesign().map((d) => d.design), n, (i) => i % 1000 === 0 && console.error(i))
console.log(r.tried, r.accepted, r.refused, 'broken', r.broken.length)
const by = new Map<string, string[]>()
for (const b of r.broken) { const k = `${b.what}: ${b.why.split('\n').slice(0, 3).join(' | ').replace(/\d+ ms/,'N ms')}`; by.set(k, [...(by.get(k) ?? []), `${b.design.kind} ${b.edit} ${b.why.slice(0,20)}`]) }
for (const [k, v] of by) console.log(v.length, k, '\n     ', v.slice(0, 2).join('  ;; '))
console.log('unsaid', r.unsaid.length); for (const u of r.unsaid.slice(0, 40)) console.log('  ', u.slice(0, 300))
