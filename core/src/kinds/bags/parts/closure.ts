import { type Fitting } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { type Bag, isDoubled } from '../bag.js'
import { BENCH, strapped, type Tip } from './closingStrap.js'
import { flapReach, type Flap } from './flap.js'
import { onPanel } from './onFace.js'
import { part, type Body, type Part } from '../assembly.js'
import { zipped } from './zipBands.js'

/** What holds the bag shut: on the flap and on the front, or between front and back where there is no flap. */
export function closure(bag: Bag, body: Body, flap: Flap | undefined): Part {
  const { p } = bag
  if (p.closure === 'none') return part({})
  if (p.closure === 'zip') return zipped(bag, body)
  const wide = body.back.wide
  const tip: Tip | undefined = flap && {
    sheet: p.flap === 'sewn' ? 'flap' : body.back.sheet,
    at: (up) =>
      p.flap === 'sewn'
        ? { x: wide / 2, y: -flapReach(flap) + up }
        : onPanel(body.back, 0, -flapReach(flap) + up),
    down: flap.length,
  }
  if (p.closure === 'strap') return strapped(bag, body, tip)
  const role = p.closure
  const down = tip ? tip.down - BENCH.closureIn : Math.max(12, p.top === 'single' ? 15 : p.topBand / 2)
  const half = (
    id: string,
    name: string,
    sheet: string,
    at: { x: number; y: number },
    which: 'upper' | 'lower',
  ): Fitting => ({
    id,
    name,
    role,
    sheet,
    at,
    up: -Math.PI / 2,
    through: [
      { sheet, times: 1 },
      ...(isDoubled(p) && !tip
        ? [{ sheet: which === 'lower' ? 'facing-front' : 'facing-back', times: 1 }]
        : []),
    ],
    count: 1,
    half: which,
    ...beforeSeam(body),
  })
  return part({
    fittings: [
      tip
        ? half('closure-flap', `${role} on the flap`, tip.sheet, tip.at(BENCH.closureIn), 'upper')
        : half('closure-back', `${role} at the back`, body.back.sheet, onPanel(body.back, 0, down), 'upper'),
      half('closure-front', `${role} on the front`, body.front.sheet, onPanel(body.front, 0, down), 'lower'),
    ],
    fits: tip
      ? [
          {
            id: 'closure-on-front',
            rank: 'stop',
            what: 'the closure on the front',
            panelId: body.panels.find((q) => q.id === body.front.sheet)?.id ?? 'front',
            at: onPanel(body.front, 0, body.front.high - 5),
            why: 'it would lie on the foot seam or below it: shorten the flap',
            keys: [],
            remedy: { field: 'flapLength', value: Math.max(20, Math.floor(body.front.high - 20)) },
            needs: bag.size(
              'fit.closure',
              'needs',
              '{down} down the front + {clear} clear of the foot',
              '§20',
              { down: given('down', down), clear: given('clear', 20) },
            ),
            has: bag.size('fit.closureHas', 'height of the front', '{high}', '§20', {
              high: given('high', body.front.high),
            }),
          },
        ]
      : [],
  })
}

/** The run that closes the body: what is inside can’t be reached through a machine or a setter any more. */
const firstSeam = (body: Body): string | undefined =>
  body.joins.find((j) => j.mate && !j.id.endsWith('-second'))?.id

/** Before the run that closes the body, where there is one: later it can’t be reached. */
export function beforeSeam(body: Body): { readonly before?: string } {
  const before = firstSeam(body)
  return before === undefined ? {} : { before }
}
