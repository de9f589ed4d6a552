import type { Derived } from './derive.js'
import { type Path, type Point, type Segment, boxHeight, boxWidth, pathBox } from '../geometry/index.js'
import type { Piece } from '../reckon/index.js'

/** No piece of leather is smaller or larger than that either way, mm. */
const SMALLEST = 0.5
const LARGEST = 6000

const fine = (p: Point): boolean => Number.isFinite(p.x) && Number.isFinite(p.y)
const fineSegment = (s: Segment): boolean => {
  if (!fine(s.from) || !fine(s.to)) return false
  if (s.type === 'arc') return fine(s.centre) && Number.isFinite(s.sweep)
  return s.type === 'line' || (fine(s.c1) && fine(s.c2))
}
const fineLine = (path: Path): boolean => path.segments.length > 0 && path.segments.every(fineSegment)

function brokenPiece(piece: Piece): string | undefined {
  if (!fineLine(piece.cut) || !fineLine(piece.finished) || !piece.holes.every((h) => fine(h.at)))
    return `the ${piece.name} has no outline`
  const box = pathBox(piece.cut)
  const sides = [boxWidth(box), boxHeight(box)]
  if (sides.some((s) => s < SMALLEST)) return `nothing is left of the ${piece.name}`
  return sides.some((s) => s > LARGEST)
    ? `the ${piece.name} would be ${Math.round(Math.max(...sides) / 100) / 10} m long`
    : undefined
}

/** What of a work is no number, or no outline, in the maker's words; undefined where all of it is. */
function broken(derived: Derived): string | undefined {
  // What is written over a number hides that nothing comes of it; given back, it would.
  const size = derived.master.sizes.find(
    ({ size: s }) => !Number.isFinite(s.value) || !Number.isFinite(s.figured),
  )
  if (size) return `the ${size.size.label} comes to no number`
  for (const piece of derived.pieces) {
    const why = brokenPiece(piece)
    if (why !== undefined) return why
  }
  const run = derived.runs.find(
    (r) =>
      !Number.isFinite(r.thread.value) || !Number.isFinite(r.thickest) || !r.holes.every((h) => fine(h.at)),
  )
  return run && `the ${run.join.name} can’t be laid out`
}

/** Errors of the language itself say nothing to a maker. */
const ours = (error: unknown): string | undefined =>
  error instanceof Error && error.constructor === Error && error.message !== '' ? error.message : undefined

/**
 * Why nothing can be made of a design that its schema allows; undefined where everything can: pieces and seams. Whatever they
 * are, they can be drawn (the attack on edits draws and prints every state that is accepted). `made` reckons it.
 */
export function unworkable(made: () => Derived): string | undefined {
  try {
    const why = broken(made())
    return why === undefined ? undefined : `with that ${why}; it was left as it was`
  } catch (error) {
    if (error instanceof RangeError && /call stack|memory/i.test(error.message))
      return 'with that there would be too much to draw; it was left as it was'
    const why = ours(error)
    return `with that the pieces can’t be drawn${why ? ` (${why})` : ''}; it was left as it was`
  }
}
