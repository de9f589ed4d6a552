import { CORD_MIDDLE, CORD_REACH } from '../../../formulas/index.js'
import { point } from '../../../geometry/index.js'
import type { Fit, Wound } from '../../../master/index.js'
import type { Leather } from '../../../stores/index.js'
import { given } from '../../../working/index.js'
import type { Bag } from '../bag.js'
import type { Body } from '../assembly.js'

/** What a handle has to leave of the width beside its ends, and the least between them, mm. */
const SPAN = { beside: 4, min: 20 } as const

/** Whether both ends of a handle lie on the face of the bag, clear of its seams. */
export function onTheFace({ p, size, margin, hold }: Bag, { front }: Body, wide: number): Fit {
  const has = size('fit.handleHas', 'between the seams', '{face} − 2 × {margin} margin', '§20', {
    face: given('face', front.wide),
    margin,
  })
  return {
    id: 'handle-on-face',
    rank: 'stop',
    what: 'both ends of a handle on the face',
    panelId: 'handle',
    at: point(10, wide / 2),
    why: 'an end would hang over the corner into the side seam: bring the ends nearer together, or make the handle narrower',
    keys: [],
    ...(p.handleBy === 'rise'
      ? {
          remedy: {
            field: 'handleSpan',
            value: Math.max(SPAN.min, Math.floor(has.value - wide - SPAN.beside)),
          },
        }
      : {}),
    needs: size('fit.handle', 'needs', '{span} span + {wide} wide', '§20', {
      span: hold.span,
      wide: given('width', wide),
    }),
    has,
  }
}

/** What the cover of a rolled handle is reckoned from: its bend round the cord, and the row of stitches under it; §10 [10.07]. */
export function cordSizes(size: Bag['size'], cordThick: number, thickness: number, neutral: number) {
  const cord = given('cord', cordThick)
  const t = given('leather', thickness, 'thickness')
  const k = given('neutral-axis factor', neutral, 'share')
  const middle = size(
    'handle.cord.middle',
    'from the middle of the cord to the middle of the leather',
    CORD_MIDDLE,
    '§10',
    { cord, thickness: t, k },
  )
  const row = size(
    'handle.cord.row',
    'from the middle of the cord down to the stitches',
    '{cord} / 2 + 2 × {t}',
    '§10',
    { cord, t },
  )
  const reach = size(
    'handle.cord.reach',
    'from there to the middle of the leather at the stitches',
    CORD_REACH,
    '§10',
    { k, thickness: t, below: row },
  )
  return { middle, below: row, reach, k, thickness: t }
}

/** How the cover lies round its cord: as far as it touches it, straight to the stitches, and then down. */
export function woundRound(
  size: Bag['size'],
  cord: number,
  { thickness, neutral }: Leather,
): Omit<Wound, 'ends'> {
  const { middle, below, reach } = cordSizes(size, cord, thickness, neutral)
  const angle = Math.PI - Math.acos(middle.value / reach.value) - Math.atan2(neutral * thickness, below.value)
  return {
    radius: middle.value,
    angle,
    straight: Math.sqrt(reach.value ** 2 - middle.value ** 2),
  }
}
