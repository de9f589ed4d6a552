import { evaluate } from './reading.js'

/** Post that is left for setting over a stack, the stack pressed to a share of itself; §12 [12.04]. */
export const POST = '{pressed} × {stack} + {setting} for setting'

/** Shank that becomes a dome on a burr, by volume; §12 [12.01]. */
export const DOME_SHANK = '4 × π × {height} × (3 × {head}² / 4 + {height}²) / 6 / (π × {shank}²)'

/** Shank that is lost in a hole wider than itself: it is driven out to fill it, all through the stack; §12 [12.02]. */
export const SHANK_IN_HOLE = '{stack} × (({hole} / {shank})² − 1)'

/** Tube that curls into a flange; §12 [12.03]. */
export const CURL = 'π × ({flange} − {tube}) / 4'

/** What a panel needs over its footprint to be wet-formed, flanges and trim apart; §11 [11.01]. */
export const MOULDING =
  '2 × {height} × tangent of half of {slope} + 2 × ({topRadius} + (the larger of {footRadius} and {thickness})) × ({slope} in radians − 2 × tangent of half of {slope}) + 2 × {slope} in radians × (2 × {k} − 1) × {thickness}'
/** The same of a wall that stands square to the table, its foot as sharp as the leather; §11 [11.01]. */
export const MOULDING_SQUARE =
  '2 × {deep} − 2 × (2 − π/2) × ({edge} edge + {foot} at the foot) + π × (2 × {k} − 1) × {thickness}'

/** Bending stiffness of a strip of leather 1 mm wide, N mm; §13 [13.01]. */
export const STRIP_STIFFNESS = '{modulus} × {thickness}³ / (12 × (1 − {poisson}²))'
/** Fold radius when a body of that girth is pulled through that opening; §13 [13.01]. */
export const TURNING_RADIUS = '{opening}² / (4 × π) / (2 × {girth})'
/** How far the leather is strained there, as a share; §13 [13.01]. */
export const TURNING_STRAIN = '{thickness} / (2 × {radius})'
/** The pull it takes, N; §13 [13.01]. */
export const TURNING_PULL = '{girth} × {stiffness} / (2 × {radius}²)'
/** By how much leather thins across when it is pulled (J). */
export const POISSON = 0.3

/** Square feet to square decimetres, exact; §14. */
export const SQUARE_FOOT_DM2 = 9.290304

/** Leather to buy for a net area; §14 [14.03]. */
export const AREA_TO_BUY = '{net} / ({nesting} × {quality} × (1 − {edge}))'

/** Share of a hide (border mm, area dm²) that pieces of a size lose along its edge, on average; §14 [14.02]. */
export const EDGE_LOSS = '(2/π × {perimeter} × {side} − {side}²) / ({area} × 10000)'

export interface Turning {
  readonly thickness: number
  /** Round the body and round the mouth. */
  readonly girth: number
  readonly opening: number
}

/** How tightly a bag folds in its mouth as it is turned: radius mm, strain as a share; §13 [13.01]. */
export function turning({ thickness, girth, opening }: Turning) {
  const radius = evaluate(TURNING_RADIUS, { opening, girth })
  return { radius, strain: evaluate(TURNING_STRAIN, { thickness, radius }) }
}
