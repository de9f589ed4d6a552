import type { Leather } from '../../stores/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { sizeBy } from '../parts/basics.js'
import type { CaseParams } from './params.js'

/** Front and back lean out by no more than this, as a sine. */
const STEEPEST = 0.9

/** A flat foot between front and back. Lengths in mm. */
export interface FlatFoot {
  /** Between the stitch lines of the two corners. */
  readonly deep: Reckoned
  /** How far front and back lean out from upright once it is filled, radians. */
  readonly lean: Reckoned
  /** What the body takes to go round a corner of the gusset. */
  readonly corner: Reckoned
  /** From the stitch line of a corner to the body’s neutral axis. */
  readonly out: number
}

/** The foot, and what front and back need to go round both of its corners: docs/formulas.md §20. */
export function flatFoot(
  p: CaseParams,
  { reckon, body }: { readonly reckon: Reckon; readonly body: Leather },
  { height, gussetTop }: { readonly height: Reckoned; readonly gussetTop: Reckoned },
): FlatFoot {
  const size = sizeBy(reckon)
  const deep = size(
    'foot.deep',
    'depth of the foot',
    'the smaller of {foot} as asked and {gussetTop}',
    '§20',
    {
      foot: given('foot', p.footDeep),
      gussetTop,
    },
  )
  const lean = reckon(
    {
      key: 'foot.lean',
      label: 'front and back lean out by',
      formula:
        'the angle whose sine is (the smaller of ({gussetTop} − {foot}) / (2 × {height}) and {steepest})',
      source: '§20',
      quantity: 'angle',
    },
    { gussetTop, foot: deep, height, steepest: given('steepest', STEEPEST, 'share') },
  )
  const out = body.neutral * body.thickness
  const corner = size(
    'foot.corner',
    'round a corner of the gusset',
    '(π / 2 − {lean}) in radians × {k} × {t}',
    '§20',
    {
      lean,
      k: given('neutral-axis factor', body.neutral, 'share'),
      t: given('body leather', body.thickness, 'thickness'),
    },
  )
  return { deep, lean, corner, out }
}
