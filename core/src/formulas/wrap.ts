/** Flat length of the last panel of a roll or Z fold, so that its edge lies flush with the fold it covers; §3 [3.01]. */
export const FLUSH = '{flat} + {gap} / 2 + {thickness}'

/** How far panel 1 of a roll fold may run past the tangent line inside fold 2; §3 [3.03]. */
export const ROLL_RUN_OUT =
  '√((({c1} + {c2} + {thickness}) / 2)² − ({thickness} / 2 + (the larger of {c1} and {c2}) / 2 − (the smaller of {c1} and {c2}) / 2)²)'

/** Crease to crease width of a panel between two folds, its closed outside width held; §3 [3.05]. */
export const HELD_PANEL = '{width} + (π/4 − 0.5) × ({ga} + {gb}) + (π × {k} − 2) × {thickness}'
