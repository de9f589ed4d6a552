import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { applyEdit } from '@drumlin/core/design'
import { fieldsOf, kindOf } from '@drumlin/core/kinds'
import { pathNearest, pathPoints, pointInside } from '../src/geometry/index.js'
import { anyDesign, madeKinds } from './support/all.js'
import { freshOf } from './support/designs.js'
import { many, some } from './support/long.js'

const finite = (d: Derived): boolean =>
  !/(NaN|Infinity)/.test(JSON.stringify(d.pieces.map((p) => [p.cut, p.holes])).replaceAll('null', 'NaN'))

/** Both of a pair of seams have as many holes, each inside every piece it is marked on. */
function pairsMatch({ runs: all, pieces }: Derived): void {
  for (const run of all) {
    const twin = all.find((r) => r.join.id === run.join.twin)
    if (twin) expect([run.join.id, twin.holes.length]).toEqual([run.join.id, run.holes.length])
  }
  const outside = pieces.flatMap((piece) =>
    piece.holes
      .filter(({ at }) => !pointInside(at, piece.cut) && pathNearest(piece.cut, at).distance >= 0.05)
      .map(({ at }) => `${piece.id} ${at.x} ${at.y}`),
  )
  expect(outside).toEqual([])
}

describe.each(madeKinds)('%s, whatever is chosen', (id) => {
  const runs = { seed: 17, numRuns: many(3, 60), endOnFailure: true }
  test('is reckoned without a broken number, its findings can be said, its pairs of seams match', () =>
    fc.assert(
      fc.property(anyDesign(id), (design) => {
        const derived = derive(design)
        expect(finite(derived)).toBe(true)
        expect(derived.master.sizes.every(({ size }) => Number.isFinite(size.value))).toBe(true)
        // No number is told of a piece that is not there.
        for (const { panelId, size } of derived.master.sizes)
          expect(
            derived.panels.some((p) => p.id === panelId),
            `${panelId} ${size.key}`,
          ).toBe(true)
        const keys = findingsOf(derived).map((f) => f.key)
        expect(new Set(keys).size).toBe(keys.length)
        pairsMatch(derived)
      }),
      runs,
    ))
})

/** Choices that ask for another one with them; each has its way out. */
const ASKS_MORE = new Set([
  'card-sleeve centre none',
  'narrow-strap lining none',
  'tote base overlapping',
  'flap-bag body folded',
  'flap-bag body bellows',
  'flap-bag organiser covered',
  'flap-bag base overlapping',
  'flap-bag base lapped',
  'briefcase base lapped',
  'rucksack base lapped',
  'tote top banded',
  'flap-bag top banded',
  'portfolio top banded',
  'portfolio divider one',
  'rucksack body boxed',
  'rucksack body wrap',
  'sheath loop sewn',
])

describe('every kind as it first comes', () => {
  test.each(madeKinds)(
    '%s: every other single choice stands without a stop, or its stops have a way out',
    (id) => {
      const fresh = freshOf(id)
      const others = fieldsOf(kindOf(id)).flatMap((field) =>
        (field.type === 'choice' && field.path[0] === 'params' ? field.choices : [])
          .filter(({ value }) => value !== fresh.params[field.id])
          .map(({ value }) => ({ said: `${id} ${field.id} ${value}`, path: field.path, value })),
      )
      for (const { said, path, value } of some(others, 4)) {
        const edited = applyEdit(fresh, { name: 'other', changes: [{ path, value }] })
        const derived = derive(edited.ok ? edited.design : fresh)
        const stops = findingsOf(derived).filter((f) => f.rank === 'stop')
        if (ASKS_MORE.has(said))
          for (const stop of stops) expect(fixesOf(stop, derived).length, said).toBeGreaterThan(0)
        else expect([said, stops.map((f) => f.key)]).toEqual([said, []])
      }
    },
  )
  test.each(madeKinds)('%s stands without a stop', (id) =>
    expect(findingsOf(derive(freshOf(id))).filter((f) => f.rank === 'stop')).toEqual([]),
  )
  test.each(madeKinds)('%s: nothing that is sewn on lies beyond what carries it', (id) => {
    const [open] = derive(freshOf(id)).works
    const carried = /^(pocket|coin|backing|slits|tab-|bridge)/
    for (const laid of open!.sheets.filter((s) => carried.test(s.sheet.id) && s.part === 'whole'))
      for (const p of pathPoints(laid.placed, 0.05).filter((q) =>
        laid.sheet.clips.every((c) => (q.x - c.at.x) * c.inward.x + (q.y - c.at.y) * c.inward.y > 0),
      ))
        expect(
          open!.sheets.some(
            (s) =>
              !carried.test(s.sheet.id) &&
              s.sheet.type === 'panel' &&
              (pointInside(p, s.placed) || pathNearest(s.placed, p).distance < 1e-6),
          ),
          `${laid.sheet.id}`,
        ).toBe(true)
  })
})
