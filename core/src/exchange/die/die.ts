import type { Derived } from '../../derived/index.js'
import { type Drawn, drawnMoved, pieceMarks, stroke, text } from '../../drawing/index.js'
import {
  type Path,
  type Point,
  arcRadius,
  boxCentre,
  boxHeight,
  boxWidth,
  moveThen,
  line,
  offsetLargestMaybe,
  offsetOpenMaybe,
  pathBox,
  pathEnd,
  pathLength,
  pathNearest,
  pathPart,
  pathPlaceAt,
  pathPoints,
  pathReversed,
  pathStart,
  point,
  pointDistance,
  segmentLength,
  segmentPart,
  shift,
} from '../../geometry/index.js'
import { nth, tupleOf } from '../../lists/index.js'
import { type Units, printLength, printWeight } from '../../measure/index.js'
import { type Piece, alikePieces, arrangeInRows } from '../../reckon/index.js'
import type { DieWish } from './wish.js'

/** A die of one piece. Lengths mm. */
export interface Die {
  readonly id: string
  readonly name: string
  /** Cutting edge (`cut`), slots of the board (`marks`), what is punched (`openings`) and words, in the piece’s own coordinates. */
  readonly drawn: readonly Drawn[]
  /** The cutting edge. */
  readonly edge: Path
  /** How much rule it takes. */
  readonly rule: number
  /** Holes and slots that are cut through, each by a punch of its own. */
  readonly punches: number
  /** What can’t be bent or made so, in words. */
  readonly troubles: readonly string[]
}

/** A rule is bent round no less than so many times its thickness (J). */
const BENDS = 1.5
/** Along an outline what is nearer than this is its own neighbour, mm. */
const OWN = 25
/** The outline is looked at every so many mm. */
const EVERY = 2
const TYPE = 4
/** A die’s own words say what it is. */
const NO_JOB = { name: '', draft: '' }

/** From the middle of the rule to the cutting edge, outwards positive. */
const middleOf = ({ rule, edge }: DieWish): number => (edge === 'middle' ? 0 : rule / 2)

/** A stretch of slot as the laser cuts it: both faces of the rule and the ends between them. */
function slot(stretch: Path, half: number): Path[] {
  const [right, left] = [offsetOpenMaybe(stretch, half), offsetOpenMaybe(stretch, -half)]
  if (!right || !left) return []
  const back = pathReversed(left)
  return [
    {
      closed: true,
      segments: [
        ...right.segments,
        line(pathEnd(right), pathStart(back)),
        ...back.segments,
        line(pathEnd(back), pathStart(right)),
      ],
    },
  ]
}

/** The same way round, begun in the middle of its longest straight: no gap comes at a corner that could do without. */
function begun(path: Path): Path {
  const { segments } = path
  const long = segments.reduce(
    (best, s, i) => (s.type === 'line' && segmentLength(s) > segmentLength(nth(segments, best)) ? i : best),
    0,
  )
  const [before, after] = tupleOf([0, 0.5], (from) => segmentPart(nth(segments, long), from, from + 0.5))
  return { ...path, segments: [after, ...segments.slice(long + 1), ...segments.slice(0, long), before] }
}

/** The middle of the rule in stretches, a gap between each two; whole where a gap would leave too little. */
function stretches(middle: Path, { gaps, gapWide }: DieWish): Path[] {
  const total = pathLength(middle)
  if (gaps < 1 || total / gaps < 3 * gapWide) return [middle]
  const [from, each] = [begun(middle), total / gaps]
  return Array.from({ length: gaps }, (_, i) =>
    pathPart(from, i * each + gapWide / 2, (i + 1) * each - gapWide / 2),
  )
}

/** The narrowest place between two stretches of an outline that aren’t neighbours; undefined where none is near. */
function narrowest(edge: Path, within: number): { readonly at: Point; readonly wide: number } | undefined {
  const total = pathLength(edge)
  const places = Array.from({ length: Math.floor(total / EVERY) }, (_, i) => pathPlaceAt(edge, i * EVERY).at)
  let best: { at: Point; wide: number; along: number } | undefined
  places.forEach((a, i) => {
    for (let j = i + 1; j < places.length; j += 1) {
      const along = Math.min((j - i) * EVERY, total - (j - i) * EVERY)
      const wide = pointDistance(a, nth(places, j))
      if (wide < within + EVERY / 2 && along > Math.max(OWN, 3 * wide) && (!best || wide < best.wide))
        best = { at: a, wide, along: j * EVERY }
    }
  })
  if (!best) return undefined
  // Straight across from there, between the places looked at.
  const { at, along } = best
  const fine = Array.from({ length: 41 }, (_, k) => along + (k / 20 - 1) * EVERY).map((d) =>
    pointDistance(at, pathPlaceAt(edge, Math.max(0, Math.min(total, d))).at),
  )
  const wide = Math.min(...fine)
  return wide < within ? { at, wide } : undefined
}

