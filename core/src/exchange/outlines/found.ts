import {
  type Path,
  type Segment,
  boxHeight,
  boxWidth,
  pathBox,
  pathLength,
  pathReversed,
  pointDistance,
} from '../../geometry/index.js'

/** A line found in a file, in the file's own units, y growing downwards. */
export interface FoundPath {
  readonly name: string
  readonly path: Path
}

/** What a drawing file holds. `unit` is how many mm one of its units is; undefined where the file does not say. */
export interface Found {
  readonly closed: readonly FoundPath[]
  /** Open lines: a scale bar of known length may be among them. */
  readonly open: readonly FoundPath[]
  readonly unit: number | undefined
  /** What was left out or taken differently, in words. */
  readonly notes: readonly string[]
}

export type FoundResult =
  { readonly ok: true; readonly found: Found } | { readonly ok: false; readonly why: string }

/** The largest drawing file that is read, in characters. */
const LARGEST_FILE = 5_000_000

/** What is said of a file that is too large; undefined where it is not. */
export const tooLarge = (text: string): string | undefined =>
  text.length > LARGEST_FILE
    ? `The file holds ${(text.length / 1e6).toFixed(1)} million characters; up to 5 are read. Keep only the outline in it and save it again.`
    : undefined

interface Chain {
  readonly name: string
  readonly segments: readonly Segment[]
}

/** Loose stretches put together end to end, whichever way they were drawn; rings closed. */
export function chainedPaths(loose: readonly FoundPath[]): { closed: FoundPath[]; open: FoundPath[] } {
  const extent = Math.max(1e-9, ...loose.map((l) => boxWidth(pathBox(l.path)) + boxHeight(pathBox(l.path))))
  const near = extent * 1e-4
  const left = new Set(loose)
  const closed: FoundPath[] = []
  const open: FoundPath[] = []
  for (const first of loose) {
    if (!left.delete(first)) continue
    let chain: Chain = { name: first.name, segments: first.path.segments }
    for (let grown = true; grown && !first.path.closed;) {
      const end = chain.segments[chain.segments.length - 1]!.to
      if (chain.segments.length > 1 && pointDistance(end, chain.segments[0]!.from) <= near) break
      const next = [...left].find((l) => !l.path.closed && touches(l.path, end, near))
      grown = next !== undefined
      if (next) {
        left.delete(next)
        chain = { ...chain, segments: [...chain.segments, ...fromEnd(next.path, end, near).segments] }
      }
    }
    const { segments, name } = chain
    const ring =
      first.path.closed ||
      (segments.length > 1 && pointDistance(segments[segments.length - 1]!.to, segments[0]!.from) <= near)
    const path: Path = { segments: ring ? meeting(segments) : segments, closed: ring }
    ;(ring ? closed : open).push({ name, path })
  }
  const size = (f: FoundPath): number => pathLength(f.path)
  return {
    closed: closed.toSorted((a, b) => size(b) - size(a)),
    open: open.toSorted((a, b) => size(b) - size(a)),
  }
}

const ends = (path: Path) => [path.segments[0]!.from, path.segments[path.segments.length - 1]!.to] as const
const touches = (path: Path, p: { x: number; y: number }, near: number): boolean =>
  ends(path).some((e) => pointDistance(e, p) <= near)
const fromEnd = (path: Path, p: { x: number; y: number }, near: number): Path =>
  pointDistance(ends(path)[0], p) <= near ? path : pathReversed(path)

/** Ends that nearly meet are made to. */
function meeting(segments: readonly Segment[]): Segment[] {
  return segments.map((s, i) => {
    const next = segments[(i + 1) % segments.length]!
    const gap = pointDistance(s.to, next.from)
    if (gap === 0 || s.type === 'arc') return s
    return { ...s, to: next.from }
  })
}

/** What is wrong with what was found for use as an outline; undefined where there is one. */
export const outlineProblem = ({ closed, open }: Found): string | undefined =>
  closed.length > 0
    ? undefined
    : open.length > 0
      ? `No closed outline was found, only ${open.length} open ${open.length === 1 ? 'line' : 'lines'}. Close the outline where its ends should meet and save it again.`
      : 'Nothing that could be an outline was found in the file.'
