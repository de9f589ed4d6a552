import { bagKind } from '../bags/kind.js'

/** Front, foot, back and flap in one piece with grooved folds; sides set in; a lock and a handle on top. */
export const briefcase = bagKind({
  id: 'briefcase',
  name: 'Briefcase',
  about: 'front, foot, back and flap in one piece with grooved folds, sides set in',
  suits: {
    body: ['set-in'],
    flap: ['one'],
    seam: ['raw', 'turned'],
    closure: ['lock', 'strap', 'magnet', 'snap', 'none'],
    strap: ['none', 'shoulder'],
    handle: ['ring', 'flat', 'doubled', 'rolled', 'none'],
  },
  usual: {
    body: 'set-in',
    grooves: 'grooved',
    seam: 'raw',
    wide: 380,
    high: 270,
    deep: 90,
    radius: 0,
    flap: 'one',
    flapLength: 180,
    flapRadius: 20,
    closure: 'lock',
    divider: 'one',
    pocket: 'flat',
    pocketWide: 240,
    pocketHigh: 160,
    base: 'board',
    feet: 'feet',
    handle: 'ring',
    handles: 1,
    handleRise: 50,
    handleSpan: 130,
    handleWide: 25,
  },
  brief: [
    'Folds {grooves}, sides set in, sewn {seam}. [The flap comes down {flapLength}. ]Shut by {closure}. Inside {divider} and {pocket}; in the foot {base}.',
  ],
})
