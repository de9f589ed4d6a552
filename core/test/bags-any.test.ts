import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { compareDecisions } from '@drumlin/core/compare'
import { type Derived, derive } from '@drumlin/core/derived'
import { readDesign, writeDesign } from '@drumlin/core/exchange/json'
import { gapsOf } from '@drumlin/core/space'
import { pathArea, pathCrossesItself, pathNearest, pointInside } from '../src/geometry/index.js'
import { many } from './support/long.js'
import { BARE, bagDesign, bagOf, sizeOf, spanOf } from './support/bags.js'

const BODIES = ['wrap', 'wrap-three', 'set-in', 'boxed', 'boxed-folded'] as const
const anyBody = fc.record({
  body: fc.constantFrom(...BODIES),
  seam: fc.constantFrom('turned', 'raw'),
  wide: fc.integer({ min: 90, max: 500 }),
  high: fc.integer({ min: 120, max: 500 }),
  deep: fc.integer({ min: 50, max: 220 }),
  radius: fc.integer({ min: 12, max: 60 }),
  allowance: fc.integer({ min: 5, max: 14 }),
  margin: fc.integer({ min: 2, max: 6 }),
})
const runs = { seed: 21, numRuns: many(15, 40) }
const bare = (params: Record<string, unknown>): Derived => bagOf('tote', { ...BARE, ...params })

describe('whatever body a bag has', () => {
  test('the room inside is what was asked for', () =>
    fc.assert(
      fc.property(anyBody, (params) => {
        const bag = bare(params)
        for (const side of ['wide', 'high', 'deep'] as const)
          expect(sizeOf(bag, `bag.in.${side}`)).toBeCloseTo(params[side], 6)
      }),
      runs,
    ))
  test('outside it is larger than inside, by no more than the leather, its rolls and its edges', () =>
    fc.assert(
      fc.property(anyBody, (params) => {
        const bag = bare(params)
        for (const side of ['wide', 'high', 'deep'] as const) {
          const more = sizeOf(bag, `bag.out.${side}`) - sizeOf(bag, `bag.in.${side}`)
          expect(more).toBeGreaterThan(0)
          expect(more).toBeLessThan(4 * 1.8 + 2 * params.margin)
        }
      }),
      runs,
    ))
  test('both edges of each seam are alike but for what a stiff body takes round its corners', () =>
    fc.assert(
      fc.property(anyBody, (params) => {
        for (const run of bare(params).runs)
          if (run.other)
            expect(Math.abs(run.other.length - run.length)).toBeLessThan(Math.PI * 0.5 * 1.8 + 0.05)
      }),
      runs,
    ))
  test('front and back are sewn with as many holes, and each hole has its mate', () =>
    fc.assert(
      fc.property(anyBody, (params) => {
        const { runs: all } = bare(params)
        for (const run of all) {
          if (run.other) expect(run.other.holes).toHaveLength(run.holes.length)
          const twin = all.find((r) => r.join.id === run.join.twin)
          if (twin) expect(twin.holes).toHaveLength(run.holes.length)
        }
      }),
      runs,
    ))
  test('its pieces are whole outlines that don’t cross themselves, larger cut than finished', () =>
    fc.assert(
      fc.property(anyBody, (params) => {
        for (const piece of bare(params).pieces) {
          expect(pathCrossesItself(piece.cut), piece.id).toBeFalsy()
          expect(Math.abs(pathArea(piece.cut))).toBeGreaterThanOrEqual(
            Math.abs(pathArea(piece.finished)) - 1e-6,
          )
        }
      }),
      runs,
    ))
  test('ten millimetres wider is ten millimetres wider, and nothing else', () =>
    fc.assert(
      fc.property(anyBody, (params) => {
        const [before, after] = [bare(params), bare({ ...params, wide: params.wide + 10 })]
        expect(sizeOf(after, 'bag.wide') - sizeOf(before, 'bag.wide')).toBeCloseTo(10, 9)
        expect(sizeOf(after, 'bag.out.wide') - sizeOf(before, 'bag.out.wide')).toBeCloseTo(10, 9)
        for (const side of ['high', 'deep'])
          expect(sizeOf(after, `bag.${side}`)).toBeCloseTo(sizeOf(before, `bag.${side}`), 9)
        const face = params.body === 'set-in' || params.body === 'boxed-folded' ? 'body' : 'front'
        expect(spanOf(after, face).wide - spanOf(before, face).wide).toBeCloseTo(10, 6)
      }),
      runs,
    ))
  test('stood up, its seams meet', () =>
    fc.assert(
      fc.property(anyBody, (params) => {
        const bag = bare(params)
        for (const gap of gapsOf(bag.master, bag.runs, bag.works[0]!, 1))
          expect(gap.max, gap.run).toBeLessThan(1.8)
      }),
      runs,
    ))
  test('notches lie on their pieces', () =>
    fc.assert(
      fc.property(anyBody, (params) => {
        for (const piece of bare(params).pieces)
          for (const mark of piece.marks)
            if (mark.type === 'notch')
              expect(pathNearest(piece.finished, mark.at).distance, piece.id).toBeLessThan(0.01)
      }),
      runs,
    ))
})

