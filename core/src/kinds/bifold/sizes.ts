import { halfAcross } from '../../formulas/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import type { BifoldParams } from './params.js'
import type { Start } from './bench.js'
import { heights, widths } from './bodySizes.js'
import { foldSizes } from './foldSizes.js'
import { depths, pocketWidths } from './pocketSizes.js'

/** Every finished size of the bifold, each with its working. */
export interface BifoldSizes {
  readonly margin: Reckoned
  readonly between: Reckoned
  readonly pocketWidth: Reckoned
  readonly depth: Reckoned
  readonly shorten: Reckoned
  readonly lap: Reckoned
  readonly arm: Reckoned
  readonly foldClear: Reckoned
  readonly half: Reckoned
  readonly insideWidth: Reckoned
  readonly insideHeight: Reckoned
  readonly difference: Reckoned
  readonly taken: Reckoned
  readonly outsideWidth: Reckoned
  readonly outsideHeight: Reckoned
  readonly hole: Reckoned
  readonly pitch: Reckoned
  readonly rise: Reckoned
  readonly sideRoom: Reckoned
}

export function bifoldSizes(p: BifoldParams, materials: Materials, reckon: Reckon): BifoldSizes {
  const { iron } = materials
  const hole = reckon(
    {
      key: 'hole.half',
      label: 'half a hole',
      formula: 'half of {slot} slot × sine of its slant {slant}',
      source: '§9',
    },
    { slot: given('slot', iron.slotLength), slant: given('slant', (iron.slant * Math.PI) / 180, 'angle') },
    ({ slot, slant }) => halfAcross(slot, slant),
  )
  const margin = reckon(
    {
      key: 'margin',
      label: 'margin',
      formula: '{margin} from the finished edge to the stitch line',
      source: '§7',
    },
    { margin: given('margin', p.margin) },
    (v) => v.margin,
  )
  const pitch = reckon(
    {
      key: 'pitch',
      label: 'pitch',
      formula: '{pitch} of the {iron}-prong iron',
      source: '§7',
      quantity: 'thickness',
    },
    { pitch: given('pitch', iron.pitch, 'thickness'), iron: given('prongs', iron.prongs, 'count') },
    (v) => v.pitch,
  )
  const start: Start = {
    p,
    reckon,
    margin,
    hole,
    outside: leatherOf(materials, 'outside'),
    inside: leatherOf(materials, 'inside'),
    pocketLeather: leatherOf(materials, 'pockets'),
  }
  const pocket = pocketWidths(start)
  const fold = foldSizes(start)
  const width = widths(start, pocket.pocketWidth, fold.foldClear, fold.taken)
  const upright = depths(start)
  return {
    margin,
    hole,
    pitch,
    ...pocket,
    ...fold,
    ...width,
    ...upright,
    ...heights(start, upright.depth, upright.shorten),
  }
}
