import { type Move, STAY, flipAbout, moveThen, point, shift, turn } from '../../geometry/index.js'
import type { Join, Layup, Panel, PanelMark, Sheet } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type FoldedPanel, foldsOf, stripBend, stripSheet } from '../parts/folding.js'
import { edgeSeam, lineSeam } from '../parts/seams.js'
import { finishedFate, outlineOf, plainPanel, rectangle, rectangleShape, rimBand } from '../parts/shape.js'
import { clipAt, clipMoved, contentSheet, panelSheet, pileMoved, pileTurnedOver } from '../parts/sheets.js'
import {
  type Pile,
  firstTop,
  pileJoins,
  pileSheets,
  pileSides,
  slitPanelTop,
  stackPanels,
} from '../pockets/index.js'
import type { CaseParams } from './params.js'
import { BENCH, type CaseSizes } from './sizes.js'

type Side = 'left' | 'right'
const SIDES: readonly Side[] = ['left', 'right']
const other = (side: Side): Side => (side === 'left' ? 'right' : 'left')

const backTop = (s: CaseSizes): number => s.strips[1]!.from
const snapMark = (x: number, y: number, punch: number): PanelMark => ({
  type: 'hole',
  id: 'snap',
  at: point(x, y),
  punch,
})

export function casePanels(p: CaseParams, s: CaseSizes, materials: Materials): Panel[] {
  const [w, h] = [s.width.value, s.height.value]
  const [tb, tg] = ['body', 'gusset'].map((role) => leatherOf(materials, role).thickness)
  const fate = finishedFate(p.finish, p.trim, (e) => ['left', 'right', 'foot'].includes(e))
  const front = rectangleShape(w, h, {}, fate)
  const back = rectangleShape(w, s.bodyLength.value, { topLeft: p.corner, topRight: p.corner }, fate)
  const half = s.gussetHalf.value
  const footRise = (s.margin.value * (half - s.margin.value)) / s.gussetHigh.value
  const gusset = outlineOf(
    [
      { x: 0, y: 0, edge: 'top' },
      { x: 2 * half, y: 0, edge: 'right' },
      { x: half + s.margin.value, y: s.gussetHigh.value, edge: 'foot' },
      // Folded flat, the foot lies level: its middle is cut a little higher.
      { x: half, y: s.gussetHigh.value - footRise, edge: 'foot-2' },
      { x: half - s.margin.value, y: s.gussetHigh.value, edge: 'left' },
    ],
    finishedFate(p.finish, p.trim, (e) => e === 'left' || e === 'right'),
  )
  const sides = ['left', 'right', 'foot']
  const rims = (id: string, name: string, shape: typeof front, t: number) =>
    sides.flatMap((e) => rimBand(`${id}.rim`, `sides and foot of the ${name}`, shape, [e], t))
  const snapped = p.closure === 'snap'
  return [
    plainPanel({
      id: 'back',
      name: 'Back and flap',
      role: 'body',
      ...back,
      folds: foldsOf({ strips: s.strips }, 0, w, 'valley'),
      bands: rims('back', 'back', back, tb!),
      marks: snapped ? [snapMark(w / 2, BENCH.snapIn, BENCH.snapCap)] : [],
      notes: snapped ? ['set the cap of the snap before the front is sewn on'] : [],
      labelAt: point(w / 2, backTop(s) + h / 2),
    }),
    plainPanel({
      id: 'front',
      name: 'Front',
      role: 'body',
      ...front,
      bands: rims('front', 'front', front, tb!),
      marks: snapped ? [snapMark(w / 2, p.flap - BENCH.snapIn, BENCH.snapStud)] : [],
      notes: snapped ? ['set the stud of the snap before it is sewn'] : [],
    }),
    plainPanel({
      id: 'gusset',
      name: 'Side gusset',
      role: 'gusset',
      count: 2,
      ...gusset,
      folds: [
        {
          id: 'fold',
          name: 'fold',
          from: point(half, 0),
          to: point(half, s.gussetHigh.value),
          width: 0,
          rises: 'valley',
        },
      ],
      bands: ['left', 'right'].flatMap((e) => rimBand('gusset.rim', 'sides of the gusset', gusset, [e], tg!)),
      grain: Math.PI / 2,
    }),
    ...(p.bridge === 'bridge'
      ? [
          plainPanel({
            id: 'bridge',
            name: 'Bridge support',
            role: 'gusset',
            ...rectangleShape(
              s.bridge.value,
              BENCH.bridgeWide,
              {},
              finishedFate(p.finish, 0, () => false),
            ),
            notes: ['finish its edges before it is sewn in; it stands as an arch between its tabs'],
          }),
        ]
      : []),
    ...(s.stack ? stackPanels(s.stack) : []),
  ]
}

/** The pile of pockets in the middle of the back, on its grain side. */
const pocketLeft = (s: CaseSizes): number => (s.width.value - s.stack!.sizes.pocketWidth.value) / 2
const PILE: Pile = { suffix: '', said: '', move: STAY, carriers: ['back'] }

/** From a gusset to where its half lies folded flat along the side of the front; `behind` is the half at the back. */
function gussetMove(s: CaseSizes, side: Side, behind: boolean): Move {
  const half = s.gussetHalf.value
  const lean = Math.atan2(half - s.margin.value, s.gussetHigh.value)
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
  const [left, right] = SIDES.map((side) => gussetSheets(s, side))
  const thing = contentSheet(
    'thing',
    'what goes in',
    rectangle(p.wide, p.high),
    p.deep,
    shift((s.width.value - p.wide) / 2, backTop(s) + p.ease),
  )
  const above: Sheet[] = [
    ...bridgeSheets(p, s),
    left!.behind,
    right!.behind,
    left!.before,
    right!.before,
    thing,
    panelSheet('front', 'front', 'front', shift(0, backTop(s)), true),
  ]
  return [
    {
      id: 'open',
      name: 'folded flat, flap open',
      carrier: 'back',
      sheets: [...pile, panelSheet('back', 'back', 'back', STAY, false), ...above],
    },
    {
      id: 'closed',
      name: 'closed',
      carrier: 'back',
      sheets: [...pile, stripSheet(folded, 1, false), ...above, stripSheet(folded, 0, false)],
      bends: [stripBend(folded, 0)],
    },
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
  return [
    ...(s.stack ? pocketJoins(s) : []),
    ...bridgeJoins(p, s),
    ...SIDES.map((side) => seam(side, 'back')),
    ...SIDES.map((side) => seam(side, 'front')),
    foot,
  ]
}

/** Feet of the upper pockets, then round the pile: down one side, along its foot and up the other. */
function pocketJoins(s: CaseSizes): Join[] {
  const stack = s.stack!
  const { margin, pitch, hole } = stack.start
  const sides = pileSides(stack, PILE)
  const front = sides.at(-1)!
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
