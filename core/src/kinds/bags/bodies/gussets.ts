import { firstOf } from '../../../lists/index.js'
import { STAY, point, shift, type Path } from '../../../geometry/index.js'
import { type Panel, type PanelSheet } from '../../../master/index.js'
import { lineSeam } from '../../parts/seams.js'
import { plainPanel, rectangleShape } from '../../parts/shape.js'
import { panelSheet } from '../../parts/sheets.js'
import { BENCH, type Bag, hasOneGusset, isBackRaw } from '../bag.js'
import { alone, type Meeting, type Part } from '../assembly.js'
import { cornerCuts, cutMarks, radiusFor, snipsAlong, type Profile } from './profile.js'
import { seamSkives } from '../skiving.js'
import { halfAt, stripShape, type Strip, widest } from './strip.js'

/** Where one piece laps another their outlines are told apart by so much, mm. */
const LAPPED = 0.2
/** Of a side so much is left above its corner at least, mm. */
const LOWEST = 30

/** So far past the corner the sides of a gusset in three pieces reach over its foot, mm. */
export const SIDE_LAP = BENCH.lap + 4

export interface Gussets {
  readonly panels: readonly Panel[]
  readonly pile: { readonly base: string; readonly sheets: readonly PanelSheet[] }
  readonly joins: Part['joins']
  /** The sheet that carries the stitch lines, and where along the whole strip it begins. */
  readonly base: string
  readonly start: number
  readonly sheets: readonly string[]
  readonly inBase: (path: Path) => Path
  /** Where the strip's own course begins on each of its pieces, and which way it runs there. */
  readonly stands: readonly {
    readonly sheet: string
    readonly from: number
    readonly along: 1 | -1
    /** A piece that laps another lies that much further out, mm. */
    readonly seamOffset: number
  }[]
}

const endFate = (bag: Bag): Panel['edges'][number]['fate'] =>
  bag.p.ends === 'long' ? { type: 'long', by: BENCH.long } : bag.topFate

function stripSnips(bag: Bag, strip: Strip, profileRadius: number, level: number): Path[] {
  const cuts = cornerCuts(bag, profileRadius)
  // A flange that stands outwards is stretched round the corner; cuts would show.
  if (!cuts || bag.p.body === 'tapered' || bag.p.seam === 'raw') return []
  const wide = 2 * level + bag.margin.value - bag.back.margin.value
  return strip.corners.flatMap(([from, to]) => [
    ...(isBackRaw(bag.p) ? [] : snipsAlong(from, to, 0, 1, cuts)),
    ...snipsAlong(from, to, wide, -1, cuts),
  ])
}

/** How far below the top edges the ends of a gusset in one strip lie, mm: never into its corners. */
export const lowOf = ({ p, s }: Bag): number =>
  hasOneGusset(p) ? Math.max(0, Math.min(p.gussetLow, s.high.value - p.radius - LOWEST)) : 0

export function oneStrip(bag: Bag, strip: Strip): Gussets {
  const { margin, gusset, s, p } = bag
  const level = widest(strip) / 2 + bag.back.margin.value
  const radius = radiusFor(p.radius, s.wide.value, s.high.value)
  const shape = stripShape(
    strip,
    { upper: bag.back.margin.value, lower: margin.value },
    (edge) => (edge.startsWith('end') ? endFate(bag) : edge === 'back-side' ? bag.back.seamed : bag.seamed),
    { upper: 'back-side', lower: 'front-side', start: 'end-right', end: 'end-left' },
    lowOf(bag),
  )
  const panel = plainPanel({
    id: 'gusset',
    name: 'Gusset',
    role: 'gusset',
    ...shape,
    ...seamSkives(bag, ['back-side'], gusset.thickness, 'gusset-back'),
    marks: cutMarks('snips', stripSnips(bag, strip, radius, level)),
    notes: p.ends === 'long' ? ['cut to length once it is sewn'] : [],
  })
  const both = seamSkives(bag, ['front-side'], gusset.thickness, 'gusset-front').skives ?? []
  return {
    panels: [panel.skives ? { ...panel, skives: [...panel.skives, ...both] } : panel],
    pile: alone(panel),
    joins: [],
    base: 'gusset',
    start: 0,
    sheets: ['gusset'],
    inBase: (path) => path,
    stands: [{ sheet: 'gusset', from: 0, along: 1, seamOffset: 0 }],
  }
}

