import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import {
  type Path,
  type Segment,
  closedPath,
  offsetClosed,
  pathArea,
  pathLength,
  pathNearest,
  pathPoints,
  placeInside,
  point,
  pointDistance,
  polygon,
  roundedPolygon,
  segmentLength,
  segmentPart,
} from '../src/geometry/index.js'
import { offsetSidesMaybe } from '../src/geometry/offset.js'
import { many } from './support/long.js'
import { everyDesign, derivedOf } from './support/all.js'
import { freshOf } from './support/designs.js'
import { byWinding } from './support/winding.js'

/** Corners round a circle at uneven distances, each rounded by itself: outlines as makers draw them. */
const outlines = (radius: fc.Arbitrary<number>) =>
  fc
    .array(fc.record({ far: fc.integer({ min: 45, max: 120 }), radius }), { minLength: 3, maxLength: 9 })
    .map((corners) =>
      roundedPolygon(
        corners.map(({ far, radius }, i) => {
          const angle = (2 * Math.PI * i) / corners.length
          return { ...point(far * Math.cos(angle), far * Math.sin(angle)), radius }
        }),
      ),
    )
const anyOutline = outlines(fc.integer({ min: 0, max: 14 }))
/** Roundings larger than the margins: where smaller ones end a side that stays, the outline may be refused. */
const roundly = outlines(fc.constantFrom(0, 7, 10, 14))
const outlineOf = (made: ReturnType<typeof roundedPolygon>): Path => made.path
const steps = Array.from({ length: 81 }, (_, i) => Math.round((2 + i * 0.05) * 100) / 100)

/** How much an area may change from one margin to the next: a strip along the girth, wider where corners are mitred. */
const smooth = (before: Path, after: Path, by: number): boolean =>
  Math.abs(Math.abs(pathArea(before)) - Math.abs(pathArea(after))) < by * 1.5 * pathLength(before) + 0.5

describe('moved by any margin', () => {
  test('the area changes smoothly and nothing is too short to cut', () =>
    fc.assert(
      fc.property(anyOutline, fc.constantFrom(-1, 1), (made, way) => {
        const outline = outlineOf(made)
        let before: Path | undefined
        for (const margin of steps) {
          const [after] = offsetClosed(outline, way * margin)
          if (!after) throw new Error(`nothing left at ${way * margin}`)
          expect(Math.min(...after.segments.map((s) => segmentLength(s)))).toBeGreaterThan(0.02 - 1e-9)
          if (before) expect(smooth(before, after, 0.05), String(way * margin)).toBe(true)
          before = after
        }
      }),
      { seed: 31, numRuns: 40 },
    ))
  test('so it is where sides go out by margins of their own, some staying', () =>
    fc.assert(
      fc.property(roundly, fc.infiniteStream(fc.constantFrom(0, 0, 1.5, 3, 6)), (made, wanted) => {
        // As edges of panels are: a rounding is parted in its middle between the sides that meet there.
        const whole = outlineOf(made).segments
        const sides = whole.map((s) => (s.type === 'line' ? (wanted.next().value as number) : 0))
        const own = whole.flatMap((s, i): [Segment, number][] =>
          s.type === 'line'
            ? [[s, sides[i]!]]
            : [
                [segmentPart(s, 0, 0.5), sides.at(i - 1)!],
                [segmentPart(s, 0.5, 1), sides[(i + 1) % sides.length]!],
              ],
        )
        const outline = closedPath(own.map(([s]) => s))
        const distances = own.map(([, d]) => d)
        const traced = offsetSidesMaybe(outline, distances)
        if (!traced) throw new Error('nothing left')
        const grown = Math.abs(pathArea(traced.path)) - Math.abs(pathArea(outline))
        const min = outline.segments.reduce((sum, s, i) => sum + segmentLength(s) * distances[i]!, 0)
        expect(grown).toBeGreaterThan(-1e-6)
        expect(grown).toBeLessThan(min * 1.6 + 36 * outline.segments.length)
        expect(Math.min(...traced.path.segments.map((s) => segmentLength(s)))).toBeGreaterThan(0.02 - 1e-9)
        // A side that stays stays: the middle of each lies on the new outline, or inside it behind its neighbours.
        for (const p of outline.segments.map((s) => s.from))
          expect(pathNearest(traced.path, p).distance < 0.02 || placeInside(p.x, p.y, traced.path)).toBe(true)
      }),
      { seed: 32, numRuns: many(100, 300) },
    ))
  test('every panel of every design, in steps of 0.05 mm', () => {
    const seen = new Set<string>()
    for (const { name, design } of everyDesign())
      for (const { id, outline } of derivedOf(design).panels) {
        const key = JSON.stringify(outline)
        if (seen.has(key)) continue
        seen.add(key)
        let before: Path | undefined
        for (const margin of steps.filter((_, i) => i % 4 === 0)) {
          const [after] = offsetClosed(outline, margin)
          if (!after) throw new Error(`${name} ${id}: nothing left at ${margin}`)
          expect(
            Math.min(...after.segments.map((s) => segmentLength(s))),
            `${name} ${id} ${margin}`,
          ).toBeGreaterThan(0.0199)
          if (before) expect(smooth(before, after, 0.2), `${name} ${id} ${margin}`).toBe(true)
          before = after
        }
      }
  })
  test.each(['portfolio', 'tote', 'flap-bag'])('a %s is cut whole at every stitch margin', (kind) => {
    for (const margin of steps) {
      const { edges } = derive(freshOf(kind, { margin }))
      expect(
        edges.flatMap((e) => e.faults),
        String(margin),
      ).toEqual([])
      for (const e of edges)
        for (const s of e.cut.segments)
          expect(segmentLength(s), `${e.panel.id} ${margin}`).toBeGreaterThan(0.0199)
    }
  })
})

