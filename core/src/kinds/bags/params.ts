import { EDGE } from '../parts/settings.js'
import { type ParamsOf, choice, count, length } from '../../settings/index.js'

/**
 * What a maker decides about a bag. Lengths in mm; the three first are the room inside. Pockets and flaps go with the bag itself; what a
 * hand takes hold of gets slimmer more slowly (J); docs/formulas.md §20.
 */
export const BAG = {
  finish: EDGE.finish,
  wide: length('width inside', 60, 700, 280, { step: 1 }),
  high: length('height inside', 60, 700, 220, { step: 1 }),
  deep: length('depth inside', 0, 320, 80, { step: 1 }),
  /** Corner of the front, or of the side that is set in, at the stitch line. */
  radius: length('corner radius at the stitch line', 0, 120, 30, { step: 1 }),
  /** Depth at the top where the gusset tapers. */
  topDeep: length('depth at the top', 0, 320, 80, { step: 1 }),
  pleats: count('pleats in each side', 1, 6, 2),
  /** Angle a pleat opens to, degrees. */
  pleatAngle: count('degrees a pleat opens to', 30, 175, 110),
  allowance: length('seam allowance', 4, 20, 8),
  margin: length('margin', 1.5, 10, 4, { step: 0.1, mayMove: 0.6 }),
  trim: length('cut extra and trimmed after sewing', 0, 5, 1.5),
  rows: count('rows in a turned seam', 1, 2, 1),
  /** Between the two rows of a turned seam. */
  rowApart: length('between the two rows', 1.5, 12, 3),
  cornerEase: length('gusset cut shorter at each corner', 0, 4, 0),
  /** Ends of a gusset in one strip below the top edges of front and back. */
  gussetLow: length('gusset’s ends below the top edges', 0, 80, 0, { step: 1 }),
  /** Punched where a boxed corner folds, so that it does not tear. */
  cornerHole: length('hole where a boxed corner folds', 0, 8, 0),
  topBand: length('width of the band or the hem', 8, 80, 30, {
    step: 1,
    mayMove: 4,
    goes: { with: 'high', power: 0.5, min: 12 },
  }),
  flapLength: length('how far the flap comes down', 20, 400, 160, {
    step: 1,
    goes: { with: 'high', power: 1, min: 20 },
  }),
  flapRadius: length('corners of the flap', 0, 120, 25, { step: 1 }),
  pocketHigh: length('height of the pocket', 40, 400, 130, {
    step: 1,
    goes: { with: 'high', power: 1, min: 40 },
  }),
  pocketWide: length('width of the pocket', 50, 600, 180, {
    step: 1,
    goes: { with: 'wide', power: 1, min: 50 },
  }),
  outerWide: length('width of the outer compartment', 50, 600, 200, {
    step: 1,
    goes: { with: 'wide', power: 1, min: 50 },
  }),
  outerHigh: length('height of the outer compartment', 40, 400, 140, {
    step: 1,
    goes: { with: 'high', power: 1, min: 40 },
  }),
  outerDeep: length('depth of the outer compartment', 6, 120, 25, { step: 1 }),
  fullness: length('fullness of the pocket', 0, 60, 0, { step: 1 }),
  cards: count('card places', 0, 6, 3),
  pens: count('pen places', 0, 4, 2),
  board: length('thickness of the board', 0.5, 5, 1.5, { step: 0.1 }),
  foam: length('thickness of the foam', 1, 10, 3),
  /** How far the base panel laps up the front and the back. */
  baseLap: length('how far the base panel laps up', 10, 120, 40, {
    step: 1,
    goes: { with: 'high', power: 1, min: 10 },
  }),
  handleWide: length('width of the handle', 8, 60, 25, { goes: { with: 'wide', power: 0.5, min: 8 } }),
  /** Clear height under the handle, mm. */
  handleRise: length('clear height under the handle', 20, 320, 60, {
    step: 5,
    goes: { with: 'wide', power: 0.5, min: 25 },
  }),
  /** From end to end of it along the top. */
  handleSpan: length('from end to end of the handle', 20, 400, 140, {
    step: 5,
    goes: { with: 'wide', power: 1, min: 30 },
  }),
  /** Across the palm, and through the closed hand over the handle. */
  handBroad: length('breadth of the hand', 50, 140, 90, { step: 1, hint: 'across the palm' }),
  handThick: length('thickness of the closed hand', 15, 70, 30, { step: 1 }),
  handleFill: length('filler between its layers', 0, 8, 0),
  handleCord: length('cord in the handle', 4, 14, 8),
  handles: count('handles', 1, 2, 2),
  /** Round the body from ring to ring, as it is worn. */
  carried: length('from ring to ring as it is worn', 300, 1800, 1100, {
    step: 10,
    hint: 'over the shoulder with a tape',
  }),
  strapWide: length('width of the strap', 10, 80, 35, { goes: { with: 'wide', power: 0.5, min: 10 } }),
  strapHoles: count('adjustment holes', 1, 13, 7),
  strapSpacing: length('holes apart', 10, 50, 25, { step: 1 }),
  strapShort: length('short part from ring to buckle', 80, 600, 300, { step: 5 }),
  strapTip: length('from the last hole to the tip', 20, 120, 60, { step: 5 }),
  lap: length('ends that are turned back or sewn on', 15, 90, 45, {
    step: 1,
    goes: { with: 'wide', power: 0.5, min: 15 },
  }),
  /** Kept free round what goes in. */
  ease: length('room round what goes in', 0, 40, 6, { step: 1 }),
  /** How the sides are made. */
  body: choice('how it is built', 'wrap', [
    ['wrap', 'one gusset round sides and foot', 'no seam on it; a long piece of even leather'],
    ['wrap-three', 'a gusset in three, lapped at the foot', 'short pieces; a lap to sew on either side'],
    ['tapered', 'a gusset that tapers', 'deep at the top and slim at the foot, or the other way'],
    ['set-in', 'front, foot and back in one, sides set in', 'no seam along the foot'],
    ['boxed', 'two panels with boxed corners', 'the quickest; a seam along the foot'],
    ['boxed-folded', 'one panel folded at the foot, boxed corners', 'no seam along the foot; a longer piece'],
    ['folded', 'sides that fold flat', 'deep at the top, nothing at the foot; lies flat when empty'],
    ['bellows', 'sides in pleats', 'opens wide at the top, folds flat'],
  ]),
  seam: choice('how the body is sewn', 'turned', [
    ['turned', 'inside out and turned', 'allowance inside; soft or skived leather'],
    ['raw', 'with raw edges out', 'firm leather; trimmed flush, finished together'],
  ]),
  backSeam: choice('how the back is sewn', 'same', [
    ['same', 'like the front', 'both seams alike'],
    [
      'raw',
      'with raw edges out, once the front is turned',
      'nothing is turned through the mouth; trimmed flush',
    ],
  ]),
  ends: choice('ends of the gusset', 'level', [
    ['level', 'level with the top edges', 'cut to length'],
    ['long', 'left long and cut after sewing', 'nothing comes out short'],
  ]),
  seamSkive: choice('seam allowances', 'none', [
    ['none', 'left as thick as they are', 'nothing to skive'],
    ['half', 'skived to half', 'turned seams lie flatter and turn more easily'],
  ]),
  grooves: choice('folds at the foot', 'none', [
    ['none', 'folded round', 'soft corners'],
    ['grooved', 'folded in grooves', 'sharp corners in stiff leather'],
  ]),
  flapGrooves: choice('folds of the flap', 'none', [
    ['none', 'folded round', 'soft shoulders; nothing is thinned'],
    ['grooved', 'folded in grooves', 'sharp corners in stiff leather, as at the foot'],
  ]),
  top: choice('top edges', 'single', [
    ['single', 'single, its edge finished', 'bevelled and finished before the seams'],
    ['doubled', 'doubled with a band', 'a firm mouth; two rows'],
    [
      'banded',
      'doubled with a band into the seams',
      'firm all round; its ends lie in the seams of the sides, which grow by it',
    ],
    ['rolled', 'rolled', 'turned over and sewn'],
  ]),
  hemSkive: choice('how the hem is thinned', 'feather', [
    ['feather', 'feathered over its last millimetres', 'the fold keeps its strength'],
    ['even', 'thinned over its whole width', 'it lies as flat as the rest'],
  ]),
  flap: choice('flap', 'none', [
    ['none', 'no flap', 'open at the top, or shut otherwise'],
    ['one', 'a flap in one with the back', 'no seam at the top'],
    ['sewn', 'a flap of its own', 'shorter pieces; two rows on the back'],
  ]),
  closure: choice('what shuts it', 'none', [
    ['none', 'nothing', 'open, or shut by its own weight'],
    ['snap', 'a snap', 'both halves are set before the seams'],
    ['magnet', 'a magnet', 'prongs through slots; not beside cards with a magnetic stripe'],
    ['lock', 'a lock', 'plate on the flap, post on the front'],
    ['strap', 'a strap through a loop', 'adjusts to what is in it'],
    ['zip', 'a zip between two bands', 'shut all the way'],
  ]),
  pocket: choice('inner pocket', 'none', [
    ['none', 'no pocket', 'a plain inside'],
    ['flat', 'a flat pocket', 'for papers and other flat things'],
    ['full', 'a pocket with fullness', 'pleated at the foot; for thick things'],
  ]),
  outer: choice('outer compartment', 'none', [
    ['none', 'nothing', 'flat and plain'],
    ['straight', 'a compartment with a gusset of its own', 'as deep at the foot as at the top'],
    ['tapered', 'a compartment that runs out at the foot', 'opens at the top, lies flat at the foot'],
  ]),
  divider: choice('divider', 'none', [
    ['none', 'no divider', 'one room for all of it'],
    ['one', 'a divider', 'sewn down the middle of the sides'],
  ]),
  organiser: choice('card and pen places', 'none', [
    ['none', 'no places', 'a plain inside of the front'],
    ['covered', 'card and pen places under a cover', 'on the inside of the front'],
  ]),
  slip: choice('slip', 'none', [
    ['none', 'no slip', 'the back stays plain'],
    ['pad', 'a slip for a pad', 'its back board goes in'],
  ]),
  lining: choice('lining', 'none', [
    ['none', 'unlined', 'the flesh side shows inside'],
    ['lined', 'lined', 'glued in, in all seams'],
  ]),
  base: choice('what stiffens the foot', 'none', [
    ['none', 'nothing', 'the foot as soft as the leather'],
    ['board', 'a board in a cover', 'lies in the foot'],
    ['cushioned', 'a board and foam in a cover', 'softer for a computer'],
    ['overlapping', 'a panel over the foot, lapped up', 'takes the wear; sewn on before the body is closed'],
    ['lapped', 'a panel that front and back end in', 'laps up both, two rows each; less leather of the body'],
  ]),
  feet: choice('feet', 'none', [
    ['none', 'no feet', 'stands on its leather'],
    ['feet', 'four feet', 'set before the bag is closed'],
  ]),
  handle: choice('handle', 'none', [
    ['none', 'no handle', 'carried by its strap, or under the arm'],
    ['flat', 'flat', 'one layer, quickly made'],
    ['doubled', 'doubled', 'two layers sewn along their edges'],
    ['rolled', 'rolled round a cord', 'kind to the hand'],
    ['ring', 'between two rings', 'its ends come back and meet underneath'],
  ]),
  handleBy: choice('how the handle is measured', 'rise', [
    ['rise', 'by its own sizes', 'from an old handle, or by eye'],
    ['hand', 'by the hand that carries it', 'room for the fingers and over the knuckles'],
  ]),
  handleFix: choice('how the handle is fixed', 'sewn', [
    ['sewn', 'sewn on', 'flat; lines along the pull'],
    ['riveted', 'riveted', 'quick; holes weaken one place'],
  ]),
  strap: choice('strap', 'none', [
    ['none', 'no strap', 'carried by hand'],
    ['shoulder', 'a shoulder strap', 'two parts with a buckle'],
    ['pair', 'two straps over the shoulders', 'from a panel on the back to its lower corners'],
  ]),
  strapEnds: choice('how the strap’s ends are held', 'fixed', [
    ['fixed', 'turned back round the rings', 'nothing comes undone'],
    ['hooks', 'on swivel hooks in the rings', 'the strap comes off, and does not twist'],
  ]),
  strapPad: choice('pad of the strap', 'none', [
    ['none', 'without a pad', 'light and soon made'],
    ['pad', 'with a pad', 'for heavy loads'],
  ]),
  strapJoin: choice('how long straps are cut', 'none', [
    ['none', 'in one run', 'no lap to tear'],
    ['joined', 'joined of two pieces', 'where no hide is long enough: a lap skived and sewn along the pull'],
  ]),
}
export type BagParams = ParamsOf<typeof BAG>
export type BagChoice = {
  [Id in keyof BagParams]: BagParams[Id] extends number ? never : Id
}[keyof BagParams]
