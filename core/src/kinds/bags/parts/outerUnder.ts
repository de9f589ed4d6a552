import type { Bag } from '../bag.js'

/** What a flap reaches over besides the body: the outer compartment where it comes down as far, mm. */
export const outerUnder = ({ p, gusset }: Pick<Bag, 'p' | 'gusset'>): number =>
  p.outer === 'none' || p.flap === 'none' || p.high - p.outerHigh > p.flapLength
    ? 0
    : p.outerDeep + gusset.thickness
