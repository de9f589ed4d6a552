import type { Field } from '../fields.js'
import type { HardwareRole } from '../kind.js'
import { choiceField, countField, lengthField } from '../parts/fields.js'

type Choices = Readonly<Record<string, readonly (readonly [string, string, string])[]>>

/** Every choice a bag knows, by setting; a kind takes of them what suits it. */
export const BAG_CHOICES = {
  body: [
    ['wrap', 'one gusset round sides and foot', 'no seam on it; a long piece of even leather'],
    ['wrap-three', 'a gusset in three, lapped at the foot', 'short pieces; a lap to sew on either side'],
    ['tapered', 'a gusset that tapers', 'deep at the top and slim at the foot, or the other way'],
    ['set-in', 'front, foot and back in one, sides set in', 'no seam along the foot'],
    ['boxed', 'two panels with boxed corners', 'the quickest; a seam along the foot'],
    ['boxed-folded', 'one panel folded at the foot, boxed corners', 'no seam along the foot; a longer piece'],
    ['folded', 'sides that fold flat', 'deep at the top, nothing at the foot; lies flat when empty'],
    ['bellows', 'sides in pleats', 'opens wide at the top, folds flat'],
  ],
  seam: [
    ['turned', 'inside out and turned', 'allowance inside; soft or skived leather'],
    ['raw', 'with raw edges out', 'firm leather; trimmed flush, finished together'],
  ],
  ends: [
    ['level', 'level with the top edges', 'cut to length'],
    ['long', 'left long and cut after sewing', 'nothing comes out short'],
  ],
  seamSkive: [
    ['none', 'left as thick as they are', 'nothing to skive'],
    ['half', 'skived to half', 'turned seams lie flatter and turn more easily'],
  ],
  grooves: [
    ['none', 'folded round', 'soft corners'],
    ['grooved', 'folded in grooves', 'sharp corners in stiff leather'],
  ],
  top: [
    ['single', 'single, its edge finished', 'bevelled and finished before the seams'],
    ['doubled', 'doubled with a band', 'a firm mouth; two rows'],
    ['rolled', 'rolled', 'turned over and sewn'],
  ],
  flap: [
    ['none', 'no flap', 'open at the top, or shut otherwise'],
    ['one', 'a flap in one with the back', 'no seam at the top'],
    ['sewn', 'a flap of its own', 'shorter pieces; two rows on the back'],
  ],
  closure: [
    ['none', 'nothing', 'open, or shut by its own weight'],
    ['snap', 'a snap', 'both halves are set before the seams'],
    ['magnet', 'a magnet', 'prongs through slots; not beside cards with a magnetic stripe'],
    ['lock', 'a lock', 'plate on the flap, post on the front'],
    ['strap', 'a strap through a loop', 'adjusts to what is in it'],
    ['zip', 'a zip between two bands', 'shut all the way'],
  ],
  pocket: [
    ['none', 'no pocket', 'a plain inside'],
    ['flat', 'a flat pocket', 'for papers and other flat things'],
    ['full', 'a pocket with fullness', 'pleated at the foot; for thick things'],
  ],
  divider: [
    ['none', 'no divider', 'one room for all of it'],
    ['one', 'a divider', 'sewn down the middle of the sides'],
  ],
  organiser: [
    ['none', 'no places', 'a plain inside of the front'],
    ['covered', 'card and pen places under a cover', 'on the inside of the front'],
  ],
  slip: [
    ['none', 'no slip', 'the back stays plain'],
    ['pad', 'a slip for a pad', 'its back board goes in'],
  ],
  lining: [
    ['none', 'unlined', 'the flesh side shows inside'],
    ['lined', 'lined', 'glued in, in all seams'],
  ],
  base: [
    ['none', 'nothing', 'the foot as soft as the leather'],
    ['board', 'a board in a cover', 'lies in the foot'],
    ['cushioned', 'a board and foam in a cover', 'softer for a computer'],
    ['overlapping', 'a panel over the foot, lapped up', 'takes the wear; sewn on before the body is closed'],
  ],
  feet: [
    ['none', 'no feet', 'stands on its leather'],
    ['feet', 'four feet', 'set before the bag is closed'],
  ],
  handle: [
    ['none', 'no handle', 'carried by its strap, or under the arm'],
    ['flat', 'flat', 'one layer, quickly made'],
    ['doubled', 'doubled', 'two layers sewn along their edges'],
    ['rolled', 'rolled round a cord', 'kind to the hand'],
    ['ring', 'between two rings', 'its ends come back and meet underneath'],
  ],
  handleFix: [
    ['sewn', 'sewn on', 'flat; lines along the pull'],
    ['riveted', 'riveted', 'quick; holes weaken one place'],
  ],
  strap: [
    ['none', 'no strap', 'carried by hand'],
    ['shoulder', 'a shoulder strap', 'two parts with a buckle'],
    ['pair', 'two straps over the shoulders', 'from a panel on the back to its lower corners'],
  ],
  strapPad: [
    ['none', 'without pads', 'light and soon made'],
    ['pad', 'with pads', 'for heavy loads'],
  ],
  strapJoin: [
    ['none', 'in one run', 'no lap to tear'],
    ['joined', 'joined of two pieces', 'where no hide is long enough: a lap skived and sewn along the pull'],
  ],
} as const satisfies Choices

const LABELS: Readonly<Record<string, string>> = {
  body: 'how it is built',
  seam: 'how the body is sewn',
  ends: 'ends of the gusset',
  seamSkive: 'seam allowances',
  grooves: 'folds at the foot',
  top: 'top edges',
  flap: 'flap',
  closure: 'what shuts it',
  pocket: 'inner pocket',
  divider: 'divider',
  organiser: 'card and pen places',
  slip: 'slip',
  lining: 'lining',
  base: 'what stiffens the foot',
  feet: 'feet',
  handle: 'handle',
  handleFix: 'how the handle is fixed',
  strap: 'strap',
  strapPad: 'pads of the straps',
  strapJoin: 'how long straps are cut',
}

