import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { isHidden } from '../src/check/hidden.js'
import { bagDesign } from './support/bags.js'
import { demo, freshOf, withValues } from './support/designs.js'

const hiddenRuns = (d: Derived): string[] => d.runs.filter((r) => isHidden(d, r)).map((r) => r.join.id)
const told = (d: Derived): string[] =>
  findingsOf(d)
    .filter((f) => f.code === 'pitch-off' || f.code === 'thread-unsuited')
    .flatMap((f) => [f.run ?? '', ...(f.runs ?? [])])

describe('stitches nobody sees', () => {
  test('of a turned seam, whatever body it holds together; of a raw one they show', () => {
    for (const body of ['wrap', 'set-in', 'boxed', 'folded']) {
      const [turned, raw] = ['turned', 'raw'].map((seam) => derive(bagDesign('flap-bag', { body, seam })))
      const seams = turned!.runs.filter((r) => r.join.mate && /seam|side|front|back|^t-/.test(r.join.id))
      expect(seams.length, body).toBeGreaterThan(1)
      expect(hiddenRuns(raw!).filter((id) => seams.some((r) => r.join.id === id && /seam/.test(id)))).toEqual(
        [],
      )
      expect(hiddenRuns(turned!).length, body).toBeGreaterThan(hiddenRuns(raw!).length)
    }
  })
  test('across the feet of pockets that lie under others', () => {
    const hidden = hiddenRuns(derive(demo()))
    expect(hidden.filter((id) => id.includes('foot'))).not.toEqual([])
    expect(hidden.filter((id) => id.startsWith('outer'))).toEqual([])
  })
  test('are told neither their pitch nor their thread', () => {
    const designs = [
      bagDesign('tote', { body: 'boxed', seam: 'turned', wide: 131, high: 143, deep: 37 }),
      withValues(freshOf('bifold'), { 'iron.pitch': 4.6 }),
    ]
    for (const design of designs) {
      const derived = derive(design)
      const hidden = new Set(hiddenRuns(derived))
      expect(hidden.size).toBeGreaterThan(0)
      expect(told(derived).filter((id) => hidden.has(id))).toEqual([])
    }
  })
})

test('a machine job is told nothing of irons, awls, holes laid out or lengths of thread', () => {
  for (const kind of ['bifold', 'tote', 'rucksack', 'portfolio', 'narrow-strap']) {
    const design = withValues(freshOf(kind), { 'sewing.holes': 'machine', 'iron.pitch': 4.7 })
    for (const finding of findingsOf(derive(design))) {
      const { what, why } = sayFinding(finding, 'mm')
      expect(`${kind}: ${what} ${why}`).not.toMatch(/\biron\b|\bawl\b|\bprong|in one length/)
      expect(['pitch-off', 'hole-near-step', 'holes-meet', 'run-too-long']).not.toContain(finding.code)
    }
  }
})
