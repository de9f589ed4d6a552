import type { Sentence } from '../../settings/index.js'

const BODY: readonly Sentence[] = [
  'Body {body}, sewn {seam}[, allowance {allowance}][, the back {backSeam}]; rows {margin} from raw edges[, which are cut {trim} over size]; finished {finish}.',
  '[Corners {radius}. ][Allowances {seamSkive}. ][Rows in a seam: {rows}. ][The second lies {rowApart} out. ]Top edges {top}[, {topBand} wide][, {hemSkive}].[ A hole of {cornerHole} where each corner folds.]',
]
const CLOSURES: Sentence =
  '[The snap: {hardware-snap}.][The magnet: {hardware-magnet}.][The lock: {hardware-lock}.]'
const STRAPS: readonly Sentence[] = [
  'Cut from {leather-straps}, {strapWide} wide, {strapJoin}; {carried} from ring to ring as worn, {strapShort} of it the short part[; its ends are {strapEnds}][: {hardware-hook}].[ It comes {strapPad}.]',
  '{strapHoles} holes {strapSpacing} apart, {strapTip} to the tip; ends turned back {lap}. Buckle: {hardware-buckle}, rings: {hardware-ring}.',
]
const HANDLE: readonly Sentence[] = [
  'Handles: {handle}, how many: {handles}, from {leather-straps}; {handleWide} wide, measured {handleBy}[, {handleRise} clear][, {handleSpan} from end to end][: {handBroad} broad][ and {handThick} thick].',
  'Ends {lap} long[, {handleFix}][ with {hardware-rivet}][; cord {handleCord}][; filler {handleFill}].[ Rings: {hardware-handle-ring}.]',
]
const GUSSET: readonly Sentence[] = [
  'Cut from {leather-gusset}[; ends {ends}][, {gussetLow} below the top edges][, {cornerEase} shorter at each corner]. Depth inside {deep}[, at the top {topDeep}].',
]
const POCKET: readonly Sentence[] = [
  'Inside: {pocket}, {pocketWide} wide and {pocketHigh} high[, fullness {fullness}]; cut from {leather-inner}.',
]
const OUTER: Sentence =
  'On the front: {outer}[, {outerWide} wide, {outerHigh} high][ and {outerDeep} deep at the top].'
const TOP: readonly Sentence[] = ['Top edges {top}[, {topBand} wide][, {hemSkive}].']

/** What any bag can carry, by the setting that says whether it does: asked in the Brief where a kind’s own sentences don’t. */
export const BAG_OFFERS: Readonly<Record<string, Sentence>> = {
  top: 'Top edges {top}[, {topBand} wide][, {hemSkive}].',
  flap: 'Over the top: {flap}[, {flapLength} down the front].',
  closure: 'Shut by {closure}.',
  lining: 'It is {lining}[: {leather-lining}].',
  pocket: 'Inside: {pocket}[, {pocketWide} wide and {pocketHigh} high][, fullness {fullness}].',
  divider: 'Between front and back: {divider}.',
  organiser: 'Inside of the front: {organiser}[, {cards} for cards][ and {pens} for pens].',
  slip: 'Inside of the back: {slip}.',
  outer: OUTER,
  base: 'In the foot: {base}[, board {board}][, foam {foam}][, {baseLap}].',
  feet: 'Under it: {feet}.',
  strapPad: '[ The strap comes {strapPad}.]',
  strapEnds: '[ Its ends are {strapEnds}.]',
  handleBy: '[ The handle is measured {handleBy}.]',
}

/** What is said of each panel a bag may have. */
export const BAG_SENTENCES: Readonly<Record<string, readonly Sentence[]>> = {
  front: ['Cut from {leather-body}, {wide} wide and {high} high inside.', ...BODY, OUTER],
  'outer-front': [OUTER, 'Cut from {leather-body}, sewn {seam}.'],
  'outer-gusset': [OUTER, 'Cut from {leather-gusset}.'],
  back: [
    'Cut from {leather-body}; {flap}[, which comes down {flapLength} with corners of {flapRadius}, {flapGrooves}]. Shut by {closure}.',
    CLOSURES,
    ...BODY,
  ],
  body: [
    'Cut from {leather-body}, {wide} wide and {high} high inside[; foot {grooves}]. {flap}[, {flapLength} down the front, corners {flapRadius}, {flapGrooves}]; shut by {closure}.',
    CLOSURES,
    ...BODY,
    OUTER,
  ],
  gusset: GUSSET,
  'gusset-side': GUSSET,
  'gusset-foot': GUSSET,
  side: [...GUSSET, '[It opens to {pleatAngle} degrees at each fold.][ Pleats: {pleats}.]'],
  flap: [
    'Cut from {leather-body}: {flap}, {flapLength} down the front, corners {flapRadius}, {flapGrooves}; shut by {closure}.',
  ],
  'facing-front': TOP,
  'facing-back': TOP,
  'facing-right': TOP,
  'facing-left': TOP,
  pocket: POCKET,
  slip: ['Inside of the back: {slip}, cut from {leather-inner}.'],
  places: [
    'Inside of the front: {organiser}, {cards} for cards and {pens} for pens; cut from {leather-inner}.',
  ],
  cover: ['Inside of the front: {organiser}; cut from {leather-inner}.'],
  divider: ['Inside: {divider}, cut from {leather-inner}.'],
  'front-lining': ['{lining}: {leather-lining}.'],
  'back-lining': ['{lining}: {leather-lining}.'],
  'body-lining': ['{lining}: {leather-lining}.'],
  'base-cover': ['In the foot: {base}; board {board}[, foam {foam}], cover from {leather-inner}.'],
  board: ['In the foot: {base}; board {board}.'],
  foam: ['In the foot: {base}; foam {foam}.'],
  'base-panel': ['On the foot: {base} {baseLap}; cut from {leather-gusset}. {feet}[: {hardware-foot}].'],
  handle: HANDLE,
  'handle-under': HANDLE,
  'ring-tab': HANDLE,
  tab: STRAPS,
  'strap-long': STRAPS,
  'strap-short': STRAPS,
  'strap-tip': STRAPS,
  keeper: STRAPS,
  yoke: ['Holds {strap}; cut from {leather-gusset}.'],
  pad: ['The strap comes {strapPad}, cut from {leather-inner}.'],
  'pad-under': ['The strap comes {strapPad}, cut from {leather-inner}.'],
  'handle-filler': ['In the handle: filler {handleFill}.'],
  'closing-strap': ['Shut by {closure}; cut from {leather-straps}.'],
  'closing-loop': ['Shut by {closure}; cut from {leather-straps}.'],
  'zip-front': ['Shut by {closure}: {hardware-zip}; bands from {leather-inner}.'],
  'zip-back': ['Shut by {closure}: {hardware-zip}; bands from {leather-inner}.'],
}
