import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding, startingDesign } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { startingLeathers } from '@drumlin/core/kinds'
import { type Leather, STARTER_STORES } from '@drumlin/core/stores'
import { kindOf } from '../src/kinds/index.js'
import { together } from '../src/check/together.js'
import { everyDesign, madeKinds, derivedOf } from './support/all.js'
import { freshOf } from './support/designs.js'
import { some } from './support/long.js'

const started = (id: string, leathers: Readonly<Record<string, Leather>>): Design =>
  startingDesign(
    {
      id: 'new',
      name: 'New',
      kind: id,
      leathers,
      iron: STARTER_STORES.irons[1]!,
      awl: STARTER_STORES.awls[0]!,
      thread: STARTER_STORES.threads[0]!,
      machine: STARTER_STORES.machines[0]!,
    },
    STARTER_STORES,
  )

/** The usual leathers of a kind, and each of its parts cut from every other on the shelf that suits it. */
function suitable(id: string): Readonly<Record<string, Leather>>[] {
  const kind = kindOf(id)
  const usual = startingLeathers(kind, STARTER_STORES.leathers)
  const fits = (l: Leather, thickness: number): boolean =>
    l.thickness >= 0.7 * thickness && l.thickness <= 1.3 * thickness
  return [
    usual,
    ...kind.roles.flatMap((role) =>
      STARTER_STORES.leathers.filter((l) => fits(l, role.usual)).map((l) => ({ ...usual, [role.id]: l })),
    ),
  ]
}

describe('a new job that nobody touched', () => {
  test.each(madeKinds)(
    'a %s has nothing that stops it or needs a look, from any leather that suits it',
    (id) => {
      for (const leathers of some(suitable(id), 4)) {
        const found = findingsOf(derive(started(id, leathers))).filter((f) => f.rank !== 'tip')
        expect(found.map((f) => sayFinding(f, 'mm').what)).toEqual([])
      }
    },
  )
})

describe('one cause, one finding', () => {
  test.each(everyDesign())('in $name nothing is told twice', ({ design }) => {
    const found = findingsOf(derivedOf(design))
    for (const code of ['stack-too-thick', 'run-too-long', 'thread-unsuited', 'pitch-off']) {
      const causes = found.filter((f) => f.code === code).map((f) => f.cause?.id ?? f.key)
      expect(new Set(causes).size, code).toBe(causes.length)
    }
    expect(found.filter((f) => f.code === 'run-too-long').length).toBeLessThan(2)
  })
  test('the worst is told, with all places and the others by name', () => {
    const tote = derive(freshOf('tote'))
    const found = findingsOf(tote).find((f) => f.code === 'stack-too-thick')!
    expect(found.data.thickness).toBeCloseTo(Math.max(...tote.runs.map((r) => r.thickest)), 9)
    expect(found.runs!.length).toBeGreaterThan(4)
    expect(found.places.length).toBe(found.runs!.length)
    expect(sayFinding(found, 'mm').what).toMatch(/The same is true of the .*, the .* and \d+ more\./)
  })
  test('what was set aside run by run stays set aside', () => {
    const fresh = freshOf('tote')
    const alone = findingsOf(derive(fresh)).find((f) => f.code === 'stack-too-thick')!
    const overruled = alone.was!.map((finding) => ({ finding, reason: 'by the awl' }))
    const again = derive({ ...fresh, overruled })
    expect(again.design.overruled.some((o) => o.finding === alone.was![0])).toBe(true)
    expect(together([alone])[0]!.key).toBe(alone.key)
  })
  test('an iron on the shelf that reaches is offered', () => {
    const sleeve = derive(freshOf('card-sleeve'))
    const found = findingsOf(sleeve).find((f) => f.code === 'stack-too-thick')!
    expect(fixesOf(found, sleeve).map((f) => f.label)).toContainEqual(
      expect.stringMatching(/^Take the .*, which reaches/),
    )
  })
  test('in a machine job nothing is said of irons or the awl', () => {
    for (const id of madeKinds) {
      const fresh = freshOf(id)
      const machine = derive({ ...fresh, sewing: { ...fresh.sewing, holes: 'machine' } })
      for (const f of findingsOf(machine)) {
        const { what, why } = sayFinding(f, 'mm')
        expect(`${what} ${why}`, f.key).not.toMatch(/\b(iron|awl|prong)/)
      }
    }
  })
})

describe('what lies near an edge or a corner is found wherever it is', () => {
  test.each([
    [6, undefined],
    [8, 0.93],
    [10, 0.1],
  ])('a strap wallet with corners of %i mm: the nearest hole to an edge', (corner, nearest) => {
    const found = findingsOf(derive(freshOf('strap-wallet', { corner }))).find(
      (f) => f.code === 'seam-near-edge',
    )
    expect(found && Math.round(100 * found.data.distance) / 100).toBe(nearest)
  })
  test('a handle too wide for a small tote, with the span that would do', () => {
    const small = derive(freshOf('tote', { wide: 100, high: 120, deep: 50 }))
    const found = findingsOf(small).find((f) => f.key === 'fit:handle-on-face')!
    expect(found.rank).toBe('stop')
    expect(fixesOf(found, small).length).toBeGreaterThan(0)
  })
  test('both straps of a pair are sewn: thread and time count twice', () => {
    const { runs } = derive(freshOf('rucksack', { strap: 'pair' }))
    const start = runs.find((r) => r.join.id === 'strap-long-start-1')!
    expect(start.times).toBe(2)
    expect(runs.find((r) => r.join.id === 'hem-back')!.times).toBe(1)
  })
})
