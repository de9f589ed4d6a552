import { derive, figuresOf, seamPlan, ENTRIES, reckonEntry } from '@drumlin/core'
import { everyDesign, madeKinds, anyDesign } from './test/support/all.js'
import { freshOf, variantsOf } from './test/support/designs.js'
import fc from 'fast-check'
const all: any[] = [...everyDesign().map(d=>d.design), ...madeKinds.flatMap(id => variantsOf(freshOf(id))), ...madeKinds.flatMap(id => fc.sample(anyDesign(id), {seed: 3, numRuns: 12}))]
for (const d of all) for (const holes of ['hand','machine']) { try { const x = derive(holes==='machine'? {...d, sewing: {...d.sewing, holes}} : d); figuresOf(x); seamPlan(x); x.fittings } catch (e) {} }
const n = (globalThis as any).BAD?.size
for (const e of ENTRIES) reckonEntry(e, {})
let i = 0
for (const v of (globalThis as any).BAD.values()) { if (i++ === n) console.log('--- POCKET BOOK'); console.log(v) }
console.log('=== UNUSED'); for (const v of (globalThis as any).UNUSED?.values() ?? []) console.log(v)
