import type { Derived } from '../../derived/index.js'
import { type Drawn, drawnMoved, pieceMarks, pieceOutline } from '../../drawing/index.js'
import {
  type Move,
  type Path,
  type Point,
  STAY,
  boxHeight,
  boxWidth,
  flipAbout,
  moveThen,
  offsetLargestMaybe,
  openPath,
  pathBox,
  pathMoved,
  pathPoints,
  pointDistance,
  polygon,
  shift,
} from '../../geometry/index.js'
import { firstOf, lastOf, nth } from '../../lists/index.js'
import type { Units } from '../../measure/index.js'
import type { Piece } from '../../reckon/index.js'
import { plansOf } from '../plan/index.js'
import { axisOf, begun, bridged } from './blade.js'
import type { CutterWish } from './wish.js'

/** What is done in turn: marks, holes, what is cut inside a piece, outlines. */
export const PASSES = ['marks', 'holes', 'inside', 'outline'] as const
export type Pass = (typeof PASSES)[number]

/** One line of the tool: down at its first point, up after its last; mm from the corner of the bed, y towards its end. */
export interface Stroke {
  readonly pass: Pass
  readonly piece: string
  readonly points: readonly Point[]
}

/** What the machine is told. */
export interface CutPlan {
  readonly strokes: readonly Stroke[]
  /** How far along the bed it reaches, mm. */
  readonly long: number
  /** Pieces that no room was left for, by name and how many. */
  readonly left: readonly { readonly name: string; readonly count: number }[]
  /** Along cuts, and through the air between them, mm. */
  readonly cut: number
  readonly moved: number
  /** s */
  readonly seconds: number
}

/** Curves are followed within this, mm. */
const WITHIN = 0.02
/** Between pieces on the bed, and round them, mm. */
const GAP = 5

/** Layers a pen draws: what is only told to a maker stays on paper. */
const DRAWN = new Set(['fold', 'fold-to', 'notches', 'marks'])

interface Copy {
  readonly piece: Piece
  readonly flipped: boolean
}
const copiesOf = (piece: Piece): Copy[] =>
  Array.from({ length: piece.count }, (_, i) => ({ piece, flipped: i >= piece.count - piece.flipped }))

interface Placed extends Copy {
  readonly move: Move
}

/** Copies in rows across the bed, the tallest first; what has no room is left. */
function inRows(copies: readonly Copy[], { wide, long }: CutterWish): { placed: Placed[]; left: Copy[] } {
  const sized = copies.map((copy) => ({ copy, box: pathBox(pieceOutline(copy.piece)) }))
  const placed: Placed[] = []
  const left: Copy[] = []
  let [x, y, row] = [GAP, GAP, 0]
  for (const { copy, box } of sized.toSorted((a, b) => boxHeight(b.box) - boxHeight(a.box))) {
    const [w, h] = [boxWidth(box), boxHeight(box)]
    if (x > GAP && x + w + GAP > wide) [x, y, row] = [GAP, y + row + GAP, 0]
    if (x + w + GAP > wide || y + h + GAP > long) {
      left.push(copy)
      continue
    }
    const turned = copy.flipped ? flipAbout((box.left + box.right) / 2) : STAY
    placed.push({ ...copy, move: moveThen(turned, shift(x - box.left, y - box.top)) })
    x += w + GAP
    row = Math.max(row, h)
  }
  return { placed, left }
}

const passOf = (drawn: Drawn, outline: Path): Pass | undefined => {
  if (drawn.type !== 'stroke') return undefined
  if (drawn.layer === 'cut') return drawn.path === outline ? undefined : 'inside'
  if (drawn.layer === 'holes') return 'holes'
  if (drawn.layer === 'openings') return 'inside'
  return DRAWN.has(drawn.layer) ? 'marks' : undefined
}

/** A piece where it lies on the bed: its outline, and what is done inside it. */
interface LaidOut {
  readonly piece: string
  readonly outline: Path
  readonly inner: readonly { readonly pass: Pass; readonly path: Path }[]
}

function inItsRow({ piece, move }: Placed, unit: Units, job: Derived['design']): LaidOut {
  const marks = pieceMarks(piece, { job, unit })
  const inner = marks.strokes.flatMap((drawn) => {
    const pass = passOf(drawn, marks.outline)
    const moved = drawnMoved(drawn, move)
    return pass && moved.type === 'stroke' ? [{ pass, path: moved.path }] : []
  })
  return { piece: piece.id, outline: pathMoved(pieceOutline(piece), move), inner }
}

