import { STAY } from '../../geometry/index.js'
import type { Reckoned } from '../../working/index.js'
import type { Pile, Stack } from '../pockets/index.js'
import type { SleeveParams } from './params.js'

/** The sleeve worked out: its pile of pockets, and the height of what carries it. */
export interface Sleeve {
  readonly p: SleeveParams
  readonly stack: Stack
  readonly height: Reckoned
  readonly closed: Reckoned
  readonly lined: boolean
  readonly centre: boolean
  readonly both: boolean
}

const NEAR: Pile = { suffix: '', said: '', move: STAY, carriers: ['back'] }
/** The pile on the near face. */
export const near = ({ both }: Sleeve): Pile => (both ? { ...NEAR, twin: '-far' } : NEAR)
/** The pile on the far face, turned over. */
export const far = ({ centre, lined }: Sleeve): Pile => ({
  suffix: '-far',
  said: ', far side',
  twin: '',
  move: STAY,
  carriers: centre ? ['back-far'] : lined ? ['lining', 'back'] : ['back'],
})