/** Two sides that lap over a piece for the foot, each held by a row across. */
export function threeStrips(bag: Bag, strip: Strip): Gussets {
  const { margin, p } = bag
  const [m, lap] = [margin.value, BENCH.lap]
  const wide = widest(strip) + 2 * m
  const whole = strip.length.value
  // The lap lies on the straight of the foot, just past the corner, where there is room for it.
  const sideEnd = Math.min(firstOf(strip.corners)[1] + SIDE_LAP, whole / 2 - 2)
  const from = sideEnd - lap
  const fate = (edge: string) => (edge === 'left' ? endFate(bag) : edge === 'right' ? bag.plain : bag.seamed)
  const side = plainPanel({
    id: 'gusset-side',
    name: 'Gusset, side',
    role: 'gusset',
    count: 2,
    ...rectangleShape(sideEnd, wide, {}, fate),
    marks: cutMarks(
      'snips',
      stripSnips(
        bag,
        { ...strip, corners: [firstOf(strip.corners)] },
        radiusFor(p.radius, bag.s.wide.value, bag.s.high.value),
        wide / 2,
      ),
    ),
  })
  const base = plainPanel({
    id: 'gusset-foot',
    name: 'Gusset, foot',
    role: 'gusset',
    ...rectangleShape(whole - 2 * from, wide, {}, (edge) =>
      edge === 'left' || edge === 'right' ? bag.plain : bag.seamed,
    ),
  })
  const turned = { a: -1, b: 0, c: 0, d: -1, e: whole - from, f: wide }
  const row = (id: string, name: string, sheet: string) =>
    lineSeam({
      id,
      name,
      sheet,
      points: [point(sideEnd - lap / 2, m + 2), point(sideEnd - lap / 2, wide - m - 2)],
      through: ['gusset-foot', sheet],
      back: [1, 1],
    })
  return {
    panels: [base, side],
    pile: {
      base: 'gusset-foot',
      sheets: [
        panelSheet('gusset-foot', 'foot of the gusset', 'gusset-foot', STAY, true),
        panelSheet('gusset-right', 'right side of the gusset', 'gusset-side', shift(-from, 0), true),
        panelSheet('gusset-left', 'left side of the gusset', 'gusset-side', turned, true),
      ],
    },
    joins: [
      row('lap-right', 'lap of the gusset, right', 'gusset-right'),
      row('lap-left', 'lap of the gusset, left', 'gusset-left'),
    ],
    base: 'gusset-foot',
    start: from,
    sheets: ['gusset-foot', 'gusset-right', 'gusset-left'],
    inBase: (path) => ({
      ...path,
      segments: path.segments.map((q) =>
        q.type === 'line'
          ? { ...q, from: point(q.from.x - from, q.from.y), to: point(q.to.x - from, q.to.y) }
          : q,
      ),
    }),
    stands: [
      { sheet: 'gusset-foot', from: -from, along: 1, seamOffset: 0 },
      { sheet: 'gusset-right', from: 0, along: 1, seamOffset: LAPPED },
      { sheet: 'gusset-left', from: whole, along: -1, seamOffset: LAPPED },
    ],
  }
}

/** Where the corners begin and end, and the middle of the foot, on both edges of both gusset seams. */
export function cornerMeetings(
  profile: Profile,
  strip: Strip,
  m: { readonly front: number; readonly back: number; readonly upper: number },
  g: Gussets,
  low: number,
): Meeting[] {
  const { span, rise, radius: r } = profile
  const level = widest(strip) / 2 + m.upper
  const [[a, b], [c, d]] = strip.corners as [readonly [number, number], readonly [number, number]]
  const places: readonly (readonly [string, number, number, number])[] = [
    ...(low > 0
      ? [['end-1', low, span, low] as const, ['end-2', strip.length.value - low, 0, low] as const]
      : []),
    ['corner-1', a, span, rise - r],
    ...(r > 0 ? [['corner-2', b, span - r, rise] as const] : []),
    ['foot', (b + c) / 2, span / 2, rise],
    ...(r > 0 ? [['corner-3', c, r, rise] as const] : []),
    ['corner-4', d, 0, rise - r],
  ]
  return places.flatMap(([id, along, x, y]) =>
    (['front', 'back'] as const).map((sheet): Meeting => {
      const front = sheet === 'front'
      // The back is seen from behind: its right is the other end of the strip.
      const on = front ? along : strip.length.value - along
      return {
        id: `${sheet}-${id}`,
        a: { sheet, at: point(m[sheet] + x, y) },
        b: { sheet: g.base, at: point(on - g.start, level + (front ? 1 : -1) * halfAt(strip, on)) },
      }
    }),
  )
}
