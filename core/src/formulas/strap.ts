/** Radius and angle of an arc that rises so far over a chord; §10 [10.01]. */
export const ARC_RADIUS = '({chord}² / 4 + {rise}²) / (2 × {rise})'
export const ARC_ANGLE = '4 × the angle whose tangent is (2 × {rise} / {chord})'

/** A keeper round straps of that width and thickness together, butted; §10 [10.03]. */
export const KEEPER = '2 × ({width} + {easeWidth}) + 2 × ({straps} + {easeThick}) + 2 × π × {k} × {thickness}'

/** Inner girth of a belt from its flat length; §10 [10.04]. */
export const BELT_GIRTH = '{flat} − 2 × π × {k} × {thickness}'

/** Width of the cover of a rolled handle round a cord, butted; §10 [10.06]. */
export const ROLLED_COVER = '2 × π × ({cord} / 2 + {k} × {thickness})'

/** From the middle of a cord to the middle of the leather round it; §10 [10.07]. */
export const CORD_MIDDLE = '{cord} / 2 + {k} × {thickness}'
/** From the middle of the cord to the middle of the leather at a row of stitches below; §10 [10.07]. */
export const CORD_REACH = '√(({k} × {thickness})² + {below}²)'
/** From stitch row to stitch row round a cord; §10 [10.07]. */
export const PIPED_COVER =
  '2 × √({reach}² − {middle}²) + {middle} × (2 × π − 2 × the angle whose cosine is ({middle} / {reach}) − 2 × the angle whose tangent is ({k} × {thickness} / {below}))'
