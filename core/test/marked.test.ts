import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { wishRuns } from '@drumlin/core/design'
import {
  type Move,
  boxesTouch,
  pathBox,
  pathMoved,
  pathNearest,
  point,
  pointDistance,
  pointMoved,
  polygon,
} from '../src/geometry/index.js'
import { nth } from '../src/lists/index.js'
import { type Piece, arrangeInRows, asOne, nearestPlace } from '../src/reckon/index.js'
import { glueMarks } from '../src/reckon/marks.js'
import { demo, done } from './support/designs.js'

const rectangle = (w: number, h: number) => polygon([point(0, 0), point(w, 0), point(w, h), point(0, h)])

describe('pieces drawn once for several', () => {
  const piece = nth(derive(demo()).pieces, 0)
  const named = (...names: string[]): Piece =>
    asOne(names.map((name, i) => ({ ...piece, name, count: i + 1, flipped: i })))
  test('have all their names, each once, and their counts added', () => {
    expect(named('a')).toMatchObject({ name: 'a', count: 1, flipped: 0 })
    expect(named('a', 'b')).toMatchObject({ name: 'a and b', count: 3, flipped: 1 })
    expect(named('a', 'b', 'c')).toMatchObject({ name: 'a, b and c', count: 6, flipped: 3 })
    expect(named('a', 'a', 'b', 'c')).toMatchObject({ name: 'a, b and c', count: 10, flipped: 6 })
    expect(named('a', 'a')).toMatchObject({ name: 'a', count: 3, flipped: 1 })
  })
})

describe('pieces in rows', () => {
  const sizes = fc.array(fc.tuple(fc.integer({ min: 5, max: 300 }), fc.integer({ min: 5, max: 900 })), {
    minLength: 1,
    maxLength: 12,
  })
  test.each(['lie', 'stand'] as const)(
    'straps that %s: none nearer to another than its gap, all on the sheet',
    (straps) =>
      fc.assert(
        fc.property(
          sizes,
          fc.integer({ min: 100, max: 900 }),
          fc.integer({ min: 1, max: 30 }),
          (all, width, gap) => {
            const items = all.map(([w, h]) => rectangle(w, h))
            const laid = arrangeInRows(items, (i) => i, width, gap, straps)
            const boxes = laid.placed.map(({ item, move }) => pathBox(pathMoved(item, move)))
            expect(boxes.length).toBe(items.length)
            boxes.forEach((box, i) => {
              const wider = {
                left: box.left - gap + 0.01,
                right: box.right + gap - 0.01,
                top: box.top - gap + 0.01,
                bottom: box.bottom + gap - 0.01,
              }
              for (const other of boxes.slice(i + 1)) expect(boxesTouch(wider, other)).toBe(false)
              expect(Math.min(box.left, box.top)).toBeGreaterThan(-1e-9)
              expect(box.right).toBeLessThan(laid.width + 1e-9)
              expect(box.bottom).toBeLessThan(laid.height + 1e-9)
            })
            // No wider than asked, but for a piece that is; no higher than the lowest of them.
            expect(laid.width).toBeCloseTo(Math.max(...boxes.map((b) => b.right)), 9)
            expect(laid.height).toBeCloseTo(Math.max(...boxes.map((b) => b.bottom)), 9)
            for (const box of boxes) if (box.right > width + 1e-9) expect(box.left).toBeCloseTo(0, 9)
          },
        ),
      ),
  )
})

describe('a row of pieces', () => {
  const laid = (all: readonly (readonly [number, number])[], width: number, straps?: 'lie') =>
    arrangeInRows(
      all.map(([w, h]) => rectangle(w, h)),
      (i) => i,
      width,
      10,
      straps,
    ).placed.map(({ item, move }) => {
      const { left, top } = pathBox(pathMoved(item, move))
      return [left, top]
    })
  test('is filled as long as a piece has room, to the last millimetre, and only then is another begun', () => {
    expect(
      laid(
        [
          [30, 20],
          [60, 25],
          [30, 5],
          [59, 5],
          [200, 7],
        ],
        100,
      ),
    ).toEqual([
      [0, 0],
      [40, 0],
      [0, 35],
      [40, 35],
      [0, 50],
    ])
    expect(
      laid(
        [
          [30, 20],
          [61, 25],
        ],
        100,
      ),
    ).toEqual([
      [0, 0],
      [0, 30],
    ])
  })
  test('straps lie above it, those too in rows of their own', () => {
    expect(
      laid(
        [
          [30, 20],
          [20, 450],
          [25, 420],
          [30, 30],
        ],
        1000,
        'lie',
      ),
    ).toEqual([
      [0, 0],
      [460, 0],
      [0, 35],
      [40, 35],
    ])
  })
})

