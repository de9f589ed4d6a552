import { nth } from '../lists/index.js'
import type { Derived } from '../derived/index.js'
import { distanceWithin } from '../geometry/index.js'
import { type LaidSheet, sheetThickness, laidUpOf } from '../layup/index.js'
import { printBoth } from '../measure/index.js'
import type { Run } from '../stitch/index.js'
import { holeOf, leastMargin } from './holes.js'
import { check } from './finding.js'
import { isSecondTwin, placeOnSheet } from './places.js'

interface Near {
  readonly laid: LaidSheet
  readonly hole: number
  readonly distance: number
}

/**
 * Where a run comes nearest to the edge of a sheet it goes through, nearer than `reach`, rounded corners included; where it crosses that edge
 * is a step, and told as one. Holes of the other edge are asked on what lies there.
 */
function nearestOn(run: Run, laid: LaidSheet, reach: number): Near | undefined {
  const { id } = laid.sheet
  const crossings = run.steps.filter((s) => s.sheets.includes(id)).map((s) => s.distance)
  const there = run.join.mate?.sheet === id ? run.other?.holes : undefined
  const asked = there
    ? (hole: number): boolean => sheetThickness(laid, nth(there, hole).at) > 0
    : (hole: number): boolean => {
        const { sheets, distance } = nth(run.holes, hole)
        return sheets.includes(id) && !crossings.some((c) => Math.abs(c - distance) < 2 * run.ways.pitch)
      }
  const holes = there ?? run.holes
  let found: Near | undefined
  holes.forEach(({ at }, hole) => {
    // The quick question first: few holes are near an edge.
    const distance = distanceWithin(laid.placed, at, found?.distance ?? reach)
    if (distance < Infinity && asked(hole)) found = { laid, hole, distance }
  })
  return found
}

/** A seam that keeps its margin on the piece it is drawn on, but comes too near the edge of another it goes through. */
export const seamNearEdge = check({
  code: 'seam-near-edge',
  screen: 'seams',
  find: (derived: Derived) => {
    const told = new Set<string>()
    return derived.runs.flatMap((run) => {
      if (run.join.decor || isSecondTwin(run.join, told)) return []
      const { course } = run.join
      const made = holeOf(run.ways, derived)
      const min = leastMargin(made)
      // A margin that is too small all along is told by itself.
      const own = course.type === 'edges' && course.margin.value < min
      const near = laidUpOf(derived.works, run.join.layup)
        .sheets.filter((s) => s.part === 'whole' && s.sheet.type === 'panel')
        .filter((s) => run.join.through.includes(s.sheet.id) && !(own && s.sheet.id === course.sheet))
        .flatMap((laid) => nearestOn(run, laid, min) ?? [])
        .reduce<Near | undefined>((a, b) => (a && a.distance <= b.distance ? a : b), undefined)
      if (!near || near.distance >= min - 1e-6) return []
      told.add(run.join.id)
      return [
        {
          key: `seam-near-edge:${run.join.id}`,
          rank: 'look' as const,
          run: run.join.id,
          places: placeOnSheet(derived, run.join, near.laid.sheet.id, nth(run.holes, near.hole).at),
          cause: { id: 'edge', severity: -near.distance },
          hole: near.hole,
          about: run.join.name,
          data: {
            by: made.by,
            distance: near.distance,
            min,
            panel: near.laid.sheet.name,
          },
        },
      ]
    })
  },
  say: ({ about, data }, unit) => ({
    what: `The ${about} comes within ${printBoth(data.distance, data.min, unit)[0]} of the edge of the ${data.panel}; the ${data.by === 'iron' ? 'slots want' : 'needle wants'} ${printBoth(data.distance, data.min, unit)[1]}.`,
    why: 'The holes break out there when the edge is bevelled: give the seam a wider margin, the corner a smaller radius, or both pieces the same outline.',
  }),
  // Which of the two pieces is right only the maker knows.
  fixes: () => [],
})
