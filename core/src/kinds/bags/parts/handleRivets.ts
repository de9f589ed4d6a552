import { point } from '../../../geometry/index.js'
import type { Fit, Fitting } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { hardwareOf } from '../../kind.js'
import { needed, present } from '../../parts/fits.js'
import { type Bag, isDoubled } from '../bag.js'
import { beforeSeam } from './closure.js'
import { type Cut, fullWide } from './handleCut.js'
import { BENCH, type Hand } from './handlePlaces.js'
import { onPanel } from './onFace.js'
import { type Body } from '../assembly.js'

/** Two rivets stand at these shares of a handle's lap, where that is long enough; one stands in its middle. */
const SHARES = [0.3, 0.75] as const

/** Caps keep so far apart, mm. */
const APART = 1.5

/** Rivets at both ends of a handle: two along its length, or one in the middle where two caps have no room. */
export function handleRivets(bag: Bag, body: Body, hand: Hand, cut: Cut): Fitting[] {
  const { p, materials } = bag
  const { id } = cut
  const { across } = hardwareOf(materials, 'rivet')
  const top = BENCH.under
  const shares = p.lap * (SHARES[1] - SHARES[0]) >= across + APART ? SHARES : [0.5]
  return ([-1, 1] as const).flatMap((way) => {
    const { face, x: at } = hand.ends[way < 0 ? 0 : 1]
    return shares.map((share, i): Fitting => ({
      id: `${id}-rivet-${way < 0 ? 'left' : 'right'}-${i + 1}`,
      name: `rivet of the handle ${hand.words}`.trim(),
      role: 'rivet',
      sheet: face.sheet,
      at: onPanel(face, at, top + p.lap * share),
      up: -Math.PI / 2,
      through: [
        { sheet: face.sheet, times: 1 },
        ...layersOf(cut, p.lap * (1 - share), way),
        ...(isDoubled(p) && !hand.flat && top + p.lap * share < p.topBand
          ? [{ sheet: `facing-${hand.suffix}`, times: 1 }]
          : []),
      ],
      count: 1,
      ...beforeSeam(body),
    }))
  })
}

/** The layers of a handle that a rivet goes through, so far from its end: of two pieces that differ each for itself. */
function layersOf(cut: Cut, fromEnd: number, way: -1 | 1): Fitting['through'] {
  const { id, layers, length, wide, over } = cut
  const on = (sheet: string, times: number, high: number) => ({
    sheet,
    times,
    at: point(way < 0 ? fromEnd : length.value - fromEnd, high / 2),
  })
  return over ? [on(`${id}-under`, 1, wide.value), on(id, 1, fullWide(cut))] : [on(id, layers, wide.value)]
}

/** A cap lies on the handle with leather beside it. */
export function capsOn({ materials, reckon, p }: Bag, wide: number): Fit {
  const ware = hardwareOf(materials, 'rivet')
  return {
    id: 'caps-on-handle',
    rank: 'look',
    why: 'the cap stands over the edge of the handle and catches; a wider handle, or a smaller rivet',
    what: `a cap of the ${ware.name} on the handle`,
    panelId: 'handle',
    keys: [],
    remedy: { field: 'handleWide', value: Math.ceil(p.handleWide + ware.across + 2 - wide) },
    at: point(p.lap / 2, wide / 2),
    needs: needed(reckon, 'fit.caps', 'cap and a millimetre on either side', ware.across + 2, '§12'),
    has: present(reckon, 'fit.capsHas', 'width of the handle', given('width', wide), '§10'),
  }
}
