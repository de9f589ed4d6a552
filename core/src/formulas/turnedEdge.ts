/** What is added for a turned edge; lengths in mm, docs/formulas.md §4. */
export interface TurnedEdge {
  /** From the finished edge to where the cut edge lands. */
  readonly width: number
  /** Thickness of the leather at the fold, after skiving. */
  readonly atFold: number
  /** Thickness of what it is turned over. */
  readonly core: number
  readonly neutral: number
}

/** What the bend costs against its outermost extent, over a core with a round edge; §4 [4.01]. */
export const turnCost = ({ core, atFold, neutral }: Omit<TurnedEdge, 'width'>): number =>
  (Math.PI / 2 - 1) * core + (Math.PI * neutral - 2) * atFold

/** The same over a core cut square; §4 [4.03]. */
export const turnCostSquare = ({ core, atFold, neutral }: Omit<TurnedEdge, 'width'>): number =>
  core + (Math.PI * neutral - 2) * atFold

/** From the finished edge out to the cut line; §4. */
export const turnAllowance = (edge: TurnedEdge): number => edge.width + turnCost(edge)

/** From the cut edge in to the line the edge is folded to; §4 [4.02]. */
export const foldToLine = (edge: TurnedEdge): number => 2 * edge.width + turnCost(edge)

export interface CurvedTurn extends TurnedEdge {
  readonly radius: number
  readonly angle: number
}

/** Edge too much (or missing) where a cut line `allowance` mm out lands `width` mm in round an angle; §4 [4.05]. */
export const edgeExcess = (angle: number, allowance: number, width: number): number =>
  angle * (allowance + width)
/** How many layers lie where there was one on an outward curve of that radius; §4 [4.05]. */
export const bunching = (radius: number, allowance: number, width: number): number =>
  (radius + allowance) / (radius - width)
/** Edge still too much where V cuts stop `root` mm short of the finished edge; §4 [4.06]. */
export const excessAtRoot = (angle: number, root: number): number => angle * 2 * root
/** Leather left at a snip on an inward curve where the edge may stretch by `strain`; §4 [4.06]. */
export const snipRoot = (radius: number, strain: number): number => (strain * radius) / (2 + strain)

/** Edge too much on an outward corner, to be lost in pleats or cuts; §4 [4.05]. */
export const cornerExcess = (turn: CurvedTurn): number =>
  edgeExcess(turn.angle, turnAllowance(turn), turn.width)
/** How many layers lie where there was one; up to 2 pleats do it; §4 [4.05]. */
export const cornerBunching = (turn: CurvedTurn): number =>
  bunching(turn.radius, turnAllowance(turn), turn.width)

/** Distance of a mitre's cut with no overlap from the finished corner, for what the bend costs and the corner's angle; §4 [4.07]. */
export const mitreRoot = (cost: number, interior: number): number => cost / (2 * Math.sin(interior / 2))
/** The same of a right-angled corner. */
export const mitreDistance = (edge: Omit<TurnedEdge, 'width'>): number =>
  mitreRoot(turnCost(edge), Math.PI / 2)
/** Overlap across a mitre cut `at` mm from the finished corner; §4. */
export const mitreOverlap = (edge: Omit<TurnedEdge, 'width'>, at: number): number =>
  2 * (at - mitreDistance(edge))

/** Thickness `from` mm in from the cut edge of an even skive whose fold lies `fold` mm in; §4 [4.04]. */
export const evenSkive = (thickness: number, atEdge: number, fold: number, from: number): number =>
  atEdge + ((thickness - atEdge) * Math.min(from, 2 * fold)) / (2 * fold)
