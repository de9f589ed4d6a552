import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import type { Design } from '@drumlin/core/design'
import { anyDesign, everyDesign, madeKinds, derivedOf } from './support/all.js'
import { many, some } from './support/long.js'

/** Tools of a hand, and of a machine, as findings about a run name them. */
const OF_A_HAND = /\biron|prong|\bawl\b|\bby hand\b|\bslots?\b|punch|dividers|\bwax/i
const OF_A_MACHINE = /\bneedle|bobbin|\bfoot\b.*lift|machine|\bhook\b/i
/** A run that is too thick for a machine may be sewn by hand instead: that is the way out, and said so. */
const INSTEAD = 'or sew that run by hand'

const designs: readonly Design[] = [
  ...some(everyDesign(), 4).map((d) => d.design),
  ...madeKinds.flatMap((id) => fc.sample(anyDesign(id), { seed: 3, numRuns: many(1, 5) })),
]

/** The same, with every run sewn that way. */
function sewn(design: Design, holes: 'through' | 'machine'): Design {
  const runs = Object.entries(design.sewing.runs).map(([id, { holes: _own, ...wish }]) => [id, wish])
  return { ...design, sewing: { ...design.sewing, holes, runs: Object.fromEntries(runs) } }
}

/** What a job is told about its runs, ways out included; nothing of a design that can't be made. */
function told(design: Design): string[] {
  let derived
  try {
    derived = derivedOf(design)
  } catch {
    return []
  }
  return findingsOf(derived)
    .filter((f) => f.run !== undefined)
    .flatMap((f) => {
      const { what, why } = sayFinding(f, 'mm')
      const ways = f.rank === 'stop' ? fixesOf(f, derived).map((fix) => fix.label) : []
      return [`${what} ${why.replace(INSTEAD, '')}`, ...ways].map((words) => `${f.code}: ${words}`)
    })
}

describe('what a job sewn by machine is told is not what one sewn by hand is', () => {
  test.each([
    ['machine', OF_A_HAND],
    ['through', OF_A_MACHINE],
  ] as const)('sewn %s', (holes, strange) => {
    const all = designs.flatMap((design) => told(sewn(design, holes)))
    expect(new Set(all.map((words) => words.split(':')[0])).size).toBeGreaterThan(8)
    expect([...new Set(all.filter((words) => strange.test(words)))]).toEqual([])
  })
})
