import { describe, expect, test } from 'vitest'
import { type Drawn, pieceDrawing } from '@drumlin/core/drawing'
import { hatch, pathData, stipple } from '../src/drawing/index.js'
import {
  arc,
  closedPath,
  cubic,
  line,
  openPath,
  pathCrossings,
  pathEnd,
  pathStart,
  point,
  pointDistance,
  pointInside,
  polygon,
  roundedPolygon,
} from '../src/geometry/index.js'
import { arrangeInRows } from '../src/reckon/index.js'
import { demo, demoWith } from './support/designs.js'

const rectangle = (w: number, h: number) => polygon([point(0, 0), point(w, 0), point(w, h), point(0, h)])
const derived = demoWith({})
const drawn = (id: string, unit: 'mm' | 'in' = 'mm') =>
  pieceDrawing(
    derived.pieces.find((p) => p.id === id)!,
    demo(),
    unit,
  )
const texts = (all: readonly Drawn[]): string[] => all.flatMap((d) => (d.type === 'text' ? [d.text] : []))
const strokes = (all: readonly Drawn[], layer: string) =>
  all.flatMap((d) => (d.type === 'stroke' && d.layer === layer ? [d] : []))

describe('path data', () => {
  test('lines, arcs and cubics stay what they are', () => {
    expect(
      pathData(roundedPolygon([point(0, 0), point(10, 0), { x: 10, y: 10, radius: 2 }, point(0, 10)]).path),
    ).toBe('M0 0L10 0L10 8A2 2 0 0 1 8 10L0 10L0 0Z')
    expect(pathData(openPath([cubic(point(0, 0), point(1, 2), point(3, 4), point(5, 6))]))).toBe(
      'M0 0C1 2 3 4 5 6',
    )
  })
  test('more than half a circle is written as two arcs, so that it is not taken for the other half', () => {
    const max = openPath([arc(point(10, 0), point(0, -10), point(0, 0), (3 * Math.PI) / 2)])
    expect(pathData(max).match(/A/g)).toHaveLength(2)
  })
  test('nothing is nothing', () => expect(pathData(openPath([]))).toBe(''))
})

describe('fills', () => {
  test('every dot of a stipple lies inside its area, and the area is covered', () => {
    const area = closedPath([
      line(point(0, 0), point(60, 0)),
      arc(point(60, 0), point(60, 20), point(60, 10), Math.PI),
      line(point(60, 20), point(0, 20)),
      line(point(0, 20), point(0, 0)),
    ])
    const dots = stipple(area)
    for (const dot of dots) expect(pointInside(dot, area)).toBe(true)
    expect(dots.length).toBeGreaterThan(1357 / 2.9)
  })
  test('a hatch closes up as the leather gets thinner', () => {
    const lines = hatch(rectangle(30, 20), point(0, 0), point(0, 20), 1, 0.2).map((l) => pathStart(l).y)
    const gaps = lines.slice(1).map((y, i) => y - lines[i]!)
    for (let i = 1; i < gaps.length; i += 1) expect(gaps[i]!).toBeLessThan(gaps[i - 1]! + 1e-9)
    expect(gaps[0]!).toBeGreaterThan(2 * gaps.at(-1)!)
  })
  test('it stays inside, across its whole width', () => {
    for (const l of hatch(rectangle(30, 20), point(0, 0), point(0, 20), 0.5, 0.5))
      expect(pointDistance(pathStart(l), pathEnd(l))).toBeCloseTo(30, 9)
  })
})

describe('a piece as drawn', () => {
  test('says what it is, how many, of what, and for which draft', () => {
    expect(texts(drawn('foot-pocket'))).toEqual(
      expect.arrayContaining([
        'Foot pocket',
        'cut 2, 1 turned over',
        'Heron goat, 0.9 mm',
        'Deckhand’s fold, first draft',
      ]),
    )
    expect(texts(drawn('foot-pocket', 'in'))).toContain('Heron goat, 2.3 oz')
  })
  test('the cut line is the heaviest, and there is one', () => {
    const all = drawn('outside')
    expect(strokes(all, 'cut')).toHaveLength(1)
    for (const s of all)
      if (s.type === 'stroke' && s.layer !== 'cut' && s.layer !== 'holes')
        expect(s.weight).toBeLessThan(strokes(all, 'cut')[0]!.weight)
  })
  test('a fold is a pair of long dashes as wide apart as the bend, chevrons at each end, and its word', () => {
    const folds = strokes(drawn('outside'), 'fold')
    const dashed = folds.filter((f) => f.dash)
    expect(dashed).toHaveLength(2)
    expect(Math.abs(pathStart(dashed[0]!.path).x - pathStart(dashed[1]!.path).x)).toBeCloseTo(
      0.6 * Math.PI * 2.03,
      6,
    )
    expect(folds.length - dashed.length).toBe(4)
    expect(texts(drawn('outside'))).toContain('mountain')
    expect(texts(drawn('inside'))).toContain('valley')
  })
  test('holes are slots of the iron’s length and width, all inside the piece', () => {
    const piece = derived.pieces.find((p) => p.id === 'outside')!
    const holes = strokes(drawn('outside'), 'holes')
    expect(holes).toHaveLength(2 * derived.runs.find((r) => r.join.id === 'outer-left')!.holes.length)
    for (const hole of holes) {
      expect(pointDistance(pathStart(hole.path), pathEnd(hole.path))).toBeCloseTo(1.7, 9)
      expect(hole.weight).toBe(0.5)
      expect(pathCrossings(hole.path, piece.cut)).toEqual([])
    }
  })
  test('skives say their thickness: one figure where level, two where they slope', () => {
    const words = texts(drawn('pocket'))
    expect(words.filter((w) => w === '0.45')).toHaveLength(2)
    expect(words).toEqual(expect.arrayContaining(['0.9', '0.3']))
  })
  test('match marks carry the same letters on both pieces that meet', () => {
    const letters = (id: string) =>
      derived.pieces.find((p) => p.id === id)!.marks.flatMap((m) => (m.type === 'notch' ? [m.letters] : []))
    expect(letters('inside').sort()).toEqual(['a', 'b', 'c', 'd', 'e', 'f'])
    expect(letters('foot-pocket')).toEqual(['c f'])
    expect(letters('pocket')).toEqual(['a–e'])
  })
  test('finished edge and cut line are told apart where the edge is trimmed after sewing', () => {
    const trimmed = demoWith({ 'params.trim': 2 }).pieces.find((p) => p.id === 'inside')!
    expect(strokes(pieceDrawing(trimmed, demo(), 'mm'), 'finished')).toHaveLength(1)
    expect(strokes(drawn('inside'), 'finished')).toHaveLength(0)
  })
})

describe('rows', () => {
  test('nothing overlaps, the order is kept, and the sheet is large enough', () => {
    const sizes = [60, 90, 30, 120, 45, 45]
    const { placed, width, height } = arrangeInRows(sizes, (s) => rectangle(s, s / 2), 160, 10)
    expect(placed.map((p) => p.item)).toEqual(sizes)
    const boxes = placed.map(({ item, move }) => ({
      x0: move.e,
      x1: move.e + item,
      y0: move.f,
      y1: move.f + item / 2,
    }))
    for (const a of boxes) {
      expect(a.x1 <= width && a.y1 <= height).toBe(true)
      for (const b of boxes)
        expect(
          a === b || a.x1 + 9.99 < b.x0 || b.x1 + 9.99 < a.x0 || a.y1 + 9.99 < b.y0 || b.y1 + 9.99 < a.y0,
        ).toBe(true)
    }
  })
})
