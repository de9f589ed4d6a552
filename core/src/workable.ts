import type { Derived } from './derive.js'
import { pieceMarks } from './drawing/index.js'
import { type Path, type Point } from './geometry/index.js'

const fine = (p: Point): boolean => Number.isFinite(p.x) && Number.isFinite(p.y)
const fineLine = (path: Path): boolean =>
  path.segments.length > 0 && path.segments.every((s) => fine(s.from) && fine(s.to))

/** What of a work is no number, or no outline, in the maker's words; undefined where all of it is. */
function broken(derived: Derived): string | undefined {
  const size = derived.master.sizes.find(({ size: s }) => !Number.isFinite(s.value))
  if (size) return `the ${size.size.label} comes to no number`
  const piece = derived.pieces.find((p) => !fineLine(p.cut) || !p.holes.every((h) => fine(h.at)))
  if (piece) return `the ${piece.name} has no outline`
  const run = derived.runs.find(
    (r) =>
      !Number.isFinite(r.thread.value) || !Number.isFinite(r.thickest) || !r.holes.every((h) => fine(h.at)),
  )
  if (run) return `the ${run.join.name} can’t be laid out`
  // What is drawn of them: an error in it is caught by whoever asked.
  for (const p of derived.pieces) pieceMarks(p, { job: derived.design, unit: 'mm' })
  return undefined
}

/** Errors of the language itself say nothing to a maker. */
const ours = (error: unknown): string | undefined =>
  error instanceof Error && error.constructor === Error && error.message !== '' ? error.message : undefined

/**
 * Why nothing can be made of a design that its schema allows; undefined where everything can: pieces, seams and what is drawn of
 * them. `made` reckons it.
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
