import type { Master } from '../../master/index.js'
import type { Reckon } from '../../working/index.js'
import type { Materials } from '../kind.js'
import { type Bag, bagOf, isBoxed, isFan, isSetIn } from './bag.js'
import { boxedBody } from './boxed.js'
import { fanBody } from './fan.js'
import { bagLayup, bagMatches } from './lay.js'
import type { BagParams } from './params.js'
import { type Part, ridingOf, together } from './parts.js'
import { setInBody } from './setIn.js'
import { wrapBody } from './wrap.js'

const bodyOf = (bag: Bag): Part =>
  isBoxed(bag.p)
    ? boxedBody(bag)
    : isFan(bag.p)
      ? fanBody(bag)
      : isSetIn(bag.p)
        ? setInBody(bag)
        : wrapBody(bag)

/** Everything a bag is made of: its body and what is put on it. */
export function bagMaster(p: BagParams, materials: Materials, reckon: Reckon): Master {
  const bag = bagOf(p, materials, reckon)
  const all = together([bodyOf(bag)])
  const layup = bagLayup(all)
  const riding = ridingOf(all)
  return {
    panels: all.panels,
    layups: [layup],
    joins: all.joins,
    matches: bagMatches(all, layup),
    fits: all.fits,
    concerns: all.concerns,
    carries: [],
    sizes: all.sizes,
    standing: (opened) => ({ stood: all.stood(opened), riding }),
    fittings: all.fittings,
    corners: all.corners,
    hanging: all.hanging,
    strapRuns: all.strapRuns,
    outside: { wide: bag.s.outWide, high: bag.s.outHigh, deep: bag.s.outDeep },
  }
}
