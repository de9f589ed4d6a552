import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { type Path, type Point, pathNearest, pathPoints, pointMoved } from '../src/geometry/index.js'
import type { LaidSheet } from '../src/layup/index.js'
import { many } from './support/long.js'
import { anyDesign, everyDesign, madeKinds, derivedOf } from './support/all.js'

const rings = new WeakMap<Path, readonly Point[]>()
/** Inside by the turns of the outline round a place: nothing of the core’s own way of asking. */
function winds(outline: Path, { x, y }: Point): boolean {
  const ring = rings.get(outline) ?? pathPoints(outline, 0.01)
  rings.set(outline, ring)
  let inside = false
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const [a, b] = [ring[i]!, ring[j]!]
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside
  }
  return inside
}

/** How thick a sheet is at a place by its outline, clips and skived bands; undefined on a border, where it may go either way. */
function thicknessThere(laid: LaidSheet, at: Point): number | undefined {
  const local = pointMoved(at, laid.toSheet)
  if (pathNearest(laid.outline, local).distance < 0.05) return undefined
  for (const clip of laid.sheet.clips) {
    const depth = (at.x - clip.at.x) * clip.inward.x + (at.y - clip.at.y) * clip.inward.y
    if (Math.abs(depth) < 0.05) return undefined
    if (depth < 0) return 0
  }
  if (!winds(laid.outline, local)) return 0
  let min = laid.thickness
  for (const band of laid.bands.filter((b) => b.planned && !b.hollow))
    for (const { outline, from, to } of band.areas) {
      if (pathNearest(outline, local).distance < 0.05) return undefined
      if (!winds(outline, local)) continue
      const [dx, dy] = [to.x - from.x, to.y - from.y]
      const share = Math.min(
        1,
        Math.max(0, ((local.x - from.x) * dx + (local.y - from.y) * dy) / (dx * dx + dy * dy)),
      )
      min = Math.min(min, band.start + (band.end - band.start) * share)
    }
  return min
}

/** Holes whose stack is not what lies there, each sheet counted once; holes on borders and skived edges are left out. */
function miscounted({ runs, works }: Derived): { wrong: string[]; counted: number } {
  const wrong: string[] = []
  let counted = 0
  for (const run of runs) {
    const work = works.find((w) => w.layup.id === run.join.layup)!
    const sheets = work.sheets.filter((s) => run.join.through.includes(s.sheet.id))
    if (sheets.some((s) => s.part === 'turn' || s.profiles.length > 0)) continue
    const mates = run.join.mate ? run.other?.holes : undefined
    run.holes.forEach((hole, i) => {
      const last = Math.max(1, run.holes.length - 1)
      const places = [hole.at, ...(mates ? [mates[Math.round((i * (mates.length - 1)) / last)]!.at] : [])]
      const levels = sheets.map((s) => places.map((at) => thicknessThere(s, at)))
      if (levels.flat().some((l) => l === undefined)) return
      // A sheet that lies at both places is one layer, unless its own edges are sewn onto each other.
      const itself = run.join.mate?.sheet === run.join.course.sheet
      const stack = levels.reduce(
        (sum, [here, there]) => sum + here! + (itself || here === 0 ? (there ?? 0) : 0),
        // Both seams that hold a zip hold 0.7 mm of its tape, and no others do.
        /^zip-.*-tape$/.test(run.join.id) ? 0.7 : 0,
      )
      counted += 1
      if (Math.abs(stack - hole.stack) > 1e-6)
        wrong.push(`${run.join.id} hole ${i + 1}: ${hole.stack.toFixed(2)} where ${stack.toFixed(2)} lies`)
    })
  }
  return { wrong: wrong.slice(0, 3), counted }
}

describe('whatever lies at a hole is counted once and never missed', () => {
  test('in every demo and every kind as it first comes', () => {
    let all = 0
    for (const { name, design } of everyDesign()) {
      const { wrong, counted } = miscounted(derivedOf(design))
      expect(wrong, name).toEqual([])
      all += counted
    }
    expect(all).toBeGreaterThan(5000)
  })
  test.each(madeKinds)('in a %s with any settings', (id) =>
    fc.assert(
      fc.property(anyDesign(id), (design) => {
        expect(miscounted(derivedOf(design)).wrong).toEqual([])
      }),
      { seed: 41, numRuns: many(6, 12) },
    ),
  )
  test('a handle over the band of a top goes through the band, which is holed for it', async () => {
    const { freshOf } = await import('./support/designs.js')
    const tote = derive(freshOf('tote', { top: 'doubled', handle: 'flat', handleFix: 'sewn' }))
    const end = tote.runs.find((r) => r.join.id === 'handle-front-left')!
    const strap = tote.design.leathers.straps!.thickness
    const body = tote.design.leathers.body!.thickness
    // The handle, the front and the band behind it.
    expect(end.thickest).toBeCloseTo(strap + 2 * body, 6)
    expect(tote.pieces.find((p) => p.id === 'facing-front')!.holes.length).toBeGreaterThan(
      tote.runs
        .filter((r) => r.join.course.sheet === 'facing-front')
        .reduce((sum, r) => sum + r.holes.length, 0),
    )
  })
})
