import type { Point } from '../../geometry/index.js'
import type { Fitting } from '../../master/index.js'
import type { HardwareRole } from '../kind.js'

/** A snap that is set with a wallet's leather, mm across. */
const USUAL_SNAP = 12.5

/** The part a snap plays where `when` holds. */
export const snapRole = <P>(when: (params: P) => boolean): HardwareRole<P> => ({
  id: 'snap',
  label: 'Snap',
  sort: 'snap',
  usual: USUAL_SNAP,
  when,
})

/** Half of a snap on a sheet, set before that is sewn down. */
export const snapHalf = (
  half: 'upper' | 'lower',
  name: string,
  sheet: string,
  at: Point,
  before: string,
): Fitting => ({
  id: `snap-${half}`,
  name,
  role: 'snap',
  sheet,
  at,
  up: -Math.PI / 2,
  through: [{ sheet, times: 1 }],
  count: 1,
  half,
  before,
})
