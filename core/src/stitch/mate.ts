import { tupleOf } from '../lists/index.js'
import {
  type Path,
  type Point,
  closedPath,
  offsetLargestMaybe,
  openPath,
  pathLength,
  pathMoved,
  pathDistanceOf,
  pathStretch,
  pathNearest,
  pathPlaceAt,
  pathReversed,
  pointMoved,
} from '../geometry/index.js'
import type { LaidSheet, LaidUp } from '../layup/index.js'
import { type Join, type Panel, panelOf } from '../master/index.js'
import { isRound } from './places.js'

/** As much of a run as its other side depends on. */
export interface SewnLine {
  readonly join: Join
  readonly path: Path
  /** The line of its other edge, where that lies apart; once it is laid, where its holes are. */
  readonly mate?: Path
  readonly other?: { readonly path: Path }
  readonly holes: readonly { readonly sheets: readonly string[] }[]
}

/** The other side of a seam: the sheet whose holes have to meet those of the run, and the line they lie on there. */
export interface Mate {
  readonly laid: LaidSheet
  /** In the coordinates of the work. Undefined where the sheet has no edge along the seam: its holes are the run's. */
  readonly path: Path | undefined
}

/** An edge further than this from where the run goes is another edge, mm. */
const SAME_EDGE = 4

const carrierOf = (run: SewnLine, work: LaidUp): LaidSheet | undefined =>
  work.sheets.find((s) => s.part === 'whole' && s.sheet.id === run.join.course.sheet)

/** The sheet on the other face of the seam that most of the run goes through. */
function mateSheet(run: SewnLine, work: LaidUp, carrier: LaidSheet): LaidSheet | undefined {
  const sewn = work.sheets.filter((s) => s.part === 'whole' && run.join.through.includes(s.sheet.id))
  const middle = sewn.indexOf(carrier) < sewn.length / 2 ? sewn.toReversed() : sewn
  const cover = (s: LaidSheet): number => run.holes.filter((h) => h.sheets.includes(s.sheet.id)).length
  return middle
    .filter((s) => s !== carrier && s.sheet.type === 'panel')
    .reduce<LaidSheet | undefined>((a, b) => (a && cover(a) >= cover(b) ? a : b), undefined)
}

/** The stretch of a loop between two places, the way that passes the third. */
function stretchMaybe(loop: Path, start: Point, middle: Point, end: Point): Path | undefined {
  const nearest = tupleOf([start, middle, end], (p) => pathNearest(loop, p))
  if (nearest.some((near) => near.distance > SAME_EDGE)) return undefined
  const [a, m, b] = tupleOf(nearest, (near) => pathDistanceOf(loop, near))
  const total = pathLength(loop)
  const on = (from: number, to: number): number => (((to - from) % total) + total) % total
  const forward = on(a, m) <= on(a, b)
  const [from, to] = forward ? [a, b] : [b, a]
  if (on(from, to) < 0.01) return undefined
  const part = pathStretch(loop, from, to)
  return forward ? part : pathReversed(part)
}

/** A run that comes round is followed up to just before its end, mm. */
const SHORT_OF = 1e-3

/** The line along the mate's own edge, as far in from it as the run lies from the edge of what carries it. */
function edgePathMaybe(run: SewnLine, carrier: LaidSheet, laid: LaidSheet, panel: Panel): Path | undefined {
  const length = pathLength(run.path)
  const [start, middle, end] = tupleOf(
    [0, length / 2, isRound(run.path) ? length - SHORT_OF : length],
    (d) => pathPlaceAt(run.path, d).at,
  )
  const margin = pathNearest(carrier.placed, middle).distance
  const loop = offsetLargestMaybe(closedPath(panel.outline.segments), -margin)
  if (!loop) return undefined
  const local = (p: Point): Point => pointMoved(p, laid.toSheet)
  const part = stretchMaybe(openPath(loop.segments), local(start), local(middle), local(end))
  return part && pathMoved(part, laid.sheet.move)
}

/** Where the other side of a run lies; undefined where it holds a single sheet. */
export function mateOf(run: SewnLine, work: LaidUp, panels: readonly Panel[]): Mate | undefined {
  const { mate, course } = run.join
  if (mate) {
    const laid = work.sheets.find((s) => s.part === 'whole' && s.sheet.id === mate.sheet)
    return laid && { laid, path: run.mate ?? run.other?.path }
  }
  const carrier = carrierOf(run, work)
  const laid = carrier && mateSheet(run, work, carrier)
  if (!laid || laid.sheet.type !== 'panel') return undefined
  const panel = panelOf(panels, laid.sheet.panelId)
  const path = course.type === 'edges' ? edgePathMaybe(run, carrier, laid, panel) : undefined
  return { laid, path }
}