export type BagChoice = keyof typeof BAG_CHOICES

/** The choices of a bag as settings; `taken` leaves a kind only those values of a setting that suit it. */
export const bagChoiceFields = (taken: Partial<Record<BagChoice, readonly string[]>>): Field[] =>
  (Object.keys(BAG_CHOICES) as BagChoice[]).map((id) => {
    const all = BAG_CHOICES[id] as readonly (readonly [string, string, string])[]
    return choiceField(
      id,
      LABELS[id]!,
      all.filter(([value]) => taken[id]?.includes(value) ?? true),
    )
  })

/** The measures of a bag as settings. */
export const BAG_MEASURES: readonly Field[] = [
  lengthField('wide', 'width inside', 60, 700, { step: 1 }),
  lengthField('high', 'height inside', 60, 700, { step: 1 }),
  lengthField('deep', 'depth inside', 0, 320, { step: 1 }),
  lengthField('radius', 'corner radius at the stitch line', 0, 120, { step: 1 }),
  lengthField('topDeep', 'depth at the top', 0, 320, { step: 1 }),
  countField('pleats', 'pleats in each side', 1, 6),
  countField('pleatAngle', 'degrees a pleat opens to', 30, 175),
  lengthField('allowance', 'seam allowance', 4, 20),
  lengthField('margin', 'margin', 1.5, 10, { step: 0.1, mayMove: 0.6 }),
  lengthField('trim', 'cut extra and trimmed after sewing', 0, 5),
  countField('rows', 'rows in a turned seam', 1, 2),
  lengthField('rowApart', 'between the two rows', 1.5, 12, { step: 0.5 }),
  lengthField('cornerEase', 'gusset cut shorter at each corner', 0, 4),
  lengthField('topBand', 'width of the band or the hem', 8, 80, { step: 1 }),
  lengthField('flapLength', 'how far the flap comes down', 20, 400, { step: 1 }),
  lengthField('flapRadius', 'corners of the flap', 0, 120, { step: 1 }),
  lengthField('pocketHigh', 'height of the pocket', 40, 400, { step: 1 }),
  lengthField('pocketWide', 'width of the pocket', 50, 600, { step: 1 }),
  lengthField('fullness', 'fullness of the pocket', 0, 60, { step: 1 }),
  countField('cards', 'card places', 0, 6),
  countField('pens', 'pen places', 0, 4),
  lengthField('board', 'thickness of the board', 0.5, 5, { step: 0.1 }),
  lengthField('foam', 'thickness of the foam', 1, 10, { step: 0.5 }),
  lengthField('baseLap', 'how far the base panel laps up', 10, 120, { step: 1 }),
  lengthField('handleWide', 'width of the handle', 8, 60),
  lengthField('handleRise', 'clear height under the handle', 20, 320, { step: 5 }),
  lengthField('handleSpan', 'from end to end of the handle', 20, 400, { step: 5 }),
  lengthField('handleCord', 'cord in the handle', 4, 14),
  countField('handles', 'handles', 1, 2),
  lengthField('carried', 'from ring to ring as it is worn', 300, 1800, {
    step: 10,
    hint: 'over the shoulder with a tape',
  }),
  lengthField('strapWide', 'width of the strap', 10, 80),
  countField('strapHoles', 'adjustment holes', 1, 13),
  lengthField('strapSpacing', 'holes apart', 10, 50, { step: 1 }),
  lengthField('strapShort', 'short part from ring to buckle', 80, 600, { step: 5 }),
  lengthField('strapTip', 'from the last hole to the tip', 20, 120, { step: 5 }),
  lengthField('lap', 'ends that are turned back or sewn on', 15, 90, { step: 1 }),
  lengthField('ease', 'room round what goes in', 0, 40, { step: 1 }),
]

/** Hardware a bag may ask for. */
export const BAG_HARDWARE: readonly HardwareRole[] = [
  { id: 'snap', label: 'Snap', sort: 'snap', usual: 12.5, when: (p) => p.closure === 'snap' },
  { id: 'magnet', label: 'Magnet', sort: 'magnet', usual: 18, when: (p) => p.closure === 'magnet' },
  { id: 'lock', label: 'Lock', sort: 'lock', usual: 34, when: (p) => p.closure === 'lock' },
  { id: 'zip', label: 'Zip', sort: 'zip', usual: 32, when: (p) => p.closure === 'zip' },
  {
    id: 'rivet',
    label: 'Rivets',
    sort: 'rivet',
    usual: 9,
    when: (p) => p.handle !== 'none' && p.handle !== 'ring' && p.handleFix === 'riveted',
  },
  {
    id: 'ring',
    label: 'Rings of the strap',
    sort: 'ring',
    usual: 35,
    when: (p) => p.strap !== 'none',
  },
  {
    id: 'handle-ring',
    label: 'Rings of the handle',
    sort: 'ring',
    usual: 25,
    when: (p) => p.handle === 'ring',
  },
  { id: 'buckle', label: 'Buckle', sort: 'buckle', usual: 35, when: (p) => p.strap !== 'none' },
  { id: 'foot', label: 'Feet', sort: 'foot', usual: 10, when: (p) => p.feet === 'feet' },
]

export const bagHardwareFields: readonly Field[] = BAG_HARDWARE.map((role) => ({
  type: 'hardware',
  id: `hardware-${role.id}`,
  label: role.label.toLowerCase(),
  path: ['hardware', role.id],
  role: role.id,
  sort: role.sort,
  ...(role.when ? { when: role.when } : {}),
}))
