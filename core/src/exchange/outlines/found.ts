import type { Path } from '../../geometry/index.js'

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

/** What is wrong with what was found for use as an outline; undefined where there is one. */
export const outlineProblem = ({ closed, open }: Found): string | undefined =>
  closed.length > 0
    ? undefined
    : open.length > 0
      ? `No closed outline was found, only ${open.length} open ${open.length === 1 ? 'line' : 'lines'}. Close the outline where its ends should meet and save it again.`
      : 'Nothing that could be an outline was found in the file.'
