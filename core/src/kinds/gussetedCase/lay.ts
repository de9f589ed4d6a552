import { type Move, STAY, flipAbout, moveThen, point, shift, turn } from '../../geometry/index.js'
import { lastOf, required } from '../../lists/index.js'
import { type Join, type Layup, type Sheet, clipAt, clipMoved } from '../../master/index.js'
import { type FoldedPanel, foldedMove, stripBend, stripSheet } from '../parts/folding.js'
import { edgeSeam, lineSeam } from '../parts/seams.js'
import { rectangle } from '../parts/shape.js'
import { contentSheet, panelSheet, pileMoved, pileTurnedOver } from '../parts/sheets.js'
import { type Pile, firstTop, pileJoins, pileSheets, pileSides, slitPanelTop } from '../pockets/index.js'
import { type OnBack, flatJoins, flatLayups } from './flatLay.js'
import { type CaseParams, isFaced } from './params.js'
import { backTop } from './panels.js'
import { BENCH, type CaseSizes } from './sizes.js'

type Side = 'left' | 'right'
const SIDES: readonly Side[] = ['left', 'right']
const other = (side: Side): Side => (side === 'left' ? 'right' : 'left')

/** The pile of pockets in the middle of the back, on its grain side. */
const pocketLeft = (s: CaseSizes): number =>
  (s.width.value - required(s.stack, 'stack').sizes.pocketWidth.value) / 2
const PILE: Pile = { suffix: '', said: '', move: STAY, carriers: ['back'] }

/** From a gusset to where its half lies folded flat along the side of the front; `behind` is the half at the back. */
function gussetMove(s: CaseSizes, side: Side, behind: boolean): Move {
  const half = s.gussetHalf.value
  // Over a flat foot a side slants by half of what its foot is shallower.
  const slant = s.foot ? (s.gussetTop.value - s.foot.deep.value) / 2 : half - s.margin.value
  const lean = Math.atan2(slant, s.gussetHigh.value)
  // The left half stands with its slanting edge upright at x = 0; the right half lies on it, turned over.
  const upright = moveThen(behind ? STAY : flipAbout(half), turn(lean))
  const placed = moveThen(upright, shift(0, backTop(s)))
  return side === 'left' ? placed : moveThen(placed, flipAbout(s.width.value / 2))
}

function gussetSheets(s: CaseSizes, side: Side): { behind: Sheet; before: Sheet } {
  const half = s.gussetHalf.value
  const one = (behind: boolean): Sheet => {
    const move = gussetMove(s, side, behind)
    const clip = clipMoved(clipAt(point(half, 0), point(behind ? -1 : 1, 0)), move)
    return panelSheet(`gusset-${side}-${behind ? 'back' : 'front'}`, 'gusset', 'gusset', move, behind, [clip])
  }
  return { behind: one(true), before: one(false) }
}

function bridgeSheets(p: CaseParams, s: CaseSizes): Sheet[] {
  if (p.bridge === 'none') return []
  const x = s.width.value / 2
  const y = backTop(s) + (s.height.value - BENCH.bridgeWide) / 2
  const [span, tab, length] = [BENCH.bridgeSpan, BENCH.bridgeTab, s.bridge.value]
  const cut = (at: number, inward: number) => [clipAt(point(at, 0), point(inward, 0))]
  return [
    panelSheet(
      'bridge-left',
      'bridge support',
      'bridge',
      shift(x - span / 2 - tab, y),
      true,
      cut(x - span / 2, -1),
    ),
    panelSheet(
      'bridge-right',
      'bridge support',
      'bridge',
      shift(x + span / 2 + tab - length, y),
      true,
      cut(x + span / 2, 1),
    ),
  ]
}

/** Folded flat with the flap open; and closed. */
export function caseLayups(p: CaseParams, s: CaseSizes): Layup[] {
  const folded: FoldedPanel = { panelId: 'back', name: 'back', strips: s.strips, stays: 1 }
  // What lies on the grain side of the back is below it: the pile is turned over about the middle of the back.
  const pile = s.stack
    ? pileTurnedOver(
        pileMoved(pileSheets(s.stack, PILE), shift(pocketLeft(s), backTop(s))),
        flipAbout(s.width.value / 2),
      )
    : []
  const gussets = SIDES.map((side) => gussetSheets(s, side))
  const thing = contentSheet(
    'thing',
    'what goes in',
    rectangle(p.wide, p.high),
    p.deep,
    shift((s.width.value - p.wide) / 2, backTop(s) + p.ease),
  )
  const facing = facingSheets(p, folded)
  const between: Sheet[] = [...gussets.map((g) => g.behind), ...gussets.map((g) => g.before), thing]
  if (s.foot) return flatLayups(s, { below: pile, above: bridgeSheets(p, s), between, facing })
  const above: Sheet[] = [
    ...bridgeSheets(p, s),
    ...between,
    panelSheet('front', 'front', 'front', shift(0, backTop(s)), true),
  ]
  return [
    {
      id: 'open',
      name: 'folded flat, flap open',
      carrier: 'back',
      sheets: [...pile, panelSheet('back', 'back', 'back', STAY, false), ...facing.open, ...above],
    },
    {
      id: 'closed',
      name: 'closed',
      carrier: 'back',
      sheets: [
        ...pile,
        stripSheet(folded, 1, false),
        ...above,
        ...facing.closed,
        stripSheet(folded, 0, false),
      ],
      bends: [stripBend(folded, 0)],
    },
  ]
}

