import type { Point } from '../../../geometry/index.js'
import type { Fit, Fitting } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { type Bag, isDoubled } from '../bag.js'
import { BENCH, strapped, type Tip } from './closingStrap.js'
import { flapReach, type Flap } from './flap.js'
import { onPanel } from './onFace.js'
import { part, type Body, type Part } from '../assembly.js'
import { zipped } from './zipBands.js'

/** A snap or magnet down from the mouth, mm: at least, below a raw edge; else in the middle of the band. */
const DOWN = { min: 12, raw: 15 } as const
/** A closure stays this far above the foot, mm, and what is wrong with it is shown this far above it. */
const CLEAR_OF_FOOT = 20
const SHOWN_ABOVE_FOOT = 5
/** No flap is shorter than this, mm. */
const LEAST_FLAP = 20

/** Where the tip of the flap lies. */
function tipOf({ p }: Bag, { back }: Body, flap: Flap): Tip {
  const reach = flapReach(flap)
  return {
    sheet: p.flap === 'sewn' ? 'flap' : back.sheet,
    at: (up) => (p.flap === 'sewn' ? { x: back.wide / 2, y: -reach + up } : onPanel(back, 0, -reach + up)),
    down: flap.length,
  }
}

/** What holds the bag shut: on the flap and on the front, or between front and back where there is no flap. */
export function closure(bag: Bag, body: Body, flap: Flap | undefined): Part {
  const { closure: role } = bag.p
  const tip = flap && tipOf(bag, body, flap)
  if (role === 'none') return part({})
  if (role === 'zip') return zipped(bag, body)
  return role === 'strap' ? strapped(bag, body, tip) : twoHalves(bag, body, tip, role)
}

/** A snap or magnet: its halves on the flap and on the front, or at the back and on the front. */
function twoHalves(bag: Bag, body: Body, tip: Tip | undefined, role: string): Part {
  const { p } = bag
  const { front, back } = body
  const down = tip
    ? tip.down - BENCH.closureIn
    : Math.max(DOWN.min, p.top === 'single' ? DOWN.raw : p.topBand / 2)
  const facing = isDoubled(p) && !tip
  const half = (which: 'upper' | 'lower', id: string, name: string, sheet: string, at: Point): Fitting => ({
    id,
    name,
    role,
    sheet,
    at,
    up: -Math.PI / 2,
    through: [
      { sheet, times: 1 },
      ...(facing ? [{ sheet: which === 'lower' ? 'facing-front' : 'facing-back', times: 1 }] : []),
    ],
    count: 1,
    half: which,
    ...beforeSeam(body),
  })
  return part({
    fittings: [
      tip
        ? half('upper', 'closure-flap', `${role} on the flap`, tip.sheet, tip.at(BENCH.closureIn))
        : half('upper', 'closure-back', `${role} at the back`, back.sheet, onPanel(back, 0, down)),
      half('lower', 'closure-front', `${role} on the front`, front.sheet, onPanel(front, 0, down)),
    ],
    fits: tip ? [onFrontFit(bag, body, down)] : [],
  })
}

/** The half on the front lies on the front, clear of its foot. */
const onFrontFit = ({ size }: Bag, { panels, front }: Body, down: number): Fit => ({
  id: 'closure-on-front',
  rank: 'stop',
  what: 'the closure on the front',
  panelId: panels.find((q) => q.id === front.sheet)?.id ?? 'front',
  at: onPanel(front, 0, front.high - SHOWN_ABOVE_FOOT),
  why: 'it would lie on the foot seam or below it: shorten the flap',
  keys: [],
  remedy: { field: 'flapLength', value: Math.max(LEAST_FLAP, Math.floor(front.high - CLEAR_OF_FOOT)) },
  needs: size('fit.closure', 'needs', '{down} down the front + {clear} clear of the foot', '§20', {
    down: given('down', down),
    clear: given('clear', CLEAR_OF_FOOT),
  }),
  has: size('fit.closureHas', 'height of the front', '{high}', '§20', { high: given('high', front.high) }),
})

/** The run that closes the body: what is inside can’t be reached through a machine or a setter any more. */
const firstSeam = (body: Body): string | undefined =>
  body.joins.find((j) => j.mate && !j.id.endsWith('-second'))?.id

/** Before the run that closes the body, where there is one: later it can’t be reached. */
export function beforeSeam(body: Body): { readonly before?: string } {
  const before = firstSeam(body)
  return before === undefined ? {} : { before }
}
