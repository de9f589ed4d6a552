import { point } from '../../geometry/index.js'
import { firstOf, lastOf, nth } from '../../lists/index.js'
import type { Panel } from '../../master/index.js'
import { type Named, finishedFate, outlineOf, plainPanel, rectangleShape, rimBand } from '../parts/shape.js'
import { CLOTH, POCKET_BENCH as B, TAPE } from './bench.js'
import { type Stack, footRadius, handed, slitPanelTop, stackItems } from './stack.js'

/** A feathered edge begins with this, mm. */
const FEATHER_START = 0.2
/** The guide: as wide as it is held by, and each of its steps, mm. */
const GUIDE = { body: 58, step: 12, label: 5 } as const

/** One face with slits; their ends are round, so that they do not tear on. */
export function slitPanel(stack: Stack): Panel {
  const { start, sizes, rounded, trimmed } = stack
  const top = slitPanelTop(stack)
  const [w, h, r] = [sizes.pocketWidth.value, stack.height - top, footRadius(stack)]
  const shape = rectangleShape(
    w,
    h,
    { footLeft: rounded.left ? r : 0, footRight: rounded.right ? r : 0 },
    finishedFate(start.p.finish, start.p.trim, (e) =>
      e === 'right' ? trimmed.right : e === 'left' ? trimmed.left : e.startsWith('foot'),
    ),
  )
  return plainPanel({
    id: 'slit-panel',
    name: 'Slit panel',
    role: 'pockets',
    count: stack.piles,
    flipped: handed(stack) ? stack.piles - 1 : 0,
    ...shape,
    marks: stackItems(stack).map(({ index, top: y }) => ({
      type: 'slot',
      id: `slit-${index + 1}`,
      at: point(w / 2, y - top),
      angle: 0,
      length: sizes.slit.value,
      punch: B.slitEnd,
    })),
    bands: rimBand(
      'slitPanel.rim',
      'sides and foot of the slit panel',
      shape,
      ['right', 'foot-right', 'foot', 'foot-left', 'left'],
      start.leather.thickness,
    ),
  })
}

/** Width of the cloth behind a slit, mm: past the slit at both ends, short of the seams. */
export const pouchWidth = ({ sizes }: Stack): number => sizes.slit.value + 2 * B.pouchSide

/** Cloth folded once: one end stuck under the lower lip of its slit, the other above the slit. */
export function pouch(stack: Stack): Panel {
  const depth = stack.sizes.depth.value
  const [w, h] = [pouchWidth(stack), 2 * depth + B.pouchLap]
  return plainPanel({
    id: 'pouch',
    name: 'Cloth pocket',
    role: 'pockets',
    stock: CLOTH,
    count: stack.start.p.pockets * stack.piles,
    ...rectangleShape(w, h, {}, () => ({ type: 'raw', finish: 'left', trim: 0 })),
    folds: [
      {
        id: 'fold',
        name: 'fold',
        from: point(0, depth),
        to: point(w, depth),
        width: 0,
        rises: 'valley',
      },
    ],
    notes: ['this end under the lower lip', 'other end above the slit'],
  })
}

/** The lower end of a reinforcement is feathered over so much, mm. */
const FEATHERED = 5

/** A reinforcement of the pockets’ leather: from the turn over what shows of a pocket, its lower end feathered. */
function reinforcement(stack: Stack, w: number): Panel {
  const { p, leather } = stack.start
  return plainPanel({
    id: 'stay',
    name: 'Reinforcement of the tops',
    role: 'pockets',
    count: p.pockets * stack.piles,
    ...rectangleShape(w, Math.max(B.turn, p.reveal - 1), {}, () => ({
      type: 'raw',
      finish: 'left',
      trim: 0,
    })),
    skives: [
      {
        key: 'stay.foot',
        name: 'lower end of the reinforcement',
        chain: ['foot'],
        width: FEATHERED,
        start: Math.min(FEATHER_START, leather.thickness),
        end: leather.thickness,
      },
    ],
  })
}

/** From the side of a pocket to what lies inside its turned top, mm: tape meets the stitches, leather stays clear of them. */
export const stayInset = ({ start: { p, margin, hole } }: Stack): number =>
  p.tops === 'stiffened' ? margin.value + hole.value + 1 : margin.value

/** What lies inside the turned tops: tape, or leather. */
export function stay(stack: Stack): Panel {
  const { p } = stack.start
  const w = stack.sizes.pocketWidth.value - 2 * stayInset(stack)
  if (p.tops === 'stiffened') return reinforcement(stack, w)
  return plainPanel({
    id: 'stay',
    name: 'Tape of the tops',
    role: 'pockets',
    stock: TAPE,
    count: p.pockets * stack.piles,
    ...rectangleShape(w, B.turn - 1, {}, () => ({ type: 'raw', finish: 'left', trim: 0 })),
  })
}

/** A stepped strip of card: laid along the top of the carrier, each step stops the top edge of one pocket. */
export function guide(stack: Stack): Panel {
  const { body, step } = GUIDE
  const items = stackItems(stack)
  const corners: Named[] = [{ x: 0, y: 0, edge: 'top' }]
  items.forEach(({ index, top }) => {
    const x = body + step * (items.length - 1 - index)
    corners.push(
      { x, y: index === 0 ? 0 : nth(items, index - 1).top, edge: `side-${index + 1}` },
      { x, y: top, edge: `step-${index + 1}` },
    )
  })
  corners.push({ x: 0, y: lastOf(items).top, edge: 'left' })
  return plainPanel({
    id: 'guide',
    name: 'Pocket guide',
    role: 'guide',
    ...outlineOf(corners, () => ({ type: 'raw', finish: 'left', trim: 0 })),
    labelAt: point(body / 2, firstOf(items).top + GUIDE.label),
    notes: ['top flush with the top of what carries the pockets', 'each step stops a pocket’s top'],
  })
}