/** Corners that the rule can’t be bent round: sharp ones are mitred of two rules, tight ones need a tube or a larger radius. */
function tight(edge: Path, wish: DieWish, unit: Units): string[] {
  const least = BENDS * wish.rule
  const radii = edge.segments.flatMap((s) =>
    s.type === 'arc' && arcRadius(s) < least && Math.abs(s.sweep) > 0.3 ? [arcRadius(s)] : [],
  )
  if (radii.length === 0) return []
  return [
    `A corner of ${printLength(Math.min(...radii), unit)} is tighter than this rule bends (${printLength(least, unit)}): order it sharp, or round it more.`,
  ]
}

/** The slots that the rule stands in: in stretches, or whole, its outer face and its inner one. */
const slotsOf = (middle: Path, wish: DieWish): Path[] =>
  stretches(middle, wish).flatMap((s) =>
    s === middle
      ? [wish.rule / 2, -wish.rule / 2].flatMap((d) => offsetLargestMaybe(middle, d) ?? [])
      : slot(s, wish.rule / 2),
  )

/** What is said in the middle of a die. */
function wordsOn(piece: Piece, wish: DieWish, unit: Units): Drawn[] {
  const box = pathBox(piece.cut)
  const at = boxCentre(box)
  const weight = piece.thickness === undefined ? '' : `, ${printWeight(piece.thickness, unit)}`
  const words = [
    piece.name,
    `${piece.material}${weight}`,
    `rule ${printLength(wish.rule, unit, 2)}, edge ${wish.edge === 'middle' ? 'in its middle' : 'at its inner face'}`,
    `${printLength(boxWidth(box), unit)} × ${printLength(boxHeight(box), unit)}`,
  ]
  return words.map((w, i) =>
    text('label', point(at.x, at.y + (i - 1) * TYPE * 1.4), w, TYPE, 'middle', i === 0),
  )
}

/** What can’t be bent, or has no room, in words. */
function troublesOf(piece: Piece, openings: readonly Path[], wish: DieWish, unit: Units): string[] {
  const neck = narrowest(piece.cut, wish.room + wish.rule)
  const near = openings.filter((path) =>
    pathPoints(path, 0.5).some((p) => pathNearest(piece.cut, p).distance - wish.rule < wish.room / 2),
  ).length
  return [
    ...tight(piece.cut, wish, unit),
    ...(neck
      ? [
          `Two of its rules come ${printLength(neck.wide, unit)} near each other: the rubber between them needs ${printLength(wish.room + wish.rule, unit)}.`,
        ]
      : []),
    ...(near > 0
      ? [
          `${near === 1 ? 'A hole or slot lies' : `${near} holes and slots lie`} too near the edge for a punch beside the rule: by hand.`,
        ]
      : []),
  ]
}

/** The die of a piece, as it is ordered. */
export function dieOf(piece: Piece, wish: DieWish, unit: Units): Die {
  const out = middleOf(wish)
  const middle = out === 0 ? piece.cut : (offsetLargestMaybe(piece.cut, out) ?? piece.cut)
  // Holes and slots that are cut through, as they are drawn on the piece.
  const openings = pieceMarks(piece, { job: NO_JOB, unit }).strokes.flatMap((s) =>
    s.type === 'stroke' && s.layer === 'openings' ? [s.path] : [],
  )
  return {
    id: piece.id,
    name: piece.name,
    edge: piece.cut,
    drawn: [
      stroke('cut', piece.cut, 0.1),
      ...slotsOf(middle, wish).map((path) => stroke('marks', path, 0.1)),
      ...openings.map((path) => stroke('openings', path, 0.1)),
      ...wordsOn(piece, wish, unit),
    ],
    rule: pathLength(middle),
    punches: openings.length,
    troubles: troublesOf(piece, openings, wish, unit),
  }
}

/** Dies for the pieces that are asked for, equal ones once; guides and templates are cut from card. */
export function diesOf(derived: Derived, wish: DieWish, unit: Units): Die[] {
  const wanted = wish.pieces && new Set(wish.pieces)
  return alikePieces(
    derived.pieces.filter((p) => p.panel.role !== 'guide' && (!wanted || wanted.has(p.id))),
  ).map((piece) => dieOf(piece, wish, unit))
}

/** Between two dies on the drawing, and how wide a row of them is, mm. */
const [APART, WIDE] = [30, 900] as const

/** Dies in rows on one drawing at 1:1. */
export function laidDies(dies: readonly Die[]): {
  readonly placed: readonly { readonly die: Die; readonly drawn: readonly Drawn[] }[]
  readonly width: number
  readonly height: number
} {
  const { placed, width, height } = arrangeInRows(dies, (d) => d.edge, WIDE, APART)
  return {
    placed: placed.map(({ item, move }) => {
      const to = moveThen(move, shift(APART, APART))
      return { die: item, drawn: item.drawn.map((d) => drawnMoved(d, to)) }
    }),
    width: width + 2 * APART,
    height: height + 2 * APART,
  }
}
