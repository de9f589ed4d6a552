import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive, zipFor } from '@drumlin/core/derived'
import { type Design, applyEdit } from '@drumlin/core/design'
import { readDesign } from '@drumlin/core/exchange/json'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import {
  type Path,
  arc,
  line,
  openPath,
  pathLength,
  pathPlaceAt,
  point,
  pointDistance,
} from '../src/geometry/index.js'
import { eased, holePlaces, teethOf } from '../src/stitch/index.js'

/** A bifold whose outside was redrawn with rounder corners than its inside, each side holed apart. */
function rounder(): Design {
  const file = fileURLToPath(new URL('../../e2e/files/rounder-fold.drumlin.json', import.meta.url))
  const read = readDesign(readFileSync(file, 'utf8'))
  if (!read.ok) throw new Error(JSON.stringify(read.issue))
  return read.design
}

/** Down, round a corner, along; or with a sharp corner where the radius is nothing. */
const path = (down: number, radius: number, across: number): Path =>
  openPath([
    line(point(0, 0), point(0, down)),
    ...(radius > 0
      ? [arc(point(0, down), point(radius, down + radius), point(radius, down), -Math.PI / 2)]
      : []),
    line(point(radius, down + radius), point(radius + across, down + radius)),
  ])
const anyPath = fc
  .tuple(
    fc.double({ min: 15, max: 150, noNaN: true }),
    fc.oneof(fc.constant(0), fc.double({ min: 3, max: 45, noNaN: true })),
    fc.double({ min: 15, max: 150, noNaN: true }),
  )
  .map(([down, radius, across]) => path(down, radius, across))
const anyPitch = fc.double({ min: 2, max: 6, noNaN: true })

describe('holes of any seam', () => {
  test('first and last lie on its ends, neighbours as far apart as their side says, evened or stepped', () =>
    fc.assert(
      fc.property(
        anyPath,
        anyPitch,
        fc.constantFrom('hole' as const, 'straddled' as const),
        fc.option(fc.integer({ min: 1, max: 8 }), { nil: undefined }),
        (seam, pitch, corners, evenOver) => {
          const { holes, sides } = holePlaces(seam, { pitch, corners, ...(evenOver ? { evenOver } : {}) })
          expect(pointDistance(holes[0]!.at, point(0, 0))).toBeLessThan(1e-6)
          expect(pointDistance(holes.at(-1)!.at, pathPlaceAt(seam, pathLength(seam)).at)).toBeLessThan(1e-4)
          for (const side of sides) {
            const late = side.last ? side.to - side.last.stitches : side.to
            for (let i = side.from; i < side.to; i += 1) {
              const gap = pointDistance(holes[i]!.at, holes[i + 1]!.at)
              expect(gap).toBeCloseTo(side.last && i >= late ? side.last.pitch : side.pitch, 3)
            }
          }
          const counted = sides.reduce((n, s) => n + (s.to - s.from), 0)
          expect(holes.length - 1 - counted).toBe(corners === 'straddled' ? sides.length - 1 : 0)
        },
      ),
      { seed: 11, numRuns: 150 },
    ))
  test('a side of no length is no side, and a pitch longer than the whole leaves two holes', () => {
    const odd = openPath([
      line(point(0, 0), point(0, 20)),
      line(point(0, 20), point(0, 20)),
      line(point(0, 20), point(9, 20)),
    ])
    expect(holePlaces(odd, { pitch: 4, corners: 'hole' }).sides).toHaveLength(2)
    expect(
      holePlaces(openPath([line(point(0, 0), point(3, 0))]), { pitch: 12, corners: 'hole' }).holes,
    ).toHaveLength(2)
  })
})

describe('ease', () => {
  test('ends fall on ends and nothing runs back; in the corners the straights keep their own measure', () =>
    fc.assert(
      fc.property(anyPath, fc.double({ min: 0.97, max: 1.03, noNaN: true }), (seam, share) => {
        const length = pathLength(seam)
        for (const ease of ['spread', 'corners'] as const) {
          const to = eased(seam, length * share, ease)
          expect(to(0)).toBeCloseTo(0, 9)
          expect(to(length)).toBeCloseTo(length * share, 6)
        }
        const [down, round] = [pathLength(openPath([seam.segments[0]!])), seam.segments.length === 3]
        if (round) expect(eased(seam, length * share, 'corners')(down / 2)).toBeCloseTo(down / 2, 9)
      }),
      { seed: 12, numRuns: 100 },
    ))
})

