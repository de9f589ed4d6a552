import { evaluate } from './reading.js'

/** Hole centre to edge so that the thread does not tear out; force in N, shear strength in N/mm²; §7 [7.07]. */
export const EDGE_DISTANCE = '{hole} / 2 + {bevel} + {force} / (2 × {thickness} × {shear})'

/** Largest share by which one edge may be longer than its mate, for a pucker of that height a stitch; §7 [7.06]. */
export const EASE_LIMIT = '(π × {pucker} / (2 × {pitch}))²'
export const easeLimit = (pitch: number, pucker: number): number => evaluate(EASE_LIMIT, { pitch, pucker })

/** Thread of a lockstitch on the side from which it locks at a share of the depth; §6 [6.05]. */
export const LOCKSTITCH = '{stitches} × ({pitch} + 2 × {lock} × {thickness})'

/** One saddle stitch with its thread lying proud of both faces, along the thread's middle; §6 [6.07]. */
export const PROUD_LOOP = '2 × ({pitch} + {thickness}) + π × {thread}'

/** Arc used up by a stitch stepped straight over a curve; §7 [7.05]. */
export const ARC_PER_STITCH = '2 × {radius} × the angle whose sine is ({pitch} / 2 / {radius})'
