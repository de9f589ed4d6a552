import { INTO_CORNER } from '../../parts/shape.js'
import { bendAllowance } from '../../../formulas/index.js'
import { courseOf, point, polyline, point3 } from '../../../geometry/index.js'
import type { Concern, Join, Panel, Stood, StoodPart } from '../../../master/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { leatherOf } from '../../kind.js'
import { X, Z, minus } from '../axes.js'
import { type Bag, isBoxed, isFan, isSetIn } from '../bag.js'
import { onPanel, rectanglePanel, row } from './onFace.js'
import { type Body, type Face, type Part, alone, part } from '../assembly.js'

/** A divider stops short of the top, and is sewn to the sides by tabs so wide, mm. */
const BENCH = { under: 10, tab: 14, above: 3, min: 30 } as const

/** What of a divider is reckoned, and how high it is, mm. */
interface Wall {
  readonly gap: Reckoned
  readonly across: Reckoned
  readonly bend: number
  readonly high: number
}

function wallOf(bag: Bag, body: Body): Wall {
  const { p, size, materials } = bag
  const inner = leatherOf(materials, 'inner')
  const bend = bendAllowance(Math.PI / 2, 0, inner.thickness, inner.neutral)
  const gap = size('divider.wide', 'divider between the sides', '{wide} room inside', '§20', {
    wide: given('width inside', p.wide),
  })
  const across = size(
    'divider.cut',
    'divider with its tabs',
    '{gap} + 2 × ({bend} round the fold + {tab} tab)',
    '§20',
    { gap, bend: given('bend', bend), tab: given('tab', BENCH.tab) },
  )
  const high = Math.max(BENCH.min, body.front.high - BENCH.under - BENCH.above - radiusRoom(bag))
  return { gap, across, bend, high }
}

/** The wall as it is cut, a tab folded off at either side. */
const wallPanel = (bag: Bag, { across, bend, high }: Wall): Panel =>
  rectanglePanel(bag, 'divider', 'Divider', 'inner', across.value, high, {
    folds: [BENCH.tab + bend / 2, across.value - BENCH.tab - bend / 2].map((x, i) => ({
      id: `tab-${i + 1}`,
      name: 'fold of the tab',
      from: point(x, 0),
      to: point(x, high),
      width: bend,
      rises: 'mountain' as const,
      angle: Math.PI / 2,
    })),
  })

/** A tab down the middle of its side. */
function tabSeam(body: Body, { across, high }: Wall, way: 'right' | 'left'): Join {
  const face = body[way]
  // A side may begin below the top edges: its tab is sewn from there.
  const low = lowerBy(body, face)
  const y = (q: number): number => BENCH.under - low + q
  const start = Math.min(high / 2, Math.max(4, low - BENCH.under + 4))
  const x = way === 'right' ? across.value - BENCH.tab / 2 : BENCH.tab / 2
  // The tabs are turned to the back: so far behind the middle of the bag, wherever on the side that is.
  const frame = face.frame(1)
  const there = (-BENCH.tab / 2 - frame.origin.z) / frame.right.z
  return {
    ...row(
      `divider-${way}`,
      `${way} tab of the divider`,
      'divider',
      [point(x, start), point(x, high - 4)],
      ['divider', face.sheet],
    ),
    mate: {
      type: 'line' as const,
      sheet: face.sheet,
      line: polyline([onPanel(face, there, y(start)), onPanel(face, there, y(high - 4))]),
    },
    twin: way === 'right' ? 'divider-left' : 'divider-right',
    pairName: 'tabs of the divider',
  }
}

/** From its middle to either side, and round into the tabs. */
function standing({ gap, across, bend }: Wall, top: number): Stood {
  const middle = across.value / 2
  const half = (way: 1 | -1): StoodPart => ({
    clips: [{ at: point(middle, 0), inward: point(way, 0) }],
    from: point(middle, 0),
    along: point(way, 0),
    course: courseOf([{ length: gap.value / 2 }, { length: bend, turn: Math.PI / 2 }, { length: BENCH.tab }]),
    frame: { origin: point3(0, top, 0), along: way > 0 ? X : minus(X), rise: Z },
  })
  return { sheet: 'divider', seamOffset: 0, parts: [half(1), half(-1)] }
}

const IN_A_FOLD: Concern = {
  id: 'divider-in-fold',
  rank: 'stop',
  panelId: 'side',
  at: point(10, 10),
  what: 'A divider can’t be sewn down the middle of a side that folds',
  why: 'The fold lies there. Take more pleats for more compartments, or another gusset.',
  remedy: { field: 'divider', value: 'none', said: 'no divider' },
}

/** A wall between front and back, its sides turned and sewn down the middle of the gusset. */
export function divider(bag: Bag, body: Body): Part {
  if (isFan(bag.p)) return part({ concerns: [IN_A_FOLD] })
  const wall = wallOf(bag, body)
  const panel = wallPanel(bag, wall)
  return part({
    panels: [panel],
    piles: [alone(panel)],
    joins: [tabSeam(body, wall, 'right'), tabSeam(body, wall, 'left')],
    sizes: [wall.gap, wall.across].map((size) => ({ panelId: 'divider', size })),
    stood: (opened) => [standing(wall, body.front.frame(opened).origin.y - BENCH.under)],
  })
}

/** How far below the top edge of the front a side begins, mm. */
function lowerBy({ front }: Body, side: Face): number {
  const [top, at] = [front.frame(1), side.frame(1)]
  return Math.max(0, (top.origin.y - at.origin.y) / Math.abs(top.down.y))
}

/** A divider keeps clear of the rounded foot, mm. */
const radiusRoom = ({ p, s }: Bag): number =>
  isBoxed(p) || isSetIn(p) ? 0 : Math.min(p.radius, s.high.value / 2) * INTO_CORNER