describe('whatever is put on it', () => {
  const anyParts = fc.record({
    kind: fc.constantFrom('tote', 'flap-bag', 'briefcase', 'rucksack'),
    top: fc.constantFrom('single', 'doubled', 'banded', 'rolled'),
    handleFix: fc.constantFrom('sewn', 'riveted'),
    pocket: fc.constantFrom('none', 'flat', 'full'),
    divider: fc.constantFrom('none', 'one'),
    lining: fc.constantFrom('none', 'lined'),
    feet: fc.constantFrom('none', 'feet'),
    strapJoin: fc.constantFrom('none', 'joined'),
    seamSkive: fc.constantFrom('none', 'half'),
  })
  const made = ({ kind, ...params }: { kind: string } & Record<string, unknown>): Derived =>
    bagOf(kind, params)

  test('hardware lies on the leather it is set in', () =>
    fc.assert(
      fc.property(anyParts, (params) => {
        const bag = made(params)
        for (const { fitting } of bag.fittings) {
          if (fitting.held) continue
          const laid = bag.works[0]!.sheets.find((s) => s.sheet.id === fitting.sheet)!
          expect(pointInside(fitting.at, laid.outline), `${params.kind} ${fitting.id}`).toBe(true)
        }
      }),
      runs,
    ))
  test('every mark of hardware names one that is set, on every piece once', () =>
    fc.assert(
      fc.property(anyParts, (params) => {
        const bag = made(params)
        const names = bag.fittings.map((f) => f.fitting.name)
        for (const piece of bag.pieces) {
          const marks = piece.marks.flatMap((m) =>
            m.type === 'set' && m.mark.type === 'hardware' ? [m.mark] : [],
          )
          expect(new Set(marks.map((m) => m.id)).size).toBe(marks.length)
          for (const mark of marks) expect(names).toContain(mark.name)
        }
      }),
      runs,
    ))
  test('it is written, read and reckoned again to the last digit', () =>
    fc.assert(
      fc.property(anyParts, ({ kind, ...params }) => {
        const design = bagDesign(kind, params)
        const read = readDesign(writeDesign(design))
        if (!read.ok) throw new Error('not read')
        expect(compareDecisions(design, read.design, 'mm')).toEqual([])
        const [a, b] = [derive(design), derive(read.design)]
        expect(b.runs.map((r) => r.length)).toEqual(a.runs.map((r) => r.length))
        expect(b.pieces.map((p) => p.cut)).toEqual(a.pieces.map((p) => p.cut))
      }),
      { seed: 4, numRuns: many(6, 15) },
    ))
  test('no two panels lie on each other in the laid-out work but those that are sewn there', () =>
    fc.assert(
      fc.property(anyParts, (params) => {
        const bag = made(params)
        const sheets = bag.works[0]!.sheets.filter((s) => s.part === 'whole')
        const joined = (a: string, b: string): boolean =>
          bag.master.joins.some((j) => j.through.includes(a) && j.through.includes(b)) ||
          (bag.master.standing?.(0).riding ?? []).some(
            (r) => (r.sheet === a && r.on === b) || (r.sheet === b && r.on === a),
          )
        sheets.forEach((a, i) => {
          for (const b of sheets.slice(i + 1)) {
            const apart =
              a.box.right <= b.box.left + 1e-6 ||
              b.box.right <= a.box.left + 1e-6 ||
              a.box.bottom <= b.box.top + 1e-6 ||
              b.box.bottom <= a.box.top + 1e-6
            if (apart || joined(a.sheet.id, b.sheet.id)) continue
            // What rides on the same piece may lie beside or over each other.
            const hosts = (bag.master.standing?.(0).riding ?? [])
              .filter((r) => r.sheet === a.sheet.id || r.sheet === b.sheet.id)
              .map((r) => r.on)
            expect(hosts.length, `${params.kind}: ${a.sheet.id} and ${b.sheet.id}`).toBeGreaterThan(0)
          }
        })
      }),
      { seed: 6, numRuns: many(8, 20) },
    ))
})
