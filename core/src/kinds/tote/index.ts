import { bagKind } from '../bags/kind.js'

/** An open bag with a boxed foot and two handles, from gift size up. */
export const tote = bagKind({
  id: 'tote',
  name: 'Tote',
  about: 'open at the top, a boxed foot and two handles; from gift size up',
  suits: {
    body: ['boxed', 'boxed-folded', 'wrap', 'wrap-three', 'tapered', 'set-in'],
    flap: ['none'],
    closure: ['none', 'snap', 'magnet', 'zip'],
    organiser: ['none'],
    slip: ['none'],
    strap: ['none', 'shoulder'],
    handle: ['flat', 'doubled', 'rolled', 'none'],
  },
  usual: {
    body: 'boxed',
    wide: 320,
    high: 300,
    deep: 110,
    top: 'doubled',
    topBand: 32,
    handle: 'doubled',
    handleWide: 24,
    handleRise: 200,
    handleSpan: 130,
    handles: 2,
    pocket: 'flat',
    closure: 'snap',
  },
  brief: ['Built as {body}, sewn {seam}; top edges {top}. Inside {pocket}; shut by {closure}.'],
})
