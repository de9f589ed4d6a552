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
  pathBox,
  pathMoved,
  pathPoints,
  pointDistance,
  shift,
} from '../../geometry/index.js'
import type { Piece } from '../../reckon/index.js'
import { axisOf, begun } from './blade.js'
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

/** Lines of a piece where it lies, the outline made good for what the tool takes away. */
function linesOf(
  { piece, move }: Placed,
  unit: 'mm' | 'in',
  job: Derived['design'],
  wish: CutterWish,
): { pass: Pass; path: Path }[] {
  const marks = pieceMarks(piece, { job, unit })
  const outline = pieceOutline(piece)
  // A beam burns half its slit on either side of its line.
  const grown = wish.tool === 'beam' && wish.slit > 0 ? offsetLargestMaybe(outline, wish.slit / 2) : outline
  const inner = marks.strokes.flatMap((drawn) => {
    const pass = passOf(drawn, marks.outline)
    const moved = drawnMoved(drawn, move)
    return pass && moved.type === 'stroke' ? [{ pass, path: moved.path }] : []
  })
  return [...inner, { pass: 'outline', path: pathMoved(grown ?? outline, move) }]
}

/** A line as the tool's axis goes. */
function strokePoints(pass: Pass, path: Path, wish: CutterWish): Point[] {
  const points = [...pathPoints(path, WITHIN)]
  const blade = wish.tool === 'blade' && pass !== 'marks'
  const cutsOn = pass === 'inside' || pass === 'outline' ? wish.past : 0
  const way = path.closed ? begun(points, wish.tool === 'pen' || pass === 'marks' ? 0 : cutsOn) : points
  return axisOf(way, blade ? wish.trails : 0)
}

const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + pointDistance(p, points[i]!), 0)

/** Strokes of a pass one after the other, each the nearest to where the one before ended. */
function nearestFirst(strokes: readonly Stroke[], from: Point): Stroke[] {
  const left = [...strokes]
  const out: Stroke[] = []
  let at = from
  while (left.length > 0) {
    let best = 0
    for (let i = 1; i < left.length; i += 1)
      if (pointDistance(at, left[i]!.points[0]!) < pointDistance(at, left[best]!.points[0]!)) best = i
    const [next] = left.splice(best, 1)
    out.push(next!)
    at = next!.points.at(-1)!
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

/** Everything a cutter is told of a design: every copy of its pieces in rows on the bed. */
export function cutPlan(derived: Derived, wish: CutterWish, unit: 'mm' | 'in'): CutPlan {
  const wanted = wish.pieces && new Set(wish.pieces)
  const pieces = derived.pieces.filter((p) => !wanted || wanted.has(p.id))
  const { placed, left } = inRows(pieces.flatMap(copiesOf), wish)
  const over = wish.mirrored ? flipAbout(wish.wide / 2) : STAY
  const strokes = placed.flatMap((one) =>
    linesOf({ ...one, move: moveThen(one.move, over) }, unit, derived.design, wish).flatMap(
      ({ pass, path }): Stroke[] => {
        const points = strokePoints(pass, path, wish)
        return points.length > 1 ? [{ pass, piece: one.piece.id, points }] : []
      },
    ),
  )
  const turn = inTurn(strokes)
  const cut = turn.reduce((sum, s) => sum + lengthOf(s.points), 0)
  const moved = turn.reduce(
    (sum, s, i) => sum + pointDistance(turn[i - 1]?.points.at(-1) ?? { x: 0, y: 0 }, s.points[0]!),
    0,
  )
  const names = [...new Set(left.map((c) => c.piece.name))]
  return {
    strokes: turn,
    long: Math.max(0, ...turn.flatMap((s) => s.points.map((p) => p.y))) + GAP,
    left: names.map((name) => ({ name, count: left.filter((c) => c.piece.name === name).length })),
    cut,
    moved,
    seconds: cut / wish.cuts + moved / wish.moves,
  }
}