/** What lies on a hide as it was laid out there, its length along the bed; what reaches over the bed is left. */
function onItsHide(derived: Derived, wish: CutterWish, unit: Units): { laid: LaidOut[]; left: string[] } {
  const plan = plansOf(derived, unit).find(({ hide }) => hide.id === wish.hide)
  if (!plan) return { laid: [], left: [] }
  const box = pathBox(polygon(plan.hide.outline))
  const move = moveThen(shift(-box.left, -box.top), { a: 0, b: 1, c: -1, d: 0, e: boxHeight(box), f: 0 })
  const all = plan.pieces.map(({ name, outline, marks }) => ({
    piece: name,
    outline: pathMoved(polygon(outline), move),
    inner: marks.flatMap((drawn) => {
      const pass = passOf(drawn, NO_OUTLINE)
      return pass && drawn.type === 'stroke' ? [{ pass, path: pathMoved(drawn.path, move) }] : []
    }),
  }))
  const fits = ({ outline }: LaidOut): boolean => {
    const { left, top, right, bottom } = pathBox(outline)
    return left >= 0 && top >= 0 && right <= wish.wide && bottom <= wish.long
  }
  return { laid: all.filter(fits), left: all.filter((one) => !fits(one)).map((one) => one.piece) }
}
const NO_OUTLINE = openPath([])

/** Lines of a piece, the outline made good for what the tool takes away. */
function linesOf({ outline, inner }: LaidOut, wish: CutterWish): { pass: Pass; path: Path }[] {
  // A beam burns half its slit on either side of its line.
  const grown = wish.tool === 'beam' && wish.slit > 0 ? offsetLargestMaybe(outline, wish.slit / 2) : outline
  return [...inner, { pass: 'outline', path: grown ?? outline }]
}

/** A line as the tool’s axis goes: in several where bridges are left. */
function strokesOf(pass: Pass, path: Path, wish: CutterWish): Point[][] {
  const points = [...pathPoints(path, WITHIN)]
  const cuts = wish.tool !== 'pen' && pass !== 'marks'
  const trails = wish.tool === 'blade' && cuts ? wish.trails : 0
  if (!path.closed) return [axisOf(points, trails)]
  if (cuts && pass === 'outline' && wish.tabs > 0)
    return bridged(begun(points, 0), wish.tabs, wish.tabWide).map((way) => axisOf(way, trails))
  const past = cuts && (pass === 'inside' || pass === 'outline') ? wish.past : 0
  return [axisOf(begun(points, past), trails)]
}

const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + pointDistance(p, nth(points, i)), 0)

/** Strokes of a pass one after the other, each the nearest to where the one before ended. */
function nearestFirst(strokes: readonly Stroke[], from: Point): Stroke[] {
  const left = [...strokes]
  const out: Stroke[] = []
  let at = from
  while (left.length > 0) {
    let best = 0
    for (let i = 1; i < left.length; i += 1)
      if (
        pointDistance(at, firstOf(nth(left, i).points)) < pointDistance(at, firstOf(nth(left, best).points))
      )
        best = i
    const next = firstOf(left.splice(best, 1))
    out.push(next)
    at = lastOf(next.points)
  }
  return out
}

/** Outlines small before large, so that nothing hangs loose before what lies beside it is cut; others by the shortest way. */
function inTurn(strokes: readonly Stroke[]): Stroke[] {
  let at: Point = { x: 0, y: 0 }
  return PASSES.flatMap((pass) => {
    const own = strokes.filter((s) => s.pass === pass)
    const sorted =
      pass === 'outline'
        ? own.toSorted((a, b) => lengthOf(a.points) - lengthOf(b.points))
        : nearestFirst(own, at)
    at = sorted.at(-1)?.points.at(-1) ?? at
    return sorted
  })
}

/** Pieces in rows on the bed, and what has no room there. */
function inAllRows(derived: Derived, wish: CutterWish, unit: Units): { laid: LaidOut[]; left: string[] } {
  const wanted = wish.pieces && new Set(wish.pieces)
  const pieces = derived.pieces.filter((p) => !wanted || wanted.has(p.id))
  const { placed, left } = inRows(pieces.flatMap(copiesOf), wish)
  return {
    laid: placed.map((one) => inItsRow(one, unit, derived.design)),
    left: left.map((c) => c.piece.name),
  }
}

/** Everything a cutter is told of a design: every copy of its pieces in rows on the bed, or as they lie on a hide. */
export function cutPlan(derived: Derived, wish: CutterWish, unit: Units): CutPlan {
  const { laid, left } =
    wish.hide === undefined ? inAllRows(derived, wish, unit) : onItsHide(derived, wish, unit)
  const over = wish.mirrored ? flipAbout(wish.wide / 2) : STAY
  const strokes = laid.flatMap((one) =>
    linesOf(one, wish).flatMap(({ pass, path }) =>
      strokesOf(pass, pathMoved(path, over), wish)
        .filter((points) => points.length > 1)
        .map((points): Stroke => ({ pass, piece: one.piece, points })),
    ),
  )
  const turn = inTurn(strokes)
  const cut = turn.reduce((sum, s) => sum + lengthOf(s.points), 0)
  const moved = turn.reduce(
    (sum, s, i) => sum + pointDistance(turn[i - 1]?.points.at(-1) ?? { x: 0, y: 0 }, firstOf(s.points)),
    0,
  )
  return {
    strokes: turn,
    long: Math.max(0, ...turn.flatMap((s) => s.points.map((p) => p.y))) + GAP,
    left: [...new Set(left)].map((name) => ({ name, count: left.filter((n) => n === name).length })),
    cut,
    moved,
    seconds: cut / wish.cuts + moved / wish.moves,
  }
}
