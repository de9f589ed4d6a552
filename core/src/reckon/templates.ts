import type { EdgeWork } from '../edges/index.js'
import {
  type Path,
  boxGrown,
  offsetOpenMaybe,
  pathBox,
  pathLength,
  pathNearest,
  pathPlaceAt,
  point,
  polygon,
  stripBetween,
} from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import type { Panel } from '../master/index.js'
import { type Run, pathExtended } from '../stitch/index.js'
import { slot } from './holes.js'
import { CARD_STOCK, type Piece } from './piece.js'

/** A template reaches so far past the first and last hole, and so far in from the holes, mm. */
const [PAST, INWARD] = [6, 12]
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
  const panel: Panel = {
    id: `template-${run.join.id}`,
    name: `Hole template, ${run.join.name}`,
    role: 'guide',
    count: 1,
    flipped: 0,
    outline,
    edges: [],
    folds: [],
    bands: [],
    grain: 0,
    notes: [run.join.twin ? 'turned over for the other side' : 'lay its edge on the finished edge'],
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
