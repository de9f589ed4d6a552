import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { type Change, applyEdit } from '@drumlin/core/design'
import type { RunWish } from '@drumlin/core/sewing'
import { type Point, pathNearest, pointDistance } from '../src/geometry/index.js'
import type { Run } from '../src/stitch/index.js'
import { freshOf } from './support/designs.js'

const changed = (kind: string, changes: readonly Change[], params = {}): Derived => {
  const edited = applyEdit(freshOf(kind, params), { name: 'any', changes })
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return derive(edited.design)
}
const wished = (kind: string, run: string, value: RunWish, params = {}) =>
  changed(kind, [{ path: ['sewing', 'runs', run], value }], params)
const runs = (derived: Derived, id: string): Run[] =>
  derived.runs.filter((r) => r.join.id === id || r.join.id.startsWith(`${id}/`) || r.join.id === `${id}~2`)
const ends = ({ holes, other }: Run): Point[] => [holes[0]!, other!.holes[0]!].map((h) => h.at)

/** A body folded at its foot: its side seam runs down the front’s right edge and up the back’s, mirrored about the foot. */
const SIDE = 'side-right'
const plain = runs(derive(freshOf('rucksack')), SIDE)[0]!
const foot = (plain.holes[0]!.at.y + plain.other!.holes[0]!.at.y) / 2

describe('what is asked of a seam whose edges lie apart is done on both', () => {
  test('parted, each part meets its own stretch', () => {
    const parts = runs(changed('rucksack', [{ path: ['sewing', 'splits', SIDE], value: [0.4] }]), SIDE)
    expect(parts.length).toBe(2)
    for (const part of parts) {
      expect(part.other!.length).toBeCloseTo(part.length, 6)
      part.holes.forEach((h, i) => expect(part.other!.holes[i]!.at.y).toBeCloseTo(2 * foot - h.at.y, 6))
    }
  })
  test('begun further in, it begins further in on both', () => {
    const [run] = runs(wished('rucksack', SIDE, { startBy: 30 }), SIDE)
    const [was, now] = [ends(plain), ends(run!)]
    expect(now[0]!.y - was[0]!.y).toBeCloseTo(30, 6)
    expect(was[1]!.y - now[1]!.y).toBeCloseTo(30, 6)
  })
  test('sewn the other way, hole meets hole as before', () => {
    const [run] = runs(wished('rucksack', SIDE, { reversed: true }), SIDE)
    run!.holes.forEach((h, i) => expect(run!.other!.holes[i]!.at.y).toBeCloseTo(2 * foot - h.at.y, 6))
  })
  test('in two rows, the second lies as far in on either', () => {
    const [first, second] = runs(wished('rucksack', SIDE, { second: 3 }), SIDE)
    const inBy = (at: (r: Run) => Point) => Math.abs(at(first!).x - at(second!).x)
    expect(inBy((r) => r.holes[3]!.at)).toBeCloseTo(3, 6)
    expect(inBy((r) => r.other!.holes[3]!.at)).toBeCloseTo(3, 6)
    const bySheet = (r: Run, own: boolean) =>
      Math.abs((own ? r.holes : r.other!.holes)[3]!.at.x - plain.holes[3]!.at.x)
    expect(bySheet(second!, false)).toBeCloseTo(bySheet(second!, true), 6)
  })
  test('a flap lapped onto the back has its second row on the same hand of both', () => {
    const derived = wished('flap-bag', 'flap-row-1', { second: 3 }, { flap: 'sewn' })
    const [first, second] = runs(derived, 'flap-row-1')
    const moved = (a: Point, b: Point) => [b.x - a.x, b.y - a.y]
    const own = moved(first!.holes[4]!.at, second!.holes[4]!.at)
    const other = moved(first!.other!.holes[4]!.at, second!.other!.holes[4]!.at)
    expect(other[0]).toBeCloseTo(own[0]!, 6)
    expect(other[1]).toBeCloseTo(own[1]!, 6)
  })
  test('along the pull in place of across it, both rows lie on both', () => {
    const derived = wished('flap-bag', 'flap-row-2', { along: true }, { flap: 'sewn' })
    for (const run of runs(derived, 'flap-row-2'))
      if (run.other) {
        expect(run.other.length).toBeCloseTo(run.length, 6)
        run.holes.forEach((h, i) =>
          expect(pointDistance(run.other!.holes[i]!.at, run.other!.holes[0]!.at)).toBeCloseTo(
            pointDistance(h.at, run.holes[0]!.at),
            6,
          ),
        )
      }
  })
})

const KINDS = ['tote', 'flap-bag', 'briefcase', 'rucksack', 'portfolio', 'sheath'] as const
const mated = new Map(
  KINDS.map((kind) => [
    kind,
    derive(freshOf(kind)).runs.filter((r) => r.join.mate && r.other && !r.round && r.length > 60),
  ]),
)

describe('any seam whose edges lie apart', () => {
  test('parted anywhere has the holes of the whole on both edges, none besides', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.nat(),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        fc.boolean(),
        (kind, n, share, reversed) => {
          const all = mated.get(kind)!
          if (all.length === 0) return
          const whole = all[n % all.length]!
          const { id } = whole.join
          const derived = changed(kind, [
            { path: ['sewing', 'splits', id], value: [share] },
            ...(reversed ? [{ path: ['sewing', 'runs', id], value: { reversed: true } }] : []),
          ])
          const parts = derived.runs.filter((r) => r.join.id === id || r.join.id.startsWith(`${id}/`))
          for (const part of parts)
            for (const hole of part.other!.holes) {
              const off = Math.min(...whole.other!.holes.map((h) => pointDistance(h.at, hole.at)))
              // Along a curve a part is spread by its own lengths.
              expect(off).toBeLessThan(whole.other!.length / whole.other!.holes.length / 2)
              expect(pathNearest(whole.other!.path, hole.at).distance).toBeLessThan(0.01)
            }
          const holes = parts.reduce((sum, p) => sum + p.other!.holes.length, 0)
          expect(holes).toBe(whole.other!.holes.length + parts.length - 1)
        },
      ),
      { numRuns: 60 },
    ))
})
