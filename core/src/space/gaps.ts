import { type Point, type Point3, pointMoved } from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import type { Master } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import { placeInSpace } from './place.js'
import { type OnStage, onStage } from './stage.js'

/** How far apart the two edges of a seam stand where they should meet, mm. */
export interface Gap {
  readonly run: string
  readonly name: string
  readonly max: number
  /** Both lie on the same piece, one fuller than the other: pleats, not a gap. */
  readonly pleated: boolean
  /** Too far apart for stitches to draw shut (docs/formulas.md, 20). */
  readonly open: boolean
  /** Where it is worst: on the edge the run follows, in the coordinates of the laid-out work. */
  readonly at: Point
  /** Pairs of places that are sewn to each other, in space. */
  readonly pairs: readonly (readonly [Point3, Point3])[]
}

/** What stitches still draw together, mm. */
const DRAWN = 4

/** For every seam of edges that lie apart: how well they meet in the finished work. Stitch line against stitch line. */
export function gapsOf(master: Master, runs: readonly Run[], open: LaidUp, opened = 0): Gap[] {
  if (!master.standing) return []
  const stage = onStage(master, open, opened)
  return runs.flatMap((run) => gapOf(run, stage) ?? [])
}

/** What lies on another leather is as far from it as the layers are thick; only what is more, or aside of it, gapes. */
function apartBy(from: Point3, to: { readonly at: Point3; readonly grain: Point3 }, stack: number): number {
  const way = { x: from.x - to.at.x, y: from.y - to.at.y, z: from.z - to.at.z }
  const off = way.x * to.grain.x + way.y * to.grain.y + way.z * to.grain.z
  const aside = Math.sqrt(Math.max(0, way.x ** 2 + way.y ** 2 + way.z ** 2 - off ** 2))
  return Math.hypot(aside, Math.max(0, Math.abs(off) - stack))
}

function gapOf(run: Run, stage: readonly OnStage[]): Gap | undefined {
  const { mate, course, beside } = run.join
  if (beside !== undefined) return undefined
  const [front, back] = [course.sheet, mate?.sheet].map((id) => stage.find((s) => s.laid.sheet.id === id))
  if (!front || !back || !run.other) return undefined
  const other = run.other
  const on = (s: OnStage, p: Point) =>
    placeInSpace(s.parts, pointMoved(pointMoved(p, s.laid.toSheet), s.toHost))
  const pairs = run.holes.flatMap((hole, i) => {
    const there = other.holes[i]
    return there ? [{ from: on(front, hole.at).at, to: on(back, there.at), stack: hole.stack }] : []
  })
  const apart = pairs.map(({ from, to, stack }) => apartBy(from, to, stack))
  const max = Math.max(0, ...apart)
  const worst = run.holes[Math.max(0, apart.indexOf(max))]
  const pleated = front.parts === back.parts
  return (
    worst && {
      run: run.join.id,
      name: run.join.name,
      max,
      pleated,
      open: !pleated && max > DRAWN,
      at: worst.at,
      pairs: pairs.map(({ from, to }) => [from, to.at] as const),
    }
  )
}
