import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { type Derived, derive, layersAlong } from '@drumlin/core/derived'
import { pointDistance, pointMoved } from '../src/geometry/index.js'
import { type LaidSheet, sheetThickness } from '../src/layup/index.js'
import type { Run } from '../src/stitch/index.js'
import { anyDesign, everyDesign, madeKinds, derivedOf } from './support/all.js'
import { BARE, bagOf } from './support/bags.js'
import { freshOf } from './support/designs.js'
import { many } from './support/long.js'

/** Sheets of a run's work that are drawn as they lie: formed ones are cut bigger, copies differ among themselves. */
function drawnSheets({ works }: Derived, run: Run): LaidSheet[] {
  const whole = works
    .find((w) => w.layup.id === run.join.layup)!
    .sheets.filter((s) => s.part === 'whole' && s.sheet.type === 'panel' && !s.sheet.formed)
  const panelOf = (s: LaidSheet) => (s.sheet.type === 'panel' ? s.sheet.panelId : '')
  const clipped = (s: LaidSheet) => s.sheet.clips.length > 0
  return whole.filter(
    (s) =>
      run.join.through.includes(s.sheet.id) &&
      (clipped(s) || whole.filter((o) => panelOf(o) === panelOf(s) && !clipped(o)).length === 1),
  )
}

/** Holes that are sewn on an edge and stand on no drawing, by run and sheet. */
function missingOnPaper(derived: Derived): string[] {
  return derived.runs
    .filter((r) => r.ways.holes !== 'machine')
    .flatMap((run) => {
      const { join, other } = run
      const rows = [
        { sheet: join.course.sheet, holes: run.holes.filter((h) => h.sheets.includes(join.course.sheet)) },
        ...(join.mate && other ? [{ sheet: join.mate.sheet, holes: other.holes }] : []),
      ]
      return rows.flatMap(({ sheet, holes }) =>
        drawnSheets(derived, run)
          .filter((s) => s.sheet.id === sheet)
          .flatMap((laid) => {
            const panelId = laid.sheet.type === 'panel' ? laid.sheet.panelId : ''
            const drawn = derived.pieces.find((p) => p.id === panelId)?.holes ?? []
            const missing = holes.filter((h) => {
              const at = pointMoved(h.at, laid.toSheet)
              // What lies beside the leather is told by a finding.
              return sheetThickness(laid, h.at) > 0 && !drawn.some((d) => pointDistance(d.at, at) < 0.01)
            })
            return missing.length > 0 ? [`${join.id} on ${sheet}: ${missing.length}`] : []
          }),
      )
    })
}

/** Runs that hold one layer of leather at every hole though a seam holds two, and that nobody is told of. */
function single(derived: Derived): string[] {
  const told = new Set(
    findingsOf(derived)
      .filter((f) => f.code === 'holds-one-layer' || f.code === 'run-line')
      .map((f) => f.run),
  )
  // A border that has no room to be turned is told of its edge.
  const turned = (id: string) =>
    derived.works.some((w) => w.sheets.some((s) => s.part === 'turn' && s.sheet.id === id))
  return derived.runs
    .filter(({ join: { id, decor, course } }) => {
      const alone =
        /^zip-(front|back)-tape$|-seam-top/.test(id) || (id.startsWith('hem') && !turned(course.sheet))
      return !decor && !alone && !told.has(id)
    })
    .filter((run) => layersAlong(derived, run).every((l) => l.layers.length < 2))
    .map((run) => run.join.id)
}

/** Pieces that have a slot twice at one place. */
const twice = ({ pieces }: Derived): string[] =>
  pieces
    .filter(({ holes }) =>
      holes.some(
        (h, i) =>
          holes.findIndex(
            (o) => pointDistance(o.at, h.at) < 1e-4 && Math.abs(Math.sin(o.angle - h.angle)) < 1e-4,
          ) < i,
      ),
    )
    .map((p) => p.id)

describe('every seam', () => {
  test('of every demo and kind has the holes of both its edges on paper, and holds two layers', () => {
    for (const { name, design } of everyDesign()) {
      const derived = derivedOf(design)
      expect(missingOnPaper(derived), name).toEqual([])
      expect(single(derived), name).toEqual([])
      expect(twice(derived), name).toEqual([])
    }
  })
  test.each(madeKinds)('of any %s, likewise', (kind) =>
    fc.assert(
      fc.property(anyDesign(kind), (design) => {
        const derived = derivedOf(design)
        expect(missingOnPaper(derived)).toEqual([])
        expect(single(derived)).toEqual([])
        expect(twice(derived)).toEqual([])
      }),
      { numRuns: many(3, 75) },
    ),
  )
})

test('a hole that two rows share is marked once, wherever it falls between two thousandths', () => {
  // A row of the flap runs along the row of the band behind it: at 134.7425 from one end and 134.74249999 from the other.
  const bag = bagOf('flap-bag', {
    ...BARE,
    ...{ body: 'folded', seam: 'raw', flap: 'sewn', top: 'doubled', topBand: 8 },
    ...{ wide: 271.485, high: 60, deep: 0, margin: 2.655, radius: 0 },
  })
  expect(twice(bag)).toEqual([])
  const band = bag.pieces.find((p) => p.id === 'facing-back')!
  // The rows of band and flap lie in one line, half a pitch apart but where they share one.
  const row = bag.runs.find((r) => r.join.id === 'facing-back-top')!
  expect(band.holes.filter((h) => Math.abs(h.at.y - 2.655) < 0.01).length).toBe(2 * row.holes.length - 1)
})

describe('a body folded at the foot', () => {
  const derived = derive(freshOf('rucksack'))
  const body = derived.pieces.find((p) => p.id === 'body')!
  test('has the holes of its side seams on both halves', () => {
    const side = derived.runs.find((r) => r.join.id === 'side-right')!
    expect(side.other!.sheet).toBe('body')
    // Both edges are the right and the left half of one outline: as many holes at each.
    const middle =
      (Math.min(...body.holes.map((h) => h.at.y)) + Math.max(...body.holes.map((h) => h.at.y))) / 2
    const edge = Math.max(...body.holes.map((h) => h.at.x))
    const right = body.holes.filter((h) => Math.abs(h.at.x - edge) < 0.01)
    expect(right.filter((h) => h.at.y < middle).length).toBe(right.filter((h) => h.at.y > middle).length)
    // And a hem’s last hole at either top.
    expect(right.length - 2 * side.holes.length).toBeLessThanOrEqual(4)
    expect(right.length).toBeGreaterThanOrEqual(2 * side.holes.length)
  })
})