test('what glue may cover is marked by the state its join is sewn in, wherever that stands', () => {
  const { master, panels } = derive(demo())
  const [open, ...others] = master.layups
  const behind = { ...master, layups: [{ ...open!, id: 'elsewhere', sheets: [] }, open!, ...others] }
  const marks = panels.map((panel) => glueMarks(panel, master))
  expect(marks.flat().length).toBeGreaterThan(0)
  expect(panels.map((panel) => glueMarks(panel, behind))).toEqual(marks)
})

describe('the place a rule is laid to', () => {
  const [piece] = derive(demo()).pieces as [Piece, ...Piece[]]
  const move: Move = { a: 0, b: 1, c: -1, d: 0, e: 40, f: -7 }
  const near = (x: number, y: number, reach: number) =>
    nearestPlace([{ item: piece, move }], point(x, y), reach)
  test('is the nearest corner or hole within reach, and where one points at beyond it', () => {
    const places = [
      ...[piece.cut, piece.finished].flatMap((p) => p.segments.flatMap((s) => [s.from, s.to])),
      ...piece.holes.map((h) => h.at),
    ].map((p) => pointMoved(p, move))
    for (const [dx, dy] of [
      [0, 0],
      [0.4, -0.3],
      [2, 1],
    ] as const)
      for (const place of [
        nth(places, 0),
        nth(places, places.length - 1),
        nth(places, Math.floor(places.length / 2)),
      ]) {
        const at = point(place.x + dx, place.y + dy)
        const found = nearestPlace([{ item: piece, move }], at, 5)
        const least = Math.min(...places.map((p) => pointDistance(p, at)))
        expect(pointDistance(found, at)).toBeCloseTo(least, 9)
      }
    expect(near(5000, 5000, 5)).toEqual(point(5000, 5000))
  })
})

describe('a seam that stops short', () => {
  const stops = (derived: Derived) =>
    derived.pieces.map((p) => ({
      piece: p,
      marks: p.marks.filter((m) => m.type === 'notch' && m.letters === 'stop'),
    }))
  const run = nth(
    derive(demo()).runs.filter((r) => r.join.through.length > 1),
    0,
  )
  const asked = (startBy: number, endBy: number) =>
    derive(done(demo(), wishRuns('stop', [run.join.id], { startBy, endBy })))
  const count = (d: Derived): number => stops(d).reduce((sum, { marks }) => sum + marks.length, 0)
  test('is notched where it stops, at the end that was asked for', () => {
    expect(count(asked(0, 0))).toBe(0)
    expect(count(asked(0.9, 0.5))).toBe(0)
    const one = count(asked(20, 0))
    expect(one).toBeGreaterThan(0)
    expect(count(asked(0, 20))).toBeGreaterThan(0)
    expect(count(asked(20, 20))).toBe(one + count(asked(0, 20)))
    // As much as is shown is shown.
    expect(count(asked(1, 0))).toBeGreaterThan(0)
  })
  test('is notched at the edge, beside its first hole where that is marked', () => {
    const beside = stops(asked(20, 0)).flatMap(({ piece, marks }) =>
      marks.map((mark) => {
        if (mark.type !== 'notch') throw new Error(mark.type)
        expect(pathNearest(piece.finished, mark.at).distance).toBeLessThan(1e-6)
        return Math.min(...piece.holes.map((h) => pointDistance(h.at, mark.at)))
      }),
    )
    expect(Math.min(...beside)).toBeLessThan(5)
  })
})
