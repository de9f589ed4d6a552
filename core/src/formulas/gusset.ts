/** U strip along the stitch line: two straight sides, a bottom and two corners; docs/formulas.md §8 [8.01]. */
export const gussetStrip = (height: number, bottom: number, radius: number): number =>
  2 * height + bottom - (4 - Math.PI) * radius

/** What an allowance bears round a curve (J), §20: stretch as a share, widest gap, facet, and the least uncut root, mm. */
export const SNIPPED = { strain: 0.12, gap: 2.5, facet: 0.2, root: 1.5 } as const

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

/** How many snips an allowance round a curve needs, and what stays uncut at their root; §8 [8.03]. */
export function snips({ radius, allowance, angle, strain, widestGap, facet }: Snips) {
  const byGap = Math.ceil((angle * allowance) / widestGap)
  const byFacet = Math.ceil(angle / (2 * Math.acos(1 - facet / radius)))
  return { count: Math.max(byGap, byFacet), root: strain * radius }
}

/** How far the edge of a flange turned outwards is stretched round a corner of `radius`, as a share; §8 [8.04]. */
export const flangeStrain = (radius: number, seam: number, beyond: number): number =>
  (seam + beyond) / (radius - seam)

/** How a turned seam stands with its allowances at `alpha` to the panel: an upper bound; §8 [8.05]. */
export const seamRoll = (thickness: number, neutral: number, alpha: number) => ({
  reach: thickness * (1 - Math.sin(alpha)),
  height: thickness * (1 + Math.cos(alpha)),
  shift: -((Math.PI - alpha) * neutral - Math.sin(alpha)) * thickness,
})

/** What two turned seams add to a width between stitch lines, outside and inside: an upper bound; §8 [8.05]. */
export function turnedWidth(thickness: number, neutral: number, alpha: number) {
  const { height, shift } = seamRoll(thickness, neutral, alpha)
  const outside = 2 * (height + shift)
  return { outside, inside: outside - 2 * thickness }
}

/** Where the middle of a tapered gusset stands beside the panels: the way along the middle of its strip; §8 [8.06]. */
export function taperedStrip(gusset: TaperedGusset, span: number, steps = 12) {
  const { radius, height, top, bottom } = gusset
  const lean = (top - bottom) / (2 * height)
  const upright = (height - radius) * Math.sqrt(1 - lean ** 2)
  const corner = Array.from({ length: steps + 1 }, (_, i) =>
    taperedPoint(gusset, (Math.PI / 2) * (1 - i / steps)),
  )
  const quarter = corner[0]!.along
  // From an end down to the foot: the straight side, the corner, half the bottom; then the same back up.
  const down = [
    { along: 0, half: top / 2 },
    ...corner.map(({ along, half }) => ({ along: upright + quarter - along, half })),
  ]
  const length = 2 * (upright + quarter) + span - 2 * radius
  const up = down.toReversed().map(({ along, half }) => ({ along: length - along, half }))
  return { length, upright, quarter, points: [...down, ...up] }
}

const SIMPSON = 200
/** ∫ sqrt(1 − m sin²) from 0 to phi: the length of a quarter ellipse, by Simpson's rule. */
function ellipticE(phi: number, m: number): number {
  const f = (x: number): number => Math.sqrt(1 - m * Math.sin(x) ** 2)
  const h = phi / SIMPSON
  let sum = f(0) + f(phi)
  for (let i = 1; i < SIMPSON; i += 1) sum += (i % 2 === 0 ? 2 : 4) * f(i * h)
  return (sum * h) / 3
}

export interface TaperedGusset {
  readonly radius: number
  readonly height: number
  readonly top: number
  readonly bottom: number
}

/** Flat pattern of a tapered gusset at a corner angle from the bottom: along its middle, and half its width; §8 [8.06]. */
export function taperedPoint({ radius, height, top, bottom }: TaperedGusset, angle: number) {
  const lean = (top - bottom) / (2 * height)
  const rise = radius * (1 - Math.cos(angle))
  return { along: radius * ellipticE(angle, lean ** 2), half: bottom / 2 + rise * lean }
}

/** Bellows of n valleys: strip between flanges, thickness closed, depth of a leaf; §8 [8.09]. */
export const bellows = (valleys: number, leaf: number, thickness: number, gap: number, neutral: number) => ({
  strip: 2 * valleys * leaf + (2 * valleys - 1) * Math.PI * (gap / 2 + neutral * thickness),
  closed: 2 * valleys * thickness + (2 * valleys - 1) * gap,
  depth: leaf + gap + 2 * thickness,
})

/** A boxed corner of two panels: square c between the seam lines, sharp bends; §8 [8.11, 8.13]. */
export const boxedCorner = (
  width: number,
  height: number,
  square: number,
  thickness: number,
  neutral: number,
) => ({
  depth: 2 * square,
  width: width - 2 * square,
  height: height - square,
  outside: 2 * square + (2 - (Math.PI * neutral) / 2) * thickness,
  inside: 2 * square - ((Math.PI * neutral) / 2) * thickness,
})

/** Width of a flanged gusset strip from outside depth and flange; §8 [8.15]. */
export const flangedGusset = (
  depth: number,
  flange: number,
  inner: number,
  thickness: number,
  neutral: number,
): number =>
  depth + 2 * flange - 2 * (2 * (inner + thickness) - (Math.PI / 2) * (inner + neutral * thickness))

/** A strip wrapped once round outside dimensions with rounded outer corners of a quarter turn each; §8 [8.14]. */
export const onePieceWrap = (
  outside: readonly number[],
  radii: readonly number[],
  thickness: number,
  neutral: number,
): number =>
  outside.reduce((sum, x) => sum + x, 0) -
  radii.reduce((sum, r) => sum + 2 * r - (Math.PI / 2) * (r - (1 - neutral) * thickness), 0)
