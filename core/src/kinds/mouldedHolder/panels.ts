import { lengthSaid } from '../../measure/index.js'
import { point } from '../../geometry/index.js'
import type { Panel, PanelMark, Stock } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type Shape, allRound, finishedFate, outlineOf, plainPanel, rectangleShape } from '../parts/shape.js'
import type { HolderParams } from './params.js'
import { BENCH, type HolderSizes } from './sizes.js'

/** A belt slot is longer than the belt by this, mm; beside a holder it lies so many wings out. */
const SLOT = { longer: 1.5, out: 1.5 } as const
/** The plate of a form is this thick, mm, or this share of what goes in. */
const PLATE = { min: 6, share: 0.75 } as const

/** The form is sawn from board as thick as the thing is deep. */
const board = (thickness: number): Stock => ({
  name: 'board for the form',
  thickness,
  neutral: 0.5,
  swatch: '#e4e2d8',
})

/** The holder's outline over the flanges, from its mouth, in the frame of the back. */
export const pocketShape = (p: HolderParams, s: HolderSizes): Shape => {
  const r = Math.min(p.corner, s.pocketWide.value / 2 - 1)
  return rectangleShape(
    s.pocketWide.value,
    s.pocketHigh.value,
    { footLeft: r, footRight: r },
    finishedFate(p.finish, p.trim, (e) => e !== 'top'),
  )
}

/** From the mouth to the upper slot: the end of the loop turned up inside stays below the mouth. */
export const upperSlot = (s: HolderSizes): number =>
  Math.max(BENCH.loopLap + 4, (s.pocketHigh.value - s.spacing.value) / 4)

/** The back with its slots: for the loop one above the other, or one in a wing at either side. */
function backPanel(p: HolderParams, s: HolderSizes): Panel {
  const [w, h, wing] = [s.pocketWide.value, s.pocketHigh.value, s.wing.value]
  const shape =
    p.hung === 'wings'
      ? rectangleShape(
          w + 2 * wing,
          h,
          { footLeft: Math.min(p.corner, wing), footRight: Math.min(p.corner, wing) },
          finishedFate(p.finish, p.trim, () => false),
        )
      : pocketShape(p, s)
  return plainPanel({
    id: 'back',
    name: 'Back',
    role: 'back',
    ...shape,
    marks: slotsFor(p, s),
    grain: Math.PI / 2,
  })
}

/** Slots for the loop, or for the belt in the wings. */
function slotsFor(p: HolderParams, s: HolderSizes): PanelMark[] {
  const [w, h, wing] = [s.pocketWide.value, s.pocketHigh.value, s.wing.value]
  if (p.hung === 'none') return []
  const top = upperSlot(s)
  return p.hung === 'loop'
    ? [top, top + s.spacing.value].map((y, i) => ({
        type: 'slot',
        id: `slot-${i + 1}`,
        at: point(w / 2, y),
        angle: 0,
        length: BENCH.loopWide + SLOT.longer,
        punch: BENCH.slotWide,
      }))
    : [wing / 2, w + SLOT.out * wing].map((x, i) => ({
        type: 'slot',
        id: `slot-${i + 1}`,
        at: point(x, h / 2),
        angle: Math.PI / 2,
        length: Math.min(p.belt + 2, h - 2 * BENCH.wingRim),
        punch: Math.max(BENCH.slotWide, p.beltThick + 1),
      }))
}

export function holderPanels(p: HolderParams, s: HolderSizes, materials: Materials): Panel[] {
  const blank: Shape = rectangleShape(s.blankWide.value, s.blankHigh.value, allRound(p.corner), () => ({
    type: 'raw',
    finish: 'left',
    trim: 0,
  }))
  const cut = finishedFate(p.finish, 0, () => false)
  const t = leatherOf(materials, 'front').thickness
  const open = p.wide + 2 * (t + BENCH.plateEase)
  const rim = BENCH.plateRim
  const [over, deepIn] = [rim + open + rim, p.high + 2 * t]
  const plain = () => ({ type: 'raw', finish: 'left', trim: 0 }) as const
  return [
    p.formed === 'sewn'
      ? plainPanel({
          id: 'front',
          name: 'Front',
          role: 'front',
          ...pocketShape(p, s),
          grain: Math.PI / 2,
          notes: ['sewn first; then soaked, the block pushed in, left to dry on it'],
        })
      : plainPanel({
          id: 'front',
          name: 'Front, before forming',
          role: 'front',
          ...blank,
          grain: Math.PI / 2,
          notes: [
            'wet it, form it over the block, leave it to dry',
            'then trim it to the outline of the back',
          ],
        }),
    backPanel(p, s),
    ...(p.hung === 'loop'
      ? [
          plainPanel({
            id: 'loop',
            name: 'Loop',
            role: 'back',
            ...rectangleShape(BENCH.loopWide, s.loop.value, {}, cut),
            grain: Math.PI / 2,
            notes: [`skive the last ${lengthSaid(BENCH.loopLap)} of both ends to half`],
          }),
        ]
      : []),
    plainPanel({
      id: 'block',
      name: 'Block of the form',
      role: 'guide',
      stock: board(p.deep),
      ...rectangleShape(p.wide, p.high, allRound(Math.min(BENCH.roundCorner, p.wide / 4)), plain),
      notes: [`round its upper edge to a radius of ${lengthSaid(p.edge)}`],
    }),
    plainPanel({
      id: 'plate',
      name: 'Plate of the form',
      role: 'guide',
      stock: board(Math.max(PLATE.min, p.deep * PLATE.share)),
      ...outlineOf(
        [
          { x: 0, y: 0, edge: 'left-end' },
          { x: rim, y: 0, edge: 'left-inner' },
          { x: rim, y: deepIn, radius: BENCH.roundCorner, edge: 'inner-foot', corner: 'inner-left' },
          { x: rim + open, y: deepIn, radius: BENCH.roundCorner, edge: 'right-inner', corner: 'inner-right' },
          { x: rim + open, y: 0, edge: 'right-end' },
          { x: over, y: 0, edge: 'right' },
          { x: over, y: deepIn + rim, edge: 'foot' },
          { x: 0, y: deepIn + rim, edge: 'left' },
        ],
        plain,
      ),
      labelAt: point(over / 2, deepIn + rim / 2),
      notes: ['pressed down over leather and block'],
    }),
  ]
}
