import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { pathNearest, pointMoved } from '../src/geometry/index.js'
import { bagDesign, withLeather } from './support/bags.js'

/** How near any cut into an allowance comes to a hole of the piece it is cut into, mm. */
function nearest({ panels, works, runs }: Derived): number {
  let min = Infinity
  for (const panel of panels) {
    const cuts = (panel.marks ?? []).flatMap((m) => (m.type === 'cuts' ? m.paths : []))
    const laid = works[0]!.sheets.filter(
      (s) => s.part === 'whole' && s.sheet.type === 'panel' && s.sheet.panelId === panel.id,
    )
    for (const sheet of cuts.length > 0 ? laid : [])
      for (const run of runs)
        for (const hole of [...run.holes, ...(run.other?.holes ?? [])]) {
          const at = pointMoved(hole.at, sheet.toSheet)
          for (const cut of cuts) min = Math.min(min, pathNearest(cut, at).distance)
        }
  }
  return min
}

describe('cuts into the allowance of a turned seam', () => {
  test.each(['wrap', 'wrap-three', 'tapered', 'set-in', 'boxed', 'boxed-folded'])(
    'of a %s body stop short of every row',
    (body) =>
      fc.assert(
        fc.property(
          fc.double({ min: 0, max: 60, noNaN: true }),
          fc.double({ min: 6, max: 14, noNaN: true }),
          fc.double({ min: 1.5, max: 8, noNaN: true }),
          (radius, allowance, rowApart) => {
            const bag = bagDesign('flap-bag', {
              body,
              seam: 'turned',
              rows: 2,
              radius,
              allowance,
              rowApart,
              flap: 'none',
            })
            expect(nearest(derive(bag))).toBeGreaterThan(1)
          },
        ),
        { seed: 53, numRuns: 12 },
      ),
  )
  test('a raw seam has none: its flange is stretched round the corner', () => {
    for (const body of ['wrap', 'set-in'])
      expect(nearest(derive(bagDesign('flap-bag', { body, seam: 'raw', radius: 20, flap: 'none' })))).toBe(
        Infinity,
      )
  })
})

describe('extra length of what bends round a corner further out than its stitch line', () => {
  test.each([{ grooves: 'grooved' }, { grooves: 'none', radius: 30 }, { grooves: 'none', radius: 12 }])(
    'lies in the corner, not on the straights: %o',
    (corner) =>
      fc.assert(
        fc.property(
          fc.integer({ min: 160, max: 360 }),
          fc.integer({ min: 60, max: 140 }),
          fc.double({ min: 1.2, max: 3.4, noNaN: true }),
          (high, deep, thickness) => {
            const design = withLeather(
              bagDesign('flap-bag', { body: 'set-in', seam: 'raw', flap: 'none', high, deep, ...corner }),
              'body',
              { thickness },
            )
            const run = derive(design).runs.find((r) => r.join.id === 'seam-right')!
            const extra = run.other!.length - run.length
            expect(extra).toBeGreaterThan(0.5)
            const straight = high - (corner.radius ?? 0) - 6
            const by = (i: number) => run.other!.holes[i]!.distance - run.holes[i]!.distance
            run.holes.forEach((hole, i) => {
              if (hole.distance < straight) expect(by(i)).toBeCloseTo(0, 6)
              if (hole.distance > run.length - straight) expect(by(i)).toBeCloseTo(extra, 6)
            })
          },
        ),
        { seed: 61, numRuns: 15 },
      ),
  )
})
