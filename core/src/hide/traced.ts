import { type Point, polygon, pathCrossesItself } from '../geometry/index.js'
import type { Hide, HideFlaw } from '../stores/index.js'
import { lieAlong } from './made.js'
import { type StraightenedRead, straightenedByBar, straightenedBySheet } from './photograph.js'

/** What was clicked on a photograph of a hide, in its pixels. */
export interface Traced {
  /** Four corners of a sheet of known size, its long side first, or the two ends of a bar of known length; mm. */
  readonly by:
    | {
        readonly what: 'sheet'
        readonly corners: readonly Point[]
        readonly long: number
        readonly wide: number
      }
    | { readonly what: 'bar'; readonly ends: readonly Point[]; readonly length: number }
  readonly outline: readonly Point[]
  /** Two places of the backbone, butt first; fewer where it has none. */
  readonly backbone: readonly Point[]
  /** Spots of flaws, as large as they are, mm. */
  readonly flaws: readonly { readonly at: Point; readonly radius: number; readonly sort: HideFlaw['sort'] }[]
}

/** The hide that was traced, or a sentence that says what is missing or wrong. */
export type TracedRead =
  | { readonly ok: true; readonly hide: Pick<Hide, 'outline' | 'backbone' | 'flaws'> }
  | { readonly ok: false; readonly why: string }

const no = (why: string): TracedRead => ({ ok: false, why })

const straightened = ({ by }: Traced): StraightenedRead => {
  if (by.what === 'sheet') return straightenedBySheet(by.corners, by.long, by.wide)
  const [from, to] = by.ends
  if (!from || !to) return { ok: false, why: 'the two ends of the bar are needed' }
  return straightenedByBar(from, to, by.length)
}

/** No hide is larger, mm: the sheet was clicked wrongly, or its size is another. */
const LARGEST = 4500

/** Straightens what was clicked, and lays it so that the backbone runs along x. */
export function tracedHide(traced: Traced): TracedRead {
  const read = straightened(traced)
  if (!read.ok) return no(read.why)
  if (traced.outline.length < 3) return no('at least three corners of the hide are needed')
  const border = traced.outline.map(read.toMm)
  if (border.some((p) => !Number.isFinite(p.x) || !Number.isFinite(p.y)))
    return no('a corner of the hide lies beyond where the sheet says the table ends')
  if (pathCrossesItself(polygon(border))) return no('the border of the hide crosses itself')
  const [butt, neck] = traced.backbone.map(read.toMm)
  const [from, to] =
    butt && neck
      ? [butt, neck]
      : [
          { x: 0, y: 0 },
          { x: 1, y: 0 },
        ]
  const { placed } = lieAlong(border, from, to)
  const outline = border.map(placed).map(fine)
  const size = Math.max(...outline.flatMap((p) => [p.x, p.y]))
  if (size > LARGEST)
    return no(`it would be ${(size / 1000).toFixed(1)} m long: check the corners and the size of the sheet`)
  return {
    ok: true,
    hide: {
      outline,
      backbone: butt && neck ? fine(placed(butt)).y : null,
      flaws: traced.flaws.map(({ at, radius, sort }) => ({
        sort,
        shape: { type: 'circle' as const, at: fine(placed(read.toMm(at))), radius },
      })),
    },
  }
}

const fine = ({ x, y }: Point): Point => ({ x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 })
