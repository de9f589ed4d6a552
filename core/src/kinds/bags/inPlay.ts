import type { InPlay } from '../../settings/index.js'
import { hasOneGusset, isBackRaw, isBoxed, isFan, isSetIn } from './bag.js'
import type { BagParams } from './params.js'

const hasStrap = (p: BagParams): boolean => p.strap !== 'none'
const hasHandle = (p: BagParams): boolean => p.handle !== 'none'
const hasFlap = (p: BagParams): boolean => p.flap !== 'none'
const hasPocket = (p: BagParams): boolean => p.pocket !== 'none'
const isTurned = (p: BagParams): boolean => p.seam === 'turned'
const hasOuter = (p: BagParams): boolean => p.outer !== 'none'
const hasPlaces = (p: BagParams): boolean => p.organiser !== 'none'

/** When a setting of a bag plays a part; those not named always do. */
export const IN_PLAY: InPlay<BagParams> = {
  radius: (p) => !isBoxed(p) && !(isSetIn(p) && p.grooves === 'grooved'),
  grooves: isSetIn,
  topDeep: (p) => p.body === 'tapered',
  pleats: (p) => p.body === 'bellows',
  pleatAngle: isFan,
  ends: (p) => !isBoxed(p),
  cornerEase: (p) => !isBoxed(p) && !isFan(p),
  allowance: isTurned,
  seamSkive: (p) => isTurned(p) && !isFan(p),
  rows: isTurned,
  rowApart: (p) => isTurned(p) && p.rows === 2,
  trim: (p) => p.seam === 'raw' || isBackRaw(p),
  backSeam: (p) => isTurned(p) && hasOneGusset(p),
  gussetLow: hasOneGusset,
  cornerHole: isBoxed,
  hemSkive: (p) => p.top === 'rolled',
  topBand: (p) => p.top !== 'single',
  flapGrooves: hasFlap,
  flapLength: hasFlap,
  flapRadius: hasFlap,
  pocketWide: hasPocket,
  pocketHigh: hasPocket,
  outerWide: hasOuter,
  outerHigh: hasOuter,
  outerDeep: hasOuter,
  fullness: (p) => p.pocket === 'full',
  cards: hasPlaces,
  pens: hasPlaces,
  board: (p) => p.base === 'board' || p.base === 'cushioned',
  foam: (p) => p.base === 'cushioned',
  baseLap: (p) => p.base === 'overlapping' || p.base === 'lapped',
  handles: hasHandle,
  handleWide: hasHandle,
  handleBy: hasHandle,
  handleRise: (p) => hasHandle(p) && p.handleBy === 'rise',
  handleSpan: (p) => hasHandle(p) && p.handleBy === 'rise',
  handBroad: (p) => hasHandle(p) && p.handleBy === 'hand',
  handThick: (p) => hasHandle(p) && p.handleBy === 'hand',
  handleFill: (p) => p.handle === 'doubled' || p.handle === 'ring',
  handleFix: (p) => hasHandle(p) && p.handle !== 'ring',
  handleCord: (p) => p.handle === 'rolled',
  lap: (p) => hasHandle(p) || hasStrap(p),
  carried: hasStrap,
  strapWide: hasStrap,
  strapHoles: hasStrap,
  strapSpacing: hasStrap,
  strapShort: hasStrap,
  strapTip: hasStrap,
  strapJoin: hasStrap,
  strapEnds: (p) => p.strap === 'shoulder',
  strapPad: hasStrap,
}
