import { derive } from '@drumlin/core/derived'
import { sortOf } from '@drumlin/core/added'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { putOn, setField } from '@drumlin/core/design'
import { done, freshOf } from './test/support/designs.js'
import { STARTER_STORES } from './src/stores/index.js'
let d: any = freshOf('tote' as never, { handle: 'none' } as never)
const x0 = derive(d)
d = done(d, putOn(d, sortOf('border'), x0.panels.find((p) => p.id === 'front')!, STARTER_STORES, { edge: 'top' } as never))
d = done(d, setField('t', ['added', 'added-1', 'params', 'inset'], 14))
const x = derive(d)
console.log(findingsOf(x).map((f) => sayFinding(f, 'mm').what))
console.log(x.works[0]!.sheets.map((s: any) => [s.sheet.id, s.part, s.sheet.grainUp].join(' ')))
