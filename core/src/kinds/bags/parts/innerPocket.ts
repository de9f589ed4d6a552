import { point, polyline } from '../../../geometry/index.js'
import type { Concern, Join } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { type Bag, isBoxed, isSetIn } from '../bag.js'
import { onPanel, putOn, rectanglePanel, row, uSeam } from './onFace.js'
import { type Face, type Part, part } from '../assembly.js'

/** An inner pocket leaves so much of the height of what carries it, mm; what is wrong is shown so far below its top. */
const LEFT_OF_HEIGHT = 12
const SHOWN_BELOW_TOP = 6

/** Beside a pocket at least, mm. */
const BESIDE = 3
/** How wide a pocket may be: one with pleats is cut wider, and keeps off the seams as long as it lies flat. */
function widestOn(bag: Bag, face: Face, full: number, above: number): number {
  if (full <= 0) return face.wide - 2 * BESIDE
  const [round, up] = [roundOf(bag), ABOVE_FOOT + above]
  const reach = up >= round ? 0 : round - Math.sqrt(round ** 2 - (round - up) ** 2)
  return Math.max(LEAST, face.wide - 2 * (BESIDE + reach) - full)
}
/** No pocket is narrower, mm. */
const LEAST = 20

/** The body’s rounded corners on its faces, mm. */
const roundOf = (bag: Bag): number => (isBoxed(bag.p) || isSetIn(bag.p) ? 0 : bag.p.radius)

/** Corners of a flat pocket, and from the foot of the face to that of the pocket, mm. */
const CORNER = 8
const ABOVE_FOOT = 6
/** A pocket that comes near the body’s rounded corners is as round, or it would lie over the seam there. */
function cornerOf(bag: Bag, beside: number, above: number): number {
  const body = roundOf(bag)
  const [aside, over] = [beside / 2, ABOVE_FOOT + above]
  return aside >= body || over >= body ? CORNER : Math.max(CORNER, body - Math.min(aside, over))
}

/** A pocket on the inside of a face, flat or with fullness in a pleat at each side. */
export function innerPocket(
  bag: Bag,
  face: Face,
  id: string,
  name: string,
  size: { wide: number; high: number; full: number; above?: number; asked?: boolean },
): Part {
  const { size: reckon } = bag
  const margin = bag.p.margin
  const above = size.above ?? 0
  const wide = Math.min(size.wide, widestOn(bag, face, size.full, above))
  const high = Math.min(size.high, face.high - LEFT_OF_HEIGHT - above)
  const across = reckon(
    `${id}.wide`,
    'pocket cut wide',
    size.full > 0 ? '{wide} where it is sewn + 2 × {full} for the pleats' : '{wide}',
    '§20',
    { wide: given('width', wide), full: given('fullness', size.full / 2) },
  )
  const full = size.full > 0
  const round = full ? 0 : cornerOf(bag, face.wide - wide, above)
  const panel = rectanglePanel(bag, id, name, 'inner', across.value, high, {
    foot: round,
    folds: full
      ? [size.full / 2 + margin, across.value - size.full / 2 - margin].map((x, i) => ({
          id: `pleat-${i + 1}`,
          name: 'pleat',
          from: point(x, 0),
          to: point(x, high),
          width: 0,
          rises: 'mountain' as const,
          angle: 0,
          note: 'pleat to the side seam',
        }))
      : [],
    notes: full ? ['sew the sides first, then lay the pleats and sew the foot'] : [],
  })
  const top = face.high - high - ABOVE_FOOT - above
  const lies = putOn(face, panel, { x: 0, y: top, inside: true })
  const seam = uSeam(bag, `${id}-seam`, `seam of the ${name.toLowerCase()}`, id, face.sheet, round)
  return part({
    panels: [panel],
    onto: [lies],
    joins: full ? fullSeams(bag, face, { id, name, across: across.value, high, wide, top }) : [seam],
    concerns: size.asked === true ? smallerPocket(id, size, { wide, high }) : [],
    sizes: [{ panelId: id, size: across }],
  })
}

/** There is less room for a pocket than was asked for. */
function smallerPocket(
  id: string,
  asked: { readonly wide: number; readonly high: number },
  made: { readonly wide: number; readonly high: number },
): Concern[] {
  const [narrower, lower] = [asked.wide - made.wide > 0.5, asked.high - made.high > 0.5]
  if (!narrower && !lower) return []
  return [
    {
      id: 'pocket-smaller',
      rank: 'look',
      panelId: id,
      at: point(made.wide / 2, SHOWN_BELOW_TOP),
      what: 'The inner pocket is made {wide} wide and {high} high, not {askedWide} by {askedHigh}',
      lengths: { ...made, askedWide: asked.wide, askedHigh: asked.high },
      why: 'There is no more room for it inside. Ask for a smaller one, or make the bag larger.',
      remedy: narrower
        ? {
            field: 'pocketWide',
            value: Math.floor(made.wide),
            said: lower ? 'a smaller pocket' : 'a narrower pocket',
            ...(lower ? { and: { field: 'pocketHigh', value: Math.floor(made.high) } } : {}),
          }
        : { field: 'pocketHigh', value: Math.floor(made.high), said: 'a lower pocket' },
    },
  ]
}

/** A pocket cut wider than the place it is sewn to, mm; `top` from the top of the face. */
interface FullPocket {
  readonly id: string
  readonly name: string
  readonly across: number
  readonly high: number
  readonly wide: number
  readonly top: number
}

/** Sides of a full pocket come in to a narrower place on what it is sewn to; its foot is pleated to that. */
function fullSeams(bag: Bag, face: Face, { id, name, across, high, wide, top }: FullPocket): Join[] {
  const m = bag.p.margin
  const foot = high - m
  const there = (x: number, y: number) => onPanel(face, x, top + y)
  const seam = (way: 'right' | 'left', x: number, to: number): Join => ({
    ...row(
      `${id}-${way}`,
      `${way} side of the ${name.toLowerCase()}`,
      id,
      [point(x, 3), point(x, foot)],
      [id, face.sheet],
    ),
    mate: {
      type: 'line',
      sheet: face.sheet,
      line: polyline([there(to, 3), there(to, foot)]),
    },
    twin: way === 'right' ? `${id}-left` : `${id}-right`,
    pairName: `sides of the ${name.toLowerCase()}`,
  })
  const half = wide / 2 - m
  const pleats = (across - wide) / 2
  return [
    // Seen from inside, the right of the piece is the left of the face.
    seam('right', across - m, -half),
    seam('left', m, half),
    row(
      `${id}-foot`,
      `foot of the ${name.toLowerCase()}`,
      id,
      [point(across - m - pleats, foot), point(m + pleats, foot)],
      [id, face.sheet],
    ),
  ]
}
