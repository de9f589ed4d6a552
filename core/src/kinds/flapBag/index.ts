import { bagKind } from '../bags/kind.js'

/** A bag with a gusset and a flap over its front, on a shoulder strap. */
export const flapBag = bagKind({
  id: 'flap-bag',
  name: 'Flap bag',
  about: 'front, back and gusset, a flap over the front, on a shoulder strap',
  suits: {
    body: ['wrap', 'wrap-three', 'tapered', 'set-in', 'folded', 'bellows'],
    flap: ['one', 'sewn'],
    closure: ['none', 'snap', 'magnet', 'lock', 'strap'],
    strap: ['none', 'shoulder'],
  },
  usual: {
    body: 'wrap',
    wide: 280,
    high: 210,
    deep: 80,
    radius: 30,
    seam: 'raw',
    flap: 'one',
    flapLength: 150,
    closure: 'strap',
    divider: 'one',
    pocket: 'full',
    fullness: 24,
    handle: 'ring',
    handles: 1,
    handleRise: 45,
    handleSpan: 110,
    handleWide: 20,
    strap: 'shoulder',
  },
  brief: [
    'Built as {body}, sewn {seam}. {flap}[ comes down {flapLength}], shut by {closure}. Inside {pocket} and {divider}.',
  ],
})
