import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { expect, test } from 'vitest'
import { type Design, type Edit, addLine, heed, mergeRuns, overrule, setField } from '@drumlin/core/design'
import { useJob } from '../src/job/job.js'
import { readJob } from '../src/storage/jobs.js'
import { createJob } from '../src/storage/records.js'
import { newBifold } from './support.js'

const TABS = 3
const EDITS = 50

/** What a tab does of its own: puts items into lists that are written whole, takes its own away again, writes a size. */
function edits(tab: number, i: number, now: Design): Edit {
  const mine = `tab-${tab}-${i}`
  switch (i % 5) {
    case 0:
    case 1:
      return overrule(now, mine, 'known')
    case 2:
      return now.sewing.merges.length < 36
        ? mergeRuns(now, mine, mine, `${mine}-then`)
        : overrule(now, mine, 'known')
    case 3: {
      const [own] = now.overruled.filter((o) => o.finding.startsWith(`tab-${tab}-`))
      return own ? heed(now, own.finding) : overrule(now, mine, 'known')
    }
    default:
      return now.sewing.lines.length < 36
        ? addLine(now, {
            id: `line-${tab * 1000 + i}`,
            name: mine,
            layup: 'open',
            sheet: 'outside',
            chain: ['top'],
            margin: 3,
          })
        : setField(
            mine,
            ['habits', ['tail', 'comfortable', 'runMinutes'][tab]!],
            20 + 200 * (tab === 1 ? 1 : 0) + (i % 9),
          )
  }
}

const itemsOf = (design: Design): Set<string> =>
  new Set([
    ...design.overruled.map((o) => o.finding),
    ...design.sewing.merges.map((m) => m.first),
    ...design.sewing.lines.map((l) => l.name),
  ])

test(`${TABS} tabs × ${EDITS} edits of one job: no item of any is lost, and every tab ends with what is kept`, async () => {
  const design = newBifold('any')
  await createJob(design, false, 1)
  const tabs: { job: ReturnType<typeof useJob>; wanted: Set<string>; refused: number }[] = []
  for (let t = 0; t < TABS; t += 1) {
    const pinia = createPinia()
    setActivePinia(pinia)
    const job = useJob(pinia)
    await job.open('any')
    tabs.push({ job, wanted: new Set<string>(), refused: 0 })
  }
  for (let i = 0; i < EDITS; i += 1)
    for (const [t, tab] of tabs.entries()) {
      const before = itemsOf(tab.job.design!)
      if (tab.job.edit(edits(t, i, tab.job.design!)) !== undefined) tab.refused += 1
      const after = itemsOf(tab.job.design!)
      for (const item of after) if (!before.has(item)) tab.wanted.add(item)
      for (const item of before) if (!after.has(item)) tab.wanted.delete(item)
      // Sometimes all are written before the next, mostly they overtake one another.
      if (i % 7 === 0 && t === 2) await Promise.all(tabs.map((one) => one.job.idle()))
    }
  await Promise.all(tabs.map((tab) => tab.job.idle()))
  for (const { job } of tabs) {
    job.awake()
    await job.idle()
  }
  const kept = (await readJob('any'))!.design
  const there = itemsOf(kept)
  const lost = tabs.flatMap((tab) => [...tab.wanted].filter((item) => !there.has(item)))
  expect(lost).toEqual([])
  expect([...there].filter((item) => !tabs.some((tab) => tab.wanted.has(item)))).toEqual([])
  for (const { job, refused } of tabs) {
    expect(job.waits).toBe(false)
    expect(job.design).toEqual(kept)
    expect(refused).toBe(0)
  }
})
