import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type Derived,
  type Design,
  applyEdit,
  derive,
  fieldsOf,
  findingsOf,
  fixesOf,
  kindOf,
} from '@drumlin/core'
import { pathNearest, pathPoints, pointInside } from '../src/geometry/index.js'
import { kindIds } from '../src/kinds/index.js'
import { freshOf } from './support/designs.js'

/** A design of the kind with every setting anywhere in its range. */
function anyDesign(id: string): fc.Arbitrary<Design> {
  const fresh = freshOf(id)
  const fields = fieldsOf(kindOf(id)).filter((f) => f.path[0] === 'params')
  const values = fields.map((field): fc.Arbitrary<unknown> => {
    if (field.type === 'choice') return fc.constantFrom(...field.choices.map((c) => c.value))
    if (field.type === 'count') return fc.integer({ min: field.least, max: field.most })
    if (field.type === 'length' || field.type === 'share')
      return fc
        .integer({ min: Math.round(field.least * 200), max: Math.round(field.most * 200) })
        .map((n) => n / 200)
    throw new Error(`no arbitrary for ${field.type}`)
  })
  return fc.tuple(...values).map((all) => {
    const changes = fields.map((field, i) => ({ path: field.path, value: all[i] }))
    const edited = applyEdit(fresh, { name: 'any', changes })
    if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
    return edited.design
  })
}

const kinds = kindIds().filter((id) => id !== 'by-hand')
const finite = (d: Derived): boolean =>
  !/(NaN|Infinity)/.test(JSON.stringify(d.pieces.map((p) => [p.cut, p.holes])).replaceAll('null', 'NaN'))

describe.each(kinds)('%s, whatever is chosen', (id) => {
  const runs = { seed: 17, numRuns: 40, endOnFailure: true }
  test('is reckoned without a broken number, and its findings can be said', () =>
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
        expect(new Set(findingsOf(derived).map((f) => f.key)).size).toBe(findingsOf(derived).length)
      }),
      runs,
    ))
  test('both of a pair of seams have as many holes', () =>
    fc.assert(
      fc.property(anyDesign(id), (design) => {
        const all = derive(design).runs
        for (const run of all) {
          const twin = all.find((r) => r.join.id === run.join.twin)
          if (twin) expect([run.join.id, twin.holes.length]).toEqual([run.join.id, run.holes.length])
        }
      }),
      runs,
    ))
  test('every hole of a seam along edges goes through leather inside every piece it is marked on', () =>
    fc.assert(
      fc.property(anyDesign(id), (design) => {
        for (const piece of derive(design).pieces)
          for (const hole of piece.holes)
            expect(
              pointInside(hole.at, piece.cut) || pathNearest(piece.cut, hole.at).distance < 0.05,
              `${piece.id} ${hole.at.x} ${hole.at.y}`,
            ).toBe(true)
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
  'portfolio divider one',
  'rucksack body boxed',
  'rucksack body wrap',
])

describe('every kind as it first comes', () => {
  test.each(kinds)(
    '%s: every other single choice stands without a stop, or its stops have a way out',
    (id) => {
      const fresh = freshOf(id)
      for (const field of fieldsOf(kindOf(id)))
        for (const { value } of field.type === 'choice' && field.path[0] === 'params' ? field.choices : []) {
          const edited = applyEdit(fresh, { name: 'other', changes: [{ path: field.path, value }] })
          const derived = derive(edited.ok ? edited.design : fresh)
          const stops = findingsOf(derived).filter((f) => f.rank === 'stop')
          const said = `${id} ${field.id} ${value}`
          if (ASKS_MORE.has(said))
            for (const stop of stops) expect(fixesOf(stop, derived).length, said).toBeGreaterThan(0)
          else expect([said, stops.map((f) => f.key)]).toEqual([said, []])
        }
    },
  )
  test.each(kinds)('%s stands without a stop', (id) =>
    expect(findingsOf(derive(freshOf(id))).filter((f) => f.rank === 'stop')).toEqual([]),
  )
  test.each(kinds)('%s: nothing that is sewn on lies beyond what carries it', (id) => {
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