/** What is behind the flap, on its flesh side: laid out, and folded over with it. */
function facingSheets(p: CaseParams, folded: FoldedPanel): OnBack['facing'] {
  if (!isFaced(p)) return { open: [], closed: [] }
  const sheet = (move: Move, grainUp: boolean): Sheet =>
    panelSheet('facing', 'facing of the flap', 'facing', move, grainUp)
  return { open: [sheet(STAY, true)], closed: [sheet(foldedMove(folded, 0), false)] }
}

/** Round the flap before anything is set in it. */
function facingJoin(p: CaseParams, s: CaseSizes): Join[] {
  if (!isFaced(p)) return []
  const round = p.corner > 0
  const chain = ['left', ...(round ? ['top-left'] : []), 'top', ...(round ? ['top-right'] : []), 'right']
  const m = s.margin.value
  return [
    edgeSeam({
      id: 'facing',
      name: 'facing of the flap',
      sheet: 'facing',
      chain,
      margin: s.margin,
      trims: [m, m],
      through: ['back', 'facing'],
      glue: [{ sheet: 'facing', chain: [...chain, 'foot'], limit: 2 * m }],
    }),
  ]
}

/** The pile and the bridge on the back first, then each gusset to the back, to the front, and the foot last. */
export function caseJoins(p: CaseParams, s: CaseSizes): Join[] {
  const { margin } = s
  const [w, h] = [s.width.value, s.height.value]
  const seam = (side: Side, part: 'back' | 'front'): Join => {
    const sheet = `gusset-${side}-${part}`
    // The slanting edge that lies on this panel: the left one of the half at the back, the right one of the other.
    const edge = part === 'back' ? 'left' : 'right'
    return edgeSeam({
      id: `${part}-${side}`,
      name: `${side} gusset to the ${part}`,
      sheet,
      chain: [edge],
      margin,
      trims: [margin.value, margin.value],
      backwards: part === 'back',
      through: part === 'back' ? ['back', sheet] : [sheet, 'front'],
      glue: [
        { sheet, chain: [edge], limit: margin.value },
        ...(part === 'front' ? [{ sheet: 'front', chain: [side], limit: margin.value }] : []),
      ],
      twin: `${part}-${other(side)}`,
      pairName: `gussets to the ${part}`,
    })
  }
  const foot = lineSeam({
    id: 'foot',
    name: 'foot',
    sheet: 'front',
    points: [point(margin.value, h - margin.value), point(w - margin.value, h - margin.value)],
    through: ['back', ...SIDES.flatMap((side) => [`gusset-${side}-back`, `gusset-${side}-front`]), 'front'],
    glue: [
      { sheet: 'front', chain: ['foot'], limit: margin.value },
      { sheet: 'back', chain: ['foot'], limit: margin.value },
    ],
  })
  const before = [...facingJoin(p, s), ...(s.stack ? pocketJoins(s) : []), ...bridgeJoins(p, s)]
  if (s.foot) return [...before, ...flatJoins(s, s.foot)]
  return [
    ...before,
    ...SIDES.map((side) => seam(side, 'back')),
    ...SIDES.map((side) => ({ ...seam(side, 'front'), closes: true })),
    { ...foot, closes: true },
  ]
}

/** Feet of the upper pockets, then round the pile: down one side, along its foot and up the other. */
function pocketJoins(s: CaseSizes): Join[] {
  const stack = required(s.stack, 'stack')
  const { margin, pitch, hole } = stack.start
  const sides = pileSides(stack, PILE)
  const front = lastOf(sides)
  const slits = front.sheet.startsWith('slits')
  const offset = slits
    ? slitPanelTop(stack)
    : stack.height - stack.sizes.depth.value - hole.value - margin.value
  // In the frame of the front pocket the arms of those above it begin higher up.
  const start = slits ? margin.value : firstTop(stack) - offset + pitch.value / 2
  const [x, right] = [margin.value, stack.sizes.pocketWidth.value - margin.value]
  const foot = stack.height - margin.value - offset
  return [
    ...pileJoins(stack, PILE, 'open'),
    lineSeam({
      id: 'pile',
      name: 'sides and foot of the pockets',
      sheet: front.sheet,
      points: [point(x, start), point(x, foot), point(right, foot), point(right, start)],
      through: ['back', ...sides.map((i) => i.sheet)],
      glue: [
        ...sides.flatMap((i) =>
          [i.left, i.right].map((chain) => ({ sheet: i.sheet, chain, limit: margin.value })),
        ),
        { sheet: front.sheet, chain: ['foot'], limit: margin.value },
      ],
    }),
  ]
}

function bridgeJoins(p: CaseParams, s: CaseSizes): Join[] {
  if (p.bridge === 'none') return []
  const [tab, wide, length] = [BENCH.bridgeTab, BENCH.bridgeWide, s.bridge.value]
  const row = (id: Side, x: number): Join =>
    lineSeam({
      id: `bridge-${id}`,
      name: `${id} tab of the bridge support`,
      sheet: `bridge-${id}`,
      points: [point(x, 3), point(x, wide - 3)],
      through: ['back', `bridge-${id}`],
      back: [1, 1],
      glue: [{ sheet: `bridge-${id}`, chain: [id], limit: tab }],
      twin: `bridge-${other(id)}`,
      pairName: 'tabs of the bridge support',
    })
  return [row('left', tab / 2), row('right', length - tab / 2)]
}
