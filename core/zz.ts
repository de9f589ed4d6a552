import { derive } from '@drumlin/core/derived'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { writeDesign } from '@drumlin/core/exchange/json'
import { stepsOf } from '@drumlin/core/steps'
import { writeFileSync } from 'node:fs'
import { freshOf } from './test/support/designs.js'
const show = (name: string, kind: string, params: any) => {
  const d = freshOf(kind as never, params)
  const x = derive(d)
  console.log('==', name, x.pieces.map((p) => `${p.name}×${p.count}`).join(', '))
  for (const { size, panelId } of x.master.sizes) console.log('  ', panelId, size.label, size.value.toFixed(2))
  for (const f of findingsOf(x)) console.log('  !', f.rank, sayFinding(f, 'mm').what)
  const { steps, circles } = stepsOf(x)
  console.log(circles.length, steps.filter((s) => /form|edge|sew|glue|trim/i.test(s.sort)).map((s) => `${s.sort}: ${s.what}`).join('\n   '))
  writeFileSync(`/tmp/${name}.drumlin.json`, writeDesign(d) as never)
}
show('sheath1', 'sheath', { guard: 60, guardDeep: 6, welts: 'out', thick: 6, tipThick: 2 })
show('holder1', 'moulded-holder', { formed: 'sewn', wide: 70, high: 100, deep: 12, edge: 3 })