describe('teeth', () => {
  const row = (length: number, count: number) => {
    const pitch = length / (count - 1)
    const holes = Array.from({ length: count }, (_, i) => ({
      at: point(i * pitch, 0),
      angle: 0,
      distance: i * pitch,
    }))
    return { length, holes, sides: [{ stitches: count - 1, pitch, from: 0, to: count - 1, length }] }
  }
  test('every hole has its mate or stands alone; mates follow one another; so many alone as the counts differ', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 80 }),
        fc.integer({ min: -4, max: 4 }),
        fc.double({ min: 0.96, max: 1.04, noNaN: true }),
        (count, more, share) => {
          const other = Math.max(2, count + more)
          const { teeth, alone } = teethOf(row(200, count), row(200 * share, other), 200 / count)
          expect(alone).toHaveLength(Math.abs(count - other))
          expect(teeth).toHaveLength(Math.min(count, other))
          for (const [i, t] of teeth.entries()) {
            if (i === 0) continue
            expect(t.front).toBeGreaterThan(teeth[i - 1]!.front)
            expect(t.back).toBeGreaterThan(teeth[i - 1]!.back)
          }
        },
      ),
      { seed: 13, numRuns: 200 },
    ))
  test('one hole too many at one end is found there', () => {
    const even = row(100, 26)
    const extra = {
      ...even,
      holes: [...even.holes, { at: point(102, 0), angle: 0, distance: 102 }],
      sides: [{ ...even.sides[0]!, to: 26 }],
    }
    const { alone, teeth } = teethOf(even, extra, 4)
    expect(alone).toEqual([{ on: 'back', hole: 26 }])
    expect(teeth.some((t) => t.slanted)).toBe(false)
  })
})

describe('a clash of rounder and less round corners', () => {
  const derived = derive(rounder())
  const run = derived.runs.find((r) => r.join.id === 'outer-left')!
  test('the outside is shorter by (2 − π/2) × 4 mm of radius, and so has a hole less', () => {
    const zip = zipFor(derived, run)
    expect(zip.front.length - zip.back!.length).toBeCloseTo((2 - Math.PI / 2) * 4, 1)
    expect([zip.front.holes.length, zip.back!.holes.length]).toEqual([55, 54])
    expect(zip.extra).toHaveLength(1)
    expect(zip.extra[0]!.between).toEqual(['corner', 'end'])
  })
  test('it is a stop that says how many, where, and three ways out', () => {
    const found = findingsOf(derived).find((f) => f.code === 'unequal-holes')!
    expect(sayFinding(found, 'mm').what).toBe(
      '55 holes on the inside, 54 on the outside (outer seam, both sides): one too many on the inside, between corner and end.',
    )
    for (const fix of fixesOf(found, derived)) {
      const edited = applyEdit(derived.design, fix.edit)
      if (!edited.ok) throw new Error(edited.why)
      const after = derive(edited.design)
      expect(findingsOf(after).some((f) => f.key === found.key)).toBe(false)
    }
  })
  test.each(['spread', 'corners'] as const)(
    'eased, %s, it has hole for hole, none of them slanted but by the ease',
    (ease) => {
      const wish = { path: ['sewing', 'runs', 'outer-left', 'ease'], value: ease }
      const edited = applyEdit(derived.design, { name: 'ease', changes: [wish] })
      if (!edited.ok) throw new Error(edited.why)
      const after = derive(edited.design)
      const own = after.runs.find((r) => r.join.id === 'outer-left')!
      expect(own.other!.holes).toHaveLength(own.holes.length)
      const stops = own.other!.holes.map((h) => h.distance)
      expect(stops).toEqual(stops.toSorted((a, b) => a - b))
      expect(stops.at(-1)).toBeCloseTo(own.other!.length, 6)
    },
  )
  test('each side’s own holes are marked on its own piece', () => {
    const holes = (id: string) => derived.pieces.find((p) => p.id === id)!.holes.length
    expect(holes('outside')).toBe(2 * 54)
    expect(holes('inside')).toBeGreaterThan(2 * 55)
  })
})

describe('a seam that keeps its margin on one piece and not on the other', () => {
  /** The outside with corners of the foot rounded by so much, punched through all layers. */
  const rounded = (radius: number) => {
    const design = rounder()
    const [outside] = design.drawn
    const [wide, high] = [outside!.nodes[3]!.x, outside!.nodes[5]!.y]
    const going = { type: 'arc' as const, rise: radius * (1 - Math.SQRT1_2) }
    const nodes = outside!.nodes.map((n, i) => {
      if (i === 4) return { ...n, y: high - radius, going }
      if (i === 5) return { ...n, x: wide - radius }
      if (i === 6) return { ...n, x: radius, going }
      return i === 7 ? { ...n, y: high - radius } : n
    })
    return derive({
      ...design,
      drawn: [{ ...outside!, nodes }],
      sewing: { ...design.sewing, holes: 'through' },
    })
  }
  const near = (radius: number) => findingsOf(rounded(radius)).find((f) => f.code === 'seam-near-edge')
  // Inside the corner of 6 mm one of 12 lies (√2 − 1) × 6 = 2.5 mm further in: half a millimetre is left of 3.
  test('rounder corners behind it leave half a millimetre to the edge', () => {
    const found = near(12)!
    expect(found.data.distance).toBeCloseTo(3 - (Math.SQRT2 - 1) * 6, 1)
    expect(sayFinding(found, 'mm').what).toContain('of the edge of the outside; the slots want 1.1 mm')
  })
  test('corners nearly alike leave enough', () => expect(near(8)).toBeUndefined())
})
