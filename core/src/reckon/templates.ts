import type { EdgeWork } from '../edges/index.js'
import {
  type Path,
  type Point,
  boxGrown,
  offsetOpenMaybe,
  pathBox,
  pathLength,
  pathNearest,
  pathPlaceAt,
  point,
  pointBetween,
  polygon,
  stripBetween,
} from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import type { Panel } from '../master/index.js'
import { type Run, pathExtended } from '../stitch/index.js'
import { slot } from './holes.js'
import { CARD_STOCK, type Piece } from './piece.js'

/** A template reaches so far past the first and last hole, and so far in from the holes, mm. */
const [PAST, INWARD] = [6, 22]
/** Beside a line that follows no edge it is as wide on both sides. */
const FARTHEST_EDGE = 12

/** How far the edge the run follows lies beside it: to its right where positive; undefined where there is none. */
function edgeBeside(run: Run, work: LaidUp): number | undefined {
  const carrier = work.sheets.find((s) => s.part === 'whole' && s.sheet.id === run.join.course.sheet)
  if (!carrier) return undefined
  const middle = pathPlaceAt(run.path, run.length / 2)
  const { distance, at } = pathNearest(carrier.placed, middle.at)
  if (distance > FARTHEST_EDGE) return undefined
  const [dx, dy] = [at.x - middle.at.x, at.y - middle.at.y]
  const right = -Math.sin(middle.angle) * dx + Math.cos(middle.angle) * dy
  return right >= 0 ? distance : -distance
}

/** A label needs so long a level stretch of the strip, mm. */
const LABEL = 60

/** The middle of the strip's longest level stretch, where its name has room; undefined where it has none. */
function labelSpot(run: Run, inward: number): Point | undefined {
  const level = run.path.segments
    .filter(
      (s) => s.type === 'line' && Math.abs(s.to.y - s.from.y) < 1 && Math.abs(s.to.x - s.from.x) >= LABEL,
    )
    .toSorted((a, b) => Math.abs(b.to.x - b.from.x) - Math.abs(a.to.x - a.from.x))[0]
  if (!level) return undefined
  const [middle, ahead] = [pointBetween(level.from, level.to, 0.5), Math.sign(level.to.x - level.from.x)]
  // To the right of one who walks along it where `inward` is positive.
  return point(middle.x, middle.y + (ahead * inward) / 2)
}

/** A strip of card along a run: one side of it is the finished edge, where the run follows one. */
function outlineOf(run: Run, work: LaidUp): Path {
  const whole = run.round ? run.path : pathExtended(run.path, PAST)
  const edge = edgeBeside(run, work) ?? INWARD
  const [outer, inner] = [offsetOpenMaybe(whole, edge), offsetOpenMaybe(whole, edge >= 0 ? -INWARD : INWARD)]
  // Round tight turns a strip would cross itself: a plain card takes all of it.
  if (!outer || !inner || run.round) {
    const { left, top, right, bottom } = boxGrown(pathBox(whole), INWARD)
    return polygon([point(left, top), point(right, top), point(right, bottom), point(left, bottom)])
  }
  return stripBetween(outer, inner)
}

function templateOf(run: Run, work: LaidUp): Piece {
  const outline = outlineOf(run, work)
  const spot = labelSpot(run, (edgeBeside(run, work) ?? INWARD) >= 0 ? -INWARD : INWARD)
  const panel: Panel = {
    id: `template-${run.join.id}`,
    // Turned over it serves the run that mirrors this one.
    name: `Hole template, ${run.join.twin ? (run.join.pairName ?? run.join.name) : run.join.name}`,
    role: 'guide',
    count: 1,
    flipped: 0,
    outline,
    edges: [],
    folds: [],
    bands: [],
    grain: 0,
    ...(spot ? { labelAt: spot } : {}),
    notes: [],
  }
  const edgeWork: EdgeWork = {
    panel,
    stock: undefined,
    cut: outline,
    turned: [],
    treatments: [],
    skived: [],
    faults: [],
  }
  return {
    panel,
    work: edgeWork,
    id: panel.id,
    name: panel.name,
    count: 1,
    flipped: 0,
    material: CARD_STOCK.name,
    thickness: undefined,
    swatch: CARD_STOCK.swatch,
    finished: outline,
    cut: outline,
    marks: [],
    holes: run.holes.map((h) => slot(h, run.ways.iron)),
  }
}

/** Card templates of the runs they are wanted for; of two that mirror each other one serves both. */
export function templatePieces(runs: readonly Run[], open: LaidUp | undefined): Piece[] {
  if (!open) return []
  const wanted = runs.filter(
    (r) => r.ways.wish.template && r.join.layup === open.layup.id && pathLength(r.path) > 1,
  )
  return wanted
    .filter((run, i) => !wanted.slice(0, i).some((before) => before.join.id === run.join.twin))
    .map((run) => templateOf(run, open))
}
