import { type Point, courseOf, point, point3, polyline } from '../../../geometry/index.js'
import type { Join, Panel } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { leatherOf } from '../../kind.js'
import { outlineOf, plainPanel } from '../../parts/shape.js'
import { Y, Z, minus } from '../axes.js'
import { type Bag } from '../bag.js'
import { row } from '../parts/onFace.js'
import type { Box, Face, LappedBase } from './boxedTypes.js'

/** What is left of the face above the lap, mm. */
const LEFT_ABOVE = 20

/** Front and back end so far above where the foot begins: the base panel alone goes round there, mm. */
const SHORT = 2
/** Two rows lie so far apart at least, mm. */
const APART = 4
/** Its laps are a little narrower than the front between its folds, mm. */
const IN = 0.5

/** Whether the foot of the bag is a panel of its own. */
export const isLapped = ({ p }: Bag): boolean => p.base === 'lapped' && p.body === 'boxed'

export function lappedBase(bag: Bag, box: Omit<Box, 'base'>): LappedBase {
  const { p, size, body, materials } = bag
  const base = leatherOf(materials, 'gusset')
  const { c, m, w, fold, xl, xr } = box
  const lap = Math.min(p.baseLap, fold - LEFT_ABOVE)
  const high = size(
    'base.lapped',
    'base panel from lap to lap',
    '{foot} foot + {body} + {base} to lie on the outside of front and back + 2 × {lap} lapped',
    '§20',
    {
      foot: given('foot', 2 * c.value),
      body: given('front', body.thickness, 'thickness'),
      base: given('base panel', base.thickness, 'thickness'),
      lap: given('lap', lap),
    },
  )
  const wide = xr - xl + 2 * m
  const middle = high.value / 2
  const onFoot: LappedBase['onFoot'] = (face, { x, y }) => {
    const off = fold + c.value - y
    return face === 'front' ? point(x - c.value, middle - off) : point(w - x - c.value, middle + off)
  }
  const lapped = rows({ bag, box, wide, lap, high: high.value, base: base.thickness * base.neutral })
  return {
    panel: panelOf(bag, { wide, high: high.value, m, lap }),
    high,
    endsAt: fold - SHORT,
    onFoot,
    ...lapped,
  }
}

interface Sized {
  readonly wide: number
  readonly high: number
  readonly m: number
  readonly lap: number
}

/** A foot with its allowances at both ends, and a lap in front and behind between the folds of the sides. */
function panelOf(bag: Bag, { wide, high, m, lap }: Sized): Panel {
  const [l, r] = [m + IN, wide - m - IN]
  const [front, back] = [lap, high - lap]
  return plainPanel({
    id: 'base-panel',
    name: 'Base panel',
    role: 'gusset',
    ...outlineOf(
      [
        { x: l, y: 0, edge: 'lap-front' },
        { x: r, y: 0, edge: 'lap-front-right' },
        { x: r, y: front, edge: 'shoulder-front-right' },
        { x: wide, y: front, edge: 'foot-right' },
        { x: wide, y: back, edge: 'shoulder-back-right' },
        { x: r, y: back, edge: 'lap-back-right' },
        { x: r, y: high, edge: 'lap-back' },
        { x: l, y: high, edge: 'lap-back-left' },
        { x: l, y: back, edge: 'shoulder-back-left' },
        { x: 0, y: back, edge: 'foot-left' },
        { x: 0, y: front, edge: 'shoulder-front-left' },
        { x: l, y: front, edge: 'lap-front-left' },
      ],
      (edge) => (edge === 'foot-right' || edge === 'foot-left' ? bag.seamed : bag.plain),
    ),
    labelAt: point(wide / 2, high / 2),
  })
}

interface Laid {
  readonly bag: Bag
  readonly box: Omit<Box, 'base'>
  readonly wide: number
  readonly lap: number
  readonly high: number
  /** From the inside of its leather to its neutral axis, mm. */
  readonly base: number
}

/** Its two rows on front and back, and how it stands: up the outside of the front, round the foot, up the back. */
function rows({ bag, box, wide, lap, high, base }: Laid): Pick<LappedBase, 'oneRow' | 'rows' | 'stood'> {
  const { p, body, materials } = bag
  const { fold, bend, c, w } = box
  const t = leatherOf(materials, 'gusset').thickness
  const neutral = body.neutral * body.thickness
  const [top, z] = [fold - bend / 2 + neutral, neutral + c.value - bend / 2]
  const out = z + (body.thickness + t) / 2
  const corner = { length: (Math.PI / 2) * base, turn: Math.PI / 2 }
  const flat = 2 * (out - base)
  const straight = high / 2 - corner.length - flat / 2
  // Its upper edge stands so high over the foot; the front’s own edge is `top` over it.
  const edge = top - (base + straight)
  const m = p.margin
  // What of the lap lies on the front.
  const on = fold - SHORT - edge
  const ys = on >= 2 * m + APART ? [m, on - m] : [on / 2]
  const rowOf = (face: Face, by: number, i: number): Join => {
    const [from, to] = [box.m + IN + 3, wide - box.m - IN - 3]
    const front = face.id === 'front'
    const y = front ? by : high - by
    const there = (x: number): Point => {
      const own = front ? x + c.value : w - c.value - x
      return face.place(point(own, edge + by))
    }
    return {
      ...row(
        `base-${face.id}-${i + 1}`,
        `base panel to the ${face.id}, row ${i + 1}`,
        'base-panel',
        [point(from, y), point(to, y)],
        ['base-panel', face.sheet],
      ),
      mate: { type: 'line', sheet: face.sheet, line: polyline([there(from), there(to)]) },
    }
  }
  return {
    oneRow: ys.length > 1 ? undefined : Math.ceil(lap + 2 * m + APART - on),
    rows: (faces) => faces.flatMap((face) => ys.map((by, i) => rowOf(face, by, i))),
    stood: () => ({
      sheet: 'base-panel',
      seamOffset: 0,
      parts: [
        {
          clips: [],
          from: point(0, 0),
          along: point(0, 1),
          course: courseOf([{ length: straight }, corner, { length: flat }, corner, { length: straight }]),
          frame: { origin: point3(-wide / 2, base + straight, out), along: minus(Y), rise: Z },
        },
      ],
    }),
  }
}