test('inside agrees with the winding of the outline on chords, at ends and beside tangents of its arcs', () =>
  fc.assert(
    fc.property(anyOutline, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (made, share) => {
      const outline = outlineOf(made)
      const ring = pathPoints(outline, 1e-5)
      const places = outline.segments.flatMap((s) => {
        const chord = { x: s.from.x + (s.to.x - s.from.x) * share, y: s.from.y + (s.to.y - s.from.y) * share }
        const level = { x: s.from.x + 40 * (share - 0.5), y: s.from.y }
        const centre =
          s.type === 'arc' ? [s.centre, { x: s.centre.x, y: s.to.y }, { x: s.from.x, y: s.centre.y }] : []
        return [chord, level, ...centre]
      })
      for (const p of places)
        if (pathNearest(outline, p).distance > 1e-3)
          expect(placeInside(p.x, p.y, outline), JSON.stringify(p)).toBe(byWinding(ring, p))
    }),
    { seed: 33, numRuns: many(50, 150) },
  ))

/** A strip whose long sides are polylines that turn by next to nothing, so wide at one end and so wide at the other. */
const slimStrip = (bends: readonly number[], wide: number, step: number): Path => {
  const upper = bends.map((bend, i) => point(i * step, bend * i * i * 1e-4))
  const lower = upper.map((p) => point(p.x, wide - p.y)).toReversed()
  return polygon([...upper, ...lower])
}

describe('sides that turn by next to nothing', () => {
  test('are moved out and stay one outline, as much larger as they are moved', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 4, maxLength: 30 }),
        fc.double({ min: 20, max: 120, noNaN: true }),
        fc.double({ min: 1, max: 12, noNaN: true }),
        fc.double({ min: 0.3, max: 4, noNaN: true }),
        (bends, wide, step, by) => {
          const strip = slimStrip(bends, wide, step)
          const loops = offsetClosed(strip, by)
          expect(loops.length).toBe(1)
          const around = strip.segments.reduce((sum, s) => sum + pointDistance(s.from, s.to), 0)
          expect(pathArea(loops[0]!)).toBeGreaterThan(pathArea(strip) + 0.9 * around * by)
        },
      ),
      { numRuns: many(150, 400) },
    ))
})
