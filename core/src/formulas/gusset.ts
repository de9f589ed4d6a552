import { firstOf } from '../lists/index.js'
import { evaluate } from './reading.js'

/** U strip along the stitch line: two straight sides, a bottom and two corners; §8 [8.01]. */
export const GUSSET_STRIP = '2 × {height} + {bottom} − (4 − π) × {radius}'
export const gussetStrip = (height: number, bottom: number, radius: number): number =>
  evaluate(GUSSET_STRIP, { height, bottom, radius })

/** What an allowance bears round a curve (J), §20: stretch as a share, widest gap, facet, and the least uncut root, mm. */
export const SNIPPED = { strain: 0.12, gap: 2.5, facet: 0.2, root: 1.5 } as const

/** How many snips an allowance round a curve needs: by the widest gap, and by how far a facet stands off; §8 [8.03]. */
export const SNIPS =
  '(the larger of {angle} in radians × {allowance} / {gap} for the gap and {angle} / (2 × the angle whose cosine is (1 − {facet} / {radius})) for the facets), rounded up'
/** What stays uncut at their root; §8 [8.03]. */
export const SNIPS_ROOT = '{strain} × {radius}'

export interface Snips {
  readonly radius: number
  readonly allowance: number
  readonly angle: number
  /** Stretch the leather bears, as a share. */
  readonly strain: number
  readonly widestGap: number
  /** How far a straight facet may stand off the curve. */
  readonly facet: number
}
export const snips = ({ radius, allowance, angle, strain, widestGap: gap, facet }: Snips) => ({
  count: evaluate(SNIPS, { angle, allowance, gap, facet, radius }),
  root: evaluate(SNIPS_ROOT, { strain, radius }),
})

/** How far the edge of a flange turned outwards is stretched round a corner, as a share; §8 [8.04]. */
export const FLANGE_STRAIN = '({seam} + {beyond}) / ({radius} − {seam})'

/** How a turned seam stands with its allowances at an angle to the panel, an upper bound; §8 [8.05]. */
export const SEAM_REACH = '{thickness} × (1 − sine of {angle})'
export const SEAM_HEIGHT = '{thickness} × (1 + cosine of {angle})'
export const SEAM_SHIFT = '−((π − {angle} in radians) × {k} − sine of {angle}) × {thickness}'
/** What two turned seams add to a width between stitch lines outside: an upper bound; §8 [8.05]. */
export const SEAMS_ROLL =
  '2 × {thickness} × (1 + cosine of {angle} + sine of {angle} − (π − {angle} in radians) × {k})'

/** How a tapered gusset leans, the sine of its angle; §8 [8.06]. */
export const TAPER_LEAN = '({top} − {bottom}) / (2 × {height})'
/** Flat pattern of a tapered gusset at a corner angle from the bottom: along its middle, and half its width; §8 [8.06]. */
export const TAPER_ALONG = '{radius} × the arc to {angle} of an ellipse that leans by {lean}'
export const TAPER_HALF = '{bottom} / 2 + {radius} × (1 − cosine of {angle}) × {lean}'

export interface TaperedGusset {
  readonly radius: number
  readonly height: number
  readonly top: number
  readonly bottom: number
}
const taperedPoint = ({ radius, bottom }: TaperedGusset, angle: number, lean: number) => ({
  along: evaluate(TAPER_ALONG, { radius, angle, lean }),
  half: evaluate(TAPER_HALF, { bottom, radius, angle, lean }),
})

/** Where the middle of a tapered gusset stands beside the panels: the way along the middle of its strip; §8 [8.06]. */
export function taperedStrip(gusset: TaperedGusset, span: number, steps = 12) {
  const { radius, height, top, bottom } = gusset
  const lean = evaluate(TAPER_LEAN, { top, bottom, height })
  const upright = (height - radius) * Math.sqrt(1 - lean ** 2)
  const corner = Array.from({ length: steps + 1 }, (_, i) =>
    taperedPoint(gusset, (Math.PI / 2) * (1 - i / steps), lean),
  )
  const quarter = firstOf(corner).along
  // From an end down to the foot: the straight side, the corner, half the bottom; then the same back up.
  const down = [
    { along: 0, half: top / 2 },
    ...corner.map(({ along, half }) => ({ along: upright + quarter - along, half })),
  ]
  const length = 2 * (upright + quarter) + span - 2 * radius
  const up = down.toReversed().map(({ along, half }) => ({ along: length - along, half }))
  return { length, upright, quarter, points: [...down, ...up] }
}

/** Bellows of n valleys: strip between flanges, thickness closed, depth of a leaf; §8 [8.09]. */
export const BELLOWS_STRIP =
  '2 × {valleys} × {leaf} + (2 × {valleys} − 1) × π × ({gap} / 2 + {k} × {thickness})'
export const BELLOWS_CLOSED = '2 × {valleys} × {thickness} + (2 × {valleys} − 1) × {gap}'
export const BELLOWS_LEAF = '{leaf} + {gap} + 2 × {thickness}'

/** Depths of a boxed corner from the square between its seam lines, sharp bends; §8 [8.11, 8.13]. */
export const BOXED_OUTSIDE = '2 × {square} + (2 − π × {k} / 2) × {thickness}'
export const BOXED_INSIDE = '2 × {square} − π × {k} / 2 × {thickness}'

/** Width of a flanged gusset strip from outside depth and flange; §8 [8.15]. */
export const FLANGED_GUSSET =
  '{depth} + 2 × {flange} − 2 × (2 × ({radius} + {thickness}) − π/2 × ({radius} + {k} × {thickness}))'

/** A strip wrapped once round front, base and back with two rounded outer corners; §8 [8.14]. */
export const ONE_PIECE_WRAP =
  '{front} + {base} + {back} − 2 × (2 × {radius} − π/2 × ({radius} − (1 − {k}) × {thickness}))'
